import type { PipeSize } from '../../hydraulics/fittings'
import type { FilterDesign } from '../design-input'
import { suctionLines, type Suction } from '../flow/suction'
import { boreFor } from './pipes'

/** A first line is about so long, and the pump stands about level with the water. @source house defaults */
const FIRST = { lengthM: 2, liftM: 0, footValve: true } as const
const SPEED_M_PER_S = 1.2

/**
 * The suction that goes with a pump: a dry-mounted one has a line, kept where there is one; others have none.
 * @param flowM3PerH of all pumps together
 */
export function suctionFor(
  { suction, pumpSet }: Pick<FilterDesign, 'suction' | 'pumpSet'>,
  { dry }: { readonly dry: boolean },
  flowM3PerH: number,
  pipes: readonly PipeSize[],
): Suction | null {
  if (!dry) return null
  return suction ?? { ...FIRST, diameterM: boreFor(flowM3PerH / suctionLines({ pumpSet }), SPEED_M_PER_S, pipes) }
}
