'use client'
import { useTexts } from '@/ui/kit/texts'
import { proxy } from 'comlink'
import { useRef, useState } from 'react'
import { DEBRIEF_OPTIONS, type DebriefOption } from '@/core/trainer/debrief'
import type { WeekChoice } from '@/core/trainer/play'
import { trainerScenario } from '@/core/trainer/scenarios'
import type { TrainerGame } from '@/domain/trainer/trainer-game'
import { Verdict } from '@/ui/forecasts/verdict'
import { Swatch } from '@/ui/forecasts/option-ink'
import { luckWords } from '@/messages/trainer/trainer'
import type { TrainingPondOf } from './use-season'

const YEARS = 20

type Years = Awaited<ReturnType<ReturnType<TrainingPondOf>['otherYears']>>

interface OtherYearsProps {
  readonly game: TrainerGame
  readonly choices: readonly WeekChoice[]
  readonly pond: TrainingPondOf
  readonly names: Readonly<Record<DebriefOption, string>>
  readonly points: number
}

/** Judgement or luck: the same choices through years with other weather, other biology and other surprises. */
export function OtherYears({ game, choices, pond, names, points }: OtherYearsProps) {
  const t = useTexts()

  const [done, setDone] = useState<number | null>(null)
  const goOn = useRef(true)
  const [years, setYears] = useState<Years | null>(null)
  const run = async () => {
    if (done !== null) return
    goOn.current = true
    setDone(0)
    setYears(
      await pond().otherYears(
        game.scenario,
        choices,
        YEARS,
        proxy(async (year: number) => {
          setDone(year)
          return goOn.current
        }),
      ),
    )
  }
  const content = () => {
    if (years)
      return (
        <>
          <p>{luckWords(points, years.yours.points, years.house.points, t)}</p>
          <ul className="plain-list mb-2">
            {DEBRIEF_OPTIONS.map((option, i) => (
              <li key={option} className="year-line">
                <span>
                  <Swatch index={i} /> {names[option]}
                </span>
                <Range {...years[option]} />
                <span className="text-nowrap">
                  {Math.round(years[option].middle)}{' '}
                  <span className="soft">
                    {t('trainer.otherYears.to', { least: years[option].least, most: years[option].most })}
                  </span>
                </span>
              </li>
            ))}
          </ul>
          <Verdict
            days={trainerScenario(game.scenario).weeks * 7}
            measures={DEBRIEF_OPTIONS.map((option) => years[option].measures)}
            names={DEBRIEF_OPTIONS.map((option) => names[option])}
          />
        </>
      )
    if (done === null)
      return (
        <>
          <p className="mb-2">{t('trainer.otherYears.anotherYearWouldHave', { years: YEARS })}</p>
          <button className="btn btn-outline-secondary" onClick={() => void run()}>
            {t('trainer.otherYears.tryOtherYears', { years: YEARS })}
          </button>
        </>
      )
    return (
      <div className="forecast-run">
        <div
          className="progress"
          role="progressbar"
          aria-label={t('trainer.otherYears.yearsDone')}
          aria-valuenow={done}
          aria-valuemin={0}
          aria-valuemax={YEARS}
        >
          <div className="progress-bar" style={{ width: `${(100 * done) / YEARS}%` }} />
        </div>
        <span>{t('trainer.otherYears.years', { done, years: YEARS })}</span>
        <button className="btn btn-sm btn-outline-secondary" onClick={() => (goOn.current = false)}>
          {t('trainer.otherYears.stop')}
        </button>
      </div>
    )
  }
  return (
    <section className="sheet" aria-label={t('trainer.otherYears.judgementLuck')}>
      <h2>{t('trainer.otherYears.judgementLuck2')}</h2>
      {content()}
    </section>
  )
}

/** Points from 0 to 100: least to most as a line, the middle as a mark. */
const Range = ({ least: min, middle, most: max }: { least: number; middle: number; most: number }) => (
  <svg width="100%" height="14" viewBox="0 0 100 14" preserveAspectRatio="none" aria-hidden="true">
    <path d="M0 7H100" stroke="var(--rule)" strokeWidth="1" vectorEffect="non-scaling-stroke" />
    <path d={`M${min} 7H${max}`} stroke="var(--ink)" strokeWidth="3" vectorEffect="non-scaling-stroke" />
    <path d={`M${middle} 1V13`} stroke="var(--iris)" strokeWidth="3" vectorEffect="non-scaling-stroke" />
  </svg>
)
