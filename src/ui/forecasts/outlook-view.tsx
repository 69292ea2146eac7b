'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useMemo } from 'react'
import { HAZARDS, OUTLOOK_DAYS, type OutlookOutput } from '@/core/assimilation/outlook'
import { addDays } from '@/core/numeric/calendar'
import { fromCanonical, unitBySymbol } from '@/core/units/convert'
import type { QuantityKind } from '@/core/units/kinds'
import { SHOWN_UNIT } from '@/core/units/systems'
import { instant, shortDate } from '@/domain/shared/dates'
import type { PondForecast } from '@/domain/forecasts/forecast'
import type { PondOutlookData } from '@/server/forecasts/forecasts'
import { axis, chartInk, FONT } from '@/ui/kit/charts/chart-style'
import { useShownTheme } from '@/ui/kit/use-shown-theme'
import { Chart } from '@/ui/kit/charts/chart'
import { usePerson } from '@/ui/person-context'
import { RiskText } from './risk-text'

interface Shown {
  readonly output: OutlookOutput
  readonly title: TextId
  readonly kind?: { readonly quantity: QuantityKind; readonly scale: 'usual' | 'small'; readonly perUnit: number }
}

const SHOWN: readonly Shown[] = [
  {
    output: 'waterC',
    title: textId('forecasts.outlookView.water'),
    kind: { quantity: 'temperature', scale: 'usual', perUnit: 1 },
  },
  { output: 'tan', title: textId('forecasts.outlookView.ammoniaTanMgL') },
  { output: 'nh3', title: textId('forecasts.outlookView.toxicAmmoniaMostDay') },
  { output: 'nitrite', title: textId('forecasts.outlookView.nitriteMgL') },
  { output: 'oxygen', title: textId('forecasts.outlookView.leastOxygenDayMg') },
  {
    output: 'clarityM',
    title: textId('forecasts.outlookView.howDeepHandSeen'),
    kind: { quantity: 'length', scale: 'usual', perUnit: 1 },
  },
  {
    output: 'levelMm',
    title: textId('forecasts.outlookView.level'),
    kind: { quantity: 'length', scale: 'small', perUnit: 0.001 },
  },
]

/** A pond's coming three weeks as bands, with the risks. */
export function OutlookView({ data }: { data: PondOutlookData }) {
  const t = useTexts()

  const { timeZone } = usePerson()
  const { pond, forecast } = data
  return (
    <>
      <div className="tab-head">
        <h2>{t('forecasts.outlookView.outlook')}</h2>
        {forecast ? (
          <span className="soft">
            {t('forecasts.outlookView.madeDaysAhead', {
              madeAt: instant(forecast.madeAt, timeZone),
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
            <p className="soft small mb-1">{t('forecasts.outlookView.lineMiddleFiftyRuns')}</p>
            <div className="forecast-charts">
              {SHOWN.map((shown) => (
                <OutlookChart key={shown.output} shown={shown} forecast={forecast} deepestM={pond.deepestM} />
              ))}
            </div>
          </section>
        </>
      )}
      <p className="soft">{t('forecasts.outlookView.modelAdvisesTestWater')}</p>
    </>
  )
}

function OutlookChart({ shown, forecast, deepestM }: { shown: Shown; forecast: PondForecast; deepestM: number }) {
  const t = useTexts()

  const { preferences } = usePerson()
  const ink = chartInk(useShownTheme())
  const symbol = shown.kind ? SHOWN_UNIT[preferences.units][shown.kind.quantity][shown.kind.scale] : ''
  const { p10, p50, p90 } = forecast.outlook.bands[shown.output]
  const option = useMemo(() => {
    const shownAs = (value: number) =>
      Number(
        (shown.kind
          ? fromCanonical(value * shown.kind.perUnit, unitBySymbol(shown.kind.quantity, symbol))
          : value
        ).toPrecision(4),
      )
    const line = Object.values(HAZARDS).find((h) => h.output === shown.output)
    const [min, max] = [Math.min(...p10), Math.max(...p90)]
    const near =
      line && line.line > min - 2 * (max - min) && line.line < max + 2 * (max - min) + Math.abs(line.line) * 0.5
    const mark = (value: number, name: string, colour: string) => ({
      yAxis: shownAs(value),
      lineStyle: { color: colour, type: 'dashed' },
      label: { formatter: name, position: 'insideEndTop', color: colour, fontFamily: FONT, fontSize: 11 },
    })
    const plain = { type: 'line', symbol: 'none', animation: false, silent: true, tooltip: { show: false } }
    return {
      grid: { left: 44, right: 12, top: 12, bottom: 24 },
      tooltip: { trigger: 'axis', valueFormatter: (v: unknown) => `${String(v)} ${symbol}` },
      xAxis: {
        ...axis(ink, ''),
        type: 'category',
        data: p50.map((_, d) => addDays(forecast.outlook.from, d)),
        axisLabel: { color: ink.soft, fontFamily: FONT, formatter: (d: string) => shortDate(d) },
        splitLine: { show: false },
      },
      yAxis: { ...axis(ink, ''), type: 'value', scale: shown.output === 'waterC' || shown.output === 'levelMm' },
      series: [
        { ...plain, stack: 'band', stackStrategy: 'all', data: p10.map(shownAs), lineStyle: { opacity: 0 } },
        {
          ...plain,
          stack: 'band',
          stackStrategy: 'all',
          data: p90.map((v, d) => Number((shownAs(v) - shownAs(p10[d]!)).toPrecision(4))),
          lineStyle: { opacity: 0 },
          areaStyle: { color: ink.reed, opacity: 0.16 },
        },
        {
          type: 'line',
          name: t(shown.title),
          symbol: 'none',
          animation: false,
          data: p50.map(shownAs),
          lineStyle: { color: ink.reed, width: 2 },
          itemStyle: { color: ink.reed },
          markLine: {
            silent: true,
            symbol: 'none',
            animation: false,
            // no hand is seen below the floor
            data: [
              ...(near ? [mark(line.line, 'act', ink.rust)] : []),
              ...(shown.output === 'clarityM' ? [mark(deepestM, t('forecasts.outlookView.floor'), ink.soft)] : []),
            ],
          },
        },
      ],
    }
  }, [shown, forecast, deepestM, ink, symbol, p10, p50, p90, t])
  return (
    <figure className="mb-0">
      <figcaption>
        {t(shown.title)}
        {symbol ? `, ${symbol}` : ''}
      </figcaption>
      <Chart
        option={option}
        heightPx={168}
        label={t('forecasts.outlookView.betweenMiddleRuns', {
          title: t(shown.title),
          value: Math.min(...p50).toPrecision(3),
          value2: Math.max(...p50).toPrecision(3),
        })}
      />
    </figure>
  )
}
