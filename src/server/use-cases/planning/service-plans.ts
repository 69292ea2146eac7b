import type { PondId } from '@/domain/ids'
import { notFound } from '@/domain/problems'
import type { ServicePlan } from '@/domain/service-plan'
import { assertMay, type Actor } from '@/server/auth/actor'
import { inFirm } from '@/server/db/firm-transaction'
import { findServicePlan, storeServicePlan } from '@/server/db/planning-repository'
import { findPond } from '@/server/db/pond-repository'
import { findPriceBook } from '@/server/db/price-repository'

/** What a customer has agreed to for a pond, and the firm's money for its prices. */
export async function servicePlan(actor: Actor, pondId: PondId) {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, pondId)
    if (!pond) throw notFound('That pond')
    return { pond, kept: await findServicePlan(trx, pondId), currency: (await findPriceBook(trx)).book.currency }
  })
}

export async function setServicePlan(actor: Actor, pondId: PondId, version: number, lines: ServicePlan): Promise<void> {
  assertMay(actor, 'visits.plan')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findPond(trx, pondId))) throw notFound('That pond')
    await storeServicePlan(trx, actor.firmId, pondId, version, lines)
  })
}
