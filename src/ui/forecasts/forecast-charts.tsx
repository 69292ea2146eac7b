'use client'
import { type Texts, useTexts } from '@/ui/kit/texts'
import { useMemo, useState } from 'react'
import { bandOf, type Band, type ShownOutput } from '@/core/ecosystem/comparison/comparison'
import { addDays } from '@/core/numeric/calendar'
import { axis, chartInk, FONT, type ChartInk } from '@/ui/kit/charts/chart-style'
import { useShownTheme } from '@/ui/kit/use-shown-theme'
import { Chart } from '@/ui/kit/charts/chart'
import { usePerson } from '@/ui/person-context'
import type { ComparedRuns } from './use-comparison'
import { DASHES, optionInk } from './option-ink'
import { CHARTS, inUnit, isSteadyChart, steadyWords, symbolOf, type ShownChart } from './shown-charts'
import { SteadyFigures } from './steady-figures'

interface ForecastChartsProps {
  readonly result: ComparedRuns
  readonly names: readonly string[]
  readonly day: number
  /** Only some of the charts. */
  readonly outputs?: readonly ShownOutput[]
  /** Tests of this pond, one a day and kind, drawn where they fall into the run. */
  readonly tests?: readonly DayTest[]
}

/** One figure that was read. */
interface DayTest {
  readonly day: string
  readonly kind: string
  readonly value: number
}

/** Bands and middles of every way, one chart a figure. */
export function ForecastCharts({ result, names, day, outputs, tests = NO_TESTS }: ForecastChartsProps) {
  const t = useTexts()

  const { preferences } = usePerson()
  const [all, setAll] = useState(false)
  const charts = useMemo(() => {
    const asked = CHARTS.filter((chart) => !outputs || outputs.includes(chart.output))
    return asked.map((chart) => ({
      chart,
      // what was asked for by name is drawn, and so is what was tested
      steady: !outputs && !tests.some((test) => test.kind === chart.test) && isSteadyChart(chart, result),
    }))
  }, [result, outputs, tests])
  return (
    <>
      <div className="forecast-charts">
        {charts
          .filter(({ steady }) => all || !steady)
          .map(({ chart }) => (
            <ForecastChart key={chart.output} chart={chart} result={result} names={names} day={day} tests={tests} />
          ))}
      </div>
      <SteadyFigures
        lines={charts
          .filter(({ steady }) => steady)
          .map(({ chart }) => steadyWords(chart, result, preferences.units, t))}
        drawn={all}
        onDraw={setAll}
      />
    </>
  )
}

const NO_TESTS: readonly DayTest[] = []

function ForecastChart({
  chart,
  result,
  names,
  day,
  tests,
}: ForecastChartsProps & { readonly chart: ShownChart; readonly tests: readonly DayTest[] }) {
  const t = useTexts()

  const { preferences } = usePerson()
  const ink = chartInk(useShownTheme())
  const symbol = symbolOf(chart, preferences.units)
  const option = useMemo(() => {
    const shownAs = (value: number) => Number(inUnit(chart, value, symbol).toPrecision(4))
    const bands = result.runs.map((runs) => bandOf(runs, chart.output, result.days))
    const read = tests.filter(
      (test) => test.kind === chart.test && test.day >= result.from && test.day < addDays(result.from, result.days),
    )
    const top = Math.max(...bands.flatMap((b) => b.p90), ...read.map((test) => test.value)) * 1.05
    const dates = Array.from({ length: result.days }, (_, d) => addDays(result.from, d))
    return {
      grid: { left: 44, right: 12, top: 12, bottom: 24 },
      tooltip: { trigger: 'axis', order: 'seriesAsc', valueFormatter: (v: unknown) => `${String(v)} ${symbol}` },
      xAxis: {
        ...axis(ink, ''),
        type: 'category',
        data: dates,
        axisLabel: { color: ink.soft, fontFamily: FONT, formatter: (d: string) => t.shortDate(d) },
        splitLine: { show: false },
      },
      yAxis: { ...axis(ink, ''), type: 'value', min: 0, max: niceTop(shownAs(Math.max(top, minTop(chart, top)))) },
      series: [
        ...bands.flatMap((band, way) =>
          bandSeries(
            band,
            way,
            names[way]!,
            ink,
            shownAs,
            way === 0 ? marks(chart, shownAs, ink, dates[day]!, top, t) : undefined,
          ),
        ),
        ...(read.length > 0
          ? [
              {
                type: 'scatter',
                name: 'tested',
                symbolSize: 8,
                itemStyle: { color: ink.ink },
                data: read.map((test) => [test.day, shownAs(test.value)]),
              },
            ]
          : []),
      ],
    }
  }, [chart, result, names, ink, symbol, day, tests, t])
  return (
    <figure className="mb-0">
      <figcaption>
        {t(chart.title)}
        {symbol ? `, ${symbol}` : ''}
      </figcaption>
      <Chart
        option={option}
        heightPx={168}
        label={`${t(chart.title)}: ${names.map((n, i) => `${n}, ${said(result, chart.output, i, t)}`).join('; ')}`}
      />
    </figure>
  )
}

/** The first line of each chart stays in sight, so that "far below it" can be seen. */
const minTop = ({ lines }: ShownChart, top: number): number => {
  const near = lines.map((l) => l.value).filter((v) => v > top)
  return near.length > 0 && Math.min(...near) < 3 * top ? Math.min(...near) * 1.05 : top
}

/** The next round figure above. */
function niceTop(value: number): number {
  const power = 10 ** Math.floor(Math.log10(Math.max(value, 1e-9)))
  const step = [1, 1.5, 2, 3, 4, 5, 6, 8, 10].find((s) => s * power >= value * 0.999)!
  return Number((step * power).toPrecision(3))
}

const said = (result: ComparedRuns, output: ShownOutput, way: number, t: Texts): string => {
  const { p50 } = bandOf(result.runs[way]!, output, result.days)
  return t('forecasts.forecastCharts.between', {
    value: Math.min(...p50).toPrecision(2),
    value2: Math.max(...p50).toPrecision(2),
  })
}

function bandSeries(
  band: Band,
  way: number,
  name: string,
  ink: ChartInk,
  shownAs: (v: number) => number,
  markLine: object | undefined,
) {
  const colour = optionInk(ink, way)
  const plain = { type: 'line', symbol: 'none', animation: false, silent: true, tooltip: { show: false } }
  return [
    { ...plain, stack: `band${way}`, data: band.p10.map(shownAs), lineStyle: { opacity: 0 } },
    {
      ...plain,
      stack: `band${way}`,
      data: band.p90.map((v, d) => shownAs(v - band.p10[d]!)),
      lineStyle: { opacity: 0 },
      areaStyle: { color: colour, opacity: 0.14 },
    },
    {
      type: 'line',
      name,
      symbol: 'none',
      animation: false,
      data: band.p50.map(shownAs),
      lineStyle: { color: colour, width: 2, type: DASHES[way % DASHES.length] },
      itemStyle: { color: colour },
      markLine,
    },
  ]
}

function marks(
  { lines }: ShownChart,
  shownAs: (v: number) => number,
  ink: ChartInk,
  date: string,
  top: number,
  t: Texts,
) {
  const seen = lines.filter((l) => l.value <= Math.max(top, 0) * 3)
  return {
    silent: true,
    symbol: 'none',
    animation: false,
    data: [
      ...seen.map((l) => ({
        yAxis: shownAs(l.value),
        lineStyle: { color: l.bad ? ink.rust : ink.amber, type: 'dashed', width: 1 },
        label: {
          formatter: l.name && t(l.name),
          position: 'insideEndTop',
          color: l.bad ? ink.rust : ink.amber,
          fontFamily: FONT,
          fontSize: 11,
        },
      })),
      { xAxis: date, lineStyle: { color: ink.ink, width: 1, type: 'solid' }, label: { show: false } },
    ],
  }
}
