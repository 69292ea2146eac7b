import type { SiteSurvey } from '@/core/site-plan/site-survey'
import { standingDesign } from '@/domain/design/design'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import type { PondId } from '@/domain/shared/ids'
import { notFound } from '@/domain/shared/problems'
import { listDesigns } from '@/server/design/design-repository'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findPond, updateSiteSurvey } from '@/server/ponds/pond-repository'

/** The ground around a pond, its own shape, and the filter that stands there or is meant to. */
export async function sitePlanPage(actor: Actor, id: PondId) {
  assertMay(actor, 'ponds.write')
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, id)
    if (!pond) throw notFound('pond')
    const standing = standingDesign(await listDesigns(trx, id))
    return {
      pond,
      basin: savedPondFacts(pond).basin,
      standing: standing ? { bed: standing.builtBed ?? standing.bed } : null,
    }
  })
}
export type SitePlanPageData = Awaited<ReturnType<typeof sitePlanPage>>

/** Keeps what lies around a pond. @throws {ProblemError} 'conflict' with what stands now when someone saved first */
export async function saveSiteSurvey(actor: Actor, id: PondId, version: number, survey: SiteSurvey): Promise<void> {
  assertMay(actor, 'ponds.write')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findPond(trx, id))) throw notFound('pond')
    await updateSiteSurvey(trx, id, version, survey)
  })
}
