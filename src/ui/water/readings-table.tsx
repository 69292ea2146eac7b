'use client'
import { readingBand, type ReadingKindName } from '@/core/water/readings'
import { BAND_NAMES, READING_NAMES, readingQuantity, readingScale } from '@/domain/reading-names'
import { useShow } from '@/ui/person-context'

interface TestedReading {
  readonly kind: ReadingKindName
  readonly value: number
  readonly belowStep: boolean
  readonly takenAt: string
}

/** One reading of each kind with its meaning. @param when writes the moment it was taken */
export function ReadingsTable({ readings, when }: { readings: readonly TestedReading[]; when: (takenAt: string) => string }) {
  const show = useShow()
  return (
    <table className="table table-sm mb-2">
      <tbody>
        {readings.map((r) => {
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
              <td className="soft small">{when(r.takenAt)}</td>
            </tr>
          )
        })}
      </tbody>
    </table>
  )
}
