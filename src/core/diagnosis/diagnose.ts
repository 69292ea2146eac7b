import { CAUSE_KEYS, causeOf, isUrgent, type CauseKey } from './causes'
import { FINDING_KEYS, type FindingKey, type Findings } from './findings'
import { chanceWith, explains, likelihoodOfAll, onEachCause, possibilities, type Possibilities } from './network'
import { nextQuestion, type NextTest } from './next-question'

/** One finding that speaks for or against a cause. */
export interface Evidence {
  readonly finding: FindingKey
  readonly found: boolean
  /** How many times likelier the finding is with this cause than with none; below 1 it speaks against it. */
  readonly times: number
}

export interface RankedCause {
  readonly cause: CauseKey
  /** How likely it is at work, 0 to 1. Several can be at once: they do not sum to 1. */
  readonly likelihood: number
  /** It brings forth something that was found. */
  readonly explains: boolean
  /** The strongest first. */
  readonly for: readonly Evidence[]
  readonly against: readonly Evidence[]
}

export interface Diagnosis {
  readonly ranked: readonly RankedCause[]
  /** Causes that are likely at work together; empty where one alone explains what was found. */
  readonly together: readonly CauseKey[]
  /** What can kill or hurt, is not likely and not ruled out either. */
  readonly notRuledOut: readonly CauseKey[]
  /** What would separate the causes best for its effort; null when nothing would. */
  readonly next: NextTest | null
}

/** From here on what can kill is named before what cannot: overlooking it costs more than naming it wrongly. */
const NAMED_FIRST = 0.3
/** A cause is said beside the first one from here on. */
const LIKELY_BESIDE = 0.2
/**
 * Two causes go together where they are not each other's alternatives: both at once are at least so many times as
 * likely as if they had nothing to do with each other. Rival explanations of one sign come to a tenth of that.
 */
const NOT_RIVALS = 0.5
const MOST_TOGETHER = 3
/** Under this a deadly cause counts as ruled out. */
const RULED_OUT = 0.08
/** A finding must shift the odds by this to be named as evidence. */
const WORTH_NAMING = 1.5

/**
 * Ranks causes by what was found, asks what would tell most, and says what else may be wrong at the same time.
 * @param skipped  questions that nobody can answer now: they are not asked again
 * @source Bayesian network as in network.ts; its figures are those of causes and findings
 */
export function diagnose(findings: Findings, skipped: readonly FindingKey[] = []): Diagnosis {
  const told = FINDING_KEYS.filter((key) => findings[key] !== undefined)
  const possible = possibilities(findings)
  const likelihoods = onEachCause(possible, possible.likelihoods)
  const ranked = CAUSE_KEYS.map((cause, i): RankedCause => ({
    cause,
    likelihood: Math.min(1, likelihoods[i]!),
    explains: explains(cause, findings),
    ...evidenceOf(cause, told, findings),
  })).sort(
    (a, b) =>
      Number(b.explains) - Number(a.explains) ||
      Number(goesFirst(b)) - Number(goesFirst(a)) ||
      b.likelihood - a.likelihood,
  )
  return {
    ranked,
    together: togetherIn(ranked, possible),
    notRuledOut: ranked
      .filter(({ cause, explains, likelihood }) => isUrgent(cause) && explains && likelihood >= RULED_OUT)
      .filter((ranked) => !goesFirst(ranked))
      .map(({ cause }) => cause),
    next: nextQuestion(possible, findings, skipped),
  }
}

const goesFirst = ({ cause, likelihood }: RankedCause): boolean => isUrgent(cause) && likelihood >= NAMED_FIRST

/** The first cause and those that are likely at work beside it, not instead of it; empty where it stands alone. */
function togetherIn(ranked: readonly RankedCause[], possible: Possibilities): CauseKey[] {
  const likely = ranked.filter(({ explains, likelihood }) => explains && likelihood >= LIKELY_BESIDE)
  const together: RankedCause[] = []
  for (const one of likely) {
    const goesWith = (other: RankedCause) =>
      likelihoodOfAll(possible, [one.cause, other.cause]) >= NOT_RIVALS * one.likelihood * other.likelihood
    if (together.length < MOST_TOGETHER && together.every(goesWith)) together.push(one)
  }
  return together.length > 1 ? together.map(({ cause }) => cause) : []
}

function evidenceOf(
  cause: CauseKey,
  told: readonly FindingKey[],
  findings: Findings,
): Pick<RankedCause, 'for' | 'against'> {
  const of = (p: number, found: boolean) => (found ? p : 1 - p)
  const all = told
    .filter((finding) => causeOf(cause).shows[finding] !== undefined)
    .map((finding): Evidence => {
      const found = findings[finding]!
      return { finding, found, times: of(chanceWith(finding, cause), found) / of(chanceWith(finding, null), found) }
    })
  const strength = (e: Evidence) => Math.abs(Math.log(e.times))
  const strongest = (list: Evidence[]) => list.sort((a, b) => strength(b) - strength(a))
  return {
    for: strongest(all.filter((e) => e.times >= WORTH_NAMING)),
    against: strongest(all.filter((e) => e.times <= 1 / WORTH_NAMING)),
  }
}
