'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import type { WhatIfPageData } from '@/server/forecasts/what-ifs'
import { BudgetView } from './budget-view'
import { EyeView } from './eye-view'
import { ForecastCharts } from './forecast-charts'
import { clarityOf, measuresOfRuns, type ComparisonRuns } from './use-comparison'
import { Verdict } from './verdict'

interface WhatIfResultsProps {
  readonly result: ComparisonRuns
  readonly names: readonly string[]
  readonly data: WhatIfPageData
  readonly stopped: boolean
}

/** What the options' runs say: verdict, what the eye sees, the water day by day, where the nutrients go. */
export function WhatIfResults({ result, names, data, stopped }: WhatIfResultsProps) {
  const t = useTexts()

  const [day, setDay] = useState(Math.min(20, result.days - 1))
  const at = Math.min(day, result.days - 1)
  return (
    <>
      <section className="sheet" aria-label={t('forecasts.whatIfView.verdict')}>
        <h2>{t('forecasts.whatIfView.verdict')}</h2>
        {stopped ? (
          <p className="verdict look">
            {t('forecasts.whatIfView.stoppedEarlyRunsEach', { count: result.runs[0]!.length })}
          </p>
        ) : null}
        <Verdict days={result.days} measures={measuresOfRuns(result)} names={names} />
      </section>
      <section className="sheet" aria-label={t('forecasts.whatIfView.whatEyeSees')}>
        <h2>{t('forecasts.whatIfView.whatEyeSees')}</h2>
        <EyeView
          from={result.from}
          days={result.days}
          options={clarityOf(result, names)}
          basin={data.basin}
          day={at}
          onDay={setDay}
        />
      </section>
      <section className="sheet" aria-label={t('forecasts.whatIfView.waterDayDay')}>
        <h2>{t('forecasts.whatIfView.waterDayDay')}</h2>
        <p className="soft small mb-1">{t('forecasts.whatIfView.lineMiddleRunsBand')}</p>
        <ForecastCharts result={result} names={names} day={at} tests={data.tests} />
      </section>
      <BudgetView result={result} names={names} of="nitrogen" />
      <BudgetView result={result} names={names} of="phosphorus" />
    </>
  )
}
