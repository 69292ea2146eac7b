import type { SiteSurvey } from '@/core/site-plan/site-survey'
import type { PondId } from '@/domain/shared/ids'
import { notFound } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findPond, updateSiteSurvey } from '@/server/ponds/pond-repository'

/** Keeps what lies around a pond. @throws {ProblemError} 'conflict' with what stands now when someone saved first */
export async function saveSiteSurvey(actor: Actor, id: PondId, version: number, survey: SiteSurvey): Promise<void> {
  assertMay(actor, 'ponds.write')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findPond(trx, id))) throw notFound('pond')
    await updateSiteSurvey(trx, id, version, survey)
  })
}
