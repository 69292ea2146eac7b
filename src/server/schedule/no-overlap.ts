import type { Knex } from 'knex'
import { clockAfter, overlapping } from '@/domain/schedule/clash'
import { refused } from '@/domain/shared/problems'
import { holdsHours } from '@/domain/visits/visit'
import { listVisitLines, type VisitLine } from '@/server/visits/visit-line-repository'
import { said, type Said } from '@/domain/shared/said'

/** Locks crews so that two planners cannot both find the same hours free. */
export async function lockCrews(trx: Knex.Transaction, crewIds: readonly string[]): Promise<void> {
  await trx('crews').whereIn('id', crewIds).orderBy('id').forUpdate().select('id')
}

/** No crew in two places, on every day that was touched. @throws {ProblemError} the first two visits that overlap */
export async function assertNoOverlap(
  trx: Knex.Transaction,
  touched: readonly { readonly crewId: string; readonly day: string }[],
  mend: Said,
): Promise<void> {
  if (touched.length === 0) return
  const days = new Map(touched.map((t) => [`${t.crewId} ${t.day}`, t]))
  const dates = touched.map((t) => t.day).sort()
  // one question for all days: a whole season is taken over at once
  const lines = await listVisitLines(trx, { from: dates[0]!, to: dates[dates.length - 1]! })
  const byDay = new Map<string, VisitLine[]>()
  for (const line of lines.filter(({ state }) => holdsHours(state))) {
    const key = `${line.crewId} ${line.day}`
    const there = byDay.get(key)
    if (there) there.push(line)
    else byDay.set(key, [line])
  }
  for (const [key, { day }] of days) {
    const visits = byDay.get(key) ?? []
    for (const visit of visits) {
      const others = visits.filter((v) => v.id !== visit.id)
      const [clash] = overlapping({ startTime: visit.startTime, minutes: visit.plannedMinutes }, others)
      if (clash)
        throw refused(
          said('schedule.problems.wouldUntilFrom', {
            day,
            crewName: visit.crewName,
            siteName: visit.siteName,
            clockAfter: clockAfter(visit.startTime, visit.plannedMinutes),
            siteName2: clash.siteName,
            startTime: clash.startTime,
            mend: { said: mend },
          }),
        )
    }
  }
}
