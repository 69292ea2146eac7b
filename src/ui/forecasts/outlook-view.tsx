'use client'
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
import { Chart } from '@/ui/kit/charts/chart'
import { usePerson } from '@/ui/person-context'
import { WorryText } from './worry-text'

interface Shown {
  readonly output: OutlookOutput
  readonly title: string
  readonly kind?: { readonly quantity: QuantityKind; readonly scale: 'usual' | 'small'; readonly perUnit: number }
}

const SHOWN: readonly Shown[] = [
  { output: 'waterC', title: 'Water', kind: { quantity: 'temperature', scale: 'usual', perUnit: 1 } },
  { output: 'tan', title: 'Ammonia (TAN), mg/L' },
  { output: 'nh3', title: 'Toxic ammonia, most of the day, mg/L' },
  { output: 'nitrite', title: 'Nitrite, mg/L' },
  { output: 'oxygen', title: 'Least oxygen of the day, mg/L' },
  { output: 'clarityM', title: 'How deep a hand is seen', kind: { quantity: 'length', scale: 'usual', perUnit: 1 } },
  { output: 'levelMm', title: 'Level', kind: { quantity: 'length', scale: 'small', perUnit: 0.001 } },
]

/** A pond's coming three weeks as bands, with the reasons to worry. */
export function OutlookView({ data }: { data: PondOutlookData }) {
  const { timeZone } = usePerson()
  const { pond, forecast } = data
  return (
    <>
      <div className="page-head">
        <h1>Outlook</h1>
        <Link href={`/ponds/${pond.id}`}>
          {pond.siteName}: {pond.name}
        </Link>
        {forecast ? (
          <span className="soft">
            Made {instant(forecast.madeAt, timeZone)}, {OUTLOOK_DAYS} days ahead.
          </span>
        ) : null}
        <span className="actions">
          <Link className="btn btn-sm btn-outline-secondary" href={`/ponds/${pond.id}/what-if`}>
            What if
          </Link>
          {data.mayPlan ? (
            <Link className="btn btn-sm btn-outline-primary" href={`/ponds/${pond.id}/plan?job=${forecast?.worries[0]?.jobKey ?? 'routine'}`}>
              Plan a visit
            </Link>
          ) : null}
        </span>
      </div>
      {forecast === null ? (
        <p className="sheet">
          This pond has not been forecast yet. It is done every night, and on demand in the <Link href="/water">water lab</Link>.
        </p>
      ) : (
        <>
          <section className="sheet" aria-label="Reasons to worry">
            {forecast.worries.length === 0 ? (
              <p className="mb-0">Nothing comes near a line that matters.</p>
            ) : (
              <ul className="plain-list">
                {forecast.worries.map((worry) => (
                  <li key={worry.hazard}>
                    <WorryText worry={worry} />
                  </li>
                ))}
              </ul>
            )}
          </section>
          <section className="sheet" aria-label="Bands of the coming weeks">
            <p className="soft small mb-1">
              The line is the middle of fifty runs, the band holds eight of ten: other weather, and other biology that fits this pond’s tests.
            </p>
            <div className="lab-charts">
              {SHOWN.map((shown) => (
                <OutlookChart key={shown.output} shown={shown} forecast={forecast} deepestM={pond.deepestM} />
              ))}
            </div>
          </section>
        </>
      )}
      <p className="soft">A model advises. Test the water before acting on it; local codes and licensed practice decide.</p>
    </>
  )
}

function OutlookChart({ shown, forecast, deepestM }: { shown: Shown; forecast: PondForecast; deepestM: number }) {
  const { preferences } = usePerson()
  const ink = chartInk(preferences.theme)
  const symbol = shown.kind ? SHOWN_UNIT[preferences.units][shown.kind.quantity][shown.kind.scale] : ''
  const { p10, p50, p90 } = forecast.outlook.bands[shown.output]
  const option = useMemo(() => {
    const shownAs = (value: number) =>
      Number((shown.kind ? fromCanonical(value * shown.kind.perUnit, unitBySymbol(shown.kind.quantity, symbol)) : value).toPrecision(4))
    const line = Object.values(HAZARDS).find((h) => h.output === shown.output)
    const [least, most] = [Math.min(...p10), Math.max(...p90)]
    const near = line && line.line > least - 2 * (most - least) && line.line < most + 2 * (most - least) + Math.abs(line.line) * 0.5
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
          data: p90.map((v, d) => Number((shownAs(v) - shownAs(p10[d])).toPrecision(4))),
          lineStyle: { opacity: 0 },
          areaStyle: { color: ink.reed, opacity: 0.16 },
        },
        {
          type: 'line',
          name: shown.title,
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
            data: [...(near ? [mark(line.line, 'act', ink.rust)] : []), ...(shown.output === 'clarityM' ? [mark(deepestM, 'floor', ink.soft)] : [])],
          },
        },
      ],
    }
  }, [shown, forecast, deepestM, ink, symbol, p10, p50, p90])
  return (
    <figure className="mb-0">
      <figcaption>
        {shown.title}
        {symbol ? `, ${symbol}` : ''}
      </figcaption>
      <Chart
        option={option}
        heightPx={168}
        label={`${shown.title}: between ${Math.min(...p50).toPrecision(3)} and ${Math.max(...p50).toPrecision(3)} in the middle of the runs`}
      />
    </figure>
  )
}
