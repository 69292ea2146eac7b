'use client'
import { readingBand, type ReadingKindName } from '@/core/water/readings'
import { instant } from '@/domain/dates'
import { BAND_NAMES, READING_NAMES, readingQuantity, readingScale } from '@/domain/reading-names'
import type { Reading } from '@/domain/reading'
import { usePerson, useShow } from '@/ui/person-context'

/** The newest reading of every kind with its meaning. */
export function LatestReadings({ readings }: { readings: readonly Reading[] }) {
  const show = useShow()
  const { timeZone } = usePerson()
  const newest = new Map<ReadingKindName, Reading>()
  for (const r of readings) if (!newest.has(r.kind)) newest.set(r.kind, r)
  if (newest.size === 0) return <p className="soft mb-0">No tests yet. The first one comes with the first visit, or log one here.</p>
  return (
    <table className="table table-sm mb-2">
      <tbody>
        {[...newest.values()].map((r) => {
          const band = readingBand(r.kind, r.value)
          return (
            <tr key={r.kind}>
              <th scope="row" className="fw-normal">
                {READING_NAMES[r.kind]}
              </th>
              <td className="text-end">{r.belowStep ? 'none found' : show(r.value, readingQuantity(r.kind), { scale: readingScale(r.kind) })}</td>
              <td>
                <span className={`verdict ${band}`}>{BAND_NAMES[band]}</span>
              </td>
              <td className="soft small">{instant(r.takenAt, timeZone)}</td>
            </tr>
          )
        })}
      </tbody>
    </table>
  )
}
