'use client'
import { useEffect, useRef } from 'react'
import type { EChartsCoreOption } from 'echarts/core'

interface ChartProps {
  readonly option: EChartsCoreOption
  readonly heightPx: number
  /** What the chart shows, for those who cannot see it. */
  readonly label: string
  /** A point was pressed: its place in the series, and the place of that. */
  readonly onPick?: (series: number, index: number) => void
}

/** An ECharts drawing, loaded only where a chart is shown. */
export function Chart({ option, heightPx, label, onPick }: ChartProps) {
  const holder = useRef<HTMLDivElement>(null)
  const latest = useRef(option)
  const pick = useRef(onPick)
  const chart = useRef<{
    setOption: (o: EChartsCoreOption, notMerge: boolean) => void
    resize: () => void
    dispose: () => void
  } | null>(null)
  useEffect(() => {
    let gone = false
    let observer: ResizeObserver | undefined
    void import('./echarts-setup').then(({ init }) => {
      if (gone || !holder.current) return
      const drawn = init(holder.current, undefined, { renderer: 'svg' })
      chart.current = drawn
      drawn.setOption(latest.current, true)
      drawn.on('click', ({ seriesIndex, dataIndex }) => {
        if (seriesIndex !== undefined) pick.current?.(seriesIndex, dataIndex)
      })
      observer = new ResizeObserver(() => chart.current?.resize())
      observer.observe(holder.current)
    })
    return () => {
      gone = true
      observer?.disconnect()
      chart.current?.dispose()
      chart.current = null
    }
  }, [])
  useEffect(() => {
    latest.current = option
    pick.current = onPick
    chart.current?.setOption(option, true)
  }, [option, onPick])
  return <div ref={holder} role="img" aria-label={label} style={{ height: heightPx }} />
}
