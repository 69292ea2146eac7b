import { DomainError } from '../errors'

/** One visit that is over: what the estimate said without anything learnt, and what it took. */
export interface TimedVisit {
  readonly job: string
  readonly pondId: string
  readonly estimateMin: number
  readonly actualMin: number
}

/**
 * Natural logarithms of actual over estimate: how jobs, ponds and single days stray.
 * @source house default; log-normal durations as usual for field work
 */
export const DURATION_SPREAD = { job: 0.25, pond: 0.2, day: 0.3 } as const
/** A visit left open overnight or closed at once teaches nothing. */
const BELIEVABLE_RATIO = [0.15, 6] as const

interface LearntDuration {
  /** Multiplies the estimate. */
  readonly factor: number
  /** How far a single day strays from that, as a factor: 1.35 means a third longer or shorter. */
  readonly spread: number
  readonly visits: number
}

export interface DurationCorrections {
  readonly byJob: ReadonlyMap<string, LearntDuration>
  /** Key: job and pond, see {@link lessonKey}; holds the job's own factor already. */
  readonly byPond: ReadonlyMap<string, LearntDuration>
}

export const correctionKey = (job: string, pondId: string): string => `${job} ${pondId}`

/**
 * What logged visits teach about durations: a factor per kind of job, and per pond on top, each drawn toward what was
 * known before while there is little to go by.
 * Normal–normal shrinkage on logarithms: with n visits of variance σ² and a prior of variance τ², the mean counts
 * nτ²/(nτ²+σ²).
 * @throws {DomainError} a duration that is not positive
 * @source Gelman et al., Bayesian Data Analysis, hierarchical normal model with known variances
 */
export function learnDurationCorrections(visits: readonly TimedVisit[]): DurationCorrections {
  const usable = visits.flatMap((visit) => {
    if (!(visit.estimateMin > 0)) throw new DomainError('estimateMin', visit.estimateMin, 'more than 0 min')
    if (!(visit.actualMin > 0)) throw new DomainError('actualMin', visit.actualMin, 'more than 0 min')
    const ratio = visit.actualMin / visit.estimateMin
    return ratio < BELIEVABLE_RATIO[0] || ratio > BELIEVABLE_RATIO[1] ? [] : [{ ...visit, log: Math.log(ratio) }]
  })
  const byJob = new Map<string, LearntDuration>()
  const byPond = new Map<string, LearntDuration>()
  for (const [job, ofJob] of grouped(usable, (v) => v.job)) {
    const ponds = grouped(ofJob, (v) => v.pondId)
    // a pond's visits share what is peculiar to it, so ten of one pond say less about the job than ten of ten
    const weights = [...ponds.values()].map((seen) => ({
      mean: meanLog(seen),
      variance: DURATION_SPREAD.pond ** 2 + DURATION_SPREAD.day ** 2 / seen.length,
    }))
    const precision = weights.reduce((sum, w) => sum + 1 / w.variance, 1 / DURATION_SPREAD.job ** 2)
    const jobLog = weights.reduce((sum, w) => sum + w.mean / w.variance, 0) / precision
    byJob.set(job, {
      factor: Math.exp(jobLog),
      spread: Math.exp(Math.hypot(DURATION_SPREAD.day, DURATION_SPREAD.pond)),
      visits: ofJob.length,
    })
    for (const [pondId, seen] of ponds) {
      const share =
        (seen.length * DURATION_SPREAD.pond ** 2) / (seen.length * DURATION_SPREAD.pond ** 2 + DURATION_SPREAD.day ** 2)
      const pondLog = jobLog + share * (meanLog(seen) - jobLog)
      byPond.set(correctionKey(job, pondId), {
        factor: Math.exp(pondLog),
        spread: Math.exp(DURATION_SPREAD.day),
        visits: seen.length,
      })
    }
  }
  return { byJob, byPond }
}

/** The factor for a job at a pond: the pond's own, the job's, or none. */
export const factorFor = (corrections: DurationCorrections, job: string, pondId: string): number =>
  (corrections.byPond.get(correctionKey(job, pondId)) ?? corrections.byJob.get(job))?.factor ?? 1

const meanLog = (visits: readonly { readonly log: number }[]): number =>
  visits.reduce((sum, v) => sum + v.log, 0) / visits.length

function grouped<Item>(items: readonly Item[], keyOf: (item: Item) => string): Map<string, Item[]> {
  const groups = new Map<string, Item[]>()
  for (const item of items) groups.set(keyOf(item), [...(groups.get(keyOf(item)) ?? []), item])
  return groups
}
