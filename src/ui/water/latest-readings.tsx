'use client'
import { useTexts } from '@/ui/kit/texts'
import type { Reading } from '@/domain/water/reading'
import { usePerson } from '@/ui/person-context'
import { ReadingsTable } from '@/ui/water/readings-table'

/** The newest reading of every kind with its meaning. */
export function LatestReadings({ readings }: { readings: readonly Reading[] }) {
  const t = useTexts()

  const { timeZone } = usePerson()
  if (readings.length === 0) return <p className="soft mb-0">{t('water.latestReadings.noTestsYetFirst')}</p>
  return <ReadingsTable readings={readings} when={(takenAt) => t.instant(takenAt, timeZone)} />
}
