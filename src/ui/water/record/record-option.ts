import type { EChartsCoreOption } from 'echarts/core'
import type { WaterBand } from '@/core/water/readings'
import { addDays } from '@/core/numeric/calendar'
import { axis, FONT, type ChartInk } from '@/ui/kit/charts/chart-style'
import { nearLimits, type ShownLane } from './record-lanes'
import { MARK_ROWS, type MarkRow, type RecordMark } from './record-marks'

/** What the record's drawing says in words. */
export interface RecordWords {
  readonly today: string
  readonly forecast: string
  readonly noneFound: string
  readonly band: (band: WaterBand) => string
  readonly day: (day: string) => string
  /** A day on the axis, as short as it can be. */
  readonly tick: (day: string) => string
}

export interface RecordDrawing {
  readonly lanes: readonly ShownLane[]
  readonly marks: readonly RecordMark[]
  readonly days: { readonly from: string; readonly to: string }
  readonly today: string
  /** First day of the forecast; null without one. */
  readonly forecastFrom: string | null
  readonly ink: ChartInk
  readonly words: RecordWords
}

const LANE_PX = 104
const LANE_HEAD_PX = 26
const ROW_PX = 20
const FOOT_PX = 28
const SIDE = { left: 46, right: 74 }

/** Which rows have something on them. */
export const shownRows = (marks: readonly RecordMark[]): MarkRow[] =>
  MARK_ROWS.filter((row) => marks.some((mark) => mark.row === row))

export const recordHeightPx = ({ lanes, marks }: Pick<RecordDrawing, 'lanes' | 'marks'>): number =>
  lanes.length * LANE_PX + shownRows(marks).length * ROW_PX + FOOT_PX

/** The symbol of a row, by shape as well as colour. */
export const MARK_SHAPES = { visit: 'circle', dose: 'triangle', water: 'diamond', planned: 'emptyCircle' } as const

/** Lanes over one another on one axis of days: tests, limits, the forecast's band, and below them what was done. */
export function recordOption(drawing: RecordDrawing): EChartsCoreOption {
  const { lanes, marks, days, ink, words } = drawing
  const rows = shownRows(marks)
  const below = lanes.length * LANE_PX
  const time = (index: number, isLast: boolean) => ({
    ...axis(ink, ''),
    gridIndex: index,
    type: 'time',
    min: `${days.from}T00:00:00Z`,
    max: `${days.to}T23:59:00Z`,
    splitLine: { show: false },
    axisTick: { show: isLast },
    axisLabel: {
      show: isLast,
      color: ink.soft,
      fontFamily: FONT,
      hideOverlap: true,
      formatter: (at: number) => words.tick(new Date(at).toISOString().slice(0, 10)),
    },
  })
  return {
    animation: false,
    grid: [
      ...lanes.map((_, i) => ({ ...SIDE, top: i * LANE_PX + LANE_HEAD_PX, height: LANE_PX - LANE_HEAD_PX - 8 })),
      { ...SIDE, top: below, height: Math.max(1, rows.length * ROW_PX) },
    ],
    tooltip: { trigger: 'item', renderMode: 'richText', confine: true },
    axisPointer: { link: [{ xAxisIndex: 'all' }] },
    xAxis: [...lanes, null].map((lane, i) => time(i, lane === null)),
    yAxis: [...lanes.map((lane, i) => laneAxis(lane, i, ink)), rowAxis(rows, lanes.length)],
    series: [
      ...lanes.flatMap((lane, i) => laneSeries(lane, i, drawing)),
      ...rows.map((row) => rowSeries(row, rows, lanes.length, drawing)),
    ],
  }
}

const laneAxis = (lane: ShownLane, index: number, ink: ChartInk) => ({
  ...axis(ink, lane.title),
  gridIndex: index,
  type: 'value',
  nameLocation: 'end',
  nameGap: 11,
  nameTextStyle: { color: ink.ink, fontFamily: FONT, align: 'left', padding: [0, 0, 0, -SIDE.left + 6], fontSize: 12 },
  splitNumber: 2,
  // ends that are no round figure crowd the name above them
  axisLabel: { color: ink.soft, fontFamily: FONT, showMaxLabel: false },
  scale: lane.key === 'ph',
  min: ({ min }: { min: number }) => (lane.key === 'ph' ? Math.floor(min - 0.3) : Math.min(0, min)),
  max: ({ max }: { max: number }) => Math.max(max, ...nearLimits(lane).map(({ value }) => value)),
})

const rowAxis = (rows: readonly MarkRow[], index: number) => ({
  gridIndex: index,
  type: 'category',
  data: rows,
  inverse: true,
  axisLabel: { show: false },
  axisTick: { show: false },
  axisLine: { show: false },
})

function laneSeries(lane: ShownLane, index: number, drawing: RecordDrawing) {
  const { ink, words, today, marks } = drawing
  const on = { xAxisIndex: index, yAxisIndex: index }
  const valueWords = (value: number) => [value, lane.symbol].filter((part) => part !== '').join(' ')
  return [
    ...forecastSeries(lane, index, drawing),
    {
      ...on,
      name: lane.title,
      type: 'line',
      symbolSize: 6,
      z: 4,
      itemStyle: { color: ink.reed },
      lineStyle: { width: 1.4, color: ink.reed },
      data: lane.points.map(([at, value, noneFound]) => ({
        value: [at, value],
        symbol: noneFound ? 'emptyCircle' : 'circle',
      })),
      tooltip: {
        formatter: ({ dataIndex }: { dataIndex: number }) => {
          const [at, value, noneFound] = lane.points[dataIndex]!
          return `${words.day(at.slice(0, 10))}: ${noneFound ? words.noneFound : valueWords(value)}`
        },
      },
      markLine: {
        silent: true,
        symbol: 'none',
        animation: false,
        data: [
          ...nearLimits(lane).map((limit) => limitLine(limit, ink, words)),
          ...workDays(marks).map((day) => ({
            xAxis: `${day}T12:00:00Z`,
            lineStyle: { color: ink.iris, type: 'dotted' as const, width: 1, opacity: 0.7 },
            label: { show: false },
          })),
          {
            xAxis: `${today}T12:00:00Z`,
            lineStyle: { color: ink.ink, type: 'solid' as const, width: 1 },
            label: {
              show: index === 0,
              formatter: words.today,
              position: 'end' as const,
              distance: 3,
              color: ink.ink,
              fontFamily: FONT,
            },
          },
        ],
      },
    },
  ]
}

/** Days on which something was done to the water, each once. */
const workDays = (marks: readonly RecordMark[]): string[] => [
  ...new Set(marks.filter(({ row }) => row === 'dose' || row === 'water').map(({ day }) => day)),
]

const limitLine = (limit: ShownLane['limits'][number], ink: ChartInk, words: RecordWords) => {
  const color = { fine: ink.soft, watch: ink.amber, act: ink.rust, emergency: ink.rust }[limit.band]
  return {
    yAxis: limit.value,
    lineStyle: {
      color,
      type: limit.band === 'emergency' ? ('solid' as const) : ('dashed' as const),
      width: 1,
    },
    label: {
      formatter: words.band(limit.band),
      position: 'end' as const,
      color,
      fontFamily: FONT,
      fontSize: 11,
    },
  }
}

/** The forecast's middle and its band of eight runs in ten, from its first day on. */
function forecastSeries({ key, ahead, symbol }: ShownLane, index: number, drawing: RecordDrawing) {
  const { forecastFrom, ink, words, days } = drawing
  if (!ahead || !forecastFrom) return []
  const shown = ahead
    .map((each, day) => ({ ...each, day: addDays(forecastFrom, day) }))
    .filter(({ day }) => day <= days.to)
  const at = (day: string) => `${day}T12:00:00Z`
  const plain = {
    xAxisIndex: index,
    yAxisIndex: index,
    type: 'line',
    symbol: 'none',
    silent: true,
    tooltip: { show: false },
  }
  const band = { ...plain, stack: `${key} band`, stackStrategy: 'all', lineStyle: { opacity: 0 } }
  return [
    { ...band, data: shown.map(({ day, low }) => [at(day), low]) },
    {
      ...band,
      data: shown.map(({ day, low, high }) => [at(day), Number((high - low).toPrecision(4))]),
      areaStyle: { color: ink.water, opacity: 0.2 },
    },
    {
      ...plain,
      silent: false,
      symbol: 'circle',
      symbolSize: 7,
      itemStyle: { opacity: 0 },
      data: shown.map(({ day, middle }) => [at(day), middle]),
      lineStyle: { color: ink.water, width: 1.6, type: 'dashed' },
      tooltip: {
        show: true,
        formatter: ({ dataIndex }: { dataIndex: number }) => {
          const { day, low, middle, high } = shown[dataIndex]!
          return `${words.day(day)}, ${words.forecast}: ${middle} (${low}–${high}) ${symbol}`.trim()
        },
      },
    },
  ]
}

function rowSeries(row: MarkRow, rows: readonly MarkRow[], index: number, drawing: RecordDrawing) {
  const { marks, ink, words, today } = drawing
  const shown = marks.filter((mark) => mark.row === row)
  const colour = { visit: ink.iris, dose: ink.reed, water: ink.water, planned: ink.iris }[row]
  return {
    xAxisIndex: index,
    yAxisIndex: index,
    type: 'scatter',
    symbol: MARK_SHAPES[row],
    symbolSize: 10,
    itemStyle: row === 'planned' ? { color: 'transparent', borderColor: colour, borderWidth: 2 } : { color: colour },
    data: shown.map(({ day }) => [`${day}T12:00:00Z`, row]),
    tooltip: {
      formatter: ({ dataIndex }: { dataIndex: number }) =>
        `${words.day(shown[dataIndex]!.day)}: ${shown[dataIndex]!.name}`,
    },
    markLine:
      row === rows[0]
        ? {
            silent: true,
            symbol: 'none',
            animation: false,
            data: [{ xAxis: `${today}T12:00:00Z`, lineStyle: { color: ink.ink, width: 1, type: 'solid' as const } }],
            label: { show: false },
          }
        : undefined,
  }
}
