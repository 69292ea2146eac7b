import { assertPositive, DomainError } from '../errors'

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
  /** The method whose own uncertainty is larger: look at that one first. */
  readonly distrust: string
}

export interface CombinedVolume {
  readonly volumeM3: number
  readonly sigmaM3: number
  readonly conflicts: readonly VolumeConflict[]
}

const CONFLICT_SIGMAS = 2

/**
 * Combines independent estimates of one volume by inverse variance and names pairs that do not agree; where some do
 * not, the band is as wide as they lie apart.
 * @param evidence at least one estimate; volume and sigma in m³, both above 0
 * @throws {DomainError} no evidence, or a volume or sigma that is not finite and above 0
 * @source Minimum-variance unbiased combination, as in any statistics text
 */
export function combineVolumes(evidence: readonly VolumeEvidence[]): CombinedVolume {
  if (evidence.length === 0) throw new DomainError('evidence', 'nothing', 'at least one estimate')
  evidence.forEach((e, i) => {
    assertPositive(`evidence.${i}.volumeM3`, e.volumeM3)
    assertPositive(`evidence.${i}.sigmaM3`, e.sigmaM3)
  })
  const weight = (e: VolumeEvidence) => 1 / (e.sigmaM3 * e.sigmaM3)
  const weights = evidence.reduce((sum, e) => sum + weight(e), 0)
  const volumeM3 = evidence.reduce((sum, e) => sum + e.volumeM3 * weight(e), 0) / weights
  const conflicts = evidence.flatMap((a, i) => evidence.slice(i + 1).flatMap((b) => conflictBetween(a, b)))
  const sigmaM3 = Math.sqrt(1 / weights)
  return { volumeM3, sigmaM3: conflicts.length > 0 ? sigmaM3 * birgeRatio(evidence, volumeM3) : sigmaM3, conflicts }
}

/** How much wider than they say estimates lie about their mean; never narrower. @source Birge 1932 */
function birgeRatio(evidence: readonly VolumeEvidence[], meanM3: number): number {
  const chiSquare = evidence.reduce((sum, e) => sum + ((e.volumeM3 - meanM3) / e.sigmaM3) ** 2, 0)
  return Math.max(1, Math.sqrt(chiSquare / (evidence.length - 1)))
}

function conflictBetween(a: VolumeEvidence, b: VolumeEvidence): VolumeConflict[] {
  const differenceM3 = Math.abs(a.volumeM3 - b.volumeM3)
  const sigmas = differenceM3 / Math.hypot(a.sigmaM3, b.sigmaM3)
  if (sigmas <= CONFLICT_SIGMAS) return []
  return [
    { methods: [a.method, b.method], differenceM3, sigmas, distrust: a.sigmaM3 >= b.sigmaM3 ? a.method : b.method },
  ]
}
