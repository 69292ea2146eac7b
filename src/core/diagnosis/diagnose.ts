import { CAUSE_KEYS, causeOf, type CauseKey } from './causes'
import { FINDING_KEYS, FINDINGS, type FindingKey, type Findings } from './findings'

/** One finding that speaks for or against a cause. */
export interface Evidence {
  readonly finding: FindingKey
  readonly found: boolean
  /** How many times likelier the finding is with this cause than usual; below 1 it speaks against it. */
  readonly times: number
}

export interface RankedCause {
  readonly cause: CauseKey
  readonly likelihood: number
  /** The strongest first. */
  readonly for: readonly Evidence[]
  readonly against: readonly Evidence[]
}

interface NextTest {
  readonly finding: FindingKey
  /** Uncertainty that it takes away, as a share of what there is. */
  readonly tells: number
}

export interface Diagnosis {
  readonly ranked: readonly RankedCause[]
  /** What would separate the likeliest causes best for its effort; null when nothing would. */
  readonly next: NextTest | null
}

/** Nothing is quite certain: keeps one odd answer from ruling a cause out. */
const LEAST = 0.02
/** A finding must shift the odds by this to be named as evidence. */
const WORTH_NAMING = 1.5
/** Effort of a test in minutes beside which a few more hardly count. */
const EFFORT_MIN = 8

const chance = (cause: CauseKey, finding: FindingKey): number => {
  const p = causeOf(cause).shows[finding] ?? FINDINGS[finding].usual
  return Math.min(1 - LEAST, Math.max(LEAST, p))
}
const usualChance = (finding: FindingKey): number => Math.min(1 - LEAST, Math.max(LEAST, FINDINGS[finding].usual))
const of = (p: number, found: boolean): number => (found ? p : 1 - p)

/**
 * Ranks causes by Bayes' rule over what was found; findings are taken as independent given the cause.
 * @param skipped  questions that nobody can answer now: they are not asked again
 * @returns likelihoods that sum to 1, evidence for and against each, and the test that would tell most for its effort
 * @source naive Bayes as in de Dombal 1972; expected information by Shannon entropy
 */
export function diagnose(findings: Findings, skipped: readonly FindingKey[] = []): Diagnosis {
  const told = FINDING_KEYS.filter((key) => findings[key] !== undefined)
  const weights = CAUSE_KEYS.map((cause) =>
    told.reduce((w, key) => w * of(chance(cause, key), findings[key]!), causeOf(cause).weight),
  )
  const total = weights.reduce((a, b) => a + b, 0)
  const posterior = weights.map((w) => w / total)
  const ranked = CAUSE_KEYS.map((cause, i): RankedCause => ({
    cause,
    likelihood: posterior[i]!,
    ...evidenceOf(cause, told, findings),
  })).sort((a, b) => b.likelihood - a.likelihood)
  return { ranked, next: bestTest(posterior, findings, skipped) }
}

function evidenceOf(
  cause: CauseKey,
  told: readonly FindingKey[],
  findings: Findings,
): Pick<RankedCause, 'for' | 'against'> {
  const all = told.map((finding): Evidence => {
    const found = findings[finding]!
    return { finding, found, times: of(chance(cause, finding), found) / of(usualChance(finding), found) }
  })
  const strength = (e: Evidence) => Math.abs(Math.log(e.times))
  const strongest = (list: Evidence[]) => list.sort((a, b) => strength(b) - strength(a))
  return {
    for: strongest(all.filter((e) => e.times >= WORTH_NAMING)),
    against: strongest(all.filter((e) => e.times <= 1 / WORTH_NAMING)),
  }
}

/**
 * The unanswered question that is expected to tell most about whether it is the likeliest cause or another, weighed
 * by its effort.
 */
function bestTest(posterior: readonly number[], findings: Findings, skipped: readonly FindingKey[]): NextTest | null {
  const first = posterior.indexOf(Math.max(...posterior))
  const now = doubt(posterior[first]!)
  if (now < 1e-3) return null
  let best: (NextTest & { readonly worth: number }) | null = null
  for (const finding of FINDING_KEYS) {
    if (findings[finding] !== undefined || skipped.includes(finding)) continue
    const left = [true, false].reduce((sum, found) => {
      const joint = posterior.map((p, i) => p * of(chance(CAUSE_KEYS[i]!, finding), found))
      const share = joint.reduce((a, b) => a + b, 0)
      return share > 0 ? sum + share * doubt(joint[first]! / share) : sum
    }, 0)
    const tells = (now - left) / now
    const worth = tells / (1 + FINDINGS[finding].minutes / EFFORT_MIN)
    if (!best || worth > best.worth) best = { finding, tells, worth }
  }
  return best && best.tells > 0.01 ? { finding: best.finding, tells: best.tells } : null
}

/** Entropy of a yes or no. */
const doubt = (p: number): number => (p <= 0 || p >= 1 ? 0 : -p * Math.log(p) - (1 - p) * Math.log(1 - p))
