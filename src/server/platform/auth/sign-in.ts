import { database } from '@/server/platform/db/connection'
import { ProblemError } from '@/domain/shared/problems'
import type { SignInInput } from '@/domain/people/people'
import type { z } from 'zod'
import { passwordMatches, spendPasswordTime } from './passwords'
import { startSession } from './sessions'
import { assertMayTry, noteFailure, noteSuccess } from './throttle'
import { said } from '@/domain/shared/said'

/**
 * Checks an address and password and starts a session.
 * @param address where the attempt comes from
 * @returns the session token
 * @throws {ProblemError} 'too-many' with the wait, or 'bad-input' that does not tell which of the two was wrong
 */
export async function signIn(
  { email, password }: z.infer<typeof SignInInput>,
  device = '',
  address = '',
): Promise<string> {
  await assertMayTry(email, address)
  const { rows } = await database().raw('select * from door_user_by_email(?)', [email])
  const user = rows[0]
  const right = user ? await passwordMatches(user.password_hash, password) : (await spendPasswordTime(password), false)
  if (!right) {
    await noteFailure(email, address)
    throw new ProblemError({
      kind: 'bad-input',
      message: said('kit.problems.eMailAddressPasswordDo'),
      fields: [{ path: 'password', message: said('kit.problems.checkBothAskOwnerYour') }],
    })
  }
  await noteSuccess(email, address)
  return startSession(user.id, device)
}
