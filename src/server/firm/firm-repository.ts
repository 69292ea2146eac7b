import type { Knex } from 'knex'
import type { FirmId } from '@/domain/shared/ids'
import { HousePractice } from '@/domain/house-rules/house-rules'
import { updateVersioned } from '@/server/platform/db/versioned-update'

export interface Firm {
  readonly id: FirmId
  readonly name: string
  readonly timeZone: string
  readonly practice: HousePractice
  readonly version: number
}

export async function findFirm(trx: Knex.Transaction): Promise<Firm> {
  const row = await trx('firms').first()
  return { id: row.id, name: row.name, timeZone: row.time_zone, practice: HousePractice.parse(row.practice), version: row.version }
}

export async function insertFirm(trx: Knex.Transaction, firm: Omit<Firm, 'version'>): Promise<void> {
  await trx('firms').insert({ id: firm.id, name: firm.name, time_zone: firm.timeZone, practice: JSON.stringify(firm.practice) })
}

export async function updateTimeZone(trx: Knex.Transaction, firmId: FirmId, timeZone: string): Promise<void> {
  await trx('firms').where({ id: firmId }).update({ time_zone: timeZone })
}

export async function updatePractice(trx: Knex.Transaction, firmId: FirmId, version: number, practice: HousePractice): Promise<void> {
  await updateVersioned(trx, 'firms', firmId, version, { practice: JSON.stringify(practice) }, async () => findFirm(trx))
}
