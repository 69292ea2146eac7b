import { closeDatabase, database } from '@/server/db/connection'
import { endAllSessions, findActor, startSession } from '@/server/auth/sessions'
import { hashPassword } from '@/server/auth/passwords'
import { signIn, SIGN_IN_LIMIT } from '@/server/auth/sign-in'
import { makeFirm, PASSWORD } from '../fixtures/firm'
import { problemOf } from '../fixtures/problem-of'

afterAll(closeDatabase)

describe('signing in', () => {
  it('opens a session for the right password and finds its person', async () => {
    const { actors } = await makeFirm('Aspen')
    const token = await signIn({ email: actors.designer.email, password: PASSWORD })
    expect(await findActor(token)).toMatchObject({ userId: actors.designer.userId, role: 'designer', firmName: 'Aspen' })
  })
  it('keeps passwords as argon2id and sessions as hashes', async () => {
    expect(await hashPassword('anything at all')).toMatch(/^\$argon2id\$/)
    const { actors } = await makeFirm('Bramble')
    const token = await startSession(actors.owner.userId)
    const rows = await database()('sessions').where({ user_id: actors.owner.userId })
    expect(rows[0].token_hash).not.toContain(token)
    expect(rows[0].token_hash).toHaveLength(64)
  })
  it('tells neither whether the address nor the password was wrong', async () => {
    const { actors } = await makeFirm('Cowslip')
    const wrong = await problemOf(signIn({ email: actors.owner.email, password: 'not this one' }))
    const unknown = await problemOf(signIn({ email: 'nobody@firm.example', password: 'not this one' }))
    expect(wrong).toEqual(unknown)
  })
  it('makes the next attempt wait after too many, and says how long', async () => {
    const { actors } = await makeFirm('Dock')
    const attempt = (password: string) => signIn({ email: actors.owner.email, password })
    for (let i = 0; i < SIGN_IN_LIMIT.attempts; i++) await problemOf(attempt('wrong password'))
    const problem = await problemOf(attempt(PASSWORD))
    expect(problem).toMatchObject({ kind: 'too-many', message: 'Too many attempts. Try again in 5 minutes.' })
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
