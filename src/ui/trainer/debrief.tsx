'use client'
import { type Texts, useTexts } from '@/ui/kit/texts'
import { useEffect, useState } from 'react'
import { DEBRIEF_WAYS, type DebriefWay, type WayPlayed, type WeekStory } from '@/core/trainer/debrief'
import type { WeekChoice } from '@/core/trainer/play'
import { practiceScenario } from '@/core/trainer/scenarios'
import { SCORE_PARTS } from '@/core/trainer/score'
import { money } from '@/domain/prices/pricing'
import type { PracticeGameData } from '@/server/trainer/practice-games'
import { ProblemNote } from '@/ui/kit/problem-note'
import { Why } from '@/ui/kit/why'
import { LabCharts } from '@/ui/forecasts/lab-charts'
import { Swatch } from '@/ui/forecasts/way-ink'
import { OtherYears } from './other-years'
import { useStartSeason } from './practice-pond-view'
import { Reeds } from './reeds'
import type { PracticePondOf } from './use-season'
import { WeekStories } from './week-stories'

interface Told {
  readonly from: string
  readonly ways: Readonly<Record<DebriefWay, WayPlayed>>
  readonly weeks: readonly WeekStory[]
}

interface DebriefProps {
  readonly data: PracticeGameData
  readonly choices: readonly WeekChoice[]
  readonly pond: PracticePondOf
}

/** What came of a season, beside what else could have come of the same start. */
export function Debrief({ data, choices, pond }: DebriefProps) {
  const t = useTexts()

  const { game, bestBefore, currency } = data
  const scenario = practiceScenario(game.scenario)
  const [told, setTold] = useState<Told | null>(null)
  const { start, problem } = useStartSeason()
  useEffect(() => {
    let here = true
    void pond()
      .debrief(game.scenario, game.seed, choices)
      .then((value) => {
        if (here) setTold(value)
      })
    return () => {
      here = false
    }
  }, [pond, game.scenario, game.seed, choices])
  if (!told)
    return (
      <p className="sheet soft" role="status">
        {t('trainer.debrief.seasonToldAgainFour')}
      </p>
    )
  const names: Record<DebriefWay, string> = {
    yours: t('trainer.wayNames.yours'),
    nothing: t('trainer.wayNames.nothing'),
    house: scenario.house.name,
    temptation: scenario.temptation.name,
  }
  const { score } = told.ways.yours
  return (
    <>
      <section className="sheet debrief-head" aria-label={t('trainer.debrief.yourScore')}>
        <Reeds reeds={score.reeds} />
        <p className="points mb-0">
          {score.points} <span className="soft">{t('trainer.debrief.n100Points')}</span>
        </p>
        <p className="mb-0">
          {scoreWords(score.reeds, t)}{' '}
          {bestBefore === null
            ? t('trainer.debrief.yourFirstSeasonHere')
            : score.points > bestBefore
              ? t('trainer.debrief.yourBestBefore', { bestBefore })
              : t('trainer.debrief.yourBestStays', { bestBefore })}
        </p>
        <div className="ms-auto">
          <button className="btn btn-primary me-2" onClick={() => void start(game.scenario, null)}>
            {t('trainer.debrief.playAnotherYear')}
          </button>
          <button className="btn btn-outline-secondary" onClick={() => void start(game.scenario, game.seed)}>
            {t('trainer.debrief.sameYearAgain')}
          </button>
        </div>
        <ProblemNote problem={problem} />
      </section>
      <section className="sheet" aria-label={t('trainer.debrief.whatCounted')}>
        <h2>{t('trainer.debrief.whatCounted')}</h2>
        <div className="notebook" tabIndex={0} role="group" aria-label={t('trainer.debrief.pointsAllWays')}>
          <table className="table table-sm mb-1">
            <thead>
              <tr>
                <th scope="col" />
                {DEBRIEF_WAYS.map((way, i) => (
                  <th key={way} scope="col">
                    <Swatch index={i} /> {names[way]}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {SCORE_PARTS.filter((part) => scenario.weights[part] !== undefined).map((part) => (
                <tr key={part}>
                  <th scope="row" className="fw-normal">
                    {part === 'clearOn' && scenario.clearOn ? capital(scenario.clearOn.words) : t(`trainer.partNames.${part}`)}{' '}
                    <span className="soft">{t('trainer.debrief.of', { part: scenario.weights[part] ?? 0 })}</span>
                  </th>
                  {DEBRIEF_WAYS.map((way) => (
                    <td key={way}>{told.ways[way].score.parts[part]}</td>
                  ))}
                </tr>
              ))}
              {score.askedOff > 0 ? (
                <tr>
                  <th scope="row" className="fw-normal">
                    {t('trainer.debrief.questionsForeman')}
                  </th>
                  <td>−{score.askedOff}</td>
                  <td colSpan={3} />
                </tr>
              ) : null}
              <tr>
                <th scope="row">{t('trainer.debrief.points')}</th>
                {DEBRIEF_WAYS.map((way) => (
                  <td key={way}>
                    <strong>{told.ways[way].score.points}</strong>
                  </td>
                ))}
              </tr>
              <tr className="soft">
                <th scope="row" className="fw-normal">
                  {t('trainer.debrief.fishAliveTimeMaterials')}
                </th>
                {DEBRIEF_WAYS.map((way) => {
                  const { score: s, result } = told.ways[way]
                  return (
                    <td key={way}>
                      {t('trainer.debrief.h', {
                        alive: Math.round(result.alive[result.alive.length - 1]),
                        fishAtStart: result.fishAtStart,
                        minutes: (s.minutes / 60).toFixed(1),
                        cost: money(s.cost * 100, currency),
                      })}
                    </td>
                  )
                })}
              </tr>
            </tbody>
          </table>
        </div>
        <Why title={t('trainer.debrief.howCounted')}>{t('trainer.debrief.fishAliveEndCount')}</Why>
      </section>
      <section className="sheet" aria-label={t('trainer.debrief.sameYearFourWays')}>
        <h2>{t('trainer.debrief.sameYearFourWays')}</h2>
        <LabCharts
          result={{ days: told.ways.yours.result.days, from: told.from, runs: DEBRIEF_WAYS.map((way) => [told.ways[way].result]) }}
          names={DEBRIEF_WAYS.map((way) => names[way])}
          day={0}
          outputs={['clarityM', 'oxygen', 'tan', 'nh3', 'nitrite', 'bacteriaShare']}
        />
      </section>
      <OtherYears game={game} choices={choices} pond={pond} names={names} points={score.points} />
      <WeekStories weeks={told.weeks} />
    </>
  )
}

const scoreWords = (reeds: number, t: Texts): string =>
  [t('trainer.debrief.customerWillLookSomeone'), t('trainer.debrief.pondStillPond'), t('trainer.debrief.wellLookedAfter'), t('trainer.debrief.wellCanDone')][
    reeds
  ]
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
