import type { BedMaterials } from '../../core/filter/bed/layers'
import { bedAreaM2 } from '../../core/filter/bed/bed-geometry'
import { layerQuantities } from '../../core/filter/bed/layers'
import { designStream } from '../../core/site-plan/stream'
import { besideVolumeM3, systemVolumeM3 } from '../../core/survey/system-volume'
import { isStanding, type Design } from '../design/design'
import type { CombinedVolume } from '../../core/survey/volume-evidence'
import type { Pond } from './pond'

type Staged = Pick<Design, 'state' | 'bed' | 'builtBed'>

/** The filter that stands, as it was built; undefined while none is built. */
export const standingBed = (designs: readonly Staged[]): Design['bed'] | undefined => {
  const standing = designs.find(isStanding)
  return standing?.builtBed ?? standing?.bed
}

/** A pond's water and between which volumes it lies in four of five ponds, m³. */
export type KnownVolume = Pick<CombinedVolume, 'volumeM3' | 'lowM3' | 'highM3'>

export interface SystemVolume {
  readonly besideM3: number
  readonly filterVoidsM3: number
  readonly totalM3: number
  /** The whole lies between these in four of five ponds: as far as the pond's own water is known. */
  readonly lowM3: number
  readonly highM3: number
}

/**
 * What a dose must treat: pond, streams, boxes, and voids and stream of the filter that is built; one that is only
 * drawn holds no water yet.
 */
export function systemVolumeOf(
  pond: Pick<Pond, 'beside'>,
  water: KnownVolume,
  designs: readonly Staged[],
  materials: BedMaterials,
): SystemVolume {
  const bed = standingBed(designs)
  // a stream that was surveyed is counted once: as it was measured, not as it was drawn
  const surveyed = pond.beside.some((water) => water.kind === 'stream')
  const drawnStreamM3 = (bed && !surveyed && designStream(bed)?.volumeM3) || 0
  const filterVoidsM3 = bed
    ? layerQuantities(bed.layers, bedAreaM2(bed), materials).reduce((sum, q) => sum + q.voidM3, 0)
    : 0
  const totalM3 = systemVolumeM3(water.volumeM3, pond.beside, filterVoidsM3) + drawnStreamM3
  return {
    besideM3: pond.beside.reduce((sum, water) => sum + besideVolumeM3(water), drawnStreamM3),
    filterVoidsM3,
    totalM3,
    lowM3: totalM3 - (water.volumeM3 - water.lowM3),
    highM3: totalM3 + (water.highM3 - water.volumeM3),
  }
}
