import { judgeWater, type WaterMeaning } from '@/domain/water-meaning'
import type { VisitId } from '@/domain/ids'
import { notFound, refused } from '@/domain/problems'
import { stepStates } from '@/domain/visit-progress'
import type { VisitPhoto } from '@/domain/visit'
import { assertMay, type Actor } from '@/server/auth/actor'
import { inFirm } from '@/server/db/firm-transaction'
import { listFollowUpsOfVisit } from '@/server/db/follow-up-repository'
import { listPhotos } from '@/server/db/photo-repository'
import { findVisit, listEntries } from '@/server/db/visit-repository'
import { writeReport, type VisitReport } from '@/domain/visit-report'

export interface ReportPage {
  readonly report: VisitReport
  readonly meanings: readonly WaterMeaning[]
  /** First and last photo of the visit: before and after. */
  readonly photos: readonly VisitPhoto[]
  readonly firmName: string
}

/** A view and its counterpart say most; else the first and the last. */
function bestTwo(photos: readonly VisitPhoto[]): readonly VisitPhoto[] {
  const after = photos.findLast((photo) => photo.pairOf !== null && photos.some((p) => p.id === photo.pairOf))
  if (after) return [photos.find((p) => p.id === after.pairOf)!, after]
  const plain = photos.filter((p) => p.sketchOf === null)
  return plain.length > 2 ? [plain[0], plain[plain.length - 1]] : plain
}

/** The customer's report of a finished visit, written from its log. */
export async function visitReport(actor: Actor, id: VisitId): Promise<ReportPage> {
  assertMay(actor, 'visits.read')
  return inFirm(actor.firmId, async (trx) => {
    const visit = await findVisit(trx, id)
    if (!visit) throw notFound('That visit')
    if (visit.state !== 'done' && visit.state !== 'given-up') throw refused('The report is written when the visit is finished.')
    const log = await listEntries(trx, id)
    const states = stepStates(visit.job.steps, log)
    const photos = await listPhotos(trx, id)
    const followUps = await listFollowUpsOfVisit(trx, id)
    return {
      report: writeReport(visit, states, log, followUps),
      meanings: judgeWater(visit.job.steps, states),
      photos: bestTwo(photos),
      firmName: actor.firmName,
    }
  })
}
