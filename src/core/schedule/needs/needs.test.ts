import fc from 'fast-check'
import { VISIT_TYPES, LATER_DAYS } from '../../visits/visit-types'
import { VISIT_PLANNING } from '../../visits/types'
import { addDays, daysBetween, yearOf } from '../../numeric/calendar'
import { careGapDays } from '../../plants/care-cadence'
import { needsOf } from './needs-of'
import type { DatedWindow, PondTask, PondWork, ServiceLine } from './pond-work'

const line = (job: string, over: Partial<ServiceLine> = {}): ServiceLine => ({
  job,
  everyDays: null,
  from: null,
  to: null,
  starts: null,
  ends: null,
  ...over,
})
const WINDOWS = [
  { job: 'spring-cleanout', earliest: '2001-03-10', best: '2001-03-28', latest: '2001-04-15' },
  { job: 'spring-startup', earliest: '2001-03-15', best: '2001-03-30', latest: '2001-04-20' },
  { job: 'netting', earliest: '2001-09-20', best: '2001-10-01', latest: '2001-10-12' },
  { job: 'winter-shutdown', earliest: '2001-11-01', best: '2001-11-12', latest: '2001-11-25' },
]
/** The same days every year; one that ends after New Year keeps its length. */
const inYears =
  (windows: readonly DatedWindow[]) =>
  (year: number): DatedWindow[] =>
    windows.map((w) => {
      const shift = (day: string) => `${year + yearOf(day) - yearOf(w.earliest)}${day.slice(4)}`
      return { ...w, earliest: shift(w.earliest), best: shift(w.best), latest: shift(w.latest) }
    })
const WEEKS = Array.from({ length: 52 }, (_, week) => 11 - 9 * Math.cos((2 * Math.PI * (week - 3)) / 52))
const task = (over: Partial<PondTask> = {}): PondTask => ({
  id: 'f',
  title: 'Test TAN',
  from: '2027-05-14',
  to: '2027-05-18',
  minutes: 10,
  prefers: ['routine'],
  ...over,
})
const work = (lines: readonly ServiceLine[], over: Partial<PondWork> = {}): PondWork => ({
  pondId: 'p',
  lines,
  since: '2020-01-01',
  windowsIn: inYears(WINDOWS),
  weeklyWaterC: WEEKS,
  aggressivePlants: false,
  visits: [],
  planned: [],
  tasks: [],
  ...over,
})
const year = (w: PondWork, from = '2027-01-05') => needsOf(w, from, '2027-12-31')
const routine = line('routine', { everyDays: 28, from: '04-15', to: '10-15' })

it('every kind of job has its planning facts', () =>
  expect(Object.keys(VISIT_PLANNING).sort()).toEqual([...VISIT_TYPES, ...LATER_DAYS].map((j) => j.key).sort()))

describe('what a pond needs', () => {
  it('is each agreed job in its window', () =>
    expect(year(work([line('spring-cleanout'), line('netting')])).needs).toMatchObject([
      { job: 'spring-cleanout', earliest: '2027-03-10', best: '2027-03-28', latest: '2027-04-15' },
      { job: 'netting', earliest: '2027-09-20', latest: '2027-10-12' },
    ]))
  it('comes round through a summer that runs over New Year, and not in its winter', () => {
    const south = line('routine', { everyDays: 28, from: '10-15', to: '04-15' })
    const dues = (from: string, to: string) => needsOf(work([south]), from, to).needs.map(({ best }) => best)
    const season = dues('2026-07-01', '2027-06-30')
    expect([season[0], season.at(-1)! > '2027-03-10', season.at(-1)! <= '2027-04-15']).toEqual([
      '2026-10-15',
      true,
      true,
    ])
    expect(season).toHaveLength(7)
    // asked for in its middle
    expect(dues('2027-01-10', '2027-06-30')[0]).toBe('2027-01-10')
    expect(dues('2027-05-01', '2027-09-30')).toEqual([])
  })
  it('is not needed twice: a visit near the window meets it', () =>
    expect(
      year(work([line('spring-cleanout')], { visits: [{ job: 'spring-cleanout', day: '2027-03-02' }] })).needs,
    ).toEqual([]))
  it('leaves out what another job does along with its own, and says so', () => {
    const { needs, covered } = year(work([line('spring-cleanout'), line('spring-startup')]))
    expect(needs.map((n) => n.job)).toEqual(['spring-cleanout'])
    expect(covered).toEqual([{ job: 'spring-startup', by: 'spring-cleanout' }])
  })
  it('is caught up on for a month after its window, and named as missed later', () => {
    expect(year(work([line('spring-startup')]), '2027-05-01').needs).toMatchObject([
      { late: true, earliest: '2027-05-01', latest: '2027-05-15' },
    ])
    expect(year(work([line('spring-startup')]), '2027-07-01').missed).toEqual([
      { job: 'spring-startup', latest: '2027-04-20' },
    ])
    expect(year(work([line('spring-startup')], { since: '2027-06-01' }), '2027-07-01').missed).toEqual([])
  })
  it('may end after New Year when everything comes late', () => {
    const late = [{ job: 'winter-shutdown', earliest: '2001-12-10', best: '2001-12-28', latest: '2002-01-14' }]
    expect(
      needsOf(work([line('winter-shutdown')], { windowsIn: inYears(late) }), '2027-11-01', '2028-02-01').needs[0],
    ).toMatchObject({
      earliest: '2027-12-10',
      best: '2027-12-28',
      latest: '2028-01-14',
    })
  })
  it('puts the net up before the shutdown', () => {
    const { needs } = year(work([line('netting'), line('winter-shutdown')]))
    expect(needs.find((n) => n.job === 'winter-shutdown')!.after).toEqual([
      { need: 'p:netting:2027', minDays: 1, maxDays: 365, requires: false },
    ])
  })
  it('comes round from the last visit on, apart from each other', () => {
    const { needs } = year(work([routine], { visits: [{ job: 'routine', day: '2027-04-20' }] }), '2027-05-01')
    expect(needs[0]!.best).toBe('2027-05-18')
    for (let i = 1; i < needs.length; i++) {
      expect(daysBetween(needs[i - 1]!.best, needs[i]!.best)).toBe(28)
      expect(needs[i]!.after).toEqual([{ need: needs[i - 1]!.id, minDays: 14, maxDays: 400, requires: false }])
    }
    expect(needs.at(-1)!.best <= '2027-10-15').toBe(true)
  })
  it('takes a task along on a visit that is due anyway, and only then narrows its days', () => {
    const { needs } = year(work([routine], { tasks: [task()] }), '2027-05-01')
    const host = needs.find((n) => n.tasks.length > 0)!
    expect(host.tasks[0]!.title).toBe('Test TAN')
    expect(host.earliest >= '2027-05-14' || host.latest <= '2027-05-18').toBe(true)
    expect(year(work([], { tasks: [task()] }), '2027-05-01').needs).toMatchObject([
      { id: 'p:task:f', job: 'routine', earliest: '2027-05-14', latest: '2027-05-18' },
    ])
  })
  it('gives a task to a visit that stands in time, rather than make another one', () => {
    const planned = [{ id: 'v1', job: 'routine', day: '2027-05-16' }]
    const { needs, joins } = year(work([], { tasks: [task()], planned }), '2027-05-01')
    expect(needs).toEqual([])
    expect(joins).toEqual([{ visit: 'v1', task: task() }])
    // one that stands on another day is of no use
    expect(
      year(work([], { tasks: [task()], planned: [{ ...planned[0]!, day: '2027-06-16' }] }), '2027-05-01').joins,
    ).toEqual([])
  })
  it('lets a lamp wait for the startup rather than go with any visit', () => {
    const lamp = task({ from: '2027-03-01', to: '2027-05-30', prefers: ['spring-startup', 'routine'] })
    const { needs, joins } = year(
      work([line('spring-startup')], { tasks: [lamp], planned: [{ id: 'v1', job: 'routine', day: '2027-03-20' }] }),
    )
    expect(joins).toEqual([])
    expect(needs[0]!.tasks).toEqual([lamp])
  })
  it('puts a lamp on the visit it suits best', () => {
    const lamp = task({ title: 'Lamp', from: '2027-03-01', to: '2027-05-30', prefers: ['spring-startup', 'routine'] })
    const { needs } = year(work([routine, line('spring-startup')], { tasks: [lamp] }))
    expect(needs.filter((n) => n.tasks.length > 0).map((n) => n.job)).toEqual(['spring-startup'])
  })
  it('flushes in a window that runs over New Year, on either side of it', () => {
    // open from September to May, best in February: the window of 2027 is the one that opened in 2026
    const southern = (y: number) => [
      { job: 'wetland-flush', earliest: `${y - 1}-09-05`, best: `${y}-02-17`, latest: `${y}-05-28` },
    ]
    const flush = line('wetland-flush', { everyDays: 90, from: '09-01', to: '05-31' })
    const days = needsOf(work([flush], { windowsIn: southern }), '2026-07-01', '2027-06-30').needs.map((n) => n.best)
    expect(days.map((day) => day.slice(0, 7))).toEqual(['2026-09', '2026-11', '2027-02', '2027-05'])
  })
  it('does two jobs on one visit where they fall due together, each only once', () => {
    const flush = line('wetland-flush', { everyDays: 180, from: '05-01', to: '11-01' })
    const { needs } = year(work([routine, flush]))
    const shared = needs.filter((n) => n.also.length > 0)
    expect(shared.length).toBeGreaterThan(0)
    expect(shared[0]).toMatchObject({ job: 'wetland-flush', also: ['routine'] })
    const apart = year(work([routine])).needs.length
    expect(needs.filter((n) => n.job === 'routine').length + shared.length).toBe(apart)
    // what waited for a merged visit waits for the one that does its work
    const ids = new Set(needs.map((n) => n.id))
    for (const need of needs) for (const a of need.after) expect(ids.has(a.need)).toBe(true)
  })
  it('flushes only in the weeks that allow it', () => {
    const weeks = [
      ...WINDOWS,
      { job: 'wetland-flush', earliest: '2001-06-20', best: '2001-07-20', latest: '2001-09-30' },
    ]
    const flush = line('wetland-flush', { everyDays: 30 })
    const { needs } = year(work([flush], { windowsIn: inYears(weeks) }))
    expect(needs.length).toBeGreaterThan(2)
    for (const n of needs) expect(n.earliest >= '2027-06-20' && n.latest <= '2027-09-30').toBe(true)
  })
  it('cares for plants as they grow: often in warm water, more often where something takes over', () => {
    const [warm, cool] = [29, 15]
    expect(careGapDays(WEEKS, warm, true)).toBe(7)
    expect(careGapDays(WEEKS, warm, false)).toBeGreaterThanOrEqual(14)
    expect(careGapDays(WEEKS, cool, false)).toBe(28)
    const care = line('plant-care', { from: '05-01', to: '09-30' })
    const count = (aggressivePlants: boolean) => year(work([care], { aggressivePlants })).needs.length
    expect(count(true)).toBeGreaterThan(count(false) * 1.5)
  })
  it('holds only while it is agreed', () => {
    const agreed = { ...routine, starts: '2027-06-01', ends: '2027-08-01' }
    for (const n of year(work([agreed])).needs)
      expect(n.earliest >= '2027-06-01' && n.latest <= '2027-08-01').toBe(true)
    expect(year(work([{ ...line('netting'), ends: '2027-03-01' }])).needs).toEqual([])
  })
  it('says when an agreed job’s window does not come here, and then nothing is left to it', () => {
    const none = inYears(WINDOWS.filter((w) => w.job !== 'spring-cleanout'))
    const { needs, noWindow } = year(work([line('spring-cleanout'), line('spring-startup')], { windowsIn: none }))
    expect(noWindow).toEqual([{ job: 'spring-cleanout' }])
    expect(needs.map((n) => n.job)).toEqual(['spring-startup'])
  })
  it('never ends before it begins, lies within the days asked for, and is named once', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 340 }),
        fc.integer({ min: 5, max: 200 }),
        fc.integer({ min: 3, max: 120 }),
        fc.array(fc.integer({ min: -60, max: 200 }), { maxLength: 6 }),
        (start, span, everyDays, past) => {
          const from = addDays('2027-01-01', start)
          const to = addDays(from, span)
          const visits = past.map((d) => ({ job: 'routine', day: addDays(from, d) }))
          const { needs } = needsOf(
            work(
              [...['spring-cleanout', 'netting', 'winter-shutdown'].map((j) => line(j)), { ...routine, everyDays }],
              { visits },
            ),
            from,
            to,
          )
          expect(new Set(needs.map((n) => n.id)).size).toBe(needs.length)
          for (const need of needs) {
            expect(need.earliest <= need.latest).toBe(true)
            expect(need.earliest >= from && need.latest <= to).toBe(true)
            expect(need.best >= need.earliest && need.best <= need.latest).toBe(true)
          }
        },
      ),
    )
  })
})
