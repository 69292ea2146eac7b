'use client'
import { type Texts, useTexts } from '@/ui/kit/texts'
import { useEffect, useState } from 'react'
import { DEBRIEF_OPTIONS, type DebriefOption, type DebriefOptionPlayed, type WeekStory } from '@/core/trainer/debrief'
import type { WeekChoice } from '@/core/trainer/play'
import { trainerScenario } from '@/core/trainer/scenarios'
import { SCORE_PARTS } from '@/core/trainer/score'
import { money } from '@/domain/prices/pricing'
import type { TrainerGameData } from '@/server/trainer/trainer-games'
import { ProblemNote } from '@/ui/kit/problem-note'
import { Why } from '@/ui/kit/why'
import { ForecastCharts } from '@/ui/forecasts/forecast-charts'
import { Swatch } from '@/ui/forecasts/option-ink'
import { OtherYears } from './other-years'
import { useStartSeason } from './trainer-view'
import { Stars } from './stars'
import type { TrainingPondOf } from './use-season'
import { WeekStories } from './week-stories'

interface Told {
  readonly from: string
  readonly options: Readonly<Record<DebriefOption, DebriefOptionPlayed>>
  readonly weeks: readonly WeekStory[]
}

interface DebriefProps {
  readonly data: TrainerGameData
  readonly choices: readonly WeekChoice[]
  readonly pond: TrainingPondOf
}

/** What came of a season, beside what else could have come of the same start. */
export function Debrief({ data, choices, pond }: DebriefProps) {
  const t = useTexts()

  const { game, bestBefore, currency } = data
  const scenario = trainerScenario(game.scenario)
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
  const names: Record<DebriefOption, string> = {
    yours: t('trainer.wayNames.yours'),
    nothing: t('trainer.wayNames.nothing'),
    house: t('trainer.wayNames.house'),
    temptation: t(`trainer.temptations.${scenario.key}`),
  }
  const { score } = told.options.yours
  const againstBest = () => {
    if (bestBefore === null) return t('trainer.debrief.yourFirstSeasonHere')
    if (score.points > bestBefore) return t('trainer.debrief.yourBestBefore', { bestBefore })
    return t('trainer.debrief.yourBestStays', { bestBefore })
  }
  return (
    <>
      <section className="sheet debrief-head" aria-label={t('trainer.debrief.yourScore')}>
        <Stars stars={score.stars} />
        <p className="points mb-0">
          {score.points} <span className="soft">{t('trainer.debrief.n100Points')}</span>
        </p>
        <p className="mb-0">
          {scoreWords(score.stars, t)} {againstBest()}
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
                {DEBRIEF_OPTIONS.map((option, i) => (
                  <th key={option} scope="col">
                    <Swatch index={i} /> {names[option]}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {SCORE_PARTS.filter((part) => scenario.weights[part] !== undefined).map((part) => (
                <tr key={part}>
                  <th scope="row" className="fw-normal">
                    {part === 'clearOn' && scenario.clearOn
                      ? capital(t(`trainer.clearGoals.${scenario.clearOn.goal}`))
                      : t(`trainer.partNames.${part}`)}{' '}
                    <span className="soft">{t('trainer.debrief.of', { part: scenario.weights[part] ?? 0 })}</span>
                  </th>
                  {DEBRIEF_OPTIONS.map((option) => (
                    <td key={option}>{told.options[option].score.parts[part]}</td>
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
                {DEBRIEF_OPTIONS.map((option) => (
                  <td key={option}>
                    <strong>{told.options[option].score.points}</strong>
                  </td>
                ))}
              </tr>
              <tr className="soft">
                <th scope="row" className="fw-normal">
                  {t('trainer.debrief.fishAliveTimeMaterials')}
                </th>
                {DEBRIEF_OPTIONS.map((option) => {
                  const { score: s, result } = told.options[option]
                  return (
                    <td key={option}>
                      {t('trainer.debrief.h', {
                        alive: Math.round(result.alive[result.alive.length - 1]!),
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
        <ForecastCharts
          result={{
            days: told.options.yours.result.days,
            from: told.from,
            runs: DEBRIEF_OPTIONS.map((option) => [told.options[option].result]),
          }}
          names={DEBRIEF_OPTIONS.map((option) => names[option])}
          day={0}
          outputs={['clarityM', 'oxygen', 'tan', 'nh3', 'nitrite', 'bacteriaShare']}
        />
      </section>
      <OtherYears game={game} choices={choices} pond={pond} names={names} points={score.points} />
      <WeekStories weeks={told.weeks} />
    </>
  )
}

const scoreWords = (stars: number, t: Texts): string =>
  [
    t('trainer.debrief.customerWillLookSomeone'),
    t('trainer.debrief.pondStillPond'),
    t('trainer.debrief.wellLookedAfter'),
    t('trainer.debrief.wellCanDone'),
  ][stars]!
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
