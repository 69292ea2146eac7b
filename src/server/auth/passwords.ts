import { hash, verify } from '@node-rs/argon2'

/** argon2id with the memory and passes that OWASP's cheat sheet gives for it. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const

export const hashPassword = (password: string): Promise<string> => hash(password, COST)
export const passwordMatches = (storedHash: string, password: string): Promise<boolean> => verify(storedHash, password)

let decoy: Promise<string> | undefined

/** Spends the time of a real check when the address is unknown, so that the answer's delay tells nothing. */
export async function spendPasswordTime(password: string): Promise<void> {
  decoy ??= hashPassword('no account has this password')
  await passwordMatches(await decoy, password)
}
