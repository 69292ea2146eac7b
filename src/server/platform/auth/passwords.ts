import { hash, verify } from '@node-rs/argon2'
import { ProblemError } from '@/domain/shared/problems'
import { said } from '@/domain/shared/said'

/** argon2id with the memory and passes that OWASP's cheat sheet gives for it. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const

/** Hashing takes memory and a core each: so many at once, and so many in line. */
export const HASHING = { atOnce: 2, inLine: 30 } as const
let running = 0
const line: (() => void)[] = []

/** @throws {ProblemError} 'too-many' where the line is full: a flood of sign-ins must not take the machine */
async function inTurn<Value>(work: () => Promise<Value>): Promise<Value> {
  if (running >= HASHING.atOnce) {
    if (line.length >= HASHING.inLine)
      throw new ProblemError({
        kind: 'too-many',
        message: said('kit.problems.manyPeopleSignJustNow'),
        retryAfterS: 5,
      })
    await new Promise<void>((resolve) => line.push(resolve))
  }
  running++
  try {
    return await work()
  } finally {
    running--
    line.shift()?.()
  }
}

export const hashPassword = (password: string): Promise<string> => inTurn(() => hash(password, COST))
export const passwordMatches = (storedHash: string, password: string): Promise<boolean> =>
  inTurn(() => verify(storedHash, password))

let decoy: Promise<string> | undefined

/** Spends the time of a real check when the address is unknown, so that the answer's delay tells nothing. */
export async function spendPasswordTime(password: string): Promise<void> {
  decoy ??= hash('no account has this password', COST)
  await passwordMatches(await decoy, password)
}
