import { database } from '@/server/platform/db/connection'
import { ProblemError } from '@/domain/shared/problems'
import { said } from '@/domain/shared/said'

/** After so many failures the next attempt waits, twice as long each time. */
interface Rule {
  readonly free: number
  readonly maxS: number
}

/**
 * What attempts are counted by: one person from one place, one person from anywhere, one place for anybody.
 * @source house defaults
 */
const RULES = {
  pair: { free: 5, maxS: 900 },
  account: { free: 20, maxS: 60 },
  address: { free: 30, maxS: 300 },
} as const satisfies Record<string, Rule>
type Subject = readonly [keyof typeof RULES, string]

const WINDOW_S = 3600

/** Seconds to wait after so many failures. */
export const delayS = (failures: number, { free, maxS }: Rule): number =>
  failures < free ? 0 : Math.min(maxS, 2 ** (failures - free))

const subjects = (email: string, address: string): Subject[] => [
  ['pair', `${email} ${address}`],
  ['account', email],
  ['address', address],
]
const keyOf = ([kind, text]: Subject): string => `${kind}:${text}`

/** @throws {ProblemError} 'too-many' with the wait */
export async function assertMayTry(email: string, address: string): Promise<void> {
  const { rows } = await database().raw(
    `select subject, count(*)::int as count, extract(epoch from now() - max(at))::float as since_s
     from sign_in_attempts where subject = any(?) and at > now() - make_interval(secs => ?) group by subject`,
    [subjects(email, address).map(keyOf), WINDOW_S],
  )
  const waits = subjects(email, address).map((subject) => {
    const found = (rows as { subject: string; count: number; since_s: number }[]).find(
      (r) => r.subject === keyOf(subject),
    )
    return found ? delayS(found.count, RULES[subject[0]]) - found.since_s : 0
  })
  const waitS = Math.ceil(Math.max(...waits))
  if (waitS <= 0) return
  const words = waitS < 90 ? `${waitS} seconds` : `${Math.ceil(waitS / 60)} minutes`
  throw new ProblemError({
    kind: 'too-many',
    message: said('kit.problems.tooManyAttemptsTryAgain', { words }),
    retryAfterS: waitS,
  })
}

export async function noteFailure(email: string, address: string): Promise<void> {
  await database()('sign_in_attempts').insert(subjects(email, address).map((subject) => ({ subject: keyOf(subject) })))
}

/** A success clears what the person themself had mistyped, and nothing of what others tried from there. */
export async function noteSuccess(email: string, address: string): Promise<void> {
  await database()('sign_in_attempts').whereIn('subject', subjects(email, address).slice(0, 2).map(keyOf)).delete()
}
