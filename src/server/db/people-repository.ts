import type { Knex } from 'knex'
import { CrewSetup } from '@/domain/crew-setup'
import type { CrewId, FirmId, UserId } from '@/domain/ids'
import type { Crew, Person, Preferences } from '@/domain/people'
import type { Role } from '@/domain/roles'
import { updateVersioned } from './versioned-update'

export async function insertUser(
  trx: Knex.Transaction,
  user: { id: UserId; firmId: FirmId; email: string; name: string; role: Role; passwordHash: string; crewId: CrewId | null; preferences: Preferences },
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
    .select('u.id', 'u.name', 'u.email', 'u.role', 'u.crew_id', 'c.name as crew_name')
    .orderBy('u.name')
  return rows.map((r) => ({ id: r.id, name: r.name, email: r.email, role: r.role, crewId: r.crew_id, crewName: r.crew_name }))
}

export async function updatePreferences(trx: Knex.Transaction, userId: UserId, preferences: Preferences): Promise<void> {
  await trx('users')
    .where({ id: userId })
    .update({ preferences: JSON.stringify(preferences) })
}

export async function insertCrew(trx: Knex.Transaction, crew: { id: CrewId; firmId: FirmId; name: string }): Promise<void> {
  await trx('crews').insert({ id: crew.id, firm_id: crew.firmId, name: crew.name })
}

export async function listCrews(trx: Knex.Transaction): Promise<Crew[]> {
  const rows = await trx('crews as c')
    .leftJoin('users as u', 'u.crew_id', 'c.id')
    .groupBy('c.id')
    .select('c.id', 'c.name', 'c.setup', 'c.version')
    .count('u.id as size')
    .orderBy('c.name')
  return rows.map((r) => ({ id: r.id as CrewId, name: String(r.name), size: Number(r.size), setup: CrewSetup.parse(r.setup), version: Number(r.version) }))
}

export async function updateCrewSetup(trx: Knex.Transaction, id: CrewId, version: number, setup: CrewSetup): Promise<void> {
  await updateVersioned(trx, 'crews', id, version, { setup: JSON.stringify(setup) }, async () => findCrew(trx, id))
}

export async function findCrew(trx: Knex.Transaction, id: CrewId): Promise<Crew | undefined> {
  return (await listCrews(trx)).find((crew) => crew.id === id)
}
