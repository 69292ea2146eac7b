'use client'
import { useMemo } from 'react'
import type { Pick } from '@/core/filter/options/picks'
import type { FoundOption, Objective, WaterMeasure } from '@/core/filter/options/option-problem'
import { axis, chartInk, FONT } from '@/ui/kit/charts/chart-style'
import { Chart } from '@/ui/kit/charts/chart'
import { useTexts } from '@/ui/kit/texts'
import { useShownTheme } from '@/ui/kit/use-shown-theme'

interface OptionsChartProps {
  readonly front: readonly FoundOption[]
  readonly picks: readonly Pick[]
  readonly chosen: FoundOption | null
  readonly care: Exclude<Objective, 'price'>
  /** What the water is judged by at this pond. */
  readonly measure: WaterMeasure
  readonly currency: string
  readonly onChoose: (option: FoundOption) => void
}

const HEIGHT_PX = 300
const LABEL_OFFSETS_PX = [-12, 12, 0] as const
/** Names stand on the side where there is room: right of points in the left part of the chart. */
const LEFT_PART = 0.55

/** The least that each price buys: where a point further along the price is better than all before it. */
function edgeOf(points: readonly number[][]): number[][] {
  let best = Infinity
  return [...points]
    .sort(([a], [b]) => a! - b!)
    .filter(([, value]) => {
      const better = value! < best
      if (better) best = value!
      return better
    })
}

/** All options that no other beats, by price and by what the customer cares for; the picked ones are named. */
export function OptionsChart({ front, picks, chosen, care, measure, currency, onChoose }: OptionsChartProps) {
  const t = useTexts()
  const ink = chartInk(useShownTheme())
  const shown = care === 'water' ? measure : care
  const option = useMemo(() => {
    const at = ({ objectives }: FoundOption) => [Math.round(objectives.price / 100), objectives[care]]
    const named = new Map(
      picks.map((pick) => [pick.option, t(`options.names.${pick.reason === 'cared-for' ? shown : pick.reason}`)]),
    )
    const [xs, ys] = [0, 1].map((axisOf) => front.map((one) => at(one)[axisOf]!))
    const share = (value: number, all: readonly number[]) =>
      (value - Math.min(...all)) / (Math.max(...all) - Math.min(...all) || 1)
    const labelAt = ([x, y]: readonly number[], i: number) => ({
      position: share(x!, xs!) < LEFT_PART ? 'right' : 'left',
      // the lowest would stand on the axis
      offset: [0, share(y!, ys!) < 0.12 ? LABEL_OFFSETS_PX[0] : LABEL_OFFSETS_PX[i]],
    })
    return {
      grid: { left: 64, right: 24, top: 32, bottom: 44 },
      tooltip: { trigger: 'item' },
      xAxis: {
        ...axis(ink, t('options.axes.price', { currency })),
        type: 'value',
        scale: true,
        nameLocation: 'middle',
        nameGap: 28,
        splitNumber: 4,
        axisLabel: { ...axis(ink, '').axisLabel, hideOverlap: true },
      },
      yAxis: { ...axis(ink, t(`options.axes.${shown}`)), type: 'value', scale: true },
      series: [
        {
          type: 'scatter',
          symbolSize: 8,
          itemStyle: { color: ink.reed, opacity: 0.55 },
          data: front.map(at),
        },
        {
          type: 'line',
          step: 'end',
          symbol: 'none',
          silent: true,
          lineStyle: { color: ink.reed, width: 1.5 },
          data: edgeOf(front.map(at)),
        },
        {
          type: 'scatter',
          symbolSize: 14,
          symbol: 'diamond',
          itemStyle: { color: ink.iris },
          tooltip: { show: false },
          label: {
            show: true,
            color: ink.ink,
            fontFamily: FONT,
            formatter: ({ dataIndex }: { readonly dataIndex: number }) => [...named.values()][dataIndex] ?? '',
          },
          // close together their names stand over, under and beside them
          data: [...named.keys()].map((one, i) => ({ value: at(one), label: labelAt(at(one), i) })),
        },
        {
          type: 'scatter',
          symbolSize: 18,
          itemStyle: { color: 'transparent', borderColor: ink.ink, borderWidth: 2 },
          silent: true,
          data: chosen ? [at(chosen)] : [],
        },
      ],
    }
  }, [front, picks, chosen, care, shown, currency, ink, t])
  return (
    <>
      <Chart
        option={option}
        heightPx={HEIGHT_PX}
        label={t('options.page.chartLabel', { count: front.length, care: t(`options.axes.${shown}`) })}
        onPick={(series, index) => {
          const picked = series === 0 ? front[index] : picks[index]?.option
          if (picked) onChoose(picked)
        }}
      />
      <p className="soft small">{t('options.page.chartHint')}</p>
    </>
  )
}
