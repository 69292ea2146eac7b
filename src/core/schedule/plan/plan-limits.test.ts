import fc from 'fast-check'
import { crew, days, input, MONDAY, visit } from '../../../../tests/fixtures/plan-world'
import { addDays } from '../../numeric/calendar'
import { seededRandom } from '../../numeric/random'
import { judgeMove } from './judge-move'
import { makePlan } from './make-plan'
import { DEFAULT_PLAN_WEIGHTS, type PlanCrew, type PlanInput, type PlanVisit } from './plan-input'

const plan = (given: PlanInput, iterations = 800) => makePlan(given, { random: seededRandom(5), iterations })
const DAY = addDays(MONDAY, 9)
/** So many minutes on one day, by one crew of one person. */
const onDay = (id: string, minutes: number, over: Partial<PlanVisit> = {}) =>
  visit(id, { handsMin: 0, fixedMin: minutes, earliest: DAY, best: DAY, latest: DAY, ...over })
const one = (over: Partial<PlanCrew> = {}) => [crew('Otter', over)]

describe('overtime', () => {
  // a day of 510 minutes, of which 20 on the road
  const long = [onDay('a', 530)]
  it('lets in what the day alone would not hold, up to what is allowed', () => {
    expect(plan(input(long, { crews: one() })).unplaced[0]!.reasons).toEqual([
      { code: 'too-long', minutes: 530, dayMinutes: 510 },
    ])
    expect(plan(input(long, { crews: one({ overtimeMin: 30 }) })).unplaced).toHaveLength(1)
    expect(plan(input(long, { crews: one({ overtimeMin: 60 }) }))).toMatchObject({ unplaced: [], feasible: true })
  })
  it('costs its price a minute, in the plan and in a move by hand', () => {
    const crews = one({ overtimeMin: 60 })
    const free = plan(input(long, { crews, weights: { ...DEFAULT_PLAN_WEIGHTS, overtimePerMin: 0 } }))
    const priced = plan(input(long, { crews }))
    // out from 7:30: 10 + 530 + 10 minutes, 40 more than the day has
    expect(priced.cost - free.cost).toBeCloseTo(40 * DEFAULT_PLAN_WEIGHTS.overtimePerMin, 6)
    const given = input([...long, onDay('b', 30, { earliest: MONDAY })], { crews: one({ overtimeMin: 90 }) })
    const standing = [
      { visit: 'a', crew: 'Otter', day: DAY, order: 0, startMin: 460, endMin: 990, travelMin: 10 },
      { visit: 'b', crew: 'Otter', day: MONDAY, order: 0, startMin: 460, endMin: 490, travelMin: 10 },
    ]
    const { problems, costMin } = judgeMove(given, standing, { visit: 'b', crew: 'Otter', day: DAY, order: 1 })
    expect(problems).toEqual([])
    // 30 minutes more of overtime; its own way of 20 is spared, and so are nine days off the best
    expect(costMin).toBeCloseTo(
      30 * DEFAULT_PLAN_WEIGHTS.overtimePerMin - 20 - 9 * DEFAULT_PLAN_WEIGHTS.offBestPerDay,
      6,
    )
  })
  it('is not taken where another day is as good', () => {
    const loose = [onDay('a', 300, { latest: addDays(DAY, 1) }), onDay('b', 300, { latest: addDays(DAY, 1) })]
    const outcome = plan(input(loose, { crews: one({ overtimeMin: 200 }) }))
    expect(new Set(outcome.assignments.map((a) => a.day)).size).toBe(2)
  })
})

describe('fair shares', () => {
  const week = Array.from({ length: 10 }, (_, i) =>
    visit(`v${i}`, {
      handsMin: 0,
      fixedMin: 90,
      earliest: MONDAY,
      best: addDays(MONDAY, 2),
      latest: addDays(MONDAY, 4),
    }),
  )
  const shares = (unfair: number) => {
    const crews = [crew('Otter'), crew('Newt')]
    const { assignments } = plan(input(week, { crews, weights: { ...DEFAULT_PLAN_WEIGHTS, unfair } }), 4000)
    return crews.map((c) => assignments.filter((a) => a.crew === c.id).length).sort()
  }
  it('spread a week evenly over crews that are alike, at any fair price', () => {
    const [few, many] = shares(2000)
    expect(many! - few!).toBeLessThanOrEqual(1)
  })
  it('do not make a plan do what it could not do before', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2000 }), fc.integer(), (unfair, seed) => {
        const given = input(week, { weights: { ...DEFAULT_PLAN_WEIGHTS, unfair } })
        const outcome = makePlan(given, { random: seededRandom(seed), iterations: 150 })
        expect(outcome).toMatchObject({ feasible: true, unplaced: [] })
      }),
      { numRuns: 15 },
    )
  })
})

describe('trucks', () => {
  it('take away no more in a day than they hold', () => {
    const silt = [onDay('a', 60, { load: 3 }), onDay('b', 60, { load: 2 })]
    expect(plan(input(silt, { crews: one({ capacity: 4 }) })).unplaced).toMatchObject([
      { reasons: [{ code: 'days-full' }] },
    ])
    expect(plan(input(silt, { crews: one({ capacity: 5 }) })).unplaced).toEqual([])
  })
  it('bring fish only where their tanks are big enough', () => {
    const koi = [onDay('a', 60, { tankM3: 6 })]
    expect(plan(input(koi, { crews: one({ tankM3: 5 }) })).unplaced[0]!.reasons).toEqual([
      { code: 'no-crew-tank', needsM3: 6, hasM3: 5 },
    ])
    const { assignments } = plan(input(koi, { crews: [...one({ tankM3: 5 }), crew('Newt', { tankM3: 6 })] }))
    expect(assignments).toMatchObject([{ crew: 'Newt' }])
    const small = input(koi, { crews: one({ tankM3: 5 }) })
    expect(judgeMove(small, [], { visit: 'a', crew: 'Otter', day: DAY, order: 0 }).problems).toEqual([
      { code: 'tank', needsM3: 6, hasM3: 5 },
    ])
  })
})

describe('light', () => {
  const dark = Object.fromEntries(days.map((day) => [day, [540, 900] as const]))
  it('begins and ends the day of a crew that works by it', () => {
    const { assignments } = plan(input([onDay('a', 60)], { crews: one({ daylightOnly: true }), light: dark }))
    expect(assignments).toMatchObject([{ startMin: 550 }])
    expect(
      plan(input([onDay('a', 340)], { crews: one({ daylightOnly: true }), light: dark })).unplaced[0]!.reasons[0],
    ).toMatchObject({
      code: 'too-long',
      dayMinutes: 330,
    })
    expect(plan(input([onDay('a', 340)], { crews: one(), light: dark })).unplaced).toEqual([])
  })
})

describe('a yard of its own', () => {
  it('is where the crew sets out and comes home', () => {
    const { travelMin, assignments } = plan(input([onDay('a', 60, { location: 6 })], { crews: one({ depot: 7 }) }))
    expect(travelMin).toBe(20)
    expect(assignments).toMatchObject([{ startMin: 460 }])
  })
})
