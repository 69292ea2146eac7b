import fc from 'fast-check'
import { Evenness } from './evenness'
import type { RoutingProblem } from './problem'

const problem = (capacities: readonly (readonly number[])[], weight = 100): RoutingProblem => ({
  locations: 1,
  travel: new Float64Array(1),
  vehicles: [],
  stops: [],
  links: [],
  dayWeight: 0,
  balance: { weight, groups: capacities.flatMap((of, period) => of.map((capacity) => ({ period, capacity }))) },
})
/** From nothing but the definition. */
const plainly = (capacities: readonly (readonly number[])[], minutes: readonly number[], weight = 100): number => {
  let group = 0
  let cost = 0
  for (const of of capacities) {
    const shares = of.flatMap((capacity) => (group++, capacity > 0 ? [minutes[group - 1]! / capacity] : []))
    const mean = shares.reduce((a, b) => a + b, 0) / Math.max(1, shares.length)
    cost += weight * shares.reduce((sum, share) => sum + (share - mean) ** 2, 0)
  }
  return cost
}

describe('evenness', () => {
  it('prices one full group beside an empty one at half its weight', () => {
    const evenness = new Evenness(problem([[480, 480]]))
    expect(evenness.add(0, 480)).toBeCloseTo(50, 9)
    expect(evenness.add(1, 480)).toBeCloseTo(-50, 9)
    expect(evenness.cost).toBeCloseTo(0, 9)
  })
  it('asks nothing of a group alone, of one without hours, or of nobody', () => {
    const evenness = new Evenness(problem([[480], [480, 0]]))
    expect([evenness.add(0, 200), evenness.add(1, 200), evenness.add(2, 200), evenness.add(undefined, 200)]).toEqual([
      0, 0, 0, 0,
    ])
  })
  it('kept up to date in steps it is what its definition says, and what was forecast', () => {
    const capacities = [
      [480, 240, 960],
      [480, 0, 480],
    ]
    const steps = fc.array(fc.tuple(fc.integer({ min: 0, max: 5 }), fc.integer({ min: -200, max: 400 })), {
      maxLength: 40,
    })
    fc.assert(
      fc.property(steps, (list) => {
        const evenness = new Evenness(problem(capacities))
        const minutes = [0, 0, 0, 0, 0, 0]
        for (const [group, more] of list) {
          const forecast = evenness.wouldAdd(group, more)
          expect(evenness.add(group, more)).toBeCloseTo(forecast, 6)
          expect(-forecast).toBeLessThanOrEqual(
            evenness.maxGain(Math.abs(more)) *
              Math.max(1, ...minutes.map((m, g) => Math.abs(m) / (capacities.flat()[g] || 1))) +
              1e-6,
          )
          minutes[group]! += more
        }
        expect(evenness.cost).toBeCloseTo(plainly(capacities, minutes), 5)
      }),
    )
  })
})
