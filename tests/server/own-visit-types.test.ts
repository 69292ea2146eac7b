import { OwnVisitType } from '@/domain/visits/own-visit-type'
import { closeDatabase } from '@/server/platform/db/connection'
import { closeQueue } from '@/server/platform/queue/queue'
import { fieldVisit } from '@/server/field/pack'
import { setHouseRules } from '@/server/firm/firm'
import { HouseRules } from '@/domain/house-rules/house-rules'
import { visitTypePage, visitTypesPage, saveVisitType } from '@/server/visits/own-visit-types'
import { addPond } from '@/server/ponds/ponds'
import { planVisit } from '@/server/visits/visit-planning'
import { makeFirm, newPond } from '../fixtures/firm'
import { problemOf } from '../fixtures/problem-of'
import { jobInWords } from '../fixtures/jobs-in-words'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

const today = new Date().toISOString().slice(0, 10)
const usual = jobInWords('netting')
const own = (changes: Partial<OwnVisitType> = {}) =>
  OwnVisitType.parse({ name: 'Leaf net, our way', customerNote: 'The net is up.', steps: usual.steps, ...changes })

async function firmWithPond(name: string) {
  const firm = await makeFirm(name)
  const pondId = await addPond(firm.actors.owner, newPond())
  const plan = async (startTime: string, jobKey = 'netting') => {
    const id = await planVisit(firm.actors.office, {
      pondId,
      visitType: jobKey,
      day: today,
      startTime,
      crewId: firm.crewId,
      note: '',
    })
    return (await fieldVisit(firm.actors.office, id)).visit.job
  }
  return { ...firm, pondId, plan }
}

describe('a firm’s own steps', () => {
  it('hold for visits planned from then on, and go back to the usual ones', async () => {
    const { actors, plan } = await firmWithPond('Own steps')
    const before = await plan('06:00')
    const extra = { key: 'own-count', section: 'Net', kind: 'do' as const, title: 'Count the pins' }
    await saveVisitType(actors.owner, 'netting', 0, own({ steps: [extra, ...own().steps] }))
    const after = await plan('09:00')
    expect(after.name).toBe('Leaf net, our way')
    expect(after.steps[0]!.title).toBe('Count the pins')
    expect(after.version).toBeGreaterThan(before.version)
    expect(before.name).toBe(usual.name)
    expect((await visitTypesPage(actors.office)).find((j) => j.key === 'netting')).toMatchObject({ own: true })
    await saveVisitType(actors.owner, 'netting', 1, null)
    expect((await plan('12:00')).name).toBe(usual.name)
    expect(await visitTypePage(actors.office, 'netting')).toMatchObject({ own: false, version: 2 })
  })
  it('are the owner’s to change, on the version that was seen', async () => {
    const { actors } = await firmWithPond('Own steps, who')
    expect((await problemOf(saveVisitType(actors.office, 'netting', 0, own()))).kind).toBe('forbidden')
    await saveVisitType(actors.owner, 'netting', 0, own())
    expect((await problemOf(saveVisitType(actors.owner, 'netting', 0, own()))).kind).toBe('conflict')
    expect((await problemOf(visitTypePage(actors.owner, 'no-such-job'))).kind).toBe('not-found')
  })
  it('keep every stop and every safety note of the usual ones', async () => {
    const { actors } = await firmWithPond('Own steps, safe')
    const cleanout = jobInWords('spring-cleanout')
    const with_ = (steps: unknown) => OwnVisitType.parse({ name: 'Cleanout', customerNote: 'Murky for a day.', steps })
    const without = (key: string) => with_(cleanout.steps.filter((s) => s.key !== key))
    expect(
      (await problemOf(saveVisitType(actors.owner, 'spring-cleanout', 0, without('fish-back')))).message,
    ).toContain('protects fish or people')
    const bare = with_(cleanout.steps.map((s) => (s.key === 'isolate' ? { ...s, safety: undefined } : s)))
    expect((await problemOf(saveVisitType(actors.owner, 'spring-cleanout', 0, bare))).message).toContain('safety note')
    const open = with_(cleanout.steps.map((s) => (s.key === 'fish-back' ? { ...s, gate: undefined } : s)))
    expect((await problemOf(saveVisitType(actors.owner, 'spring-cleanout', 0, open))).message).toContain(
      'keeps its stop',
    )
    await saveVisitType(actors.owner, 'spring-cleanout', 0, without('lights'))
  })
  it('that cannot be carried out are named', () => {
    const bad = (step: object) =>
      OwnVisitType.safeParse({
        name: 'X y',
        customerNote: 'Note',
        steps: [{ key: 'a', section: 'S', title: 'Title', ...step }],
      }).error!.issues[0]!.path
    expect(bad({ kind: 'decide', choices: [{ code: 'one', label: 'One' }] })).toEqual(['steps', 0, 'choices'])
    expect(bad({ kind: 'timer' })).toEqual(['steps', 0, 'timerMinutes'])
    expect(bad({ kind: 'measure' })).toEqual(['steps', 0, 'readings'])
    expect(bad({ kind: 'dance' })).toEqual(['steps', 0, 'kind'])
  })
})

describe('the house rules', () => {
  it('changes the steps of visits planned from then on', async () => {
    const { actors, plan } = await firmWithPond('Practice steps')
    const keys = async (startTime: string) => (await plan(startTime, 'routine')).steps.map((s) => s.key)
    expect(await keys('06:00')).toEqual(expect.arrayContaining(['bacteria', 'change-water']))
    await setHouseRules(actors.owner, 1, HouseRules.parse({ bacteria: 'none', waterChanges: 'top-up' }))
    const after = await keys('13:00')
    expect(after).not.toContain('bacteria')
    expect(after).not.toContain('change-water')
  })
})
