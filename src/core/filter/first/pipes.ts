import { nextBoreM, type PipeSize } from '../../hydraulics/fittings'
import { weirFlowM3PerH } from '../../hydraulics/weir'
import type { FilterDesign } from '../design-input'
import { outletCapacity } from '../flow/outlet-capacity'

const SLOT_AREA_M2 = 1.5e-4 // 3 mm × 50 mm saw cut
/** Open area over pipe area: less keeps the feed even, more saves head. @source manifold practice, 0.4 to 0.7 */
const SLOT_TO_PIPE_AREA = 0.55
const MANIFOLD_SPEED_M_PER_S = 0.5
const DELIVERY_SPEED_M_PER_S = 1.8
const MIN_SLOTS = 8
const MOST_SLOTS = 2000

export function boreFor(flowM3PerH: number, speedMPerS: number, pipes: readonly PipeSize[]): number {
  const wanted = Math.sqrt((4 * flowM3PerH) / 3600 / speedMPerS / Math.PI)
  return (pipes.find((size) => size.boreM >= wanted) ?? pipes[pipes.length - 1])!.boreM
}

export const deliveryBoreM = (flowM3PerH: number, pipes: readonly PipeSize[]): number =>
  boreFor(flowM3PerH, DELIVERY_SPEED_M_PER_S, pipes)

/** A slotted pipe for a flow, slots and all: their open area keeps the feed even. */
export function manifoldFor(
  flowM3PerH: number,
  laterals: number,
  pipes: readonly PipeSize[],
): FilterDesign['manifold'] {
  const diameterM = boreFor(flowM3PerH / laterals, MANIFOLD_SPEED_M_PER_S, pipes)
  const openM2 = (SLOT_TO_PIPE_AREA * Math.PI * diameterM ** 2) / 4
  const slots = Math.min(MOST_SLOTS, Math.max(MIN_SLOTS, Math.round(openM2 / SLOT_AREA_M2)))
  return { diameterM, laterals, slots, slotAreaM2: Math.min(SLOT_AREA_M2, openM2 / slots), pitchPercent: 2 }
}

const OUTLET_RUN_M = 1.5
const OUTLET_DROP_M = 0.1
/** The least fall that moves water through a return. */
const LEAST_DROP_M = 0.02

/** Fall of a return under a bed that stands so high over the pond, m. */
export const outletDropM = (liftM: number): number => Math.min(OUTLET_DROP_M, Math.max(LEAST_DROP_M, liftM))

/**
 * The smallest return that runs at most half full, is larger than the inlet, and carries on with one pipe blocked.
 * @param least pipes that there must be
 */
export function outletFor(
  flowM3PerH: number,
  inletBoreM: number,
  pipes: readonly PipeSize[],
  dropM: number,
  least = 1,
): FilterDesign['outlet'] {
  const run = { lengthM: OUTLET_RUN_M, dropM }
  const largerThanInlet = pipes.filter((size) => size.boreM >= nextBoreM(inletBoreM, pipes) - 1e-9)
  for (const count of [1, 2, 3, 4, 5, 6].filter((pipe) => pipe >= least)) {
    const fits = largerThanInlet.find((size) => {
      const { halfFullM3PerH, fullM3PerH } = outletCapacity({ ...run, diameterM: size.boreM })
      return count * halfFullM3PerH >= flowM3PerH && (count === 1 || (count - 1) * fullM3PerH >= flowM3PerH)
    })
    if (fits) return { count, diameterM: fits.boreM, ...run }
  }
  return { count: 6, diameterM: pipes[pipes.length - 1]!.boreM, ...run }
}

const FULL_SHEET_M = 0.025
const USUAL_FALL_M = 0.4
/** Lower than this it is a lip, no fall. */
const LEAST_FALL_M = 0.05

/** A lip over which the flow makes a full sheet, no wider than the bed; null where the bed stands too low for one. */
export function fallsFor(flowM3PerH: number, bedWidthM: number, liftM: number): FilterDesign['falls'] {
  const dropM = Math.min(USUAL_FALL_M, liftM)
  if (dropM < LEAST_FALL_M) return null
  const perMetre = weirFlowM3PerH(1, FULL_SHEET_M)
  return { widthM: Number(Math.max(0.05, Math.min(bedWidthM, flowM3PerH / perMetre)).toFixed(2)), dropM }
}
