import type { Knex } from 'knex'
import { judgeWater, type WaterMeaning } from '@/domain/water/water-meaning'
import type { VisitId } from '@/domain/shared/ids'
import { notFound, refused } from '@/domain/shared/problems'
import { stepStates } from '@/domain/visits/visit-progress'
import type { VisitInContext, VisitPhoto } from '@/domain/visits/visit'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findFirm } from '@/server/firm/firm-repository'
import { listFollowUpsOfVisit } from '@/server/visits/follow-up-repository'
import { listPhotos } from '@/server/visits/photo-repository'
import { findVisit, listEntries } from '@/server/visits/visit-repository'
import { writeReport, type VisitReport } from '@/domain/visits/visit-report'
import { fishOfTheFirstDay } from '@/server/field/facts'
import { said } from '@/domain/shared/said'

export interface ReportPage {
  readonly report: VisitReport
  readonly meanings: readonly WaterMeaning[]
  /** First and last photo of the visit: before and after. */
  readonly photos: readonly VisitPhoto[]
  readonly firmName: string
}

/** A view and its counterpart say most; else the first and the last, by when they were taken. */
function bestTwo(kept: readonly VisitPhoto[]): readonly VisitPhoto[] {
  const photos = [...kept].sort((a, b) => Date.parse(a.takenAt) - Date.parse(b.takenAt))
  const after = photos.findLast((photo) => photo.pairOf !== null && photos.some((p) => p.id === photo.pairOf))
  if (after)
    return [photos.find((p) => p.id === after.pairOf)!, after].sort(
      (a, b) => Date.parse(a.takenAt) - Date.parse(b.takenAt),
    )
  const plain = photos.filter((p) => p.sketchOf === null)
  return plain.length > 2 ? [plain[0]!, plain[plain.length - 1]!] : plain
}

/** The customer's report of a finished visit, written from its log. */
export async function visitReport(actor: Actor, id: VisitId): Promise<ReportPage> {
  assertMay(actor, 'visits.read')
  return inFirm(actor.firmId, async (trx) => {
    const visit = await findVisit(trx, id)
    if (!visit) throw notFound('visit')
    if (visit.state !== 'done' && visit.state !== 'given-up')
      throw refused(said('visits.problems.reportWrittenWhenVisitFinished'))
    return reportOf(trx, visit, actor.firmName)
  })
}

/** The report of a visit that is over. */
export async function reportOf(trx: Knex.Transaction, visit: VisitInContext, firmName: string): Promise<ReportPage> {
  const log = await listEntries(trx, visit.id)
  const states = stepStates(visit.job.steps, log)
  return {
    report: writeReport(
      visit,
      states,
      log,
      await listFollowUpsOfVisit(trx, visit.id),
      (await findFirm(trx)).timeZone,
      await fishOfTheFirstDay(trx, visit.id),
    ),
    meanings: judgeWater(states),
    photos: bestTwo(await listPhotos(trx, visit.id)),
    firmName,
  }
}
