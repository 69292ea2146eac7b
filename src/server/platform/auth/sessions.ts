import { createHash, randomBytes } from 'node:crypto'
import type { Knex } from 'knex'
import { database } from '@/server/platform/db/connection'
import { Preferences } from '@/domain/people/people'
import type { UserId } from '@/domain/shared/ids'
import type { Actor } from './actor'

export const SESSION_COOKIE = 'slow_reed_session'
export const SESSION_DAYS = 30

/** Only the hash is kept: a copy of the table opens no account. */
const hashToken = (token: string): string => createHash('sha256').update(token).digest('hex')

/**
 * Starts a session.
 * @param device what it is on, for people who look over the list of devices
 * @returns the token for the cookie; it is stored nowhere else
 */
export async function startSession(userId: UserId, device = ''): Promise<string> {
  const token = randomBytes(32).toString('base64url')
  await database()('sessions').insert({
    token_hash: hashToken(token),
    user_id: userId,
    device,
    expires_at: database().raw(`now() + interval '${SESSION_DAYS} days'`),
  })
  return token
}

/**
 * Who a token stands for; 'shut-out' for a device that was shut out, so that it can be told to forget what it holds.
 */
export async function findSession(token: string): Promise<Actor | 'shut-out' | undefined> {
  const { rows } = await database().raw('select * from door_session(?)', [hashToken(token)])
  const row = rows[0]
  if (!row) return undefined
  if (row.revoked) return 'shut-out'
  return {
    userId: row.user_id,
    firmId: row.firm_id,
    firmName: row.firm_name,
    timeZone: row.time_zone,
    name: row.name,
    email: row.email,
    role: row.role,
    crewId: row.crew_id,
    preferences: Preferences.parse(row.preferences),
  }
}

export async function findActor(token: string): Promise<Actor | undefined> {
  const found = await findSession(token)
  return found === 'shut-out' ? undefined : found
}

export async function endSession(token: string): Promise<void> {
  await database()('sessions')
    .where({ token_hash: hashToken(token) })
    .delete()
}

/** Ends sessions of a person: their devices are told to forget what they hold. @param keep token of one that goes on */
export async function revokeSessionsOf(trx: Knex.Transaction, userId: UserId, keep?: string): Promise<void> {
  await trx('sessions')
    .where({ user_id: userId, revoked_at: null })
    .modify((q) => (keep ? q.whereNot('token_hash', hashToken(keep)) : q))
    .update({ revoked_at: trx.fn.now() })
}

export async function endAllSessions(userId: UserId): Promise<void> {
  await database()('sessions').where({ user_id: userId }).delete()
}
