import { addDays, isoWeekday } from '@/core/numeric/calendar'
import { seededRandom } from '@/core/numeric/random'
import { answerProblem } from '@/domain/visits/step-check'
import { usualInWords } from '@/server/visits/usual-in-words'
import { plausibleAnswer } from '../../demo/living/answers'
import { agreedFor } from '../../demo/living/agreed'
import { ALL_CREWS, LIVING_PEOPLE } from '../../demo/living/people'
import { planRounds, type RoundPond, type RoundVisit } from '../../demo/living/rounds-plan'
import { LIVING_SITES } from '../../demo/living/sites'
import { SITES } from '../../demo/all-sites'
import { placeOf } from '../../demo/map'
import { PEOPLE } from '../../demo/people'
import { NewPondInput } from '@/domain/customers/customer'
import { PersonInput } from '@/domain/people/people'
import { pondFacts } from '@/domain/ponds/pond-facts'
import { SERVICE_JOBS, ServicePlan } from '@/domain/schedule/service-plan'

const all = [...SITES, ...LIVING_SITES]

describe('the ordinary customers of the demo', () => {
  it('make about 120 sites and 150 ponds with those of the stories, each named once', () => {
    expect(all).toHaveLength(120)
    const ponds = all.flatMap(({ ponds }) => ponds)
    expect(ponds.length).toBeGreaterThanOrEqual(145)
    expect(ponds.length).toBeLessThanOrEqual(155)
    expect(new Set(all.map(({ site }) => site)).size).toBe(all.length)
    expect(new Set(ponds.map(({ key }) => key)).size).toBe(ponds.length)
    expect(new Set(all.map(({ customer }) => customer)).size).toBe(all.length)
  })
  it('can be measured up, and their service plans can be agreed', () => {
    for (const site of LIVING_SITES)
      for (const { pond } of site.ponds) {
        const input = {
          customer: { kind: 'new', customer: { name: site.customer } },
          site: { kind: 'new', site: { name: site.site, stationId: site.stationId } },
          pond,
        }
        expect(NewPondInput.safeParse(input).error?.issues ?? []).toEqual([])
        expect(pondFacts(pond).ok).toBe(true)
        expect(ServicePlan.safeParse(agreedFor(pond)).error?.issues ?? []).toEqual([])
      }
  })
  it('are looked after by five crews with a lead each, sixteen people in all', () => {
    const people = [...PEOPLE, ...LIVING_PEOPLE]
    expect([ALL_CREWS.length, people.length, new Set(people.map((p) => p.email)).size]).toEqual([5, 16, 16])
    for (const { name, email, role } of LIVING_PEOPLE)
      expect(PersonInput.safeParse({ name, email, role, password: 'long enough 1' }).success).toBe(true)
    for (const crew of ALL_CREWS)
      expect(people.filter((p) => p.crew === crew && p.role === 'crew-lead')).toHaveLength(1)
  })
})

/** Windows as a pond of the lowlands and one of the uplands have them in the middle of all years. */
const WINDOWS = {
  low: [
    { job: 'spring-cleanout', earliest: '2001-02-10', best: '2001-03-20', latest: '2001-04-20' },
    { job: 'spring-startup', earliest: '2001-03-05', best: '2001-03-28', latest: '2001-04-25' },
    { job: 'netting', earliest: '2001-09-25', best: '2001-10-10', latest: '2001-10-28' },
    { job: 'winter-shutdown', earliest: '2001-11-08', best: '2001-11-25', latest: '2001-12-20' },
  ],
  high: [
    { job: 'spring-cleanout', earliest: '2001-04-05', best: '2001-05-01', latest: '2001-06-01' },
    { job: 'spring-startup', earliest: '2001-04-15', best: '2001-05-04', latest: '2001-05-28' },
    { job: 'netting', earliest: '2001-08-28', best: '2001-09-18', latest: '2001-10-08' },
    { job: 'winter-shutdown', earliest: '2001-10-10', best: '2001-10-28', latest: '2001-11-20' },
  ],
} as const
const MINUTES: Readonly<Record<string, number>> = { 'spring-cleanout': 330, 'spring-startup': 110, routine: 75 }

const ponds: RoundPond[] = all.flatMap((site) =>
  site.ponds.map(({ key, pond }) => ({
    id: key,
    town: site.town,
    ...placeOf(site),
    opens: '',
    closes: '',
    closedDays: [],
    ...site.hours,
    agreed: agreedFor(pond),
    windows: WINDOWS[pond.altitudeM > 300 ? 'high' : 'low'],
    minutesOf: (type: string) => MINUTES[type] ?? 50,
  })),
)
const byId = new Map(ponds.map((pond) => [pond.id, pond]))
const endOf = ({ startTime, minutes }: RoundVisit) =>
  Number(startTime.slice(0, 2)) * 60 + Number(startTime.slice(3)) + minutes

describe.each([
  ['a winter day', '2027-01-20', ['winter-check'], ['spring-cleanout', 'netting', 'routine']],
  ['the spring rush', '2027-03-24', ['spring-cleanout', 'spring-startup'], ['netting', 'winter-check']],
  ['high summer', '2027-07-14', ['routine', 'plant-care'], ['spring-cleanout', 'netting', 'winter-check']],
  ['autumn', '2027-10-06', ['netting'], ['spring-cleanout', 'spring-startup', 'winter-check']],
  ['a Sunday in November', '2026-11-29', ['winter-shutdown', 'winter-check'], ['spring-cleanout', 'netting']],
])('the rounds about %s', (_name, today, wanted, unwanted) => {
  const visits = planRounds(ponds, ALL_CREWS, today)
  const near = visits.filter(({ day }) => day >= addDays(today, -10) && day <= addDays(today, 10))

  it('are the work of the season', () => {
    const types = new Set(near.map(({ visitType }) => visitType))
    for (const type of wanted) expect(types).toContain(type)
    for (const type of unwanted) expect(types).not.toContain(type)
  })
  it('keep every crew at work on weekdays, today too, and nobody on a weekend', () => {
    expect(visits.filter(({ day }) => isoWeekday(day) > 5)).toEqual([])
    const at = isoWeekday(today) > 5 ? addDays(today, 8 - isoWeekday(today)) : today
    expect(new Set(visits.filter(({ day }) => day === at).map(({ crew }) => crew)).size).toBeGreaterThanOrEqual(4)
    for (const crew of ALL_CREWS) {
      expect(visits.filter((v) => v.crew === crew && v.day < today).length).toBeGreaterThan(0)
      expect(visits.filter((v) => v.crew === crew && v.day > today).length).toBeGreaterThan(0)
    }
  })
  it('hold: nobody is at two ponds at once, a day ends, and nobody comes to a closed gate', () => {
    for (const [i, visit] of visits.entries()) {
      const next = visits[i + 1]
      if (next?.crew === visit.crew && next.day === visit.day)
        expect(endOf({ ...next, minutes: 0 })).toBeGreaterThan(endOf(visit))
      expect(endOf(visit)).toBeLessThanOrEqual(16 * 60 + 30)
      const pond = byId.get(visit.pondId)!
      if (pond.opens) expect(visit.startTime >= pond.opens).toBe(true)
      expect(pond.closedDays).not.toContain(['mon', 'tue', 'wed', 'thu', 'fri'][isoWeekday(visit.day) - 1])
    }
  })
  it('are the same every time', () => {
    expect(planRounds(ponds, ALL_CREWS, today)).toEqual(visits)
  })
})

describe.each(SERVICE_JOBS.map(({ key }) => key))('a log of %s as the demo writes it', (key) => {
  it.each([
    ['under ice', 0.5, false],
    ['in summer, with too many fish', 22, true],
  ])('answers every step as the field sheet asks, %s', (_name, waterC, strained) => {
    const { steps } = usualInWords(key)!
    const random = seededRandom(7)
    for (const step of steps) {
      const photos = step.kind === 'photo' ? 1 : 0
      for (let i = 0; i < 20; i++) {
        const answer = plausibleAnswer(
          step,
          { waterC, depthM: 1.1, strained },
          [{ species: 'goldfish', count: 12, lengthM: 0.12 }],
          random,
        )
        expect([step.key, answerProblem(step, answer, photos, true)]).toEqual([step.key, null])
      }
    }
  })
})

it('the spring rush is one: more is wanted than the crews of the rush can do', () => {
  const perWeek = (today: string) =>
    planRounds(ponds, ALL_CREWS, today)
      .filter(({ day }) => day >= today && day < addDays(today, 7))
      .reduce((sum, { minutes }) => sum + minutes, 0)
  expect(perWeek('2027-03-22')).toBeGreaterThan(1.8 * perWeek('2027-01-18'))
})
