import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { isStorable } from '@/domain/clean-text'
import type { CustomerId, FirmId, UserId } from '@/domain/ids'
import { database } from './connection'

/** Makes a customer's link; one that was there before stops working. */
export async function replaceCustomerLink(trx: Knex.Transaction, firmId: FirmId, customerId: CustomerId, token: string, by: UserId): Promise<void> {
  await revokeCustomerLink(trx, customerId)
  await trx('customer_links').insert({ id: randomUUID(), firm_id: firmId, customer_id: customerId, token, made_by: by })
}

/** @returns false when there was none */
export async function revokeCustomerLink(trx: Knex.Transaction, customerId: CustomerId): Promise<boolean> {
  return (await trx('customer_links').where({ customer_id: customerId }).whereNull('revoked_at').update({ revoked_at: trx.fn.now() })) > 0
}

/** Secrets of the links that work, by customer. */
export async function listCustomerLinks(trx: Knex.Transaction): Promise<Map<CustomerId, string>> {
  const rows = await trx('customer_links').whereNull('revoked_at').select('customer_id', 'token')
  return new Map(rows.map((r) => [r.customer_id, r.token]))
}

/** Whose page a link opens. */
export async function openCustomerLink(token: string): Promise<{ firmId: FirmId; customerId: CustomerId } | undefined> {
  if (!isStorable(token)) return undefined
  const { rows } = await database().raw('select * from door_customer_link(?)', [token])
  return rows[0] && { firmId: rows[0].firm_id, customerId: rows[0].customer_id }
}
