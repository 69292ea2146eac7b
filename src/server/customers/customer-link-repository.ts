import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { isStorable } from '@/domain/shared/clean-text'
import type { CustomerId, FirmId, UserId } from '@/domain/shared/ids'
import { linkHash, linkToken } from '@/server/platform/auth/link-secret'
import { database } from '@/server/platform/db/connection'

/**
 * Makes a customer's link; those that were there before stop working.
 * @returns its secret, of which only the hash is kept
 */
export async function replaceCustomerLink(
  trx: Knex.Transaction,
  firmId: FirmId,
  customerId: CustomerId,
  by: UserId,
): Promise<string> {
  await revokeCustomerLink(trx, customerId)
  return insertLink(trx, firmId, customerId, by)
}

async function insertLink(trx: Knex.Transaction, firmId: FirmId, customerId: CustomerId, by: UserId): Promise<string> {
  const id = randomUUID()
  const token = linkToken(id)
  await trx('customer_links').insert({
    id,
    firm_id: firmId,
    customer_id: customerId,
    token_hash: linkHash(token),
    made_by: by,
  })
  return token
}

/** @returns false when there was none */
export async function revokeCustomerLink(trx: Knex.Transaction, customerId: CustomerId): Promise<boolean> {
  return (
    (await trx('customer_links')
      .where({ customer_id: customerId })
      .whereNull('revoked_at')
      .update({ revoked_at: trx.fn.now() })) > 0
  )
}

/**
 * Secrets of the links that work, by customer. One that cannot be derived, since it is older than the secret, goes on
 * working; beside it the
 * customer gets one that letters can carry.
 */
export async function listCustomerLinks(trx: Knex.Transaction): Promise<Map<CustomerId, string>> {
  const rows = await trx('customer_links')
    .whereNull('revoked_at')
    .orderBy('created_at')
    .select('id', 'firm_id', 'customer_id', 'token_hash', 'made_by')
  const links = new Map<CustomerId, string>()
  for (const { id, customer_id, token_hash } of rows)
    if (linkHash(linkToken(id)) === token_hash) links.set(customer_id, linkToken(id))
  for (const { firm_id, customer_id, made_by } of rows)
    if (!links.has(customer_id)) links.set(customer_id, await insertLink(trx, firm_id, customer_id, made_by))
  return links
}

/** Whose page a link opens. */
export async function openCustomerLink(token: string): Promise<{ firmId: FirmId; customerId: CustomerId } | undefined> {
  if (!isStorable(token)) return undefined
  const { rows } = await database().raw('select * from door_customer_link(?)', [token])
  return rows[0] && { firmId: rows[0].firm_id, customerId: rows[0].customer_id }
}
