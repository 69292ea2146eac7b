'use client'
import { useMemo } from 'react'
import { DataTable, type TableColumn } from '@/ui/kit/data-table'
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
  const rows = useMemo(() => [...newestOfEach(readings).values()], [readings])
  const verdict = useMemo(() => verdictOfLatest(readings), [readings])
  const columns = useMemo(
    (): TableColumn<TestedReading>[] => [
      { key: 'test', label: t('water.readingsTable.test'), cell: ({ kind }) => t(`water.readingNames.${kind}`) },
      {
        key: 'result',
        label: t('water.readingsTable.result'),
        figure: true,
        cell: ({ kind, value, belowStep }) =>
          belowStep
            ? t('water.readingsTable.noneFound')
            : show(value, readingQuantity(kind), { scale: readingScale(kind) }),
      },
      {
        key: 'verdict',
        label: t('water.readingsTable.verdict'),
        cell: ({ kind }) => {
          const band = verdict.bands[kind] ?? 'fine'
          return (
            <>
              <span className={`verdict ${band}`}>{t(`water.bandNames.${band}`)}</span>
              {kind === 'tan' ? (
                <span className="soft small"> {ammoniaWords(verdict, preferences.units, t)}</span>
              ) : null}
            </>
          )
        },
      },
      {
        key: 'when',
        label: t('water.readingsTable.tested'),
        cell: ({ takenAt }) => <span className="soft small">{when(takenAt)}</span>,
      },
    ],
    [t, show, verdict, preferences.units, when],
  )
  return (
    <DataTable
      name={t('water.readingsTable.latest')}
      className="readings"
      columns={columns}
      rows={rows}
      keyOf={({ kind }) => kind}
    />
  )
}
