import { CAUSE_KEYS, causeOf } from './causes'
import { FINDING_KEYS, FINDINGS, type FindingKey, type Findings } from './findings'
import { chancesIn, explains, onEachCause, type Possibilities } from './network'

export interface NextTest {
  readonly finding: FindingKey
  /** Uncertainty that it takes away, as a share of what there is. */
  readonly tells: number
}

/** Effort of a test in minutes beside which a few more hardly count. */
const EFFORT_MIN = 8
/** Under this nothing is worth asking, as a share of the doubt there is. */
const HARDLY_TELLS = 0.01
/** From here on what can kill is tested at once, before anything else is asked. */
const CANNOT_WAIT = 0.25
/** So little doubt needs no question. */
const SURE = 1e-3
/**
 * What overlooking a cause costs beside an ordinary one: something dies, or an animal suffers.
 * @source house default
 */
const COST = { urgent: 5, vet: 2, ordinary: 1 } as const

const costs = CAUSE_KEYS.map((key) => {
  const { urgent, specialist } = causeOf(key)
  if (urgent) return COST.urgent
  return specialist === 'vet' ? COST.vet : COST.ordinary
})

/** Entropy of a yes or no. */
const doubt = (p: number): number => (p <= 0 || p >= 1 ? 0 : -p * Math.log(p) - (1 - p) * Math.log(1 - p))
/** What doubt about each cause weighs: nothing where it explains nothing that was found, while others do. */
function weightsOf(findings: Findings): readonly number[] {
  const suspected = costs.map((cost, i) => (explains(CAUSE_KEYS[i]!, findings) ? cost : 0))
  return suspected.some((cost) => cost > 0) ? suspected : costs
}
const doubtAbout = (likelihoods: Float64Array, weights: readonly number[], total = 1): number =>
  likelihoods.reduce((sum, p, i) => sum + (weights[i]! > 0 ? weights[i]! * doubt(Math.min(1, p / total)) : 0), 0)

/**
 * The unanswered question that is expected to take most doubt away for its effort; doubt about what can kill weighs
 * more, doubt about what nothing speaks for weighs nothing.
 * @param skipped questions that nobody can answer now
 * @returns null where no question would tell anything
 * @source expected information by Shannon entropy, weighed by cost
 */
export function nextQuestion(
  possible: Possibilities,
  findings: Findings,
  skipped: readonly FindingKey[],
): NextTest | null {
  const likelihoods = onEachCause(possible, possible.likelihoods)
  const weights = weightsOf(findings)
  const now = doubtAbout(likelihoods, weights)
  const tellsOf = (finding: FindingKey) =>
    now > 0 ? (now - doubtLeft(finding, possible, likelihoods, weights)) / now : 0
  const suspected = likelihoods.map((p, i) => (weights[i]! > 0 ? p : 0))
  const atOnce = dangerTest(suspected, (finding) => findings[finding] === undefined && !skipped.includes(finding))
  if (atOnce) return { finding: atOnce, tells: tellsOf(atOnce) }
  if (now < SURE) return null
  let best: (NextTest & { readonly worth: number }) | null = null
  for (const finding of FINDING_KEYS) {
    if (findings[finding] !== undefined || skipped.includes(finding)) continue
    // what no suspected cause has to do with tells next to nothing of them
    if (!CAUSE_KEYS.some((cause, i) => weights[i]! > 0 && causeOf(cause).shows[finding] !== undefined)) continue
    const tells = tellsOf(finding)
    const worth = tells / (1 + FINDINGS[finding].minutes / EFFORT_MIN)
    if (!best || worth > best.worth) best = { finding, tells, worth }
  }
  return best && best.tells > HARDLY_TELLS ? { finding: best.finding, tells: best.tells } : null
}

/** A test that cannot wait: the first unanswered one of the likeliest cause that can kill. */
function dangerTest(likelihoods: Float64Array, open: (finding: FindingKey) => boolean): FindingKey | null {
  const suspects = CAUSE_KEYS.map((cause, i) => ({
    tests: causeOf(cause).testAtOnce ?? [],
    likelihood: likelihoods[i]!,
  }))
    .filter(({ likelihood }) => likelihood >= CANNOT_WAIT)
    .sort((a, b) => b.likelihood - a.likelihood)
  return suspects.flatMap(({ tests }) => tests).find(open) ?? null
}

/** Doubt that is expected to be left when the question is answered. */
function doubtLeft(
  finding: FindingKey,
  possible: Possibilities,
  likelihoods: Float64Array,
  weights: readonly number[],
): number {
  const found = chancesIn(possible, finding)
  let share = 0
  for (let set = 0; set < found.length; set++) share += found[set]! *= possible.likelihoods[set]!
  const yes = onEachCause(possible, found)
  const no = likelihoods.map((p, i) => p - yes[i]!)
  return share * doubtAbout(yes, weights, share) + (1 - share) * doubtAbout(no, weights, 1 - share)
}
