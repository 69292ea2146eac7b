import { grownFish } from '../fish/load'
import { firstPlanting } from '../plants/planting'
import { buildUpM } from './bed/bed-geometry'
import { RECTANGLE } from './bed/bed-shape'
import { treatingGravel, type BedLayer } from './bed/layers'
import { evaluateDesign } from './design'
import type { DesignPond, FilterDesign } from './design-input'
import { deliveryBoreM, fallsFor, manifoldFor, outletDropM, outletFor } from './first/pipes'
import { sizeFor, vesselsFor } from './first/proportions'
import { smallestPump } from './first/smallest-pump'
import { ownFlowM3PerH, shareFlowM3PerH } from './flow/flow-demand'
import { lateralsFor } from './flow/head'
import type { CataloguePump } from './flow/pump-catalogue'
import type { FilterRules, SizingMethod } from './house-rules'
import { CLOSED_LOOP } from './sizing/recirculating-model'
import { nitrogenBedM3 } from './sizing/treatment'
import { sizeThroughYear, type YearSizing } from './sizing/yearly-sizing'
import { FILTER_TYPE_FACTS, type FilterType } from './types'

/** What may run along a shallow bed; the rest goes past it. @source house default */
const ALONG_M_PER_H = 11
/** Walled beds stand on the ground with their water this far over the pond beside their height, m. */
const OVER_WALL_M = 0.3
const USUAL_LIFT_M = 0.6
const SHORE_LIFT_M = 0.05
const USUAL_PIPE_M = 8
/** Side of a pond without a bed that is planted, of its whole side: about half of its surface. */
const PLANTED_SIDE = 0.8
const LEAST_AREA_M2 = 0.02

export interface Site {
  /** From the pond's water to the bed's, m. */
  readonly liftM?: number
  /** Length of the delivery pipe, m. */
  readonly pipeM?: number
}

const usualFeed = (type: FilterType): FilterDesign['feed'] =>
  FILTER_TYPE_FACTS[type].path === 'along' ? 'full-height-header' : 'slotted-pipe'

/** What a bed cannot take of a flow goes past it. */
export const pastTheBed = (flowM3PerH: number, crossSectionM2: number): number =>
  Number(Math.min(0.9, Math.max(0, 1 - (ALONG_M_PER_H * crossSectionM2) / flowM3PerH)).toFixed(2))

/**
 * The filter that a sizing method alone would begin with: its area with grown fish in the type's usual proportions,
 * pipes for its flow, and the smallest pump that delivers it. It may still be short of what checks ask for.
 */
export const methodDesign = (
  pond: DesignPond,
  sizingMethod: SizingMethod,
  rules: FilterRules,
  pumps: readonly CataloguePump[],
  type: FilterType,
): FilterDesign => drawn({ pond, sizingMethod, rules, pumps, type, site: {} }, false)

/** The same, with stone enough to hold the ammonia target at a flow that other demands ask for anyway. */
export const targetDesign = (asked: Asked): FilterDesign => drawn(asked, true)

export interface Asked {
  readonly pond: DesignPond
  readonly sizingMethod: SizingMethod
  readonly rules: FilterRules
  readonly pumps: readonly CataloguePump[]
  readonly type: FilterType
  readonly site: Site
}

/** Removal per pass that a first bed is drawn for; less stone would want much more flow. */
const FIRST_REMOVAL = 0.6

// eslint-disable-next-line max-lines-per-function -- mostly the design, figure by figure
function drawn({ pond, sizingMethod, rules, pumps, type, site }: Asked, toTarget: boolean): FilterDesign {
  const facts = FILTER_TYPE_FACTS[type]
  const { waterOverGravelM } = facts
  const { pipes } = rules.tables
  const stock = grownFish(pond.fish, rules.growthYears)
  const sizingWith = (of: readonly BedLayer[]) =>
    sizeThroughYear(pond, stock, treatingGravel(of, rules.materials), rules)
  const asked = (sizing: YearSizing) => sizing.sizingMethods.find((s) => s.sizingMethod === sizingMethod)!
  const flowOf = (sizing: YearSizing) => {
    const most = Math.max(...sizing.months.map((month) => month.tanLoadGPerD))
    const carries = most / ((rules.targetTanMgL - CLOSED_LOOP.backgroundMgL) * FIRST_REMOVAL) / 24
    return Math.max(
      toTarget ? Math.max(shareFlowM3PerH(asked(sizing), pond.use), carries) : ownFlowM3PerH(asked(sizing), pond.use),
      sizing.worstOxygenFlowM3PerH,
      sizing.turnoverFlowM3PerH,
    )
  }
  const areaFor = (of: readonly BedLayer[]) => {
    const sizing = sizingWith(of)
    const bed = treatingGravel(of, rules.materials)
    const held = toTarget ? nitrogenBedM3(sizing, flowOf(sizing), bed, rules, 1).bedM3! / bed.depthM : 0
    return Math.max(asked(sizing).areaM2, held, LEAST_AREA_M2)
  }
  const { layers, ...size } = facts.vessels
    ? vesselsFor(areaFor)
    : { ...sizeFor(type, areaFor(facts.layers), pond.shoreM), layers: facts.layers }
  const flow = flowOf(sizingWith(layers))
  const deliveryDiameterM = deliveryBoreM(flow, pipes)
  const depthM = buildUpM(layers)
  const raisedM = facts.walled ? depthM : 0
  const liftM = site.liftM ?? usualLiftM(type, raisedM)
  const chamber = layers.some((layer) => layer.material === 'void-modules')
  const laterals = facts.path === 'up' && !facts.vessels && !chamber ? lateralsFor({ layers, ...size }) : 1
  const spare = facts.walled ? 2 : 1
  const outlet = (flowM3PerH: number) => outletFor(flowM3PerH, deliveryDiameterM, pipes, outletDropM(liftM), spare)
  const design: FilterDesign = {
    type,
    sizingMethod,
    ...size,
    shape: RECTANGLE,
    layers,
    waterOverGravelM,
    raisedM,
    stand: 'ground',
    feed: usualFeed(type),
    manifold: manifoldFor(flow / size.vessels, laterals, pipes),
    vault:
      facts.vaultDiameterM === null
        ? null
        : { diameterM: facts.vaultDiameterM, atLowPoint: true, valveInReach: true, dischargeM: 8 },
    delivery: {
      flexible: false,
      lengthM: site.pipeM ?? USUAL_PIPE_M,
      diameterM: deliveryDiameterM,
      fittings: { 'sweep-90': 3, 'ball-valve': 1, union: 2, exit: 1 },
      otherK: 0,
    },
    suction: null,
    staticLiftM: Number(liftM.toFixed(2)),
    pumpId: pumps[pumps.length - 1]!.id,
    pumpSet: { arrangement: 'single', count: 1, speed: 1 },
    bypassShare: facts.path === 'along' ? pastTheBed(flow, size.widthM * depthM) : 0,
    outlet: outlet(flow),
    falls: facts.pipedOutlet || facts.alongShore ? null : fallsFor(flow, size.widthM, liftM),
    airBreakM: depthM + waterOverGravelM,
    checkValve: false,
    train: [],
    intakePipe: null,
    network: null,
    planting: firstPlanting(size.round ? size.lengthM * 0.785 : size.lengthM, size.widthM * size.vessels),
    winter: 'runs',
    weeklyExchange: 0,
    heatToC: null,
    northDeg: 0,
    layout: null,
    confirmed: [],
  }
  if (type === 'none') return withoutBed(design, pond)
  const chosen = { ...design, ...smallestPump(pond, design, rules, pumps, flow) }
  // the pump brings more than was asked for, and all of it has to come back
  const { bedFlowM3PerH } = evaluateDesign({ pond, design: chosen, rules, houseMethod: sizingMethod, pumps })
  return { ...chosen, outlet: outlet(Math.max(flow, bedFlowM3PerH)) }
}

function usualLiftM(type: FilterType, raisedM: number): number {
  const { walled, alongShore } = FILTER_TYPE_FACTS[type]
  if (walled) return OVER_WALL_M + raisedM
  return alongShore ? SHORE_LIFT_M : USUAL_LIFT_M
}

/** Plants and surface do the work: nothing is pumped, nothing falls. */
function withoutBed(design: FilterDesign, pond: DesignPond): FilterDesign {
  const sideM = Math.sqrt(pond.areaM2) * PLANTED_SIDE
  return {
    ...design,
    pumpId: null,
    falls: null,
    airBreakM: null,
    delivery: { ...design.delivery, fittings: {} },
    planting: firstPlanting(sideM, sideM),
  }
}
