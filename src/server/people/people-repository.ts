import { createHash } from 'node:crypto'
import type { Knex } from 'knex'
import { CrewSetup } from '@/domain/people/crew-setup'
import type { CrewId, FirmId, UserId } from '@/domain/shared/ids'
import type { Crew, Person, Preferences } from '@/domain/people/people'
import type { Role } from '@/domain/people/roles'
import { updateVersioned } from '@/server/platform/db/versioned-update'

export async function insertUser(
  trx: Knex.Transaction,
  user: {
    id: UserId
    firmId: FirmId
    email: string
    name: string
    role: Role
    passwordHash: string
    crewId: CrewId | null
    preferences: Preferences
  },
): Promise<void> {
  await trx('users').insert({
    id: user.id,
    firm_id: user.firmId,
    email: user.email,
    name: user.name,
    role: user.role,
    password_hash: user.passwordHash,
    crew_id: user.crewId,
    preferences: JSON.stringify(user.preferences),
  })
}

export async function listPeople(trx: Knex.Transaction): Promise<Person[]> {
  const rows = await trx('users as u')
    .leftJoin('crews as c', 'c.id', 'u.crew_id')
    .select('u.id', 'u.name', 'u.email', 'u.role', 'u.crew_id', 'c.name as crew_name', 'u.deactivated_at')
    .orderBy('u.name')
  return rows.map((r) => ({
    id: r.id,
    name: r.name,
    email: r.email,
    role: r.role,
    crewId: r.crew_id,
    crewName: r.crew_name,
    active: r.deactivated_at === null,
  }))
}

export const findPerson = async (trx: Knex.Transaction, id: UserId): Promise<Person | undefined> =>
  (await listPeople(trx)).find((p) => p.id === id)

/** Owners who may still sign in, without one of them. */
export async function countActiveOwners(trx: Knex.Transaction, without: UserId): Promise<number> {
  const rows = await trx('users').where({ role: 'owner', deactivated_at: null }).forUpdate().select('id')
  return rows.filter((r) => r.id !== without).length
}

export async function setRoleAndCrew(
  trx: Knex.Transaction,
  id: UserId,
  role: Role,
  crewId: CrewId | null,
): Promise<void> {
  await trx('users').where({ id }).update({ role, crew_id: crewId })
}

export async function setActive(trx: Knex.Transaction, id: UserId, active: boolean): Promise<void> {
  await trx('users')
    .where({ id })
    .update({ deactivated_at: active ? null : trx.fn.now() })
}

export const passwordHashOf = async (trx: Knex.Transaction, id: UserId): Promise<string> =>
  (await trx('users').where({ id }).first('password_hash'))!.password_hash

export async function setPassword(trx: Knex.Transaction, id: UserId, passwordHash: string): Promise<void> {
  await trx('users').where({ id }).update({ password_hash: passwordHash })
}

/** Only the hash is kept: a copy of the table sets no password. */
export const hashPasswordLink = (token: string): string => createHash('sha256').update(token).digest('hex')
const LINK_HOURS = 48

export async function insertPasswordLink(trx: Knex.Transaction, userId: UserId, token: string): Promise<void> {
  const expires = trx.raw('now() + make_interval(hours => ?)', [LINK_HOURS])
  await trx('password_links').insert({ token_hash: hashPasswordLink(token), user_id: userId, expires_at: expires })
}

/** @returns how many links there were */
export const dropPasswordLinks = (trx: Knex.Transaction, userId: UserId): Promise<number> =>
  trx('password_links').where({ user_id: userId }).delete()

export async function updatePreferences(
  trx: Knex.Transaction,
  userId: UserId,
  preferences: Preferences,
): Promise<void> {
  await trx('users')
    .where({ id: userId })
    .update({ preferences: JSON.stringify(preferences) })
}

export async function insertCrew(
  trx: Knex.Transaction,
  crew: { id: CrewId; firmId: FirmId; name: string },
): Promise<void> {
  await trx('crews').insert({ id: crew.id, firm_id: crew.firmId, name: crew.name })
}

export async function listCrews(trx: Knex.Transaction): Promise<Crew[]> {
  const rows = await trx('crews as c')
    .leftJoin('users as u', (join) => join.on('u.crew_id', 'c.id').andOnNull('u.deactivated_at'))
    .groupBy('c.id')
    .select('c.id', 'c.name', 'c.setup', 'c.version')
    .count('u.id as size')
    .orderBy('c.name')
  return rows.map((r) => ({
    id: r.id as CrewId,
    name: String(r.name),
    size: Number(r.size),
    setup: CrewSetup.parse(r.setup),
    version: Number(r.version),
  }))
}

export async function updateCrewSetup(
  trx: Knex.Transaction,
  id: CrewId,
  version: number,
  setup: CrewSetup,
): Promise<void> {
  await updateVersioned(trx, 'crews', id, version, { setup: JSON.stringify(setup) }, async () => findCrew(trx, id))
}

export async function findCrew(trx: Knex.Transaction, id: CrewId): Promise<Crew | undefined> {
  return (await listCrews(trx)).find((crew) => crew.id === id)
}
