import { bedLossMm } from '../../hydraulics/granular-bed'
import { fittingsK } from '../../hydraulics/fittings'
import { manifoldUniformity } from '../../hydraulics/manifold'
import { FLEXIBLE_PVC, pipeLoss, RIGID_PVC, type PipeLoss } from '../../hydraulics/pipe'
import { GRAVITY_M_PER_S2 } from '../../hydraulics/water-properties'
import { buildUpM, flowAreaM2, flowPathLayers } from '../bed/bed-geometry'
import { inlineHeadM } from '../train/train-head'
import { intakePipeLossM } from '../train/intake-line'
import { suctionLossM } from './suction'
import type { FilterDesign } from '../design-input'
import { FILTER_TYPE_FACTS } from '../types'
import type { BedMaterials } from '../bed/layers'
import type { FilterRules } from '../house-rules'

/** Of the house's rules, what pipes and beds are worked out by. */
export type HydraulicRules = Pick<FilterRules, 'tables' | 'materials'>

export interface HeadBreakdown extends PipeLoss {
  readonly staticM: number
  readonly bedM: number
  readonly nozzlesM: number
  readonly trainM: number
  /** In the line by which a dry-mounted pump draws. */
  readonly suctionM: number
  readonly totalM: number
}

/** Head asked for at a flow of the pump. */
export function headFunction(
  design: FilterDesign,
  { tables, materials }: HydraulicRules,
): (flowM3PerH: number) => HeadBreakdown {
  const stone = flowPathLayers(design, materials)
  const area = flowAreaM2(design)
  const { delivery } = design
  const pipeKind = delivery.flexible ? FLEXIBLE_PVC : RIGID_PVC
  const k = fittingsK(delivery.fittings, tables.fittings) + delivery.otherK
  const nozzles = nozzleHead(design)
  return (flowM3PerH) => {
    const bedFlow = flowM3PerH * (1 - design.bypassShare)
    const pipe = pipeLoss({
      flowM3PerH,
      lengthM: delivery.lengthM,
      diameterM: delivery.diameterM,
      fittingsK: k,
      ...pipeKind,
    })
    const bedM =
      area > 0 && FILTER_TYPE_FACTS[design.type].path !== 'over'
        ? bedLossMm(stone, Math.min(bedFlow / area, MAX_VELOCITY_M_PER_H)).lossMm / 1000
        : 0
    const nozzlesM = design.type === 'none' || design.feed === 'chamber' || bedFlow <= 0 ? 0 : nozzles(bedFlow)
    const trainM = inlineHeadM(design.train, flowM3PerH) + intakePipeLossM(design.intakePipe, flowM3PerH)
    const suctionM = suctionLossM(design, flowM3PerH)
    return {
      ...pipe,
      staticM: design.staticLiftM,
      bedM,
      nozzlesM,
      trainM,
      suctionM,
      totalM: design.staticLiftM + pipe.darcyM + pipe.minorM + bedM + nozzlesM + trainM + suctionM,
    }
  }
}

/** The slots' head is solved at flows so far apart and read off between them. */
const KNOT_RATIO = 1.25

/**
 * Head of the slots by the bed's flow. It goes with a power of the flow that hardly changes, so that between two
 * flows a quarter apart a straight line in logarithms stays within a thousandth.
 */
function nozzleHead(design: FilterDesign): (bedFlowM3PerH: number) => number {
  const knots = new Map<number, number>()
  let near: { readonly flow: number; readonly endHeadM: number } | null = null
  const knot = (k: number): number => {
    const known = knots.get(k)
    if (known !== undefined) return known
    const flow = KNOT_RATIO ** k
    // heads go about with the square of the flow: the last one found says where the next one is
    const guess = near && near.endHeadM > 0 ? near.endHeadM * (flow / near.flow) ** 2 : undefined
    const { inletHeadM, endHeadM } = feedOf(design, flow, guess)
    near = { flow, endHeadM }
    knots.set(k, inletHeadM)
    return inletHeadM
  }
  return (bedFlowM3PerH) => {
    const at = Math.log(bedFlowM3PerH) / Math.log(KNOT_RATIO)
    const k = Math.floor(at)
    const [low, high] = [knot(k), knot(k + 1)]
    // creeping flow, or a pipe that gives back more than it loses: nothing to take logarithms of
    if (low <= 0 || high <= 0) return Math.max(0, low + (high - low) * (at - k))
    return low * (high / low) ** (at - k)
  }
}

/** The loss law is asked for no more than this, m/h: beyond it the stone itself would move. */
const MAX_VELOCITY_M_PER_H = 500

/** One slotted pipe of each vessel: along an upflow bed, across a horizontal one. */
function feedOf(design: FilterDesign, bedFlowM3PerH: number, nearEndHeadM?: number) {
  const { manifold } = design
  return manifoldUniformity({
    flowM3PerH: bedFlowM3PerH / design.vessels / manifold.laterals,
    lengthM: FILTER_TYPE_FACTS[design.type].path === 'along' ? design.widthM : design.lengthM,
    diameterM: manifold.diameterM,
    openings: manifold.slots,
    openingAreaM2: manifold.slotAreaM2,
    ...(nearEndHeadM === undefined ? {} : { nearEndHeadM }),
  })
}

/**
 * Water spreads from a pipe about as far to each side as it rises through stone. @source angle of spread near 45°
 */
const SPREAD_PER_DEPTH = 1

/** Share of an upflow bed's width that its pipes reach where no chamber spreads the water. */
function reachedShare(design: FilterDesign): number {
  const { path, vessels } = FILTER_TYPE_FACTS[design.type]
  if (path !== 'up' || vessels) return 1
  const reachM = 2 * SPREAD_PER_DEPTH * buildUpM(design.layers) * design.manifold.laterals
  return Math.min(1, reachM / design.widthM)
}

/** Pipes side by side that reach the whole width of an upflow bed without a chamber. */
export const lateralsFor = (design: Pick<FilterDesign, 'layers' | 'widthM'>): number =>
  Math.max(1, Math.ceil(design.widthM / (2 * SPREAD_PER_DEPTH * buildUpM(design.layers)) - 1e-9))

/**
 * How evenly the water enters, weakest over strongest.
 * A chamber shares by the bed's own loss against the chamber's velocity head: even when the loss is ten times that
 * head.
 */
export function feedUniformity(
  design: FilterDesign,
  bedFlowM3PerH: number,
  bedLossM: number,
  materials: BedMaterials,
): number {
  if (design.type === 'none' || bedFlowM3PerH <= 0) return 1
  const chamberM = design.layers
    .filter((layer) => layer.material === 'void-modules')
    .reduce((sum, layer) => sum + layer.thicknessM, 0)
  if (design.feed !== 'chamber')
    return feedOf(design, bedFlowM3PerH).uniformity * (chamberM > 0 ? 1 : reachedShare(design))
  if (chamberM === 0) return 0
  const velocity =
    bedFlowM3PerH / 3600 / design.vessels / (design.widthM * chamberM * materials['void-modules'].porosity)
  const velocityHeadM = velocity ** 2 / (2 * GRAVITY_M_PER_S2)
  return bedLossM / (bedLossM + velocityHeadM)
}
