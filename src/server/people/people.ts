import { randomBytes } from 'node:crypto'
import type { Knex } from 'knex'
import type { UserId } from '@/domain/shared/ids'
import type { ChangePersonInput, OwnPasswordInput } from '@/domain/people/people'
import { badField, notFound, refused } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { hashPassword, passwordMatches } from '@/server/platform/auth/passwords'
import { revokeSessionsOf } from '@/server/platform/auth/sessions'
import { database } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import {
  countActiveOwners,
  dropPasswordLinks,
  findPerson,
  hashPasswordLink,
  insertPasswordLink,
  listCrews,
  passwordHashOf,
  setActive,
  setPassword,
  setRoleAndCrew,
} from '@/server/people/people-repository'
import { said } from '@/domain/shared/said'

/** A firm always has somebody who may do everything. @throws {ProblemError} the last owner would go */
async function assertOwnerLeft(trx: Knex.Transaction, id: UserId): Promise<void> {
  if ((await countActiveOwners(trx, id)) === 0) throw refused(said('people.problems.lastOwnerMakeSomebodyElse'))
}

/** Another role or crew, from the person's next step on. */
export async function changePerson(actor: Actor, id: UserId, { role, crewId }: ChangePersonInput): Promise<void> {
  assertMay(actor, 'people.write')
  await inFirm(actor.firmId, async (trx) => {
    const person = await findPerson(trx, id)
    if (!person) throw notFound('person')
    if (person.role === 'owner' && role !== 'owner') await assertOwnerLeft(trx, id)
    if (crewId && !(await listCrews(trx)).some((crew) => crew.id === crewId))
      throw badField('crewId', said('kit.problems.noSuchCrew'))
    await setRoleAndCrew(trx, id, role, crewId)
  })
}

/** Somebody leaves: all sessions and devices end at once; what they wrote stays under their name. */
export async function deactivatePerson(actor: Actor, id: UserId): Promise<void> {
  assertMay(actor, 'people.write')
  await inFirm(actor.firmId, async (trx) => {
    const person = await findPerson(trx, id)
    if (!person) throw notFound('person')
    if (person.role === 'owner') await assertOwnerLeft(trx, id)
    await setActive(trx, id, false)
    await dropPasswordLinks(trx, id)
    await revokeSessionsOf(trx, id)
  })
}

export async function reactivatePerson(actor: Actor, id: UserId): Promise<void> {
  assertMay(actor, 'people.write')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findPerson(trx, id))) throw notFound('person')
    await setActive(trx, id, true)
  })
}

/**
 * The own password, by the one that stands; every other session of the person ends.
 * @param keep token of the session that asks
 */
export async function changeOwnPassword(
  actor: Actor,
  { current, next }: OwnPasswordInput,
  keep: string,
): Promise<void> {
  assertMay(actor, 'account.own')
  const stored = await inFirm(actor.firmId, (trx) => passwordHashOf(trx, actor.userId))
  if (!(await passwordMatches(stored, current))) throw badField('current', said('people.problems.yourPassword'))
  const hash = await hashPassword(next)
  await inFirm(actor.firmId, async (trx) => {
    await setPassword(trx, actor.userId, hash)
    await revokeSessionsOf(trx, actor.userId, keep)
  })
}

/**
 * A link by which somebody sets a new password; those made before open nothing any more.
 * @returns its secret, which is stored nowhere else
 */
export async function makePasswordLink(actor: Actor, id: UserId): Promise<{ token: string }> {
  assertMay(actor, 'people.write')
  const token = randomBytes(32).toString('base64url')
  await inFirm(actor.firmId, async (trx) => {
    const person = await findPerson(trx, id)
    if (!person) throw notFound('person')
    if (!person.active) throw refused(said('people.problems.letPersonAgainFirst'))
    await dropPasswordLinks(trx, id)
    await insertPasswordLink(trx, id, token)
  })
  return { token }
}

/** Whose password a link sets. @throws {ProblemError} 'not-found' for one that is used, past its day, or a guess */
export async function passwordLink(token: string): Promise<{ userId: UserId; firmId: Actor['firmId']; email: string }> {
  const { rows } = await database().raw('select * from door_password_link(?)', [hashPasswordLink(token)])
  if (!rows[0]) throw notFound('thisLink')
  return { userId: rows[0].user_id, firmId: rows[0].firm_id, email: rows[0].email }
}

/** Sets a password by a link, once; all sessions of the person end. */
export async function resetPassword(token: string, password: string): Promise<void> {
  const { userId, firmId } = await passwordLink(token)
  const hash = await hashPassword(password)
  await inFirm(firmId, async (trx) => {
    // of two that use one link at once the second finds it gone
    if ((await dropPasswordLinks(trx, userId)) === 0) throw notFound('thisLink')
    await setPassword(trx, userId, hash)
    await revokeSessionsOf(trx, userId)
  })
}
