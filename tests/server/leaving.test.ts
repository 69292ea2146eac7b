import { startSession, findSession } from '@/server/platform/auth/sessions'
import { signIn } from '@/server/platform/auth/sign-in'
import { closeDatabase } from '@/server/platform/db/connection'
import { people } from '@/server/firm/firm'
import {
  changeOwnPassword,
  changePerson,
  deactivatePerson,
  makePasswordLink,
  passwordLink,
  reactivatePerson,
  resetPassword,
} from '@/server/people/people'
import { makeFirm, PASSWORD } from '../fixtures/firm'
import { problemOf } from '../fixtures/problem-of'

afterAll(closeDatabase)

const NEW = 'another long enough one'

describe('people', () => {
  it('who leave are out at once: every session and device ends, and nobody signs in as them', async () => {
    const { actors } = await makeFirm('Leaving')
    const { owner, technician } = actors
    const tokens = [await startSession(technician.userId, 'Phone'), await startSession(technician.userId, 'Tablet')]
    await deactivatePerson(owner, technician.userId)
    // told that they are shut out, so that they forget their rounds
    expect(await Promise.all(tokens.map(findSession))).toEqual(['shut-out', 'shut-out'])
    expect((await problemOf(signIn({ email: technician.email, password: PASSWORD }))).kind).toBe('bad-input')
    const found = await people(owner)
    expect(found.people.find((p) => p.id === technician.userId)).toMatchObject({ active: false, name: technician.name })
    // a crew is as large as the people who are there
    expect(found.crews[0]!.size).toBe(1)
    await reactivatePerson(owner, technician.userId)
    expect(await signIn({ email: technician.email, password: PASSWORD })).toBeTruthy()
    expect(await findSession(tokens[0]!)).toBe('shut-out')
  })
  it('change role from their next step on; the last owner stays', async () => {
    const { actors, crewId } = await makeFirm('Roles')
    const token = await startSession(actors.technician.userId)
    await changePerson(actors.owner, actors.technician.userId, { role: 'crew-lead', crewId })
    expect(await findSession(token)).toMatchObject({ role: 'crew-lead' })
    expect(
      (await problemOf(changePerson(actors.owner, actors.owner.userId, { role: 'office', crewId: null }))).kind,
    ).toBe('refused')
    expect((await problemOf(deactivatePerson(actors.owner, actors.owner.userId))).kind).toBe('refused')
    await changePerson(actors.owner, actors.office.userId, { role: 'owner', crewId: null })
    await deactivatePerson(actors.owner, actors.owner.userId)
  })
  it('change their own password by the one they have; other devices end, this one goes on', async () => {
    const { actors } = await makeFirm('Own password')
    const [here, elsewhere] = [await startSession(actors.designer.userId), await startSession(actors.designer.userId)]
    expect(
      (await problemOf(changeOwnPassword(actors.designer, { current: 'not this one', next: NEW }, here))).kind,
    ).toBe('bad-input')
    await changeOwnPassword(actors.designer, { current: PASSWORD, next: NEW }, here)
    expect(await findSession(here)).toMatchObject({ role: 'designer' })
    expect(await findSession(elsewhere)).toBe('shut-out')
    expect(await signIn({ email: actors.designer.email, password: NEW })).toBeTruthy()
  })
  it('who lost it set a new one by a link, once', async () => {
    const { actors } = await makeFirm('Lost password')
    const session = await startSession(actors.office.userId)
    const { token: first } = await makePasswordLink(actors.owner, actors.office.userId)
    const { token } = await makePasswordLink(actors.owner, actors.office.userId)
    expect((await problemOf(passwordLink(first))).kind).toBe('not-found')
    expect((await passwordLink(token)).email).toBe(actors.office.email)
    await resetPassword(token, NEW)
    expect((await problemOf(resetPassword(token, PASSWORD))).kind).toBe('not-found')
    expect(await findSession(session)).toBe('shut-out')
    expect(await signIn({ email: actors.office.email, password: NEW })).toBeTruthy()
  })
  it('are changed by the owner alone, and never those of another firm', async () => {
    const [mine, theirs] = [await makeFirm('Mine'), await makeFirm('Theirs')]
    const { technician, office, owner } = mine.actors
    for (const act of [
      () => changePerson(office, technician.userId, { role: 'owner', crewId: null }),
      () => deactivatePerson(office, technician.userId),
      () => makePasswordLink(office, technician.userId),
    ])
      expect((await problemOf(act())).kind).toBe('forbidden')
    for (const act of [
      () => changePerson(owner, theirs.actors.technician.userId, { role: 'owner', crewId: null }),
      () => deactivatePerson(owner, theirs.actors.technician.userId),
      () => makePasswordLink(owner, theirs.actors.technician.userId),
    ])
      expect((await problemOf(act())).kind).toBe('not-found')
  })
})
