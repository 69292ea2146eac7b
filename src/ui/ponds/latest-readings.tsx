'use client'
import type { ReadingKindName } from '@/core/water/readings'
import { instant } from '@/domain/dates'
import type { Reading } from '@/domain/reading'
import { usePerson } from '@/ui/person-context'
import { ReadingsTable } from '@/ui/water/readings-table'

/** The newest reading of every kind with its meaning. */
export function LatestReadings({ readings }: { readings: readonly Reading[] }) {
  const { timeZone } = usePerson()
  const newest = new Map<ReadingKindName, Reading>()
  for (const r of readings) if (!newest.has(r.kind)) newest.set(r.kind, r)
  if (newest.size === 0) return <p className="soft mb-0">No tests yet. The first one comes with the first visit, or log one here.</p>
  return <ReadingsTable readings={[...newest.values()]} when={(takenAt) => instant(takenAt, timeZone)} />
}
