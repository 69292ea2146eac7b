import { judgeWater, type WaterMeaning } from '@/domain/water-meaning'
import type { VisitId } from '@/domain/ids'
import { notFound, refused } from '@/domain/problems'
import { stepStates } from '@/domain/visit-progress'
import type { VisitPhoto } from '@/domain/visit'
import { assertMay, type Actor } from '@/server/auth/actor'
import { inFirm } from '@/server/db/firm-transaction'
import { findFollowUpOfVisit } from '@/server/db/follow-up-repository'
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

/** The customer's report of a finished visit, written from its log. */
export async function visitReport(actor: Actor, id: VisitId): Promise<ReportPage> {
  assertMay(actor, 'visits.read')
  return inFirm(actor.firmId, async (trx) => {
    const visit = await findVisit(trx, id)
    if (!visit) throw notFound('That visit')
    if (visit.state !== 'done') throw refused('The report is written when the visit is finished.')
    const log = await listEntries(trx, id)
    const states = stepStates(visit.job.steps, log)
    const photos = await listPhotos(trx, id)
    const followUp = await findFollowUpOfVisit(trx, id)
    return {
      report: writeReport(visit, states, log, followUp),
      meanings: judgeWater(visit.job.steps, states),
      photos: photos.length > 2 ? [photos[0], photos[photos.length - 1]] : photos,
      firmName: actor.firmName,
    }
  })
}
