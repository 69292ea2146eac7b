import fc from 'fast-check'
import { JOB_TYPES } from '../jobs/job-types'
import { JOB_PLANNING } from '../jobs/planning-facts'
import { addDays, daysBetween } from '../numeric/calendar'
import { needsOf, type PondWork, type ServiceLine } from './needs'

const line = (job: string, over: Partial<ServiceLine> = {}): ServiceLine => ({ job, everyDays: null, from: null, to: null, ...over })
const WINDOWS = [
  { job: 'spring-cleanout', earliest: '2001-03-10', best: '2001-03-28', latest: '2001-04-15' },
  { job: 'spring-startup', earliest: '2001-03-15', best: '2001-03-30', latest: '2001-04-20' },
  { job: 'netting', earliest: '2001-09-20', best: '2001-10-01', latest: '2001-10-12' },
  { job: 'winter-shutdown', earliest: '2001-11-01', best: '2001-11-12', latest: '2001-11-25' },
]
const work = (lines: readonly ServiceLine[], over: Partial<PondWork> = {}): PondWork => ({
  pondId: 'p',
  lines,
  since: '2020-01-01',
  windows: WINDOWS,
  visits: [],
  followUps: [],
  ...over,
})
const year = (w: PondWork, from = '2027-01-05') => needsOf(w, from, '2027-12-31')
const routine = line('routine', { everyDays: 28, from: '04-15', to: '10-15' })

it('every kind of job has its planning facts', () => expect(Object.keys(JOB_PLANNING).sort()).toEqual(JOB_TYPES.map((j) => j.key).sort()))

describe('what a pond needs', () => {
  it('is each agreed job in its window', () =>
    expect(year(work([line('spring-cleanout'), line('netting')])).needs).toMatchObject([
      { job: 'spring-cleanout', earliest: '2027-03-10', best: '2027-03-28', latest: '2027-04-15' },
      { job: 'netting', earliest: '2027-09-20', latest: '2027-10-12' },
    ]))
  it('is not needed twice: a visit near the window meets it', () =>
    expect(year(work([line('spring-cleanout')], { visits: [{ job: 'spring-cleanout', day: '2027-03-02' }] })).needs).toEqual([]))
  it('leaves out what another job does along with its own, and says so', () => {
    const { needs, covered } = year(work([line('spring-cleanout'), line('spring-startup')]))
    expect(needs.map((n) => n.job)).toEqual(['spring-cleanout'])
    expect(covered).toEqual([{ job: 'spring-startup', by: 'spring-cleanout' }])
  })
  it('is caught up on for a month after its window, and named as missed later', () => {
    expect(year(work([line('spring-startup')]), '2027-05-01').needs).toMatchObject([{ late: true, earliest: '2027-05-01', latest: '2027-05-15' }])
    expect(year(work([line('spring-startup')]), '2027-07-01').missed).toEqual([{ job: 'spring-startup', latest: '2027-04-20' }])
    expect(year(work([line('spring-startup')], { since: '2027-06-01' }), '2027-07-01').missed).toEqual([])
  })
  it('may end after New Year when everything comes late', () => {
    const late = [{ job: 'winter-shutdown', earliest: '2001-12-10', best: '2001-12-28', latest: '2002-01-14' }]
    expect(needsOf(work([line('winter-shutdown')], { windows: late }), '2027-11-01', '2028-02-01').needs[0]).toMatchObject({
      earliest: '2027-12-10',
      best: '2027-12-28',
      latest: '2028-01-14',
    })
  })
  it('puts the net up before the shutdown', () => {
    const { needs } = year(work([line('netting'), line('winter-shutdown')]))
    expect(needs.find((n) => n.job === 'winter-shutdown')!.after).toEqual([{ need: 'p:netting:2027', minDays: 1, maxDays: 365, requires: false }])
  })
  it('comes round from the last visit on, apart from each other', () => {
    const { needs } = year(work([routine], { visits: [{ job: 'routine', day: '2027-04-20' }] }), '2027-05-01')
    expect(needs[0].best).toBe('2027-05-18')
    for (let i = 1; i < needs.length; i++) {
      expect(daysBetween(needs[i - 1].best, needs[i].best)).toBe(28)
      expect(needs[i].after).toEqual([{ need: needs[i - 1].id, minDays: 14, maxDays: 400, requires: false }])
    }
    expect(needs.at(-1)!.best <= '2027-10-15').toBe(true)
  })
  it('takes a follow-up along on a visit that is due anyway, and only then narrows its days', () => {
    const followUp = { id: 'f', title: 'Test TAN', from: '2027-05-14', to: '2027-05-18' }
    const { needs } = year(work([routine], { followUps: [followUp] }), '2027-05-01')
    const host = needs.find((n) => n.with.length > 0)!
    expect(host).toMatchObject({ with: ['Test TAN'] })
    expect(host.earliest >= '2027-05-14' || host.latest <= '2027-05-18').toBe(true)
    expect(year(work([], { followUps: [followUp] }), '2027-05-01').needs).toMatchObject([
      { id: 'p:follow-up:f', job: 'routine', earliest: '2027-05-14', latest: '2027-05-18' },
    ])
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
            work([...['spring-cleanout', 'netting', 'winter-shutdown'].map((j) => line(j)), { ...routine, everyDays }], { visits }),
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
