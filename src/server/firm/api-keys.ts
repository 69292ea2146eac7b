import { createHash, randomBytes, randomUUID } from 'node:crypto'
import { KEY_LIMIT, type ApiKeyInput, type KeyScope } from '@/domain/firm/api-key'
import { notFound, ProblemError } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { insertApiKey, openApiKey, revokeApiKey, type OpenedKey } from '@/server/firm/api-key-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { said } from '@/domain/shared/said'

const PREFIX = 'reed_'
const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex')

/** Makes a key. @returns its secret, which is stored nowhere else */
export async function makeApiKey(actor: Actor, input: ApiKeyInput): Promise<{ id: string; token: string }> {
  assertMay(actor, 'people.write')
  const [id, token] = [randomUUID(), PREFIX + randomBytes(24).toString('base64url')]
  await inFirm(actor.firmId, (trx) =>
    insertApiKey(trx, actor.firmId, { ...input, id, tokenHash: hashOf(token), madeBy: actor.userId }),
  )
  return { id, token }
}

export async function endApiKey(actor: Actor, id: string): Promise<void> {
  assertMay(actor, 'people.write')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await revokeApiKey(trx, id))) throw notFound('key')
  })
}

/**
 * The key of a request, counted.
 * @returns undefined when it is unknown, revoked, or for something else
 * @throws {ProblemError} 'too-many' with the wait
 */
export async function keyFor(scope: KeyScope, authorization: string | null): Promise<OpenedKey | undefined> {
  const token = /^Bearer\s+(\S+)$/i.exec(authorization ?? '')?.[1]
  const key = token ? await openApiKey(hashOf(token)) : undefined
  if (!key || key.scope !== scope) return undefined
  if (key.uses > KEY_LIMIT.perMinute)
    throw new ProblemError({
      kind: 'too-many',
      message: said('firm.problems.keyMayUsedTimesMinute', { perMinute: KEY_LIMIT.perMinute }),
      retryAfterS: 60,
    })
  return key
}
