import type { Knex } from 'knex'
import { clockAfter, overlapping } from '@/domain/clash'
import type { CrewId } from '@/domain/ids'
import { refused } from '@/domain/problems'
import { listVisits } from '@/server/db/visit-repository'

/** Locks crews so that two planners cannot both find the same hours free. */
export async function lockCrews(trx: Knex.Transaction, crewIds: readonly string[]): Promise<void> {
  await trx('crews').whereIn('id', crewIds).orderBy('id').forUpdate().select('id')
}

/** No crew in two places, on every day that was touched. @throws {ProblemError} the first two visits that overlap */
export async function assertNoOverlap(
  trx: Knex.Transaction,
  touched: readonly { readonly crewId: string; readonly day: string }[],
  mend: string,
): Promise<void> {
  const days = new Map(touched.map((t) => [`${t.crewId} ${t.day}`, t]))
  for (const { crewId, day } of days.values()) {
    const visits = await listVisits(trx, { from: day, to: day, crewId: crewId as CrewId })
    for (const visit of visits) {
      const others = visits.filter((v) => v.id !== visit.id)
      const [clash] = overlapping({ startTime: visit.startTime, minutes: visit.plannedMinutes }, others)
      if (clash)
        throw refused(
          `On ${day} ${visit.crewName} would be at ${visit.siteName} until ${clockAfter(visit.startTime, visit.plannedMinutes)} and at ${clash.siteName} from ${clash.startTime}. ${mend}`,
        )
    }
  }
}
