'use client'
import { useTexts } from '@/ui/kit/texts'
import { useMemo } from 'react'
import type { DesignResult } from '@/core/filter/design'
import { pumpEfficiency } from '@/core/filter/flow/pump-catalogue'
import { pumpHead } from '@/core/hydraulics/pump'
import { fromCanonical, unitBySymbol } from '@/core/units/convert'
import { SHOWN_UNIT } from '@/core/units/systems'
import { axis, chartInk, FONT } from '@/ui/kit/charts/chart-style'
import { useShownTheme } from '@/ui/kit/use-shown-theme'
import { Chart } from '@/ui/kit/charts/chart'
import { usePerson } from '@/ui/person-context'

const POINTS = 40

/** Pump curve and system curve with the duty point where they meet, and the range the pump is meant for. */
export function PumpChart({ result, name }: { result: DesignResult; name: string }) {
  const t = useTexts()

  const { preferences } = usePerson()
  const ink = chartInk(useShownTheme())
  const option = useMemo(() => {
    const flowSymbol = SHOWN_UNIT[preferences.units].flow.usual
    const headSymbol = SHOWN_UNIT[preferences.units].length.usual
    const flow = (v: number) => Number(fromCanonical(v, unitBySymbol('flow', flowSymbol)).toFixed(3))
    const head = (v: number) => Number(fromCanonical(v, unitBySymbol('length', headSymbol)).toFixed(3))
    const headOf = pumpHead(result.curve)
    const last = result.curve[result.curve.length - 1]!.flowM3PerH
    const pump = Array.from({ length: POINTS + 1 }, (_, i) => [
      flow((last * i) / POINTS),
      head(headOf((last * i) / POINTS)),
    ])
    const shutoff = result.curve[0]!.headM * 1.25
    // curves are named where they begin: the duty point usually sits near their far end
    const named = (points: number[][], text: string, color: string, at = 0) =>
      points.map((value, i) =>
        i === at
          ? {
              value,
              symbolSize: 1,
              label: {
                show: true,
                position: 'right',
                formatter: text,
                color,
                fontFamily: FONT,
                distance: 12,
                offset: [0, -10],
              },
            }
          : value,
      )
    return {
      grid: { left: 46, right: 42, top: 28, bottom: 38 },
      tooltip: { trigger: 'axis', valueFormatter: (v: unknown) => Number(v).toFixed(2) },
      xAxis: {
        ...axis(ink, t('design.pumpChart.flow', { flowSymbol })),
        type: 'value',
        min: 0,
        max: flow(last),
        nameLocation: 'middle',
        nameGap: 24,
      },
      yAxis: [
        {
          ...axis(ink, t('design.pumpChart.head', { headSymbol })),
          type: 'value',
          min: 0,
          max: Math.ceil(head(shutoff)),
        },
        { ...axis(ink, t('design.pumpChart.efficiency')), type: 'value', min: 0, splitLine: { show: false } },
      ],
      series: [
        {
          name,
          type: 'line',
          data: named(pump, name, ink.ink),
          symbol: 'circle',
          symbolSize: 0,
          lineStyle: { color: ink.ink, width: 2 },
          markArea: {
            silent: true,
            itemStyle: { color: ink.reed, opacity: 0.12 },
            data: [[{ xAxis: flow(result.recommended[0]) }, { xAxis: flow(result.recommended[1]) }]],
          },
        },
        {
          name: t('design.pumpChart.system'),
          type: 'line',
          data: named(
            result.systemCurve.filter((p) => p.headM <= shutoff).map((p) => [flow(p.flowM3PerH), head(p.headM)]),
            t('design.pumpChart.system'),
            ink.water,
          ),
          symbol: 'circle',
          symbolSize: 0,
          lineStyle: { color: ink.water, width: 2, type: 'dashed' },
        },
        {
          name: t('design.pumpChart.efficiency2'),
          type: 'line',
          yAxisIndex: 1,
          data: named(
            Array.from({ length: POINTS + 1 }, (_, i) => {
              const at = (last * i) / POINTS
              return [
                flow(at),
                Number((100 * pumpEfficiency({ curve: result.curve, powerW: result.powerW }, at)).toFixed(1)),
              ]
            }),
            t('design.pumpChart.efficiencyLine'),
            ink.reed,
            Math.round(POINTS * 0.55),
          ),
          symbol: 'circle',
          symbolSize: 0,
          lineStyle: { color: ink.reed, width: 1.5, type: 'dotted' },
        },
        ...(result.duty.status === 'no-flow' || result.duty.status === 'no-pump'
          ? []
          : [
              {
                name: t('design.pumpChart.duty'),
                type: 'scatter',
                data: [[flow(result.duty.flowM3PerH), head(result.duty.headM)]],
                symbolSize: 11,
                itemStyle: { color: ink.iris },
                label: {
                  show: true,
                  position: 'top',
                  formatter: t('design.pumpChart.dutyMark'),
                  color: ink.iris,
                  fontFamily: FONT,
                },
              },
            ]),
      ],
    }
  }, [result, name, preferences.units, ink, t])
  return <Chart option={option} heightPx={250} label={t('design.pumpChart.pumpCurveSystemCurve', { name })} />
}
