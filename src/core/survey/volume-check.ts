import { Z90 } from '../statistics/normal'
import { combineVolumes, type VolumeEvidence } from './volume-evidence'

/** What the other ways had said of a volume, and what the surest one said then. */
export interface VolumeCheck {
  readonly method: string
  readonly lowM3: number
  readonly highM3: number
  readonly cameM3: number
  readonly held: boolean
}

/**
 * The surest way to a pond's volume held against all others, as if it had come last: whether their band of four in
 * five, with its own error, holds it.
 * @returns null where all was measured in one way
 */
export function checkVolume(evidence: readonly VolumeEvidence[]): VolumeCheck | null {
  const [surest] = evidence.toSorted((a, b) => a.sigmaM3 / a.volumeM3 - b.sigmaM3 / b.volumeM3)
  const others = evidence.filter((e) => e.method !== surest?.method)
  if (!surest || others.length === 0) return null
  const said = combineVolumes(others)
  const own = Z90 * surest.sigmaM3
  const lowM3 = said.volumeM3 - Math.hypot(said.volumeM3 - said.lowM3, own)
  const highM3 = said.volumeM3 + Math.hypot(said.highM3 - said.volumeM3, own)
  const cameM3 = surest.volumeM3
  return { method: surest.method, lowM3, highM3, cameM3, held: cameM3 >= lowM3 && cameM3 <= highM3 }
}
