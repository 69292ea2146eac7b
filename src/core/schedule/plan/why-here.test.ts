import { crew, input, MONDAY, visit } from '../../../../tests/fixtures/plan-world'
import { addDays } from '../../numeric/calendar'
import type { Assignment } from './day-times'
import { DEFAULT_PLAN_WEIGHTS } from './plan-input'
import { whyHere } from './why-here'

const DAY = addDays(MONDAY, 9)
const stop = (id: string, order: number, startMin: number, endMin: number, crewId = 'Otter'): Assignment => ({
  visit: id,
  crew: crewId,
  day: DAY,
  order,
  startMin,
  endMin,
  travelMin: 0,
})
/** Home by 960 with the break; two visits of an hour each, 10 and 20 minutes out. */
const hour = { handsMin: 0, fixedMin: 60 }
const given = input([visit('a', { ...hour, location: 1 }), visit('b', { ...hour, location: 2, skills: ['fish'] })], {
  crews: [crew('Otter'), crew('Newt', { skills: [] })],
})
const plan = [stop('a', 0, 460, 520), stop('b', 1, 600, 660)]

describe('why a visit stands where it does', () => {
  it('names its window, who can do it, and what it adds to the day', () => {
    expect(whyHere(given, plan, 'b')).toMatchObject({
      window: { earliest: MONDAY, best: DAY, latest: addDays(MONDAY, 20) },
      offBestDays: 0,
      likelihood: null,
      ableCrews: ['Otter'],
      // 10 out, 10 on, 20 back, against 10 out and 10 back
      detourMin: 20,
      neighbours: [{ visit: 'a', travelMin: 10 }],
    })
    expect(whyHere(given, plan, 'a')!.ableCrews).toEqual(['Otter', 'Newt'])
  })
  it('has as much slack as its day has left, and waiting takes up some of it', () => {
    // b ends at 660, home at 680, the day at 960
    expect(whyHere(given, plan, 'b')!.slackMin).toBe(280)
    // a may use the 70 minutes of waiting before b as well
    expect(whyHere(given, plan, 'a')!.slackMin).toBe(350)
  })
  it('has no more than the hours of the sites that follow allow', () => {
    const closes = input([visit('a', { ...hour, location: 1 }), visit('b', { ...hour, location: 2, closesMin: 615 })])
    expect(whyHere(closes, plan, 'b')!.slackMin).toBe(15)
    expect(whyHere(closes, plan, 'a')!.slackMin).toBe(85)
  })
  it('offers the cheapest other days that break nothing, each at its price', () => {
    const { others } = whyHere(given, plan, 'b')!
    expect(others).toHaveLength(3)
    expect(others.every((o) => o.crew === 'Otter' && o.day !== DAY && o.day <= addDays(MONDAY, 20))).toBe(true)
    // its own way of 40 less the 20 that the old day is spared, and one day off the best
    expect(others[0]!.costMin).toBeCloseTo(20 + DEFAULT_PLAN_WEIGHTS.offBestPerDay, 6)
    expect([...others].sort((x, y) => x.costMin - y.costMin)).toEqual(others)
  })
  it('offers nothing where it was promised, and knows nothing of what is not there', () => {
    const promised = input([
      visit('a', { ...hour, locked: true, published: { crew: 'Otter', day: DAY, startMin: 460 } }),
    ])
    expect(whyHere(promised, [plan[0]!], 'a')).toMatchObject({ locked: true, others: [] })
    expect(whyHere(given, plan, 'c')).toBeNull()
  })
})
