import fc from 'fast-check'
import { crew, days, input, MONDAY, PLACES, visit } from '../../../../tests/fixtures/plan-world'
import { addDays, daysBetween } from '../../numeric/calendar'
import { seededRandom } from '../../numeric/random'
import { checkRoutes } from '../../routing/check'
import { judgeMove } from './judge-move'
import { makePlan } from './make-plan'
import { DEFAULT_PLAN_WEIGHTS, minutesWith, type PlanInput } from './plan-input'
import { toRouting } from './to-routing'

const plan = (given: PlanInput, iterations = 600, seed = 3) =>
  makePlan(given, { random: seededRandom(seed), iterations })
const at = (outcome: ReturnType<typeof plan>, id: string) => outcome.assignments.find((a) => a.visit === id)!

describe('a plan', () => {
  it('puts a visit on its best day, with the times of the day', () => {
    const outcome = plan(input([visit('a', { location: 3 })]))
    // two people share 170 minutes of handwork at 1.7 pairs of hands; half an hour's way out
    expect(at(outcome, 'a')).toEqual({
      visit: 'a',
      crew: 'Otter',
      day: addDays(MONDAY, 9),
      order: 0,
      startMin: 480,
      endMin: 600,
      travelMin: 30,
    })
    expect(outcome).toMatchObject({ feasible: true, travelMin: 60, unplaced: [] })
  })
  it('gives fish to those who may handle them, and waits for the site to open', () => {
    const outcome = plan(input([visit('a', { skills: ['fish'], kit: ['tank'], opensMin: 660 })]))
    expect(at(outcome, 'a')).toMatchObject({ crew: 'Otter', startMin: 660 })
  })
  it('does not call earlier than the customer was told, unless the day needs it', () => {
    const told = visit('told', { published: { crew: 'Otter', day: addDays(MONDAY, 9), startMin: 600 } })
    expect(at(plan(input([told])), 'told')).toMatchObject({ day: addDays(MONDAY, 9), startMin: 600 })
    // told so late that the day would run over: then as early as can be
    const tooLate = visit('told', { published: { crew: 'Otter', day: addDays(MONDAY, 9), startMin: 940 } })
    expect(at(plan(input([tooLate])), 'told').startMin).toBe(460)
  })
  it('of nothing is there at once', () =>
    expect(plan(input([]))).toMatchObject({ feasible: true, assignments: [], unplaced: [], travelMin: 0 }))
  it('goes on from where another search had got to', () => {
    const many = Array.from({ length: 24 }, (_, i) => visit(`v${i}`, { location: 1 + (i % 7) }))
    const first = plan(input(many), 3000)
    const resumed = makePlan(input(many), { random: seededRandom(9), iterations: 0, resume: first.assignments })
    expect(resumed.cost).toBeCloseTo(first.cost, 6)
    expect(plan(input(many), 0).cost).toBeGreaterThan(first.cost)
  })
  it('offers the best so far while it searches, and shows times that can be driven', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.integer({ min: 1, max: 7 }), fc.integer({ min: 0, max: 27 }), fc.integer({ min: 450, max: 900 })),
          { maxLength: 14 },
        ),
        (rows) => {
          const given = input(
            rows.map(([location, dayAt, startMin], i) =>
              visit(`v${i}`, {
                location,
                free: true,
                published:
                  i % 2 === 0 ? { crew: i % 4 === 0 ? 'Otter' : 'Newt', day: addDays(MONDAY, dayAt), startMin } : null,
              }),
            ),
          )
          let best = 0
          const outcome = makePlan(given, {
            random: seededRandom(2),
            iterations: 130,
            onBest: (take) => (best = take().length),
          })
          expect(best).toBe(rows.length === 0 ? 0 : outcome.assignments.length)
          const byDay = new Map<string, (typeof outcome.assignments)[number][]>()
          for (const a of outcome.assignments)
            byDay.set(`${a.crew} ${a.day}`, [...(byDay.get(`${a.crew} ${a.day}`) ?? []), a])
          for (const stops of byDay.values()) {
            let [clock, here] = [450, 0]
            for (const a of stops) {
              const { location } = given.visits.find((v) => v.id === a.visit)!
              expect(a.startMin).toBeGreaterThanOrEqual(clock + 10 * Math.abs(location - here) - 1e-9)
              ;[clock, here] = [a.endMin, location]
            }
            expect(clock + 10 * here).toBeLessThanOrEqual(960)
          }
        },
      ),
      { numRuns: 25 },
    )
  })
  it('keeps days between visits and the order of jobs', () => {
    const chain = [
      visit('net'),
      visit('clean', { after: [{ visit: 'net', minDays: 1, maxDays: 30, requires: true }] }),
      visit('test', {
        earliest: addDays(MONDAY, 3),
        latest: addDays(MONDAY, 26),
        after: [{ visit: 'clean', minDays: 3, maxDays: 7, requires: true }],
      }),
    ]
    const outcome = plan(input(chain))
    expect(daysBetween(at(outcome, 'net').day, at(outcome, 'clean').day)).toBeGreaterThanOrEqual(1)
    const gap = daysBetween(at(outcome, 'clean').day, at(outcome, 'test').day)
    expect(gap).toBeGreaterThanOrEqual(3)
    expect(gap).toBeLessThanOrEqual(7)
  })
  it('leaves locked visits where they are and moves published ones only for a gain', () => {
    const published = { crew: 'Newt', day: addDays(MONDAY, 2), startMin: 480 }
    const outcome = plan(
      input([
        visit('a', { published, locked: true }),
        visit('b', { published: { ...published, day: addDays(MONDAY, 8) } }),
      ]),
    )
    expect(at(outcome, 'a')).toMatchObject({ crew: 'Newt', day: addDays(MONDAY, 2) })
    // one day off the best is cheaper than a move
    expect(at(outcome, 'b')).toMatchObject({ crew: 'Newt', day: addDays(MONDAY, 8) })
  })
  it('avoids days on which the weather will hardly allow it', () => {
    const best = addDays(MONDAY, 9)
    expect(at(plan(input([visit('a', { likelihood: { [best]: 0.05 } })])), 'a').day).not.toBe(best)
  })
  it('goes to neighbours on one way', () => {
    const outcome = plan(
      input([visit('a', { location: 6 }), visit('b', { location: 6 }), visit('c', { location: 7 })], {
        crews: [crew('Otter')],
      }),
      1500,
    )
    expect(new Set(outcome.assignments.map((a) => a.day)).size).toBe(1)
    expect(outcome.travelMin).toBe(140)
  })
  it('is the same for the same seed, and stops when told with the best so far', () => {
    const given = input(Array.from({ length: 12 }, (_, i) => visit(`v${i}`, { location: 1 + (i % 7) })))
    expect(plan(given)).toEqual(plan(given))
    const stopped = makePlan(given, { random: seededRandom(1), iterations: 1e9, shouldStop: () => true })
    expect(stopped).toMatchObject({ status: 'stopped', feasible: true, unplaced: [] })
  })
})

describe('what finds no place', () => {
  const why = (given: PlanInput) => plan(given, 200).unplaced[0]
  it.each<[string, PlanInput, unknown]>([
    [
      'a skill nobody has',
      input([visit('a', { skills: ['pesticide'] })]),
      { code: 'no-crew-skill', skills: ['pesticide'] },
    ],
    [
      'kit that no skilled crew carries',
      input([visit('a', { skills: ['fish'], kit: ['washer'] })]),
      { code: 'no-crew-kit', kit: ['washer'] },
    ],
    [
      'a window without a working day',
      input([visit('a', { earliest: addDays(MONDAY, 5), best: addDays(MONDAY, 5), latest: addDays(MONDAY, 6) })]),
      { code: 'no-working-day' },
    ],
    ['a customer who is away', input([visit('a', { closedDays: days })]), { code: 'site-closed' }],
    [
      'work longer than a day',
      input([visit('a', { fixedMin: 600 })]),
      { code: 'too-long', minutes: 700, dayMinutes: 510 },
    ],
  ])('says: %s', (_, given, reason) => expect(why(given)!.reasons).toEqual([reason]))
  it('waits for what must come first', () => {
    const given = input([
      visit('clean', { skills: ['pesticide'] }),
      visit('test', { after: [{ visit: 'clean', minDays: 1, maxDays: 9, requires: true }] }),
    ])
    expect(plan(given, 200).unplaced.find((u) => u.visit === 'test')!.reasons).toEqual([
      { code: 'waits-for', visit: 'clean' },
    ])
  })
  it('says that the days are full, and how little more would do', () => {
    const one = { earliest: MONDAY, best: MONDAY, latest: MONDAY, handsMin: 0, fixedMin: 300 }
    const given = input([visit('a', one), visit('b', { ...one, value: 0.5 })], { crews: [crew('Otter')] })
    const { visit: id, reasons, relaxations } = why(given)!
    expect(id).toBe('b')
    expect(reasons).toEqual([{ code: 'days-full' }])
    expect(relaxations).toEqual([
      { code: 'longer-window', days: 3, crew: 'Otter', day: addDays(MONDAY, 1) },
      { code: 'longer-day', minutes: 120, crew: 'Otter', day: MONDAY },
    ])
  })
})

describe('any plan', () => {
  it('passes the checker, loses no visit and respects every window', () => {
    const someVisit = fc.record({
      location: fc.integer({ min: 1, max: PLACES - 1 }),
      handsMin: fc.integer({ min: 0, max: 500 }),
      first: fc.integer({ min: 0, max: 20 }),
      span: fc.integer({ min: 0, max: 12 }),
      fish: fc.boolean(),
      opensMin: fc.constantFrom(0, 600, 780),
      chained: fc.boolean(),
    })
    fc.assert(
      fc.property(fc.array(someVisit, { minLength: 1, maxLength: 25 }), fc.integer(), (list, seed) => {
        const visits = list.map((v, i) => {
          const earliest = addDays(MONDAY, v.first)
          return visit(`v${i}`, {
            location: v.location,
            handsMin: v.handsMin,
            earliest,
            best: earliest,
            latest: addDays(earliest, v.span),
            skills: v.fish ? ['fish'] : [],
            opensMin: v.opensMin,
            after: v.chained && i > 0 ? [{ visit: `v${i - 1}`, minDays: 1, maxDays: 60, requires: true }] : [],
          })
        })
        const given = input(visits)
        const outcome = plan(given, 150, seed)
        expect(outcome.violations).toEqual([])
        expect([...outcome.assignments.map((a) => a.visit), ...outcome.unplaced.map((u) => u.visit)].sort()).toEqual(
          visits.map((v) => v.id).sort(),
        )
        for (const a of outcome.assignments) {
          const v = visits.find((w) => w.id === a.visit)!
          expect(a.day >= v.earliest && a.day <= v.latest).toBe(true)
          expect(a.startMin).toBeGreaterThanOrEqual(v.opensMin)
          expect(a.endMin - a.startMin).toBeCloseTo(
            minutesWith(
              v,
              given.crews.find((c) => c.id === a.crew)!,
            ),
            9,
          )
        }
        for (const u of outcome.unplaced) expect(u.reasons.length).toBeGreaterThan(0)
      }),
      { numRuns: 40 },
    )
  })
})

describe('the checker of plans', () => {
  const { problem } = toRouting(
    input([
      visit('a'),
      visit('b', { skills: ['fish'], after: [{ visit: 'a', minDays: 2, maxDays: 9, requires: true }] }),
    ]),
  )
  const on = (vehicle: number, stops: number[]) => problem.vehicles.map((_, v) => (v === vehicle ? stops : []))
  it.each<[string, number[][], string]>([
    [
      'days between',
      problem.vehicles.map((_, v) => {
        if (v === 0) return [0]
        if (v === 2) return [1]
        return []
      }),
      'too-close',
    ],
    ['what must come first', on(0, [1]), 'without'],
    ['a crew without the skill', on(1, [1]), 'not-allowed'],
    ['a stop twice', problem.vehicles.map((_, v) => (v < 2 ? [0] : [])), 'twice'],
  ])('sees %s', (_, routes, code) => expect(checkRoutes(problem, routes).violations.map((v) => v.code)).toContain(code))
})

describe('moving one visit by hand', () => {
  const given = input([visit('a', { location: 2 }), visit('b', { location: 4, skills: ['fish'] })])
  const outcome = plan(given)
  it('costs nothing where it already is', () => {
    const { crew, day, order } = at(outcome, 'a')
    expect(judgeMove(given, outcome.assignments, { visit: 'a', crew, day, order })).toMatchObject({
      problems: [],
      costMin: expect.closeTo(0, 9),
    })
  })
  it('says what it breaks', () => {
    const late = addDays(MONDAY, 25)
    expect(judgeMove(given, outcome.assignments, { visit: 'b', crew: 'Newt', day: late, order: 0 }).problems).toEqual([
      { code: 'outside-window', earliest: MONDAY, latest: addDays(MONDAY, 20) },
      { code: 'skill', missing: ['fish'] },
    ])
  })
  it('says what it costs: travel, and days off the best', () => {
    const day = addDays(MONDAY, 14)
    const moved = judgeMove(given, outcome.assignments, { visit: 'b', crew: 'Otter', day, order: 0 })
    expect(moved.problems).toEqual([])
    // its own way of 80 minutes, less what the old day is spared (80 − 40), and five days off the best
    expect(moved.costMin).toBeCloseTo(80 - 40 + 5 * DEFAULT_PLAN_WEIGHTS.offBestPerDay, 6)
    expect(moved.day).toMatchObject([{ visit: 'b', startMin: 490 }])
  })
})
