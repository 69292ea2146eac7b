import { grownFish } from '../fish/load'
import { nextBoreM, type PipeSize } from '../hydraulics/fittings'
import { weirFlowM3PerH } from '../hydraulics/weir'
import { firstPlanting } from '../plants/planting'
import { outletCapacity } from './flow/outlet-capacity'
import type { DesignPond, FilterDesign } from './design-input'
import { evaluateDesign } from './design'
import { FILTER_TYPE_FACTS, type FilterType } from './types'
import { treatingGravel } from './bed/layers'
import type { FilterRules, SizingMethod } from './house-rules'
import type { CataloguePump } from './flow/pump-catalogue'
import { sizeThroughYear } from './sizing/yearly-sizing'

const STEP_M = 0.25 // beds are set out in quarter metres
const SLOT_AREA_M2 = 1.5e-4 // 3 mm × 50 mm saw cut
const SLOT_TO_PIPE_AREA = 0.45 // keeps the feed even
const MANIFOLD_SPEED_M_PER_S = 0.9
const DELIVERY_SPEED_M_PER_S = 1.8
const BARREL_DIAMETER_M = 0.6
const SHORE_BAND_M = 0.6
/** What may run along a shallow bed; the rest goes past it. @source house default */
const ALONG_M_PER_H = 11

const usualFeed = (type: FilterType): FilterDesign['feed'] =>
  FILTER_TYPE_FACTS[type].path === 'along' ? 'full-height-header' : 'slotted-pipe'

/**
 * A filter to begin with: the sizing method's area with grown fish in the type's usual proportions, pipes for its
 * flow, and
 * the smallest
 * pump that delivers it.
 */
// eslint-disable-next-line max-lines-per-function -- mostly the design, figure by figure
export function suggestDesign(
  pond: DesignPond,
  sizingMethod: SizingMethod,
  rules: FilterRules,
  pumps: readonly CataloguePump[],
  type: FilterType = 'lined-wetland',
): FilterDesign {
  const facts = FILTER_TYPE_FACTS[type]
  const { layers, waterOverGravelM } = facts
  const { pipes } = rules.tables
  const sizing = sizeThroughYear(pond, grownFish(pond.fish, rules.growthYears), treatingGravel(layers), rules)
  const asked = sizing.sizingMethods.find((s) => s.sizingMethod === sizingMethod)!
  const flow = Math.max(asked.flowM3PerH, sizing.worstOxygenFlowM3PerH, sizing.turnoverFlowM3PerH)
  const size = sizeFor(type, Math.max(asked.areaM2, 0.25))
  const manifoldDiameterM = boreFor(flow / size.vessels, MANIFOLD_SPEED_M_PER_S, pipes)
  const deliveryDiameterM = boreFor(flow, DELIVERY_SPEED_M_PER_S, pipes)
  const depthM = layers.reduce((sum, layer) => sum + layer.thicknessM, 0)
  const raisedM = facts.walled ? depthM : 0
  const design: FilterDesign = {
    type,
    sizingMethod,
    ...size,
    layers,
    waterOverGravelM,
    raisedM,
    stand: 'ground',
    feed: usualFeed(type),
    manifold: {
      diameterM: manifoldDiameterM,
      ...slotsFor(manifoldDiameterM),
      pitchPercent: 2,
    },
    vault:
      facts.vaultDiameterM === null
        ? null
        : { diameterM: facts.vaultDiameterM, atLowPoint: true, valveInReach: true, dischargeM: 8 },
    delivery: {
      flexible: false,
      lengthM: 8,
      diameterM: deliveryDiameterM,
      fittings: { 'sweep-90': 3, 'ball-valve': 1, union: 2, exit: 1 },
      otherK: 0,
    },
    suctionDiameterM: null,
    staticLiftM: facts.walled ? Number((0.3 + raisedM).toFixed(2)) : 0.6,
    pumpId: pumps[pumps.length - 1]!.id,
    pumpSet: { arrangement: 'single', count: 1, speed: 1 },
    bypassShare: facts.path === 'along' ? pastTheBed(flow, size.widthM * depthM) : 0,
    outlet: outletFor(flow, deliveryDiameterM, pipes),
    falls: facts.pipedOutlet || facts.alongShore ? null : { widthM: fallsWidth(flow, size.widthM), dropM: 0.4 },
    airBreakM: depthM + waterOverGravelM,
    checkValve: false,
    companions: [],
    network: null,
    planting:
      type === 'none'
        ? []
        : firstPlanting(size.round ? size.lengthM * 0.785 : size.lengthM, size.widthM * size.vessels),
    winter: 'runs',
    heatToC: null,
    northDeg: 0,
    confirmed: [],
  }
  const pumpId = smallestPump(pond, design, rules, pumps, flow) ?? design.pumpId
  // the pump brings more than was asked for, and all of it has to come back
  const { bedFlowM3PerH } = evaluateDesign({
    pond,
    design: { ...design, pumpId },
    rules,
    houseMethod: sizingMethod,
    pumps,
  })
  return { ...design, pumpId, outlet: outletFor(Math.max(flow, bedFlowM3PerH), deliveryDiameterM, pipes) }
}

/** Power that a pump in its recommended range may take over the smallest that delivers. */
const WORTH_IN_RANGE = 1.8

/** The smallest pump that brings a flow through the design's pipes; undefined when none does. */
export function smallestPump(
  pond: DesignPond,
  design: FilterDesign,
  rules: FilterRules,
  pumps: readonly CataloguePump[],
  flowM3PerH: number,
): string | undefined {
  const enough = pumps
    .filter((pump) => pump.curve[pump.curve.length - 1]!.flowM3PerH > flowM3PerH)
    .map((pump) =>
      evaluateDesign({ pond, design: { ...design, pumpId: pump.id }, rules, houseMethod: design.sizingMethod, pumps }),
    )
    .filter((result) => result.flowM3PerH >= flowM3PerH)
    .sort((a, b) => a.powerW - b.powerW)
  // one that runs in its own range is worth a little more power
  return (
    enough.find(
      (result) => result.flowM3PerH <= result.recommended[1] && result.powerW <= enough[0]!.powerW * WORTH_IN_RANGE,
    ) ?? enough[0]
  )?.pump.id
}

/** Slots whose open area keeps the feed even, at least eight of them. */
function slotsFor(pipeDiameterM: number): Pick<FilterDesign['manifold'], 'slots' | 'slotAreaM2'> {
  const openM2 = (SLOT_TO_PIPE_AREA * Math.PI * pipeDiameterM ** 2) / 4
  const slots = Math.max(MIN_SLOTS, Math.round(openM2 / SLOT_AREA_M2))
  return { slots, slotAreaM2: Math.min(SLOT_AREA_M2, openM2 / slots) }
}
const MIN_SLOTS = 8

const pastTheBed = (flowM3PerH: number, crossSectionM2: number): number =>
  Number(Math.min(0.9, Math.max(0, 1 - (ALONG_M_PER_H * crossSectionM2) / flowM3PerH)).toFixed(2))

const stepUp = (m: number): number => Math.max(STEP_M, Math.ceil(m / STEP_M - 1e-9) * STEP_M)

/** Plan size for an area in a type's usual shape. */
function sizeFor(type: FilterType, areaM2: number): Pick<FilterDesign, 'lengthM' | 'widthM' | 'vessels' | 'round'> {
  const { vessels, alongShore, proportion } = FILTER_TYPE_FACTS[type]
  if (vessels) {
    const one = (Math.PI * BARREL_DIAMETER_M ** 2) / 4
    return {
      lengthM: BARREL_DIAMETER_M,
      widthM: BARREL_DIAMETER_M,
      vessels: Math.min(20, Math.max(1, Math.ceil(areaM2 / one - 1e-9))),
      round: true,
    }
  }
  const widthM = alongShore ? SHORE_BAND_M : Math.max(0.5, stepUp(Math.sqrt(areaM2 / proportion)))
  return { lengthM: Math.min(100, Math.max(0.5, stepUp(areaM2 / widthM))), widthM, vessels: 1, round: false }
}

function boreFor(flowM3PerH: number, speedMPerS: number, pipes: readonly PipeSize[]): number {
  const wanted = Math.sqrt((4 * flowM3PerH) / 3600 / speedMPerS / Math.PI)
  return (pipes.find((size) => size.boreM >= wanted) ?? pipes[pipes.length - 1])!.boreM
}

const OUTLET_RUN = { lengthM: 1.5, dropM: 0.1 } as const

/** The smallest return that runs at most half full, is larger than the inlet, and carries on with one pipe blocked. */
export function outletFor(flowM3PerH: number, inletBoreM: number, pipes: readonly PipeSize[]): FilterDesign['outlet'] {
  const largerThanInlet = pipes.filter((size) => size.boreM >= nextBoreM(inletBoreM, pipes) - 1e-9)
  for (const count of [1, 2, 3, 4, 5, 6]) {
    const fits = largerThanInlet.find((size) => {
      const { halfFullM3PerH, fullM3PerH } = outletCapacity({ ...OUTLET_RUN, diameterM: size.boreM })
      return count * halfFullM3PerH >= flowM3PerH && (count === 1 || (count - 1) * fullM3PerH >= flowM3PerH)
    })
    if (fits) return { count, diameterM: fits.boreM, ...OUTLET_RUN }
  }
  return { count: 6, diameterM: pipes[pipes.length - 1]!.boreM, ...OUTLET_RUN }
}

/** A lip over which the flow makes a full sheet, no wider than the bed. */
function fallsWidth(flowM3PerH: number, bedWidthM: number): number {
  const perMetre = weirFlowM3PerH(1, FULL_SHEET_M)
  return Number(Math.max(0.3, Math.min(bedWidthM, flowM3PerH / perMetre)).toFixed(2))
}

const FULL_SHEET_M = 0.025
