'use client'
import Link from 'next/link'
import { useState } from 'react'
import { OUTLOOK_DAYS } from '@/core/assimilation/outlook'
import type { PondOutlookData } from '@/server/forecasts/forecasts'
import { useTexts } from '@/ui/kit/texts'
import { usePerson } from '@/ui/person-context'
import { AccuracySheet } from './accuracy-sheet'
import { isSteadyOutlook, OutlookChart, SHOWN, steadyOutlookWords } from './outlook-chart'
import { RiskText } from './risk-text'
import { SteadyFigures } from './steady-figures'

/** A pond's coming three weeks as bands, with the risks. */
export function OutlookView({ data }: { data: PondOutlookData }) {
  const t = useTexts()

  const { timeZone, preferences } = usePerson()
  const { pond, forecast } = data
  const [all, setAll] = useState(false)
  // a forecast of an older version knows nothing of some figures
  const known = forecast ? SHOWN.filter(({ output }) => forecast.outlook.bands[output].p50.length > 0) : []
  const steady = forecast ? known.filter((shown) => isSteadyOutlook(shown, forecast)) : []
  return (
    <>
      <div className="tab-head">
        <h2>{t('forecasts.outlookView.outlook')}</h2>
        {forecast ? (
          <span className="soft">
            {t('forecasts.outlookView.madeDaysAhead', {
              madeAt: t.instant(forecast.madeAt, timeZone),
              outlookDays: OUTLOOK_DAYS,
            })}
          </span>
        ) : null}
        <span className="actions">
          <Link className="btn btn-sm btn-outline-secondary" href={`/ponds/${pond.id}/what-if`}>
            {t('forecasts.outlookView.whatIf')}
          </Link>
          {data.mayPlan ? (
            <Link
              className="btn btn-sm btn-outline-primary"
              href={`/ponds/${pond.id}/plan?job=${forecast?.risks[0]?.jobKey ?? 'routine'}`}
            >
              {t('forecasts.outlookView.planVisit')}
            </Link>
          ) : null}
        </span>
      </div>
      {forecast === null ? (
        <p className="sheet">
          {t('forecasts.outlookView.pondHasNotBeen')}{' '}
          <Link href="/forecasts">{t('forecasts.outlookView.forecasts')}</Link>.
        </p>
      ) : (
        <>
          <section className="sheet" aria-label={t('forecasts.outlookView.reasonsRisk')}>
            {forecast.risks.length === 0 ? (
              <p className="mb-0">{t('forecasts.outlookView.nothingComesNearLine')}</p>
            ) : (
              <ul className="plain-list">
                {forecast.risks.map((risk) => (
                  <li key={risk.hazard}>
                    <RiskText risk={risk} />
                  </li>
                ))}
              </ul>
            )}
          </section>
          <section className="sheet" aria-label={t('forecasts.outlookView.bandsComingWeeks')}>
            <p className="soft small mb-1">{t('forecasts.outlookView.lineMiddleRuns')}</p>
            <div className="forecast-charts">
              {known
                .filter((shown) => all || !steady.includes(shown))
                .map((shown) => (
                  <OutlookChart key={shown.output} shown={shown} forecast={forecast} deepestM={pond.deepestM} />
                ))}
            </div>
            <SteadyFigures
              lines={steady.map((shown) => steadyOutlookWords(shown, forecast, preferences.units, t))}
              drawn={all}
              onDraw={setAll}
            />
          </section>
          <AccuracySheet accuracy={data.accuracy} ofOnePond />
        </>
      )}
      <p className="soft">{t('forecasts.outlookView.modelAdvisesTestWater')}</p>
    </>
  )
}
