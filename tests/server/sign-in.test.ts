import { closeDatabase, database } from '@/server/platform/db/connection'
import { endAllSessions, findActor, startSession } from '@/server/platform/auth/sessions'
import type { ProblemError } from '@/domain/shared/problems'
import { hashPassword, HASHING } from '@/server/platform/auth/passwords'
import { delayS } from '@/server/platform/auth/throttle'
import { signIn } from '@/server/platform/auth/sign-in'
import { makeFirm, PASSWORD } from '../fixtures/firm'
import { problemOf } from '../fixtures/problem-of'

afterAll(closeDatabase)

describe('signing in', () => {
  it('opens a session for the right password and finds its person', async () => {
    const { actors } = await makeFirm('Aspen')
    const token = await signIn({ email: actors.designer.email, password: PASSWORD })
    expect(await findActor(token)).toMatchObject({
      userId: actors.designer.userId,
      role: 'designer',
      firmName: 'Aspen',
    })
  })
  it('keeps passwords as argon2id and sessions as hashes', async () => {
    expect(await hashPassword('anything at all')).toMatch(/^\$argon2id\$/)
    const { actors } = await makeFirm('Bramble')
    const token = await startSession(actors.owner.userId)
    const rows = await database()('sessions').where({ user_id: actors.owner.userId })
    expect(rows[0]!.token_hash).not.toContain(token)
    expect(rows[0]!.token_hash).toHaveLength(64)
  })
  it('tells neither whether the address nor the password was wrong', async () => {
    const { actors } = await makeFirm('Cowslip')
    const wrong = await problemOf(signIn({ email: actors.owner.email, password: 'not this one' }))
    const unknown = await problemOf(signIn({ email: 'nobody@firm.example', password: 'not this one' }))
    expect(wrong).toEqual(unknown)
  })
  it('makes the next attempt wait, longer each time, and says how long', async () => {
    const { actors } = await makeFirm('Dock')
    const attempt = (password: string, address = '10.0.0.1') =>
      signIn({ email: actors.owner.email, password }, '', address)
    for (let i = 0; i < 5; i++) expect((await problemOf(attempt('wrong password'))).kind).toBe('bad-input')
    expect(await problemOf(attempt(PASSWORD))).toMatchObject({
      kind: 'too-many',
      message: 'Too many attempts. Try again in 1 seconds.',
    })
    // whoever tries it from somewhere else locks nobody out
    expect(await attempt(PASSWORD, '10.0.0.2')).toBeTruthy()
  })
  it('waits twice as long after each failure, up to a quarter of an hour', () =>
    expect([4, 5, 6, 10, 40].map((failures) => delayS(failures, { free: 5, maxS: 900 }))).toEqual([0, 1, 2, 32, 900]))
  it('hashes a few at a time, and turns away what is too much', async () => {
    const all = await Promise.allSettled(
      Array.from({ length: HASHING.atOnce + HASHING.inLine + 8 }, () => hashPassword('x')),
    )
    const refused = all.filter((one) => one.status === 'rejected')
    expect(refused).toHaveLength(8)
    expect(
      refused.every((one) => one.status === 'rejected' && (one.reason as ProblemError).problem.kind === 'too-many'),
    ).toBe(true)
    // and goes on as before
    expect(await hashPassword('x')).toMatch(/^\$argon2id/)
  })
  it('signs out everywhere', async () => {
    const { actors } = await makeFirm('Eyebright')
    const tokens = [await startSession(actors.owner.userId), await startSession(actors.owner.userId)]
    await endAllSessions(actors.owner.userId)
    expect(await Promise.all(tokens.map(findActor))).toEqual([undefined, undefined])
  })
  it('forgets a session that has run out', async () => {
    const { actors } = await makeFirm('Fern')
    const token = await startSession(actors.owner.userId)
    await database()('sessions')
      .where({ user_id: actors.owner.userId })
      .update({ expires_at: database().raw(`now() - interval '1 minute'`) })
    expect(await findActor(token)).toBeUndefined()
  })
})
