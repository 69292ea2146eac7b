import { agree, type OwnConstants } from '@/domain/house-rules/house-constants'
import { refused } from '@/domain/shared/problems'
import { said } from '@/domain/shared/said'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { listPondConstants } from '@/server/ponds/pond-repository'
import { findHouseConstants, storeHouseConstants } from './house-constants-repository'

export const houseConstants = (actor: Actor) => inFirm(actor.firmId, findHouseConstants)

/** The figures that this firm reckons with in place of the usual ones. */
export async function setHouseConstants(actor: Actor, version: number, constants: OwnConstants): Promise<void> {
  assertMay(actor, 'houseRules.write')
  await inFirm(actor.firmId, async (trx) => {
    const pond = (await listPondConstants(trx)).find((of) => !agree(constants, of.own))
    if (pond) throw refused(said('houseRules.problems.constantsContradictPond', { pond: pond.name }))
    await storeHouseConstants(trx, actor.firmId, constants, version)
  })
}
