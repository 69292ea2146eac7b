import { DomainError } from '../errors'
import { fitEffects, type Believed, type EffectModel, type EffectObservation } from '../statistics/crossed-effects'
import { Z90 } from '../statistics/normal'

/** One visit that is over: what it was estimated at without anything learnt, and what it took. */
export interface TimedVisit {
  readonly job: string
  readonly pondId: string
  readonly crewId: string
  /** Handwork of this crew, and pumping, filling and waiting that took their time beside it, minutes. */
  readonly handsMin: number
  readonly machineMin: number
  readonly tookMin: number
}

/**
 * Natural logarithms of what handwork took over its estimate: how firms, jobs, crews, ponds and single days stray,
 * and how many of each this belief is worth. Learnt from the firm's own visits.
 * @source house defaults; log-normal durations as usual for field work
 */
export const DURATION_SPREAD = {
  firm: { sd: 0.3, worth: 1 },
  job: { sd: 0.25, worth: 4 },
  crew: { sd: 0.15, worth: 4 },
  pond: { sd: 0.2, worth: 8 },
  day: { sd: 0.3, worth: 6 },
} as const
/** Pumps and hoses stray by this share from what they were reckoned at. @source house default */
export const MACHINE_SPREAD = 0.1
/** A visit left open overnight or closed at once teaches nothing. */
const BELIEVABLE_RATIO = [0.15, 6] as const
/** Whether a visit can have taken so many times its estimate. */
export const believable = (ratio: number): boolean => ratio >= BELIEVABLE_RATIO[0] && ratio <= BELIEVABLE_RATIO[1]
/** Handwork is not read to have taken less than this share of what was expected. */
const LEAST_SHARE = 0.35
/** Student's t with four degrees of freedom: its standard deviation is near a normal's when its scale is this less. */
const T_SCALE = 0.836
/** Its quantile of 90 %. */
const T90 = 1.533
const ROUNDS = 4

/** How handwork of a kind goes: a factor on its plain estimate. */
export interface HandsFactor {
  /** What it takes on average, over the plain estimate. */
  readonly factor: number
  /**
   * Half of the visits take less than `middle` times their estimate, one in ten less than `low`, one in ten more than
   * `high`.
   */
  readonly middle: number
  readonly low: number
  readonly high: number
  /** Standard deviation of a single visit's, over the plain estimate. */
  readonly sd: number
}

export interface LearntDurations {
  /** Anything known of a job at a pond with a crew; null or one never seen: any. */
  readonly factorOf: (job: string, pondId: string | null, crewId: string | null) => HandsFactor
  /** How much longer a crew takes over the same work than crews do on average. */
  readonly paceOf: (crewId: string) => number
  readonly visits: readonly TimedVisit[]
}

/**
 * What logged visits teach about handwork: by firm, job, crew and pond, each drawn toward the others while there is
 * little to go by; spreads are learnt as well. Hoses and pumps take their time whoever is there and however fast: they
 * are taken off with their own uncertainty, so that a long refill tells little of hands.
 * @throws {DomainError} a duration that is not positive
 * @source Gelman et al., Bayesian Data Analysis, hierarchical models; see {@link fitEffects}
 */
export function learnDurations(visits: readonly TimedVisit[]): LearntDurations {
  visits.forEach((visit, i) => {
    for (const key of ['handsMin', 'tookMin'] as const)
      if (!(visit[key] > 0)) throw new DomainError(`visits.${i}.${key}`, visit[key], 'more than 0 min')
    if (!(visit.machineMin >= 0)) throw new DomainError(`visits.${i}.machineMin`, visit.machineMin, '0 min or more')
  })
  const seen = visits.filter(({ handsMin, machineMin, tookMin }) => believable(tookMin / (handsMin + machineMin)))
  const [jobs, crews, ponds] = [levelsOf(seen, 'job'), levelsOf(seen, 'crewId'), levelsOf(seen, 'pondId')]
  const model = modelOf(jobs.size, crews.size, ponds.size)
  const levels = (job: string, crewId: string | null) => [
    jobs.get(job) ?? null,
    crewId === null ? null : (crews.get(crewId) ?? null),
  ]
  let expected = seen.map(() => 0)
  let fitted = fitEffects([], model)
  // a hose's minutes are taken off what was to be expected of hands, which is only known once they are fitted
  for (let round = 0; round < (seen.some((v) => v.machineMin > 0) ? ROUNDS : 1); round++) {
    const observations = seen.map((visit, i): EffectObservation => ({
      ...handsTold(visit, expected[i]!),
      crossed: [jobs.get(visit.job)!, crews.get(visit.crewId)!],
      nested: ponds.get(visit.pondId)!,
    }))
    fitted = fitEffects(observations, model, round > 0 ? fitted.spreads : undefined)
    expected = observations.map((o) => fitted.at(o.crossed, o.nested).value)
  }
  const single = fitted.spreads.single
  const factorOf: LearntDurations['factorOf'] = (job, pondId, crewId) =>
    factorBy(fitted.at(levels(job, crewId), pondId === null ? null : (ponds.get(pondId) ?? null)), single)
  return {
    factorOf,
    paceOf: (crewId) => Math.exp(crewEffect(fitted.at, crews.get(crewId))),
    visits: seen,
  }
}

/** The plain estimate is taken to be right on average before anything is seen: its median is a little less. */
function modelOf(jobs: number, crews: number, ponds: number): EffectModel {
  const { firm, job, crew, pond, day } = DURATION_SPREAD
  const variance = [firm, job, crew, pond, day].reduce((sum, { sd }) => sum + sd ** 2, 0)
  return {
    mean: { value: -variance / 2, sd: firm.sd },
    crossed: [
      { ...job, levels: jobs },
      { ...crew, levels: crews },
    ],
    nested: { ...pond, levels: ponds },
    single: { sd: T_SCALE * day.sd, worth: day.worth },
  }
}

/**
 * What a visit tells of handwork, as the logarithm of its factor, with the variance that the machines' minutes leave.
 * @param expected the logarithm that was to be expected of it
 */
function handsTold(
  { handsMin, machineMin, tookMin }: TimedVisit,
  expected: number,
): Pick<EffectObservation, 'value' | 'variance'> {
  const hands = handsMin * Math.exp(expected)
  const share = (tookMin - machineMin) / hands
  const variance = ((MACHINE_SPREAD * machineMin) / hands) ** 2
  // the logarithm of what strays lies lower than what it strays about
  if (share >= LEAST_SHARE) return { value: expected + Math.log(share) + variance / 2, variance }
  // a visit that was over before its hose could be says that hands were quick, not how quick: the shorter, the less
  const untold = (LEAST_SHARE - share) / LEAST_SHARE
  return { value: expected + Math.log(LEAST_SHARE) + variance / 2, variance: variance + untold ** 2 }
}

function factorBy({ value, variance }: Believed, single: number): HandsFactor {
  const total = variance + (single / T_SCALE) ** 2
  const factor = Math.exp(value + total / 2)
  const reach = Math.hypot(Z90 * Math.sqrt(variance), T90 * single)
  return {
    factor,
    middle: Math.exp(value),
    low: Math.exp(value - reach),
    high: Math.exp(value + reach),
    sd: factor * Math.sqrt(Math.expm1(total)),
  }
}

/** What a crew adds to the logarithm, whatever the job and the pond. */
function crewEffect(
  at: (crossed: readonly (number | null)[], nested: null) => Believed,
  crew: number | undefined,
): number {
  return crew === undefined ? 0 : at([null, crew], null).value - at([null, null], null).value
}

function levelsOf(visits: readonly TimedVisit[], key: 'job' | 'crewId' | 'pondId'): Map<string, number> {
  return new Map([...new Set(visits.map((visit) => visit[key]))].map((level, i) => [level, i]))
}

/** Minutes of a visit with their spread: handwork by its factor, machines as they are. */
export interface VisitMinutes {
  readonly meanMin: number
  /** The visit takes between these in four of five cases. */
  readonly lowMin: number
  readonly highMin: number
  readonly sdMin: number
}

/** @param handsMin handwork of the crew by the plain estimate, minutes */
export function visitMinutes(handsMin: number, machineMin: number, hands: HandsFactor): VisitMinutes {
  const machine = MACHINE_SPREAD * machineMin
  const middle = handsMin * hands.middle + machineMin
  const side = (end: number) => Math.hypot(handsMin * (end - hands.middle), Z90 * machine)
  return {
    meanMin: handsMin * hands.factor + machineMin,
    lowMin: Math.max(0, middle - side(hands.low)),
    highMin: middle + side(hands.high),
    sdMin: Math.hypot(handsMin * hands.sd, machine),
  }
}
