import type { Knex } from 'knex'
import type { SignedInDevice } from '@/domain/people/people'

/** Devices of the firm's people that are signed in, last seen first. */
export async function listDevices(trx: Knex.Transaction): Promise<SignedInDevice[]> {
  const rows = await trx('sessions as s')
    .join('users as u', 'u.id', 's.user_id')
    .whereNull('s.revoked_at')
    .where('s.expires_at', '>', trx.fn.now())
    .orderByRaw('coalesce(s.seen_at, s.created_at) desc')
    .select('s.id', 's.device', 'u.name', trx.raw('coalesce(s.seen_at, s.created_at) as seen_at'))
  return rows.map((r) => ({ id: r.id, device: r.device, person: r.name, seenAt: r.seen_at.toISOString() }))
}

/** @returns false when there is no such device among the firm's people */
export async function revokeDevice(trx: Knex.Transaction, id: string): Promise<boolean> {
  const revoked = await trx('sessions')
    .where({ id })
    .whereNull('revoked_at')
    .whereIn('user_id', trx('users').select('id'))
    .update({ revoked_at: trx.fn.now() })
  return revoked > 0
}
