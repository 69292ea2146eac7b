import type { PondId } from '@/domain/shared/ids'
import { notFound } from '@/domain/shared/problems'
import type { ServicePlan } from '@/domain/schedule/service-plan'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findServicePlan, storeServicePlan } from '@/server/schedule/planning-repository'
import { findPond } from '@/server/ponds/pond-repository'
import { findPriceBook } from '@/server/prices/price-repository'

/** What a customer has agreed to for a pond, and the firm's money for its prices. */
export async function servicePlan(actor: Actor, pondId: PondId) {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, pondId)
    if (!pond) throw notFound('pond')
    return { pond, kept: await findServicePlan(trx, pondId), currency: (await findPriceBook(trx)).book.currency }
  })
}

export async function setServicePlan(actor: Actor, pondId: PondId, version: number, lines: ServicePlan): Promise<void> {
  assertMay(actor, 'visits.plan')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findPond(trx, pondId))) throw notFound('pond')
    await storeServicePlan(trx, actor.firmId, pondId, version, lines)
  })
}
