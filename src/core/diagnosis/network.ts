import { CAUSE_KEYS, causeOf, type CauseKey } from './causes'
import { FINDING_KEYS, findingOf, type FindingKey, type Findings } from './findings'

/**
 * How causes and findings hang together: a small Bayesian network of two layers. Causes stand beside one another, so
 * several can be at work at once. A sign is brought forth by each of them by itself (noisy-or); a circumstance makes a
 * cause likelier or rarer by its odds.
 * @source noisy-or: Pearl 1988, Probabilistic Reasoning in Intelligent Systems, 4.3; sets of few causes as in
 * Heckerman 1990 (Quickscore), here enumerated
 */

/** How many causes at once are thought of at most. */
const MOST_AT_ONCE = 3
/** Nothing is quite certain: keeps one odd answer from ruling a cause out. */
const LEAST = 0.02
/** Sets that are less likely than this beside the likeliest are forgotten. */
const FORGOTTEN = 1e-6

const within = (p: number): number => Math.min(1 - LEAST, Math.max(LEAST, p))
const odds = (p: number): number => p / (1 - p)

/** Sets of causes at work together, at most three each, with how likely each set is. */
export interface Possibilities {
  /** Places in CAUSE_KEYS, three per set; NOBODY where there are fewer. */
  readonly causes: Int16Array
  readonly likelihoods: Float64Array
}
/** Stands where a set has fewer than three causes: it changes nothing. */
const NOBODY = CAUSE_KEYS.length

/** How likely each cause is before anything is told, in the order of CAUSE_KEYS. */
export const PRIORS: readonly number[] = CAUSE_KEYS.map((key) => causeOf(key).prior)

/** Every set of at most three causes before anything is told. */
const BEFORE: Possibilities = (() => {
  const sets: (readonly number[])[] = [[]]
  let grown: readonly (readonly number[])[] = sets
  for (let size = 1; size <= MOST_AT_ONCE; size++) {
    grown = grown.flatMap((set) => CAUSE_KEYS.flatMap((_, i) => (set.every((other) => other < i) ? [[...set, i]] : [])))
    sets.push(...grown)
  }
  const none = PRIORS.reduce((p, prior) => p * (1 - prior), 1)
  return {
    causes: Int16Array.from(
      sets.flatMap((set) => [...set, ...new Array<number>(MOST_AT_ONCE - set.length).fill(NOBODY)]),
    ),
    likelihoods: Float64Array.from(sets, (set) => set.reduce((p, i) => p * odds(PRIORS[i]!), none)),
  }
})()

/**
 * By finding: what each cause does to it. Of a sign the chance that the cause does not bring it forth, of a
 * circumstance the factor on its odds; 1 where the cause has nothing to do with it.
 */
const EFFECT: Readonly<Record<FindingKey, Float64Array>> = Object.fromEntries(
  FINDING_KEYS.map((key) => {
    const { role, usual } = findingOf(key)
    const effect = CAUSE_KEYS.map((cause) => {
      const shown = causeOf(cause).shows[key]
      if (shown === undefined) return 1
      return role === 'sign' ? 1 - within(shown) : odds(within(shown)) / odds(within(usual))
    })
    return [key, Float64Array.from([...effect, 1])]
  }),
) as Record<FindingKey, Float64Array>

/** How likely a finding is where this cause, or none, is at work. */
export function chanceWith(key: FindingKey, cause: CauseKey | null): number {
  const at = cause === null ? NOBODY : CAUSE_KEYS.indexOf(cause)
  return chancesIn({ causes: Int16Array.of(at, NOBODY, NOBODY), likelihoods: Float64Array.of(1) }, key)[0]!
}

/** How likely a finding is in each of the possibilities. */
export function chancesIn({ causes, likelihoods }: Possibilities, key: FindingKey): Float64Array {
  const { role, usual } = findingOf(key)
  const effect = EFFECT[key]
  const usualOdds = odds(within(usual))
  const chances = new Float64Array(likelihoods.length)
  for (let set = 0, at = 0; set < chances.length; set++, at += MOST_AT_ONCE) {
    const all = effect[causes[at]!]! * effect[causes[at + 1]!]! * effect[causes[at + 2]!]!
    chances[set] = role === 'sign' ? 1 - (1 - usual) * all : within(1 - 1 / (1 + usualOdds * all))
  }
  return chances
}

/** Whether a cause brings forth any sign that was found. */
export const explains = (cause: CauseKey, findings: Findings): boolean =>
  Object.keys(causeOf(cause).shows).some(
    (key) => findings[key as FindingKey] === true && findingOf(key as FindingKey).role === 'sign',
  )

/** What is possible after what was found: likelihoods sum to 1, the negligible is left out. */
export function possibilities(findings: Findings): Possibilities {
  const likelihoods = Float64Array.from(BEFORE.likelihoods)
  for (const key of FINDING_KEYS) {
    const found = findings[key]
    if (found === undefined) continue
    const chances = chancesIn(BEFORE, key)
    for (let set = 0; set < likelihoods.length; set++) likelihoods[set]! *= found ? chances[set]! : 1 - chances[set]!
  }
  const least = FORGOTTEN * likelihoods.reduce((a, b) => Math.max(a, b), 0)
  const kept = [...likelihoods.keys()].filter((set) => likelihoods[set]! > least)
  const total = kept.reduce((sum, set) => sum + likelihoods[set]!, 0)
  return {
    causes: Int16Array.from(
      { length: kept.length * MOST_AT_ONCE },
      (_, i) => BEFORE.causes[kept[Math.floor(i / MOST_AT_ONCE)]! * MOST_AT_ONCE + (i % MOST_AT_ONCE)]!,
    ),
    likelihoods: Float64Array.from(kept, (set) => likelihoods[set]! / total),
  }
}

/**
 * How much of what lies on the sets falls on each cause, in the order of CAUSE_KEYS; of likelihoods: how likely each
 * is at work. Several are at once, so they need not sum to 1.
 */
export function onEachCause({ causes }: Possibilities, ofSets: Float64Array): Float64Array {
  const of = new Float64Array(NOBODY + 1)
  for (let set = 0, at = 0; set < ofSets.length; set++, at += MOST_AT_ONCE) {
    const share = ofSets[set]!
    of[causes[at]!]! += share
    of[causes[at + 1]!]! += share
    of[causes[at + 2]!]! += share
  }
  return of.subarray(0, NOBODY)
}

/** How likely it is that all of these are at work. */
export function likelihoodOfAll({ causes, likelihoods }: Possibilities, wanted: readonly CauseKey[]): number {
  const places = wanted.map((cause) => CAUSE_KEYS.indexOf(cause))
  return likelihoods.reduce((sum, likelihood, set) => {
    const inSet = causes.subarray(set * MOST_AT_ONCE, (set + 1) * MOST_AT_ONCE)
    return places.every((i) => inSet.includes(i)) ? sum + likelihood : sum
  }, 0)
}
