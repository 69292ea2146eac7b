import { randomUUID } from 'node:crypto'
import type { CrewSetup } from '@/domain/people/crew-setup'
import type { CrewId, FirmId, UserId } from '@/domain/shared/ids'
import type { FirstFirmInput, PersonInput, Preferences } from '@/domain/people/people'
import { HouseRules } from '@/domain/house-rules/house-rules'
import { badField, notFound, refused } from '@/domain/shared/problems'
import { may } from '@/domain/people/roles'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { hashPassword } from '@/server/platform/auth/passwords'
import { startSession } from '@/server/platform/auth/sessions'
import { findFirm, insertFirm, updateHouseRules, type Firm, updateTimeZone } from '@/server/firm/firm-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import {
  findCrew,
  insertCrew,
  insertUser,
  listCrews,
  listPeople,
  updateCrewSetup,
  updatePreferences,
} from '@/server/people/people-repository'
import { listDevices, revokeDevice } from '@/server/people/session-repository'
import { sendJob } from '@/server/platform/queue/queue'
import { said, type Said } from '@/domain/shared/said'

const UNIQUE_VIOLATION = '23505'

/** Turns the database's refusal of a second one into a problem of the field. */
async function unlessTaken(work: Promise<void>, path: string, message: Said): Promise<void> {
  try {
    await work
  } catch (error) {
    if ((error as { code?: string }).code === UNIQUE_VIOLATION) throw badField(path, message)
    throw error
  }
}

/** Opens the first firm on an empty database, with its owner. @returns the owner's session token */
export async function createFirstFirm(input: FirstFirmInput): Promise<string> {
  const ids = { firm: randomUUID() as FirmId, user: randomUUID() as UserId }
  const passwordHash = await hashPassword(input.password)
  await inFirm(ids.firm, async (trx) => {
    // two people on an empty database at the same moment: the second waits here and is then refused
    await trx.raw('select pg_advisory_xact_lock(7301)')
    const { rows } = await trx.raw('select door_has_firms() as has')
    if (rows[0].has) throw refused(said('firm.problems.firmAlreadySetUpSign'))
    await insertFirm(trx, { id: ids.firm, name: input.firmName, timeZone: input.timeZone, rules: HouseRules.parse({}) })
    await insertUser(trx, {
      id: ids.user,
      firmId: ids.firm,
      email: input.email,
      name: input.ownerName,
      role: 'owner',
      passwordHash,
      crewId: null,
      preferences: { units: 'metric', theme: 'system', region: 'system' },
    })
  })
  return startSession(ids.user)
}

export const people = (actor: Actor) =>
  inFirm(actor.firmId, async (trx) => ({
    people: await listPeople(trx),
    crews: await listCrews(trx),
    devices: may(actor.role, 'people.write') ? await listDevices(trx) : [],
  }))

/** Shuts a lost device out: it forgets its rounds when it is next heard of, and nothing it sends is taken. */
export async function shutOutDevice(actor: Actor, id: string): Promise<void> {
  assertMay(actor, 'people.write')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await revokeDevice(trx, id))) throw notFound('device')
  })
}

export async function addPerson(actor: Actor, input: PersonInput): Promise<UserId> {
  assertMay(actor, 'people.write')
  const id = randomUUID() as UserId
  const passwordHash = await hashPassword(input.password)
  const add = inFirm(actor.firmId, async (trx) => {
    const crews = await listCrews(trx)
    if (input.crewId && !crews.some((crew) => crew.id === input.crewId))
      throw badField('crewId', said('kit.problems.noSuchCrew'))
    await insertUser(trx, {
      id,
      firmId: actor.firmId,
      email: input.email,
      name: input.name,
      role: input.role,
      passwordHash,
      crewId: input.crewId,
      preferences: { units: actor.preferences.units, theme: 'system', region: 'system' },
    })
  })
  await unlessTaken(add, 'email', said('firm.problems.someoneAlreadySignsAddress'))
  return id
}

export async function addCrew(actor: Actor, name: string): Promise<CrewId> {
  assertMay(actor, 'people.write')
  const id = randomUUID() as CrewId
  const add = inFirm(actor.firmId, (trx) => insertCrew(trx, { id, firmId: actor.firmId, name }))
  await unlessTaken(add, 'name', said('firm.problems.crewNameAlready'))
  return id
}

export async function setCrewSetup(actor: Actor, id: CrewId, version: number, setup: CrewSetup): Promise<void> {
  assertMay(actor, 'visits.plan')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findCrew(trx, id))) throw notFound('crew')
    await updateCrewSetup(trx, id, version, setup)
  })
}

export async function setPreferences(actor: Actor, preferences: Preferences): Promise<void> {
  assertMay(actor, 'account.own')
  await inFirm(actor.firmId, (trx) => updatePreferences(trx, actor.userId, preferences))
}

export const firm = (actor: Actor): Promise<Firm> => inFirm(actor.firmId, findFirm)

/** The zone that every day of the firm is counted in. */
export async function setTimeZone(actor: Actor, timeZone: string): Promise<void> {
  assertMay(actor, 'people.write')
  await inFirm(actor.firmId, (trx) => updateTimeZone(trx, actor.firmId, timeZone))
}

export async function setHouseRules(actor: Actor, version: number, rules: HouseRules): Promise<void> {
  assertMay(actor, 'houseRules.write')
  await inFirm(actor.firmId, (trx) => updateHouseRules(trx, actor.firmId, version, rules))
  // lists read the kept windows: they follow in the background; a page of one pond follows at once
  await sendJob('windows-of-ponds', { firmId: actor.firmId })
}
