import { PersonInput } from '@/domain/people/people'
import { signIn } from '@/server/platform/auth/sign-in'
import { findActor } from '@/server/platform/auth/sessions'
import { closeDatabase } from '@/server/platform/db/connection'
import { addCrew, addPerson, createFirstFirm, people, setPreferences } from '@/server/firm/firm'
import { hasFirms } from '@/server/platform/auth/has-firms'
import { makeFirm, PASSWORD } from '../fixtures/firm'
import { problemOf } from '../fixtures/problem-of'

afterAll(closeDatabase)

const person = (email: string) =>
  PersonInput.parse({ name: 'Wick Rale', email, role: 'technician', password: PASSWORD })

describe('people and crews', () => {
  it('are added by the owner and can sign in at once', async () => {
    const { actors, crewId } = await makeFirm('Alder buckthorn')
    await addPerson(actors.owner, { ...person('wick@alder.example'), crewId })
    expect((await people(actors.office)).people.find((p) => p.email === 'wick@alder.example')).toMatchObject({
      role: 'technician',
      crewName: 'Heron',
    })
    expect(await findActor(await signIn({ email: 'wick@alder.example', password: PASSWORD }))).toMatchObject({ crewId })
    expect((await problemOf(addPerson(actors.office, person('x@alder.example')))).kind).toBe('forbidden')
  })
  it('have addresses and crew names of their own', async () => {
    const { actors } = await makeFirm('Bogbean')
    await addPerson(actors.owner, person('wick@bogbean.example'))
    expect(await problemOf(addPerson(actors.owner, person('wick@bogbean.example')))).toMatchObject({
      fields: [{ path: 'email' }],
    })
    expect(await problemOf(addCrew(actors.owner, 'Heron'))).toMatchObject({ fields: [{ path: 'name' }] })
  })
  it('cannot be put into another firm’s crew', async () => {
    const [a, b] = [await makeFirm('Cattail'), await makeFirm('Duckweed')]
    expect(
      await problemOf(addPerson(a.actors.owner, { ...person('wick@cattail.example'), crewId: b.crewId })),
    ).toMatchObject({ fields: [{ path: 'crewId' }] })
  })
  it('keep their own units and theme', async () => {
    const { actors } = await makeFirm('Eelgrass')
    await setPreferences(actors.technician, { units: 'us', theme: 'sun', region: 'system' })
    const seen = await findActor(await signIn({ email: actors.technician.email, password: PASSWORD }))
    expect(seen!.preferences).toEqual({ units: 'us', theme: 'sun', region: 'system' })
  })
})

describe('the first firm', () => {
  it('is opened only while there is none', async () => {
    await makeFirm('Figwort')
    expect(await hasFirms()).toBe(true)
    expect(
      (
        await problemOf(
          createFirstFirm({
            firmName: 'Late',
            ownerName: 'L',
            email: 'l@late.example',
            password: PASSWORD,
            timeZone: 'Etc/UTC',
          }),
        )
      ).message,
    ).toContain('already been set up')
  })
})
