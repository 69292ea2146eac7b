'use client'
import { useTexts } from '@/ui/kit/texts'
import { useMemo } from 'react'
import type { DesignResult } from '@/core/filter/design'
import { axis, chartInk, FONT } from '@/ui/kit/charts/chart-style'
import { useShownTheme } from '@/ui/kit/use-shown-theme'
import { Chart } from '@/ui/kit/charts/chart'

const MONTHS = ['J', 'F', 'M', 'A', 'M', 'J', 'J', 'A', 'S', 'O', 'N', 'D']

/**
 * TAN the pond settles at through the year with this bed and grown fish, against the target; nitrogen given off and
 * drawn by plants.
 */
export function MonthsChart({ result, targetTanMgL }: { result: DesignResult; targetTanMgL: number }) {
  const t = useTexts()

  const ink = chartInk(useShownTheme())
  const option = useMemo(() => {
    const tan = result.monthlyTanMgL.map((v) => (Number.isFinite(v) ? Number(v.toFixed(3)) : null))
    const load = result.grown.months.map((m) => Number(m.tanLoadGPerD.toFixed(2)))
    return {
      grid: { left: 44, right: 46, top: 28, bottom: 48 },
      tooltip: { trigger: 'axis' },
      legend: { bottom: 0, textStyle: { color: ink.soft, fontFamily: FONT }, itemHeight: 8 },
      xAxis: {
        ...axis(ink, ''),
        type: 'category',
        data: MONTHS.map((m, i) => `${m}${' '.repeat(i)}`),
        axisLabel: { color: ink.soft, fontFamily: FONT, formatter: (v: string) => v.trim() },
      },
      yAxis: [
        { ...axis(ink, t('design.monthsChart.tanAxis')), type: 'value', min: 0 },
        { ...axis(ink, t('design.monthsChart.gNDay')), type: 'value', min: 0, splitLine: { show: false } },
      ],
      series: [
        {
          name: t('design.monthsChart.givenOff'),
          type: 'bar',
          yAxisIndex: 1,
          data: load,
          itemStyle: { color: ink.amber, opacity: 0.35 },
        },
        {
          name: t('design.monthsChart.drawnPlants'),
          type: 'bar',
          yAxisIndex: 1,
          data: result.plantNitrogenGPerD.map((v) => Number(v.toFixed(2))),
          itemStyle: { color: ink.reed, opacity: 0.5 },
        },
        {
          name: t('design.monthsChart.tanSettles'),
          type: 'line',
          data: tan,
          lineStyle: { color: ink.ink, width: 2 },
          itemStyle: { color: ink.ink },
          markLine: {
            silent: true,
            symbol: 'none',
            lineStyle: { color: ink.rust, type: 'dashed' },
            label: {
              formatter: t('design.monthsChart.target', { targetTanMgL }),
              position: 'insideEndTop',
              color: ink.rust,
              fontFamily: FONT,
            },
            data: [{ yAxis: targetTanMgL }],
          },
        },
      ],
    }
  }, [result, targetTanMgL, ink, t])
  return <Chart option={option} heightPx={230} label={t('design.monthsChart.ammoniaLevelExpectedMonth')} />
}
