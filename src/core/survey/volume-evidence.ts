import { assertPositive, DomainError } from '../errors'
import { Z90 } from '../statistics/normal'
import { inverseVariance, pauleMandel, type Measured } from '../statistics/random-effects'

export type VolumeMethod =
  'geometry-free-form' | 'geometry-rectangle' | 'metered-fill' | 'timed-fill' | 'salt-dilution' | 'drain-down'

/**
 * Usual one-sigma uncertainty of each way to learn a pond's volume, as a share.
 * @source trade experience; a firm's own evidence overrides it
 */
export const USUAL_SIGMA_SHARE: Readonly<Record<VolumeMethod, number>> = {
  'geometry-free-form': 0.12,
  'geometry-rectangle': 0.06,
  'metered-fill': 0.02,
  'timed-fill': 0.07,
  'salt-dilution': 0.05,
  'drain-down': 0.1,
}

/**
 * Share of one method's variance that all its runs at a pond have in common: one meter, one hose, one conductivity
 * factor. Three runs are not three ways.
 * @source house default
 */
const SHARED_VARIANCE = 0.6

/**
 * What is believed before the ways are compared: how likely it is that one of them is grossly off, and by how much of
 * its figure then (one sigma).
 * @source house default, by the trial of ways that are each off by a usual slip
 */
const GROSS = { likelihood: 0.315, share: 0.25 } as const
/** An explanation less likely than this is no longer reckoned with. @source house default, by the same trial */
const STILL_OPEN = 0.1
/** A way is named as the one that is off once it is so likely. */
const NAMED = 0.75
const CONFLICT_SIGMAS = 2

export interface VolumeEvidence {
  readonly method: string
  readonly volumeM3: number
  readonly sigmaM3: number
}

interface VolumeConflict {
  readonly methods: readonly [string, string]
  readonly differenceM3: number
  /** The difference in combined one-sigmas. */
  readonly sigmas: number
  /** The method that the others speak against; null where that cannot be told, as of two. */
  readonly distrust: string | null
}

export interface CombinedVolume {
  readonly volumeM3: number
  /** One sigma; where the band is lopsided, of its longer side. */
  readonly sigmaM3: number
  /** The water lies between these in four of five ponds. */
  readonly lowM3: number
  readonly highM3: number
  /** The ways differ so that one of them may be off, and it is not known which: the band covers what each leaves. */
  readonly open: boolean
  /** The method that the others speak against, and that counts little for it. */
  readonly distrust: string | null
  readonly conflicts: readonly VolumeConflict[]
}

/**
 * The volume from all the ways that measured it. Runs of one method are one way with an error in common. Ways that
 * agree are combined by inverse variance. Where they do not, the explanations are weighed (none is off, or one of
 * them), the volume is their mean and its band covers every explanation that still stands; what scatter they leave
 * widens it too.
 * @param evidence at least one estimate; volume and sigma in m³, both above 0
 * @throws {DomainError} no evidence, or a volume or sigma that is not finite and above 0
 * @source random effects by Paule & Mandel 1982; averaging over models with a gross error in one estimate, Hoeting et
 *   al. 1999
 */
export function combineVolumes(evidence: readonly VolumeEvidence[]): CombinedVolume {
  if (evidence.length === 0) throw new DomainError('evidence', 'nothing', 'at least one estimate')
  evidence.forEach((e, i) => {
    assertPositive(`evidence.${i}.volumeM3`, e.volumeM3)
    assertPositive(`evidence.${i}.sigmaM3`, e.sigmaM3)
  })
  const ways = waysOf(evidence)
  const explanations = explain(ways)
  const standing = explanations.filter(({ likelihood }) => likelihood >= STILL_OPEN)
  const total = standing.reduce((sum, { likelihood }) => sum + likelihood, 0)
  const volumeM3 = standing.reduce((sum, e) => sum + (e.likelihood / total) * e.value, 0)
  const lowM3 = Math.max(LEAST_M3, Math.min(...standing.map((e) => e.value - Z90 * e.sd)))
  const highM3 = Math.max(...standing.map((e) => e.value + Z90 * e.sd))
  const distrust = ways.length > 2 ? (explanations.find((e) => e.likelihood >= NAMED)?.off ?? null) : null
  return {
    volumeM3,
    sigmaM3: Math.max(volumeM3 - lowM3, highM3 - volumeM3) / Z90,
    lowM3,
    highM3,
    open: standing.length > 1,
    distrust,
    conflicts: conflictsBetween(ways, distrust),
  }
}
const LEAST_M3 = 1e-6

interface Way extends Measured {
  readonly method: string
}

/** One way for each method that was used, however often. */
function waysOf(evidence: readonly VolumeEvidence[]): Way[] {
  const methods = [...new Set(evidence.map(({ method }) => method))]
  return methods.map((method) => {
    const runs = evidence.filter((e) => e.method === method)
    if (runs.length === 1) return { method, value: runs[0]!.volumeM3, sd: runs[0]!.sigmaM3 }
    const own = pauleMandel(
      runs.map((run) => ({ value: run.volumeM3, sd: run.sigmaM3 * Math.sqrt(1 - SHARED_VARIANCE) })),
    )
    const shared = Math.min(...runs.map(({ sigmaM3 }) => sigmaM3)) * Math.sqrt(SHARED_VARIANCE)
    return { method, value: own.value, sd: Math.hypot(own.sd, shared) }
  })
}

interface Explanation extends Measured {
  /** The way that is grossly off; null: none is. */
  readonly off: string | null
  readonly likelihood: number
}

/** What may be true of the ways, how likely each is given how they lie, and the volume if it is. */
function explain(ways: readonly Way[]): Explanation[] {
  if (ways.length === 1) return [{ ...ways[0]!, off: null, likelihood: 1 }]
  const none = { off: null as string | null, ways, before: 1 - GROSS.likelihood }
  const oneOff = ways.map(({ method }, f) => ({
    off: method,
    ways: ways.map((way, i) => (i === f ? { ...way, sd: Math.hypot(way.sd, GROSS.share * way.value) } : way)),
    before: GROSS.likelihood / ways.length,
  }))
  const logs = [none, ...oneOff].map((e) => Math.log(e.before) + logLikelihood(e.ways))
  const most = Math.max(...logs)
  const weights = logs.map((log) => Math.exp(log - most))
  const total = weights.reduce((a, b) => a + b, 0)
  return [none, ...oneOff].map((e, i) => ({ ...pauleMandel(e.ways), off: e.off, likelihood: weights[i]! / total }))
}

/** Logarithm of the likelihood of ways that err by their sigmas, whatever the volume; but for a constant. */
function logLikelihood(ways: readonly Way[]): number {
  const { value: mean, sd } = inverseVariance(ways)
  return ways.reduce((sum, way) => sum - 0.5 * ((way.value - mean) / way.sd) ** 2 - Math.log(way.sd), Math.log(sd))
}

function conflictsBetween(ways: readonly Way[], distrust: string | null): VolumeConflict[] {
  return ways.flatMap((a, i) =>
    ways.slice(i + 1).flatMap((b): VolumeConflict[] => {
      const differenceM3 = Math.abs(a.value - b.value)
      const sigmas = differenceM3 / Math.hypot(a.sd, b.sd)
      if (sigmas <= CONFLICT_SIGMAS) return []
      const methods = [a.method, b.method] as const
      return [{ methods, differenceM3, sigmas, distrust: distrust && methods.includes(distrust) ? distrust : null }]
    }),
  )
}
