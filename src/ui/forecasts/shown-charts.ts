import { bandOf, type ShownOutput } from '@/core/ecosystem/comparison/comparison'
import { isSteady } from '@/core/ecosystem/comparison/steady'
import { CLEAR_M } from '@/core/ecosystem/measures'
import { fromCanonical, unitBySymbol } from '@/core/units/convert'
import { SHOWN_UNIT, type UnitSystem } from '@/core/units/systems'
import { AMMONIA_BANDS } from '@/core/water/ammonia'
import { thresholdsOf } from '@/core/water/readings'
import { type TextId, type Texts, textId } from '@/ui/kit/texts'
import type { ComparedRuns } from './use-comparison'

interface Line {
  readonly value: number
  readonly name: TextId | null
  readonly bad: boolean
}

export interface ShownChart {
  readonly output: ShownOutput
  readonly title: TextId
  readonly length?: boolean
  /** Kind of reading that measures it. */
  readonly test?: string
  readonly lines: readonly Line[]
}

const NAMES = {
  watch: textId('forecasts.forecastCharts.watch'),
  act: textId('forecasts.forecastCharts.act'),
  emergency: textId('forecasts.forecastCharts.emergency'),
  fine: null,
} as const
const linesOf = (kind: 'dissolvedOxygen' | 'nitrite' | 'nitrate'): Line[] =>
  thresholdsOf(kind).map(({ value, band }) => ({ value, name: NAMES[band], bad: band !== 'watch' }))

/** What the bench draws, the look of the water first. */
export const CHARTS: readonly ShownChart[] = [
  {
    output: 'clarityM',
    title: textId('forecasts.forecastCharts.howDeepHandSeen'),
    length: true,
    test: 'clarityDepth',
    lines: [{ value: CLEAR_M, name: textId('forecasts.forecastCharts.clear'), bad: false }],
  },
  {
    output: 'oxygen',
    title: textId('forecasts.forecastCharts.leastOxygenDayMg'),
    test: 'dissolvedOxygen',
    lines: linesOf('dissolvedOxygen'),
  },
  { output: 'tan', title: textId('forecasts.forecastCharts.ammoniaTanMgL'), test: 'tan', lines: [] },
  {
    output: 'nh3',
    title: textId('forecasts.forecastCharts.toxicAmmoniaMostDay'),
    lines: [
      { value: AMMONIA_BANDS.watchFromMgL, name: textId('forecasts.forecastCharts.watch'), bad: false },
      { value: AMMONIA_BANDS.actAboveMgL, name: textId('forecasts.forecastCharts.act'), bad: true },
    ],
  },
  {
    output: 'nitrite',
    title: textId('forecasts.forecastCharts.nitriteMgL'),
    test: 'nitrite',
    lines: linesOf('nitrite'),
  },
  {
    output: 'nitrate',
    title: textId('forecasts.forecastCharts.nitrateMgL'),
    test: 'nitrate',
    lines: linesOf('nitrate'),
  },
  { output: 'bacteriaShare', title: textId('forecasts.forecastCharts.bacteriaBedShareRoom'), lines: [] },
]

export const symbolOf = (chart: ShownChart, units: UnitSystem): string =>
  chart.length ? SHOWN_UNIT[units].length.usual : ''

export const inUnit = (chart: ShownChart, value: number, symbol: string): number =>
  chart.length ? fromCanonical(value, unitBySymbol('length', symbol)) : value

const bandsOf = ({ output }: ShownChart, { runs, days }: ComparedRuns) => runs.map((r) => bandOf(r, output, days))

/** Whether a figure hardly moves, is the same for all options and comes near no limit. */
export const isSteadyChart = (chart: ShownChart, result: ComparedRuns): boolean =>
  isSteady(
    bandsOf(chart, result),
    chart.lines.filter((l) => l.name !== null).map((l) => l.value),
  )

/** A figure that hardly moves and is the same for all options, in words. */
export function steadyWords(chart: ShownChart, result: ComparedRuns, units: UnitSystem, t: Texts): string {
  const symbol = symbolOf(chart, units)
  const bands = bandsOf(chart, result)
  const { p50 } = bands[0]!
  const say = (value: number) => String(Number(inUnit(chart, value, symbol).toPrecision(2)))
  return t('forecasts.steady.figure', {
    title: [t(chart.title), symbol].filter((text) => text !== '').join(', '),
    middle: say(p50[Math.floor(p50.length / 2)]!),
    low: say(Math.min(...bands.flatMap((b) => b.p10))),
    high: say(Math.max(...bands.flatMap((b) => b.p90))),
  })
}
