import type { OwnConstants } from '@/domain/house-rules/house-constants'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findHouseConstants, storeHouseConstants } from './house-constants-repository'

export const houseConstants = (actor: Actor) => inFirm(actor.firmId, findHouseConstants)

/** The figures that this firm reckons with in place of the usual ones. */
export async function setHouseConstants(actor: Actor, version: number, constants: OwnConstants): Promise<void> {
  assertMay(actor, 'houseRules.write')
  await inFirm(actor.firmId, (trx) => storeHouseConstants(trx, actor.firmId, constants, version))
}
