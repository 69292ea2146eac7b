import { csvOf } from '@/domain/shared/csv'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { listVisitLines } from '@/server/visits/visit-line-repository'

/** Visits of some days as CSV, for a spreadsheet. */
export async function visitsAsCsv(actor: Actor, from: string, to: string): Promise<string> {
  assertMay(actor, 'visits.plan')
  const lines = await inFirm(actor.firmId, (trx) => listVisitLines(trx, { from, to }))
  return csvOf(
    lines.map((v) => ({
      day: v.day,
      start: v.startTime,
      minutes: v.plannedMinutes,
      crew: v.crewName,
      job: v.jobName,
      site: v.siteName,
      pond: v.pondName,
      town: v.town,
      state: v.state,
      promised: v.locked ? 'yes' : '',
    })),
    ['day', 'start', 'minutes', 'crew', 'job', 'site', 'pond', 'town', 'state', 'promised'],
  )
}
