import type { FirmPeriodInput } from '@/domain/firm/firm-period'
import { notFound } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { insertFirmPeriod, removeFirmPeriod } from '@/server/firm/firm-period-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'

/** Enters days on which the firm's work is different; the next plan reckons with them. */
export async function addFirmPeriod(actor: Actor, input: FirmPeriodInput): Promise<{ id: string }> {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => ({ id: await insertFirmPeriod(trx, actor.firmId, input) }))
}

export async function endFirmPeriod(actor: Actor, id: string): Promise<void> {
  assertMay(actor, 'visits.plan')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await removeFirmPeriod(trx, id))) throw notFound('period')
  })
}
