import type { Knex } from 'knex'
import { contradictions } from '@/core/filter/house-constants'
import type { BedMaterials } from '@/core/filter/bed/layers'
import { constantsAt, type OwnConstants } from '@/domain/house-rules/house-constants'
import { filterRulesOf, houseRulesAt } from '@/domain/house-rules/house-rules'
import { hydraulicTables } from '@/domain/house-rules/house-tables'
import type { PondInContext } from '@/domain/ponds/pond'
import { badField } from '@/domain/shared/problems'
import { said } from '@/domain/shared/said'
import { findFirm } from '@/server/firm/firm-repository'
import { findHouseConstants } from './house-constants-repository'
import { findHouseTables } from './house-tables-repository'

type RuledPond = Pick<PondInContext, 'ownRules' | 'ownConstants'>

/** What filters of a pond are worked out by: the house's rules and figures, and the pond's own where it has any. */
export async function filterRulesAt(trx: Knex.Transaction, pond: RuledPond) {
  const house = (await findFirm(trx)).rules
  const rules = houseRulesAt(house, pond.ownRules)
  const constants = constantsAt((await findHouseConstants(trx)).constants, pond.ownConstants)
  return {
    house,
    houseMethod: rules.sizingMethod,
    constants,
    rules: filterRulesOf(rules, hydraulicTables((await findHouseTables(trx)).tables), constants),
  }
}

/** What a pond's bed is built of, with the firm's figures for it. */
export const bedMaterialsAt = async (trx: Knex.Transaction, pond: RuledPond): Promise<BedMaterials> =>
  (await filterRulesAt(trx, pond)).rules.materials

/** @throws {ProblemError} a figure of the pond that contradicts one of the house */
export async function assertAgree(trx: Knex.Transaction, pond: RuledPond, own: OwnConstants): Promise<void> {
  const [key] = contradictions((await filterRulesAt(trx, { ...pond, ownConstants: own })).rules)
  if (key) throw badField(`own.${key}.value`, said('houseRules.problems.constantsContradict'))
}
