'use client'
import { useTexts } from '@/ui/kit/texts'
import type { ReadingKindName } from '@/core/water/readings'
import { newestOfEach, verdictOfLatest } from '@/core/water/verdict'
import { ammoniaWords } from '@/messages/water/ammonia-words'
import { readingQuantity, readingScale } from '@/domain/water/reading-names'
import { usePerson, useShow } from '@/ui/person-context'

interface TestedReading {
  readonly kind: ReadingKindName
  readonly value: number
  readonly belowStep: boolean
  readonly takenAt: string
}

/** The newest reading of each kind with its meaning. @param when writes the moment it was taken */
export function ReadingsTable({
  readings,
  when,
}: {
  readings: readonly TestedReading[]
  when: (takenAt: string) => string
}) {
  const t = useTexts()

  const show = useShow()
  const { preferences } = usePerson()
  const verdict = verdictOfLatest(readings)
  return (
    <table className="table table-sm mb-2">
      <tbody>
        {[...newestOfEach(readings).values()].map((r) => {
          const band = verdict.bands[r.kind] ?? 'fine'
          return (
            <tr key={r.kind}>
              <th scope="row" className="fw-normal">
                {t(`water.readingNames.${r.kind}`)}
              </th>
              <td className="text-end">
                {r.belowStep
                  ? t('water.readingsTable.noneFound')
                  : show(r.value, readingQuantity(r.kind), { scale: readingScale(r.kind) })}
              </td>
              <td>
                <span className={`verdict ${band}`}>{t(`water.bandNames.${band}`)}</span>
                {r.kind === 'tan' ? (
                  <span className="soft small"> {ammoniaWords(verdict, preferences.units, t)}</span>
                ) : null}
              </td>
              <td className="soft small taken-when">{when(r.takenAt)}</td>
            </tr>
          )
        })}
      </tbody>
    </table>
  )
}
