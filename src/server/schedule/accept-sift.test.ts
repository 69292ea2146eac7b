import type { CrewId, PondId, VisitId } from '@/domain/shared/ids'
import type { PlanChange } from '@/domain/schedule/plan-run'
import type { PlanningVisit } from '@/server/schedule/planning-repository'
import { sift } from './accept-sift'
import { said } from '@/domain/shared/said'

const WINDOW = { earliest: '2027-04-01', best: '2027-04-10', latest: '2027-04-30' }
const change = (key: string, over: Partial<PlanChange> = {}): PlanChange => ({
  key,
  kind: 'new',
  pair: null,
  visitId: null,
  visitVersion: null,
  pondId: key as PondId,
  pondName: 'Pond',
  siteName: `Site of ${key}`,
  town: '',
  job: 'routine',
  also: [],
  tasks: [],
  crewId: 'otter' as CrewId,
  day: '2027-04-12',
  startTime: '08:00',
  minutes: 60,
  learntFactor: 1,
  window: WINDOW,
  late: false,
  was: null,
  why: null,
  tell: null,
  ...over,
})
const visit = (id: string, over: Partial<PlanningVisit> = {}): PlanningVisit => ({
  id: id as VisitId,
  pondId: id as PondId,
  siteName: `Site of ${id}`,
  crewId: 'otter' as CrewId,
  state: 'planned',
  day: '2027-04-12',
  startTime: '08:00',
  spareMin: 0,
  plannedMinutes: 60,
  job: 'routine',
  jobName: 'Routine visit',
  also: [],
  taskIds: [],
  tankM3: 0,
  locked: false,
  version: 1,
  legOf: null,
  startedAt: null,
  ...over,
})
/** A planned visit and its move to another hour. */
const moved = (id: string, from: string, to: string) =>
  [
    visit(id, { startTime: from }),
    change(id, { kind: 'moved', visitId: id as VisitId, visitVersion: 1, startTime: to }),
  ] as const
const keys = (changes: readonly { key: string }[]) => changes.map((c) => c.key)

describe('what of a plan can still be taken over', () => {
  it('a visit that is over keeps nothing from its hours', () => {
    const result = (state: PlanningVisit['state']) => sift([visit('a', { state })], [change('b')])
    expect(keys(result('planned').left)).toEqual(['b'])
    expect(keys(result('under-way').left)).toEqual(['b'])
    expect(keys(result('done').good)).toEqual(['b'])
  })
  it('two visits that change places are both taken', () => {
    const [a, toNine] = moved('a', '08:00', '09:00')
    const [b, toEight] = moved('b', '09:00', '08:00')
    expect(sift([a, b], [toNine, toEight])).toEqual({ good: [toNine, toEight], left: [] })
  })
  it('one that wants the hour of a visit that was not chosen to go is left, and so is what follows from it', () => {
    const [a, toNine] = moved('a', '08:00', '09:00')
    const [b, toTen] = moved('b', '09:00', '10:00')
    const c = visit('c', { startTime: '10:00' })
    const { good, left } = sift([a, b, c], [toNine, toTen, change('d', { startTime: '12:00' })])
    expect(keys(good)).toEqual(['d'])
    expect(left).toMatchObject([
      { key: 'b', why: said('schedule.leftOut.crewBusy', { site: 'Site of c', from: '10:00', to: '11:00' }) },
      { key: 'a', why: said('schedule.leftOut.crewBusy', { site: 'Site of b', from: '09:00', to: '10:00' }) },
    ])
  })
  it.each([
    ['taken off', [], 'schedule.leftOut.removed'],
    ['begun', [visit('a', { state: 'under-way' })], 'schedule.leftOut.started'],
    ['changed', [visit('a', { version: 2 })], 'schedule.leftOut.changed'],
  ])('a visit that was %s meanwhile is left, the rest is taken', (_, standing, why) => {
    const { good, left } = sift(standing, [
      change('a', { kind: 'moved', visitId: 'a' as VisitId, visitVersion: 1, startTime: '13:00' }),
      change('b'),
    ])
    expect(left[0]).toMatchObject({ key: 'a', why: expect.stringContaining(why) })
    // where the visit stands on, its hour is not free
    expect(keys(good)).toEqual(standing.length === 0 ? ['b'] : [])
  })
  it('a job that is planned already in its window is left; the same job outside it is another one', () => {
    const standing = [
      visit('v', { pondId: 'a' as PondId, day: '2027-04-20' }),
      visit('w', { pondId: 'b' as PondId, day: '2027-05-20' }),
    ]
    const { good, left } = sift(standing, [change('a'), change('b', { startTime: '10:00' })])
    expect(keys(good)).toEqual(['b'])
    expect(left[0]!.why).toBe(
      said('schedule.leftOut.plannedMeanwhile', { visit: { text: 'visitTypes.namesInText.routine' } }),
    )
  })
  it('the two days of one cleanout go together or not at all', () => {
    const first = change('a', { job: 'spring-cleanout', pair: 'a:second-day' })
    const second = change('a:second-day', {
      pondId: 'a' as PondId,
      job: 'cleanout-second-day',
      pair: 'a',
      day: '2027-04-13',
    })
    expect(sift([visit('c', { day: '2027-04-13' })], [first, second])).toMatchObject({
      good: [],
      left: [{ key: 'a:second-day' }, { key: 'a' }],
    })
  })
})
