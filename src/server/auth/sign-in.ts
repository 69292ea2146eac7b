import { database } from '@/server/db/connection'
import { ProblemError } from '@/domain/problems'
import type { SignInInput } from '@/domain/people'
import type { z } from 'zod'
import { passwordMatches, spendPasswordTime } from './passwords'
import { startSession } from './sessions'

/** Failed attempts allowed per address in a window before the next must wait. */
export const SIGN_IN_LIMIT = { attempts: 8, windowS: 300 } as const

/**
 * Checks an address and password and starts a session.
 * @returns the session token
 * @throws {ProblemError} 'too-many' with the wait, or 'bad-input' that does not tell which of the two was wrong
 */
export async function signIn({ email, password }: z.infer<typeof SignInInput>, device = ''): Promise<string> {
  await assertNotTooMany(email)
  const { rows } = await database().raw('select * from door_user_by_email(?)', [email])
  const user = rows[0]
  const right = user ? await passwordMatches(user.password_hash, password) : (await spendPasswordTime(password), false)
  if (!right) {
    await database()('sign_in_attempts').insert({ subject: email })
    throw new ProblemError({
      kind: 'bad-input',
      message: 'That e-mail address and password do not go together.',
      fields: [{ path: 'password', message: 'Check both, or ask the owner of your firm for a new password.' }],
    })
  }
  await database()('sign_in_attempts').where({ subject: email }).delete()
  return startSession(user.id, device)
}

async function assertNotTooMany(email: string): Promise<void> {
  const { rows } = await database().raw(
    `select count(*)::int as count, ceil(extract(epoch from min(at) + make_interval(secs => ?) - now()))::int as wait_s
     from sign_in_attempts where subject = ? and at > now() - make_interval(secs => ?)`,
    [SIGN_IN_LIMIT.windowS, email, SIGN_IN_LIMIT.windowS],
  )
  const { count, wait_s: waitS } = rows[0]
  if (count >= SIGN_IN_LIMIT.attempts)
    throw new ProblemError({
      kind: 'too-many',
      message: `Too many attempts. Try again in ${Math.max(1, Math.ceil(waitS / 60))} minutes.`,
      retryAfterS: Math.max(1, waitS),
    })
}
