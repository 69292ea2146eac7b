import { assertInRange, DomainError } from '../errors'

const MAX_CHANGES = 1000

/**
 * Equal part water changes that bring a concentration to its target: Cₙ = C_s + (C₀ − C_s)(1 − f)ⁿ.
 * @param current concentration now; same unit as source and target
 * @param source concentration in the water put in
 * @param maxFraction largest share changed at once, 0..1
 * @returns how many changes, and the level after each
 * @throws {DomainError} the target lies beyond what the source water can reach
 */
export function waterChanges(
  current: number,
  source: number,
  target: number,
  maxFraction: number,
): { count: number; afterEach: number[] } {
  for (const [name, value] of Object.entries({ current, source, target })) assertInRange(name, value, [0, 1e6])
  assertInRange('maxFraction', maxFraction, [0.01, 1])
  const direction = Math.sign(target - current)
  if (direction !== 0 && Math.sign(source - target) !== direction && !(maxFraction === 1 && source === target))
    throw new DomainError('target', target, `between the pond's ${current} and the source water's ${source}`)
  const afterEach: number[] = []
  let level = current
  while (direction * (target - level) > 1e-12) {
    if (afterEach.length === MAX_CHANGES)
      throw new DomainError('target', target, `reachable within ${MAX_CHANGES} changes`)
    level = source + (level - source) * (1 - maxFraction)
    afterEach.push(level)
  }
  return { count: afterEach.length, afterEach }
}
