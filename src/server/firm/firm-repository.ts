import type { Knex } from 'knex'
import type { FirmId } from '@/domain/shared/ids'
import { HouseRules } from '@/domain/house-rules/house-rules'
import { updateVersioned } from '@/server/platform/db/versioned-update'

export interface Firm {
  readonly id: FirmId
  readonly name: string
  readonly timeZone: string
  readonly rules: HouseRules
  /** Its ponds and their water are made up, as in the demo. */
  readonly invented: boolean
  readonly version: number
}

export async function findFirm(trx: Knex.Transaction): Promise<Firm> {
  const row = (await trx('firms').first())!
  return {
    id: row.id,
    name: row.name,
    timeZone: row.time_zone,
    rules: HouseRules.parse(row.rules),
    invented: row.invented,
    version: row.version,
  }
}

export async function insertFirm(trx: Knex.Transaction, firm: Omit<Firm, 'version' | 'invented'>): Promise<void> {
  await trx('firms').insert({
    id: firm.id,
    name: firm.name,
    time_zone: firm.timeZone,
    rules: JSON.stringify(firm.rules),
  })
}

/** Marks a firm as made up: its pages say so where it matters. */
export async function markInvented(trx: Knex.Transaction, firmId: FirmId): Promise<void> {
  await trx('firms').where({ id: firmId }).update({ invented: true })
}

export async function updateTimeZone(trx: Knex.Transaction, firmId: FirmId, timeZone: string): Promise<void> {
  await trx('firms').where({ id: firmId }).update({ time_zone: timeZone })
}

export async function updateHouseRules(
  trx: Knex.Transaction,
  firmId: FirmId,
  version: number,
  rules: HouseRules,
): Promise<void> {
  await updateVersioned(trx, 'firms', firmId, version, { rules: JSON.stringify(rules) }, async () => findFirm(trx))
}
