import { CAUSE_KEYS, causeOf } from './causes'
import { findingOf } from './findings'
import { chanceWith, likelihoodOfAll, onEachCause, possibilities, PRIORS } from './network'

const likelihoods = (findings: Parameters<typeof possibilities>[0]) => {
  const possible = possibilities(findings)
  return { possible, of: onEachCause(possible, possible.likelihoods) }
}

describe('the network of causes and findings', () => {
  it('knows the priors while nothing is told: sets of three leave out little', () => {
    const { of } = likelihoods({})
    for (const [i, cause] of CAUSE_KEYS.entries())
      expect({ cause, off: Math.abs(of[i]! - PRIORS[i]!) < 0.25 * PRIORS[i]! }).toEqual({ cause, off: true })
  })
  it('a sign is brought forth by each cause by itself: what none of them brings is left over', () => {
    const shown = causeOf('green-filter-small').shows['water-green']!
    const usual = findingOf('water-green').usual
    expect(chanceWith('water-green', 'green-filter-small')).toBeCloseTo(1 - (1 - usual) * (1 - shown), 12)
    expect(chanceWith('water-green', 'basket-full')).toBeCloseTo(usual, 12)
    expect(chanceWith('water-green', null)).toBeCloseTo(usual, 12)
  })
  it('a circumstance is as often so as the one cause has it', () => {
    expect(chanceWith('filter-small', 'green-filter-small')).toBeCloseTo(0.95, 9)
    expect(chanceWith('filter-small', null)).toBeCloseTo(findingOf('filter-small').usual, 9)
  })
  it('follows Bayes’ rule for one cause against none, worked out by hand', () => {
    // salt-high has one cause: P(c|f) = q'p / (q'p + u(1-p)), the other causes fall out
    const [p, q, u] = [PRIORS[CAUSE_KEYS.indexOf('too-salty')]!, 0.97, findingOf('salt-high').usual]
    const found = 1 - (1 - u) * (1 - q)
    const exact = (found * p) / (found * p + u * (1 - p))
    // sets of at most three leave out a little
    expect(Math.abs(likelihoods({ 'salt-high': true }).of[CAUSE_KEYS.indexOf('too-salty')]! - exact)).toBeLessThan(0.1)
  })
  it('likelihoods of sets sum to one, and both at once is never likelier than one', () => {
    const { possible, of } = likelihoods({ 'water-green': true, 'ammonia-high': true, 'filter-small': true })
    expect(possible.likelihoods.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
    const both = likelihoodOfAll(possible, ['green-filter-small', 'ammonia-overload'])
    expect(both).toBeGreaterThan(0)
    expect(both).toBeLessThanOrEqual(
      Math.min(of[CAUSE_KEYS.indexOf('green-filter-small')]!, of[CAUSE_KEYS.indexOf('ammonia-overload')]!),
    )
  })
})
