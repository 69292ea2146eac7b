import { bedAreaM2, buildUpM } from '../filter/bed/bed-geometry'
import type { FilterDesign } from '../filter/design-input'
import { FILTER_TYPE_FACTS } from '../filter/types'
import type { StreamSize } from './stream'

/** @source house defaults; dug clay and loam swell by a fifth to a third (earthwork handbooks) */
export const TRENCH = { widthM: 0.3, depthM: 0.45, swell: 1.25 } as const
/** Dug below a stream's bed for liner and stone, m. */
const STREAM_BED_M = 0.15

export interface Earthworks {
  readonly bedM3: number
  readonly pipeTrenchM3: number
  readonly streamM3: number
  /** What lies beside the holes, loose, m³. */
  readonly spoilM3: number
}

/** What is dug for a bed, its pipe on land and its stream. @param pipeOnLandM length of buried pipe, m */
export function earthworks(design: FilterDesign, pipeOnLandM: number, stream: StreamSize | null): Earthworks {
  const dug = design.type !== 'none' && !FILTER_TYPE_FACTS[design.type].vessels
  const bedM3 = dug ? bedAreaM2(design) * Math.max(0, buildUpM(design.layers) - design.raisedM) : 0
  const pipeTrenchM3 = pipeOnLandM * TRENCH.widthM * TRENCH.depthM
  const streamM3 = stream ? stream.areaM2 * (stream.depthM + STREAM_BED_M) : 0
  return { bedM3, pipeTrenchM3, streamM3, spoilM3: (bedM3 + pipeTrenchM3 + streamM3) * TRENCH.swell }
}
