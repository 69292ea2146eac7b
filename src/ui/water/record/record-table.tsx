'use client'
import { useMemo } from 'react'
import type { WaterLane } from '@/domain/water/water-record'
import { DataTable, type TableColumn } from '@/ui/kit/data-table'
import { useTexts } from '@/ui/kit/texts'
import { usePerson, useShow } from '@/ui/person-context'
import { laneName, laneQuantity } from './record-lanes'

interface RecordRow {
  readonly at: string
  readonly figures: Readonly<Partial<Record<WaterLane['key'], { readonly value: number; readonly noneFound: boolean }>>>
}

/** The drawing's tests as a table: one row for all that was tested at the same moment. */
export function RecordTable({ lanes, from }: { lanes: readonly WaterLane[]; from: string }) {
  const t = useTexts()

  const show = useShow()
  const { timeZone } = usePerson()
  const rows = useMemo(() => rowsOf(lanes, from), [lanes, from])
  const columns = useMemo(
    (): TableColumn<RecordRow>[] => [
      { key: 'at', label: t('water.record.when'), value: ({ at }) => at, cell: ({ at }) => t.instant(at, timeZone) },
      ...lanes.map(({ key }): TableColumn<RecordRow> => {
        const { quantity, scale } = laneQuantity(key)
        return {
          key,
          label: laneName(key, t),
          figure: true,
          value: ({ figures }) => figures[key]?.value ?? null,
          cell: ({ figures }) => {
            const figure = figures[key]
            if (!figure) return null
            return figure.noneFound ? t('water.readingsTable.noneFound') : show(figure.value, quantity, { scale })
          },
        }
      }),
    ],
    [lanes, t, show, timeZone],
  )
  return <DataTable name={t('water.record.testsTable')} columns={columns} rows={rows} keyOf={({ at }) => at} />
}

/** Newest first. */
function rowsOf(lanes: readonly WaterLane[], from: string): RecordRow[] {
  const rows = new Map<string, RecordRow['figures']>()
  for (const { key, points } of lanes)
    for (const { at, value, noneFound } of points)
      if (at.slice(0, 10) >= from) rows.set(at, { ...rows.get(at), [key]: { value, noneFound } })
  return [...rows].map(([at, figures]) => ({ at, figures })).sort((a, b) => b.at.localeCompare(a.at))
}
