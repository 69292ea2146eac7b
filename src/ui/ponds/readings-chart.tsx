'use client'
import { useMemo, useState } from 'react'
import { fromCanonical, unitBySymbol } from '@/core/units/convert'
import { SHOWN_UNIT } from '@/core/units/systems'
import { READING_KINDS, type ReadingKindName } from '@/core/water/readings'
import { READING_NAMES, readingQuantity, readingScale } from '@/domain/reading-names'
import type { Reading } from '@/domain/reading'
import { axis, chartInk } from '@/ui/charts/chart-style'
import { Chart } from '@/ui/charts/chart'
import { usePerson } from '@/ui/person-context'

/** One kind of reading over time. */
export function ReadingsChart({ readings }: { readings: readonly Reading[] }) {
  const { preferences } = usePerson()
  const kinds = useMemo(
    () => (Object.keys(READING_KINDS) as ReadingKindName[]).filter((kind) => readings.filter((r) => r.kind === kind).length > 1),
    [readings],
  )
  const [chosen, setChosen] = useState<ReadingKindName | null>(null)
  const kind = chosen ?? (kinds.includes('tan') ? 'tan' : kinds[0])
  const ink = chartInk(preferences.theme)
  const option = useMemo(() => {
    if (!kind) return {}
    const quantity = readingQuantity(kind)
    const symbol = SHOWN_UNIT[preferences.units][quantity][readingScale(kind)]
    const unit = unitBySymbol(quantity, symbol)
    const data = readings
      .filter((r) => r.kind === kind)
      .map((r) => [r.takenAt, Number(fromCanonical(r.value, unit).toFixed(3))])
      .reverse()
    return {
      grid: { left: 50, right: 14, top: 26, bottom: 26 },
      tooltip: { trigger: 'axis', valueFormatter: (v: unknown) => `${String(v)} ${symbol}` },
      xAxis: { ...axis(ink, ''), type: 'time', splitLine: { show: false } },
      yAxis: { ...axis(ink, symbol || READING_NAMES[kind]), type: 'value', scale: kind === 'ph' },
      series: [{ name: READING_NAMES[kind], type: 'line', data, symbolSize: 5, itemStyle: { color: ink.reed }, lineStyle: { width: 1.6, color: ink.reed } }],
    }
  }, [kind, readings, preferences.units, ink])
  if (!kind) return null
  return (
    <>
      <div className="btn-group btn-group-sm flex-wrap" role="group" aria-label="Reading shown">
        {kinds.map((k) => (
          <button key={k} className={`btn btn-outline-secondary ${k === kind ? 'active' : ''}`} aria-pressed={k === kind} onClick={() => setChosen(k)}>
            {READING_NAMES[k]}
          </button>
        ))}
      </div>
      <Chart option={option} heightPx={200} label={`${READING_NAMES[kind]} over time`} />
    </>
  )
}
