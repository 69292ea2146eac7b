import { crew, input, MONDAY, visit } from '../../../../tests/fixtures/plan-world'
import { addDays } from '../../numeric/calendar'
import { seededRandom } from '../../numeric/random'
import { heldMinutes, withStandingSpare } from './held-minutes'
import { judgeMove } from './judge-move'
import { makePlan } from './make-plan'
import type { PlanInput, PlanVisit } from './plan-input'

const plan = (given: PlanInput) => makePlan(given, { random: seededRandom(5), iterations: 800 })
const DAY = addDays(MONDAY, 9)
const onDay = (id: string, minutes: number, over: Partial<PlanVisit> = {}) =>
  visit(id, { handsMin: 0, fixedMin: minutes, earliest: DAY, best: DAY, latest: DAY, ...over })
// a day of 510 minutes from 7:30, of which 20 on the road
const crews = [crew('Otter')]
const standing = (id: string, startMin: number, minutes: number, over: Partial<PlanVisit> = {}) =>
  onDay(id, minutes, { published: { crew: 'Otter', day: DAY, startMin }, slackMin: 0, ...over })

describe('minutes kept free after a visit', () => {
  it('come before the next stop, and are no part of the visit', () => {
    // the first is open early only
    const early = onDay('a', 120, { spareMin: 40, closesMin: 470 })
    const outcome = plan(input([early, onDay('b', 60)], { crews }))
    const [first, second] = [...outcome.assignments].sort((x, y) => x.order - y.order)
    expect([first!.visit, first!.endMin - first!.startMin]).toEqual(['a', 120])
    expect([second!.visit, second!.endMin - second!.startMin]).toEqual(['b', 60])
    expect(second!.startMin - first!.endMin - second!.travelMin).toBe(40)
    expect(outcome.feasible).toBe(true)
  })
  it('keep a day from being filled to the minute', () => {
    const filled = (spareMin: number) =>
      plan(input([onDay('a', 240, { spareMin }), onDay('b', 240, { spareMin })], { crews })).unplaced.length
    expect(filled(0)).toBe(0)
    expect(filled(30)).toBe(1)
  })
  it('leave out no visit that fills its day alone', () => {
    const long = onDay('a', 480, { spareMin: 60 })
    const given = input([long], { crews })
    expect(plan(given).unplaced).toEqual([])
    expect(heldMinutes(given, long, crews[0]!, DAY)).toBe(490)
  })
  it('move nothing that stands: days that a person laid out tightly keep their hours', () => {
    const given = withStandingSpare(
      input([standing('a', 460, 240, { spareMin: 60 }), standing('b', 700, 240, { spareMin: 60 })], { crews }),
    )
    expect(given.visits.map((v) => v.spareMin)).toEqual([0, 10])
    const outcome = plan(given)
    expect(outcome.overlong).toEqual([])
    expect(outcome.assignments.map((a) => a.startMin).sort()).toEqual([460, 700])
  })
  it('are the person’s to fill by hand', () => {
    const given = input([standing('a', 460, 240, { spareMin: 60 }), onDay('b', 240, { earliest: MONDAY })], { crews })
    const at = (id: string, day: string) => ({
      visit: id,
      crew: 'Otter',
      day,
      order: 0,
      startMin: 460,
      endMin: 700,
      travelMin: 10,
    })
    const move = { visit: 'b', crew: 'Otter', day: DAY, order: 1 }
    expect(judgeMove(given, [at('a', DAY), at('b', MONDAY)], move).problems).toEqual([])
  })
})

describe('a crew’s pace', () => {
  it('lengthens its handwork and not what machines take', () => {
    const visits = [visit('a', { handsMin: 170, fixedMin: 60, earliest: DAY, best: DAY, latest: DAY })]
    const took = (pace: number) => {
      const [a] = plan(input(visits, { crews: [crew('Otter', { size: 2, pace })] })).assignments
      return a!.endMin - a!.startMin
    }
    expect(took(1)).toBe(160)
    expect(took(1.2)).toBe(180)
  })
})
