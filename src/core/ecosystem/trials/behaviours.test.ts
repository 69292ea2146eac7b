import { seededRandom } from '../../numeric/random'
import { drawParameters, valueAt } from '../draw-parameters'
import { ECOSYSTEM_PARAMETERS, PARAMETER_NAMES, parameterValues } from '../parameters'
import { BEHAVIOURS } from './behaviours'

describe('what every pond keeper has seen', () => {
  it.each(BEHAVIOURS.map((b) => [b.words, b] as const))('%s', (_words, behaviour) => {
    const { holds, figures } = behaviour.trial(parameterValues())
    expect({ holds, figures }).toEqual({ holds: true, figures })
  })
})

describe('over the priors', () => {
  const DRAWS = 12
  // the quick ones here; all of them over many draws in the report
  it.each(
    BEHAVIOURS.filter((b) => /^(sizing|thinning|overfeeding|clay|tea|runoff)/.test(b.key)).map(
      (b) => [b.words, b] as const,
    ),
  )('nearly always: %s', (_words, { trial, atLeast = 0.9 }) => {
    const held = Array.from({ length: DRAWS }, (_, i) => trial(drawParameters(seededRandom(31 * (i + 1)))).holds)
    // so few draws may fall short of the share by chance
    expect(held.filter(Boolean).length / DRAWS).toBeGreaterThanOrEqual(atLeast - 0.25)
  })
})

describe('the parameters', () => {
  it.each(PARAMETER_NAMES)('%s lies within its range, and the range is where nine draws of ten fall', (name) => {
    const parameter = ECOSYSTEM_PARAMETERS[name]
    expect(parameter.low).toBeLessThan(parameter.value)
    expect(parameter.high).toBeGreaterThan(parameter.value)
    expect(parameter.source.length).toBeGreaterThan(5)
    expect(valueAt(parameter, 0)).toBeCloseTo(parameter.value, 12)
    expect(valueAt(parameter, -1.645)).toBeCloseTo(parameter.low, 3)
    expect(valueAt(parameter, 1.645)).toBeCloseTo(parameter.high, 3)
    expect(valueAt(parameter, 9)).toBeLessThan(parameter.high * 1.5)
  })
  it('are drawn anew by another seed and alike by the same', () => {
    expect(drawParameters(seededRandom(1))).toEqual(drawParameters(seededRandom(1)))
    expect(drawParameters(seededRandom(1)).algaeGrowth).not.toBe(drawParameters(seededRandom(2)).algaeGrowth)
    expect(drawParameters(seededRandom(1), ['algaeGrowth']).uvKill).toBe(ECOSYSTEM_PARAMETERS.uvKill.value)
  })
})
