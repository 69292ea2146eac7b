'use client'
import { useMemo } from 'react'
import type { Pick } from '@/core/filter/options/picks'
import type { FoundOption, Objective } from '@/core/filter/options/option-problem'
import { axis, chartInk, FONT } from '@/ui/kit/charts/chart-style'
import { Chart } from '@/ui/kit/charts/chart'
import { useTexts } from '@/ui/kit/texts'
import { useShownTheme } from '@/ui/kit/use-shown-theme'

interface OptionsChartProps {
  readonly front: readonly FoundOption[]
  readonly picks: readonly Pick[]
  readonly chosen: FoundOption | null
  readonly care: Exclude<Objective, 'price'>
  readonly currency: string
  readonly onChoose: (option: FoundOption) => void
}

const HEIGHT_PX = 300

/** All options that no other beats, by price and by what the customer cares for; the picked ones are named. */
export function OptionsChart({ front, picks, chosen, care, currency, onChoose }: OptionsChartProps) {
  const t = useTexts()
  const ink = chartInk(useShownTheme())
  const option = useMemo(() => {
    const at = ({ objectives }: FoundOption) => [Math.round(objectives.price / 100), objectives[care]]
    const named = new Map(
      picks.map((pick) => [pick.option, t(`options.names.${pick.reason === 'cared-for' ? care : pick.reason}`)]),
    )
    return {
      grid: { left: 64, right: 130, top: 24, bottom: 44 },
      tooltip: { trigger: 'item' },
      xAxis: {
        ...axis(ink, t('options.axes.price', { currency })),
        type: 'value',
        scale: true,
        nameLocation: 'middle',
        nameGap: 28,
      },
      yAxis: { ...axis(ink, t(`options.axes.${care}`)), type: 'value', scale: true },
      series: [
        {
          type: 'scatter',
          symbolSize: 8,
          itemStyle: { color: ink.reed, opacity: 0.55 },
          data: front.map(at),
        },
        {
          type: 'scatter',
          symbolSize: 14,
          symbol: 'diamond',
          itemStyle: { color: ink.iris },
          tooltip: { show: false },
          label: {
            show: true,
            position: 'right',
            color: ink.ink,
            fontFamily: FONT,
            formatter: ({ dataIndex }: { readonly dataIndex: number }) => [...named.values()][dataIndex] ?? '',
          },
          data: [...named.keys()].map(at),
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
  }, [front, picks, chosen, care, currency, ink, t])
  return (
    <>
      <Chart
        option={option}
        heightPx={HEIGHT_PX}
        label={t('options.page.chartLabel', { count: front.length, care: t(`options.axes.${care}`) })}
        onPick={(series, index) => {
          const picked = series === 0 ? front[index] : picks[index]?.option
          if (picked) onChoose(picked)
        }}
      />
      <p className="soft small">{t('options.page.chartHint')}</p>
    </>
  )
}
