'use client'
import { useMemo } from 'react'
import { HAZARDS, type OutlookOutput } from '@/core/assimilation/hazards'
import { isSteady } from '@/core/ecosystem/comparison/steady'
import { addDays } from '@/core/numeric/calendar'
import { fromCanonical, unitBySymbol } from '@/core/units/convert'
import type { QuantityKind } from '@/core/units/kinds'
import { SHOWN_UNIT, type UnitSystem } from '@/core/units/systems'
import type { PondForecast } from '@/domain/forecasts/forecast'
import { axis, chartInk, FONT } from '@/ui/kit/charts/chart-style'
import { Chart } from '@/ui/kit/charts/chart'
import { type TextId, type Texts, textId, useTexts } from '@/ui/kit/texts'
import { useShownTheme } from '@/ui/kit/use-shown-theme'
import { usePerson } from '@/ui/person-context'

export interface ShownOutlook {
  readonly output: OutlookOutput
  readonly title: TextId
  readonly kind?: { readonly quantity: QuantityKind; readonly scale: 'usual' | 'small'; readonly perUnit: number }
}

export const SHOWN: readonly ShownOutlook[] = [
  {
    output: 'waterC',
    title: textId('forecasts.outlookView.water'),
    kind: { quantity: 'temperature', scale: 'usual', perUnit: 1 },
  },
  { output: 'tan', title: textId('forecasts.outlookView.ammoniaTanMgL') },
  { output: 'nh3', title: textId('forecasts.outlookView.toxicAmmoniaMostDay') },
  { output: 'ph', title: textId('forecasts.outlookView.ph') },
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

const symbolOf = ({ kind }: ShownOutlook, units: UnitSystem): string =>
  kind ? SHOWN_UNIT[units][kind.quantity][kind.scale] : ''

const inUnit = ({ kind }: ShownOutlook, value: number, symbol: string): number =>
  kind ? fromCanonical(value * kind.perUnit, unitBySymbol(kind.quantity, symbol)) : value

/** Whether a figure hardly moves and comes near no limit. */
export function isSteadyOutlook({ output }: ShownOutlook, { outlook }: PondForecast): boolean {
  const limits = Object.values(HAZARDS).flatMap((h) => (h.output === output ? [h.line] : []))
  return isSteady([outlook.bands[output]], limits)
}

/** A figure that hardly moves, in words: its middle and its band. */
export function steadyOutlookWords(
  shown: ShownOutlook,
  { outlook }: PondForecast,
  units: UnitSystem,
  t: Texts,
): string {
  const symbol = symbolOf(shown, units)
  const { p10, p50, p90 } = outlook.bands[shown.output]
  const say = (value: number) => String(Number(inUnit(shown, value, symbol).toPrecision(2)))
  return t('forecasts.steady.figure', {
    title: [t(shown.title), symbol].filter((text) => text !== '').join(', '),
    middle: say(p50[Math.floor(p50.length / 2)]!),
    low: say(Math.min(...p10)),
    high: say(Math.max(...p90)),
  })
}

interface OutlookChartProps {
  readonly shown: ShownOutlook
  readonly forecast: PondForecast
  readonly deepestM: number
}

/** One figure's coming weeks: its middle, its band, and the limit it comes near. */
export function OutlookChart({ shown, forecast, deepestM }: OutlookChartProps) {
  const t = useTexts()

  const { preferences } = usePerson()
  const ink = chartInk(useShownTheme())
  const symbol = symbolOf(shown, preferences.units)
  const { p10, p50, p90 } = forecast.outlook.bands[shown.output]
  const option = useMemo(() => {
    const shownAs = (value: number) => Number(inUnit(shown, value, symbol).toPrecision(4))
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
        axisLabel: { color: ink.soft, fontFamily: FONT, formatter: (d: string) => t.shortDate(d) },
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
