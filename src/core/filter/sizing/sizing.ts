import { assertInRange, assertPositive } from '../../errors'
import { TAN_PER_FEED_PROTEIN } from '../../fish/load'
import { findRoot } from '../../numeric/root'
import { oxygenSaturationMgL } from '../../water/dissolved-oxygen'
import { CLOSED_LOOP, closedLoop } from './recirculating-model'
import {
  arealNitrificationGPerM2D,
  firstOrderRatePerD,
  GRAVEL_RANGE,
  OXYGEN_PER_TAN,
  workingStoneM2PerM3,
} from './nitrification'
import { DEFAULT_FILTER_RULES, type FilterRules, type PondUse, type SizingMethod } from '../house-rules'

export interface PondToFilter {
  readonly volumeM3: number
  readonly areaM2: number
  readonly use: PondUse
  readonly feedKgPerD: number
  /** Protein fraction of the feed, 0.35 = 35 %. */
  readonly protein: number
  readonly tempC: number
  readonly targetTanMgL?: number
  readonly altitudeM?: number
  /** TAN from leaves, ducks and other guests, g/d. */
  readonly otherTanGPerD?: number
  /** Nitrogen drawn by plants that are counted on, g/d. */
  readonly uptakeGPerD?: number
}

export interface BedToSize {
  readonly depthM: number
  readonly grainM: number
  readonly porosity: number
}

export interface SizingMethodResult {
  readonly sizingMethod: SizingMethod
  readonly areaM2: number
  readonly volumeM3: number
  readonly flowM3PerH: number
  /** Level the pond settles at with this bed and flow, mg/L. */
  readonly tanMgL: number
}

export interface Sizing {
  readonly sizingMethods: readonly SizingMethodResult[]
  /** The sizing method that asks for the largest bed. */
  readonly governing: SizingMethod
  readonly tanLoadGPerD: number
  readonly oxygenDemandGPerD: number
  /** Least flow that brings the bed its oxygen. */
  readonly oxygenFlowM3PerH: number
  readonly turnoverFlowM3PerH: number
}

export const SIZING_RANGE = {
  volumeM3: [0.001, 100_000],
  areaM2: [0.01, 200_000],
  feedKgPerD: [0, 10_000],
  protein: [0.05, 0.7],
  tempC: [0, 40],
  targetTanMgL: [0.01, 5],
  altitudeM: [-400, 5000],
} as const

/** Share of the pond's surface that the method by surface asks for at this surface. */
export function surfaceShareAt(areaM2: number, use: PondUse, rules: FilterRules): number {
  const { fullToM2, minFromM2, minFactor } = rules.surfaceCurve
  const along = Math.log(areaM2 / fullToM2) / Math.log(minFromM2 / fullToM2)
  return rules.surfaceShare[use] * (1 - (1 - minFactor) * Math.min(1, Math.max(0, along)))
}

/**
 * A bog or wetland bed by four sizing methods, side by side.
 * Volume: share of pond volume. Surface: share of pond surface. Nitrogen: stone surface and oxygen for the TAN load
 * at the target.
 * Closed loop: smallest bed that holds the pond at the target at its flow.
 * @throws {DomainError} a figure outside SIZING_RANGE or GRAVEL_RANGE
 * @source Timmons & Ebeling (load); trade rules (shares); Kadlec & Wallace (closed loop)
 */
export function sizeFilter(pond: PondToFilter, bed: BedToSize, rules: FilterRules = DEFAULT_FILTER_RULES): Sizing {
  assertPond(pond)
  assertInRange('depthM', bed.depthM, GRAVEL_RANGE.depthM)
  const { nitrification } = rules
  const { minOxygenMgL } = nitrification
  const target = pond.targetTanMgL ?? rules.targetTanMgL
  const load = Math.max(
    0,
    pond.feedKgPerD * pond.protein * TAN_PER_FEED_PROTEIN * 1000 + (pond.otherTanGPerD ?? 0) - (pond.uptakeGPerD ?? 0),
  )
  const oxygenDemandGPerD = load * OXYGEN_PER_TAN + pond.feedKgPerD * 1000 * nitrification.oxygenPerFeed
  const oxygenInMgL = nitrification.inflowSaturation * oxygenSaturationMgL(pond.tempC, pond.altitudeM ?? 0)
  const oxygenFlowM3PerH = oxygenDemandGPerD / Math.max(0.1, oxygenInMgL - minOxygenMgL) / 24
  const turnoverFlowM3PerH = pond.volumeM3 / rules.turnoverH[pond.use]
  const rate = firstOrderRatePerD(nitrification, bed, pond.tempC)

  const result = (sizingMethod: SizingMethod, volumeM3: number, flowM3PerH: number): SizingMethodResult => {
    const steadyTanMgL = () => {
      if (load === 0 || volumeM3 === 0) {
        if (load === 0) return CLOSED_LOOP.backgroundMgL
        return Infinity
      }
      return closedLoop({ loadGPerD: load, flowM3PerH, bedVolumeM3: volumeM3, ratePerD: rate, ...CLOSED_LOOP })
        .concentrationMgL
    }

    return {
      sizingMethod,
      areaM2: volumeM3 / bed.depthM,
      volumeM3,
      flowM3PerH,
      tanMgL: steadyTanMgL(),
    }
  }

  const byVolume = rules.volumeShare[pond.use] * pond.volumeM3
  const bySurface = surfaceShareAt(pond.areaM2, pond.use, rules) * pond.areaM2
  const meanOxygenMgL = (oxygenInMgL + minOxygenMgL) / 2
  const byNitrogen =
    load /
    (arealNitrificationGPerM2D(nitrification, target, pond.tempC, meanOxygenMgL) *
      workingStoneM2PerM3(bed, nitrification))
  const ownFlow = Math.max(oxygenFlowM3PerH, turnoverFlowM3PerH)
  const loop = closedLoopBed(load, target, ownFlow, rate)
  // the stone's surface alone does not do it: the load has to arrive with the water
  const carried = carriedBy(load, target, byNitrogen, rate)
  const sizingMethods = [
    result('volume', byVolume, rules.emptyBedVolumesPerH * byVolume),
    result('surface', bySurface * bed.depthM, rules.hydraulicLoadingMPerH * bySurface),
    result('nitrogen', carried.volumeM3, Math.max(ownFlow, carried.flowM3PerH)),
    result('closedLoop', loop.volumeM3, loop.flowM3PerH),
  ]
  return {
    sizingMethods,
    governing: sizingMethods.reduce((max, s) => (s.areaM2 > max.areaM2 ? s : max)).sizingMethod,
    tanLoadGPerD: load,
    oxygenDemandGPerD,
    oxygenFlowM3PerH,
    turnoverFlowM3PerH,
  }
}

/**
 * Water is sent through a bed at most so fast that a pass still takes this share of what an endlessly fast one would
 * be asked for: k·V/Q, -.
 */
const LEAST_CONTACT = 0.15

/**
 * Least flow through a bed that holds a pond at a target: C·Q·η(Q) = L.
 * @param volumeM3 treating bed
 * @returns m³/h; null when no flow within reason does, because the bed is too small
 * @source P-k-C* solved for the flow
 */
export function carryFlowM3PerH(
  loadGPerD: number,
  targetMgL: number,
  volumeM3: number,
  ratePerD: number,
): number | null {
  if (loadGPerD <= 0) return 0
  if (volumeM3 <= 0) return null
  const most = mostFlowM3PerH(volumeM3, ratePerD)
  const excess = (flowM3PerH: number) =>
    closedLoop({ loadGPerD, flowM3PerH, bedVolumeM3: volumeM3, ratePerD, ...CLOSED_LOOP }).concentrationMgL - targetMgL
  if (excess(most) > 0) return null
  const least = most * 1e-4
  if (excess(least) <= 0) return least
  return findRoot(excess, { low: least, high: most }, most * 1e-9).x
}

/** Flow beyond which a bed gains nothing worth its power, m³/h. */
export const mostFlowM3PerH = (volumeM3: number, ratePerD: number): number => (ratePerD * volumeM3) / LEAST_CONTACT / 24

/** A bed and a flow that carries its load: the bed is enlarged where no flow within reason would. */
function carriedBy(loadGPerD: number, targetMgL: number, volumeM3: number, ratePerD: number) {
  const flow = carryFlowM3PerH(loadGPerD, targetMgL, volumeM3, ratePerD)
  if (flow !== null) return { volumeM3, flowM3PerH: flow }
  const eta = -Math.expm1(-CLOSED_LOOP.tanks * Math.log1p(LEAST_CONTACT / CLOSED_LOOP.tanks))
  const room = Math.max(targetMgL - CLOSED_LOOP.backgroundMgL, 1e-3)
  const larger = (loadGPerD * LEAST_CONTACT) / (ratePerD * eta * room)
  return { volumeM3: larger, flowM3PerH: mostFlowM3PerH(larger, ratePerD) }
}

/** Removal per pass that a bed is asked for at most; more would need a bed without end. */
const MAX_REMOVAL = 0.8

/** Smallest bed that holds the target; the flow is raised where even a perfect pass could not carry the load. */
function closedLoopBed(
  loadGPerD: number,
  targetMgL: number,
  flowM3PerH: number,
  ratePerD: number,
): { volumeM3: number; flowM3PerH: number } {
  if (loadGPerD === 0) return { volumeM3: 0, flowM3PerH }
  const room = Math.max(targetMgL - CLOSED_LOOP.backgroundMgL, 1e-3)
  const flow = Math.max(flowM3PerH, loadGPerD / (room * MAX_REMOVAL) / 24)
  const eta = loadGPerD / (flow * 24 * room)
  const { tanks } = CLOSED_LOOP
  return { volumeM3: ((tanks * flow * 24) / ratePerD) * ((1 - eta) ** (-1 / tanks) - 1), flowM3PerH: flow }
}

function assertPond(pond: PondToFilter): void {
  assertPositive('volumeM3', pond.volumeM3)
  assertInRange('volumeM3', pond.volumeM3, SIZING_RANGE.volumeM3)
  assertInRange('areaM2', pond.areaM2, SIZING_RANGE.areaM2)
  assertInRange('feedKgPerD', pond.feedKgPerD, SIZING_RANGE.feedKgPerD)
  assertInRange('protein', pond.protein, SIZING_RANGE.protein)
  assertInRange('tempC', pond.tempC, SIZING_RANGE.tempC)
  if (pond.targetTanMgL !== undefined) assertInRange('targetTanMgL', pond.targetTanMgL, SIZING_RANGE.targetTanMgL)
  if (pond.otherTanGPerD !== undefined) assertInRange('otherTanGPerD', pond.otherTanGPerD, [0, 1e6])
}
