import fc from 'fast-check'
import { vrptwText } from '../../../../tests/fixtures/vrptw-instance'
import { seededRandom } from '../../numeric/random'
import { checkVrptw } from './check'
import { readVrptw, vrptwDistance, type VrptwInstance } from './instance'
import { solveVrptw } from './solve'

const solve = (instance: VrptwInstance, iterations = 1500, seed = 1) =>
  solveVrptw(instance, { random: seededRandom(seed), iterations })

/** Shortest distance by trying every order and every split into routes. */
function provenOptimum(instance: VrptwInstance): number {
  let best = Infinity
  const walk = (left: readonly number[], routes: number[][]) => {
    if (left.length === 0) {
      const { feasible, distance } = checkVrptw(instance, routes)
      if (feasible && distance < best) best = distance
      return
    }
    for (const id of left) {
      const rest = left.filter((other) => other !== id)
      walk(rest, [...routes.slice(0, -1), [...(routes.at(-1) ?? []), id]])
      if (routes.length > 0 && routes.length < instance.vehicles) walk(rest, [...routes, [id]])
    }
  }
  walk(
    instance.customers.map((c) => c.id),
    [],
  )
  return best
}

describe('the classic text format', () => {
  it('is read with its vehicles, capacity, depot and customers', () => {
    const instance = readVrptw(vrptwText('random', 7, 12, 4))
    expect(instance).toMatchObject({ name: 'random-7', vehicles: 4, capacity: 200, depot: { id: 0, x: 50, y: 50 } })
    expect(instance.customers).toHaveLength(12)
  })
  it.each([
    ['nothing', '', /vehicle count/],
    ['no depot', 'A\n2 10\n1 0 0 1 0 9 1', /depot as customer 0/],
    ['a row too short', 'A\n2 10\n0 0 0 0 0 9 0\n1 2 3', /line 4.*|seven figures/],
    ['a word among figures', 'A\n2 10\n0 0 0 0 0 9 0\n1 2 x 1 0 9 1', /seven figures/],
    ['a window that closes before it opens', 'A\n2 10\n0 0 0 0 0 9 0\n1 2 2 1 9 3 1', /due not before ready/],
    ['a customer twice', 'A\n2 10\n0 0 0 0 0 9 0\n1 2 2 1 0 9 1\n1 3 3 1 0 9 1', /each customer once/],
  ])('with %s is refused by name', (_, text, message) => expect(() => readVrptw(text)).toThrow(message))
})

describe('routes', () => {
  it.each([1, 2, 3, 4])('of a tiny instance are as short as the proven optimum (%i)', (seed) => {
    const instance = readVrptw(vrptwText(seed % 2 ? 'random' : 'mixed', seed, 6, 3))
    const proven = provenOptimum(instance)
    const found = solve(instance)
    if (proven === Infinity) expect(found.unvisited.length).toBeGreaterThan(0)
    else expect(found.distance).toBeCloseTo(proven, 9)
  })
  it('are what the independent checker says they are, whatever the instance', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.constantFrom('random', 'clustered', 'mixed' as const),
        (seed, style) => {
          const instance = readVrptw(vrptwText(style as 'random', seed, 30))
          const found = solve(instance, 300, seed)
          const checked = checkVrptw(instance, found.routes)
          expect(checked.violations).toEqual(found.unvisited.map((id) => `customer ${id} is not visited`))
          expect(checked.distance).toBeCloseTo(found.distance, 6)
        },
      ),
      { numRuns: 15 },
    )
  })
  it('are the same for the same seed, and no longer with more steps', () => {
    const instance = readVrptw(vrptwText('mixed', 9, 40))
    expect(solve(instance, 400)).toEqual(solve(instance, 400))
    expect(solve(instance, 4000).distance).toBeLessThanOrEqual(solve(instance, 64).distance + 1e-9)
  })
  it('leave customers out, and say so, when there are too few vehicles', () => {
    const { unvisited } = solve(readVrptw(vrptwText('random', 5, 40, 2)), 500)
    expect(unvisited.length).toBeGreaterThan(0)
  })
})

describe('the checker', () => {
  const instance = readVrptw('T\n2 10\n0 0 0 0 0 100 0\n1 10 0 6 0 20 5\n2 20 0 6 0 30 5\n3 0 10 1 50 60 5')
  it('measures a plan that can be driven', () => {
    const { feasible, distance } = checkVrptw(instance, [[1, 3], [2]])
    expect(feasible).toBe(true)
    expect(distance).toBeCloseTo(10 + vrptwDistance(instance.customers[0]!, instance.customers[2]!) + 10 + 40, 9)
  })
  it.each([
    ['overload', [[1, 2], [3]], /carries 12, capacity 10/],
    ['a customer left out', [[1], [2]], /customer 3 is not visited/],
    [
      'a customer twice',
      [
        [1, 3],
        [2, 3],
      ],
      /visited twice/,
    ],
    [
      'somebody unknown',
      [
        [1, 3],
        [2, 9],
      ],
      /no customer 9/,
    ],
    ['too many routes', [[1], [2], [3]], /3 routes, but 2 vehicles/],
    ['lateness', [[3, 1], [2]], /reached at .* due 20/],
  ])('names %s', (_, routes, message) => expect(checkVrptw(instance, routes).violations.join('; ')).toMatch(message))
})
