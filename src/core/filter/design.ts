import { DomainError } from '../errors'
import { grownFish } from '../fish/load'
import { bedLossMm } from '../hydraulics/granular-bed'
import { fallsLook, sheetM, type FallsLook } from '../hydraulics/falls'
import { judgePlanting, uptakeShare, type PlantingResult } from '../plants/planting'
import { plantingSite } from './bed/planting-site'
import { bedAreaM2, buildUpM, flowAreaM2, flowPathLayers } from './bed/bed-geometry'
import { flushIntervalDays, type Clogging } from './bed/clogging'
import type { DesignPond, DesignProblemInput, FilterDesign } from './design-input'
import { FILTER_TYPE_FACTS } from './types'
import { flowDemand, type FlowDemand } from './flow/flow-demand'
import { feedUniformity, headFunction } from './flow/head'
import { heating, type Heating } from './heater'
import {
  BED_MATERIALS,
  DEFAULT_LAYERS,
  layerQuantities,
  layerStability,
  treatingGravel,
  type LayerPair,
} from './bed/layers'
import type { FilterRules, SizingMethod } from './house-rules'
import { outletCapacity, type OutletCapacity } from './flow/outlet-capacity'
import { splitOf, type FlowSplit } from './flow/flow-split'
import { suctionOf, type SuctionResult } from './flow/suction'
import { pumping, runningMonths, splitPumping, UNPUMPED, type Pumping } from './flow/pumping'
import { pumpStop, type PumpStop } from './flow/pump-stop'
import { ROOT_ZONE } from './bed/root-zone'
import { serviceability, type Serviceability } from './bed/serviceability'
import type { BedToSize } from './sizing/sizing'
import { designThrustKnPerM, weights, type Weights } from './bed/structure'
import { monthlyPhosphorusMgL } from './sizing/phosphorus'
import { stillWater, type StillWater } from './sizing/still-water'
import {
  ammoniaFlow,
  clearedBy,
  monthlyTanMgL,
  tanWithoutBed,
  treatmentOf,
  type TreatedWater,
  type Treatment,
} from './sizing/treatment'
import { litterPast } from './train/capture'
import { evaluateTrain, type TrainResult } from './train/evaluate-train'
import { passedThrough } from './train/train-flow'
import { UNIT_FACTS } from './train/unit-facts'
import { rootShareOnce, sizedOnce, type SharedWork } from './shared-work'
import type { YearSizing } from './sizing/yearly-sizing'
import { designUpkeep, type DesignUpkeep } from './upkeep'
import { evaluateSitePlan, type SitePlanResult } from '../site-plan/evaluate-site-plan'

export interface DesignResult extends Pumping {
  readonly now: YearSizing
  readonly grown: YearSizing
  /** Area that the design's sizing method asks for with grown fish, m². */
  readonly neededAreaM2: number
  readonly houseAreaM2: number
  readonly areaM2: number
  readonly depthM: number
  readonly treatment: Treatment
  readonly demand: FlowDemand
  /** How the network shares the water out; null where one pipe to one bed is all there is. */
  readonly split: FlowSplit | null
  /** How a dry-mounted pump draws its water; null where the pump stands in it. */
  readonly suction: SuctionResult | null
  readonly bedFlowM3PerH: number
  readonly velocityMPerH: number
  readonly cleanLossMm: number
  readonly atFlushLossMm: number
  readonly uniformity: number
  /** Share of the flow that passes the planted depth. */
  readonly rootShare: number
  readonly outlet: OutletCapacity
  readonly falls: { readonly sheetM: number; readonly look: FallsLook } | null
  readonly stop: PumpStop
  readonly flushDays: number
  readonly stability: readonly LayerPair[]
  readonly quantities: ReturnType<typeof layerQuantities>
  readonly weights: Weights
  readonly thrustKnPerM: number
  readonly service: Serviceability
  readonly planting: PlantingResult
  /** Nitrogen that the planting draws by month, g/d. */
  readonly plantNitrogenGPerD: readonly number[]
  /** The train unit by unit. */
  readonly train: TrainResult
  /** null unheated. */
  readonly heating: Heating | null
  /** Water through the year as the design holds it, °C: warmed where it is heated. */
  readonly monthlyTempC: readonly number[]
  /** Phosphorus that the pond settles at by month, mg/L as P, and the highest of these. */
  readonly monthlyPhosphorusMgL: readonly number[]
  readonly worstPhosphorusMgL: number
  /** The pond by its surface and its grown stock, as ponds without a filter are judged. */
  readonly still: StillWater
  readonly upkeep: DesignUpkeep
  /** Where its parts stand; null while it is not laid out. */
  readonly sitePlan: SitePlanResult | null
  readonly monthlyTanMgL: readonly number[]
  /** Highest of these, mg/L. */
  readonly worstTanMgL: number
}

/**
 * Works a design through: four sizing methods now and grown up, flow demand, duty point, losses, pump stop, fouling,
 * loads,
 * planting.
 * @throws {DomainError} a figure outside DESIGN_RANGE, an unknown pump or fitting, no stone in a bed
 */
// eslint-disable-next-line max-lines-per-function -- mostly the result, figure by figure
export function evaluateDesign({
  pond: unheated,
  design,
  rules,
  houseMethod,
  pumps,
  shared,
}: DesignProblemInput): DesignResult {
  const bed = treatingGravel(design.layers, rules.materials)
  if (bed.depthM === 0 && design.type !== 'none')
    throw new DomainError('layers', 'no stone', 'at least one layer of gravel or stone')
  const sizedWith: BedToSize = bed.depthM === 0 ? treatingGravel(DEFAULT_LAYERS, rules.materials) : bed
  // what the water is warmed to is what fish, bacteria and plants live in
  const pond = heated(unheated, design.heatToC)

  const areaM2 = bedAreaM2(design)
  const planting = judgePlanting(design.planting, plantingSite(design, pond))
  const uptakeShares = pond.monthlyTempC.map(uptakeShare)
  const uptake = uptakeShares.map((share) => share * planting.nitrogenGPerD)
  const counted = rules.plantsCounted ? uptake : undefined
  const litter = litterPast(design.train)
  const grownStock = grownFish(pond.fish, rules.growthYears)
  const now = sizedOnce(shared, pond, pond.fish, sizedWith, rules, counted, litter)
  const grown = sizedOnce(shared, pond, grownStock, sizedWith, rules, counted, litter)
  const methodOf = (sizingMethod: SizingMethod) => grown.sizingMethods.find((s) => s.sizingMethod === sizingMethod)!
  const worked = pumped(design, pond, rules, pumps)
  const { split } = worked
  const bedFlowM3PerH = design.type === 'none' ? 0 : (split?.bedM3PerH ?? worked.flowM3PerH * (1 - design.bypassShare))

  const velocityMPerH = areaM2 > 0 ? bedFlowM3PerH / flowAreaM2(design) : 0
  const stone = FILTER_TYPE_FACTS[design.type].path === 'over' ? [] : flowPathLayers(design, rules.materials)
  const cleanLossMm = bedLossMm(stone, Math.min(velocityMPerH, 500)).lossMm
  const uniformity = feedUniformity(design, bedFlowM3PerH, cleanLossMm / 1000, rules.materials)
  const flows = { pumpM3PerH: worked.flowM3PerH, branches: branchFlows(design, split) }
  const units = passedThrough(design.train, flows)
  const treatment = treatmentOf(design, sizedWith, units, rules.nitrification)
  const still = stillWater(pond, grownStock)
  const treated: TreatedWater = {
    pumpM3PerH: worked.flowM3PerH,
    bedM3PerH: bedFlowM3PerH,
    stoneM3: treatment.stoneM3,
    bed: sizedWith,
    units,
    nitrification: rules.nitrification,
  }
  const tan =
    design.type === 'none'
      ? tanWithoutBed(grown, still, (pond.volumeM3 * design.weeklyExchange) / 7, treated)
      : monthlyTanMgL(grown, treated)
  const mostFed = grown.months.reduce((max, month) => (month.feedKgPerD > max.feedKgPerD ? month : max))
  const train = evaluateTrain(
    design,
    units,
    flows,
    { ...mostFed, nitrification: rules.nitrification },
    runningMonths(design, pond.monthlyTempC, rules.shutdownWaterC),
  )
  const phosphorus = monthlyPhosphorusMgL(
    grown.months.map((month) => month.load),
    pond.areaM2,
    {
      areaM2,
      flowM3PerH: bedFlowM3PerH,
      channel: FILTER_TYPE_FACTS[design.type].path === 'over',
      plantGPerD: planting.phosphorusGPerD,
    },
    uptakeShares,
    rules.phosphorus,
  )
  const flushDays =
    areaM2 === 0
      ? Infinity
      : flushIntervalDays(
          {
            feedKgPerYear: grown.feedKgPerYear * train.solidsPast,
            leafKgPerYear: pond.leafKgPerYear * litter,
            areaM2,
            poreM3: treatment.stoneM3 * bed.porosity,
            chamber: design.layers.some((layer) => layer.material === 'void-modules'),
          },
          rules.clogging,
        )
  const quantities = layerQuantities(design.layers, areaM2, rules.materials)
  const heat = design.heatToC === null ? null : heating(unheated, design.heatToC)
  return {
    ...worked,
    now,
    grown,
    neededAreaM2: methodOf(design.sizingMethod).areaM2,
    houseAreaM2: methodOf(houseMethod).areaM2 * oversize(rules),
    areaM2,
    depthM: buildUpM(design.layers),
    treatment,
    demand: flowDemand(
      methodOf(design.sizingMethod),
      design.type === 'none' ? 0 : ammoniaFlow(grown, treated, rules.targetTanMgL),
      grown.worstOxygenFlowM3PerH * bedOxygenShare(treated, mostFed.tempC),
      grown,
      pond.use,
      design,
    ),
    suction:
      worked.pump === null
        ? null
        : suctionOf(design, worked.pump, worked.flowM3PerH, {
            altitudeM: pond.altitudeM,
            warmestC: Math.max(...pond.monthlyTempC),
          }),
    bedFlowM3PerH,
    velocityMPerH,
    cleanLossMm,
    atFlushLossMm: bedLossMm(fouled(stone, rules.clogging), Math.min(velocityMPerH, 500)).lossMm,
    uniformity,
    rootShare: rootShare(design, uniformity, shared),
    outlet: outletCapacity(design.outlet),
    falls: design.falls ? fallsOf(worked.flowM3PerH, design.falls.widthM) : null,
    stop: pumpStop(design, pond, bedFlowM3PerH, rules.materials),
    flushDays,
    stability: layerStability(design.layers, rules.materials),
    quantities,
    weights: weights(design, rules.materials),
    thrustKnPerM: designThrustKnPerM(design),
    service: serviceability(design),
    planting,
    plantNitrogenGPerD: uptake,
    train,
    heating: heat,
    monthlyTempC: pond.monthlyTempC,
    monthlyTanMgL: tan,
    worstTanMgL: Math.max(...tan),
    monthlyPhosphorusMgL: phosphorus,
    worstPhosphorusMgL: Math.max(...phosphorus),
    still,
    sitePlan: evaluateSitePlan(design, pond.ground),
    upkeep: designUpkeep({
      design,
      pondVolumeM3: pond.volumeM3,
      areaM2,
      bedVoidsM3: quantities.reduce((sum, layer) => sum + layer.voidM3, 0),
      flushDays,
      train,
      pumpKWhPerYear: worked.energyKWhPerYear,
      heatKWhPerYear: heat?.kWhPerYear ?? 0,
    }),
  }
}

/** Branches of a split with what they take; none without one. */
const branchFlows = ({ network }: FilterDesign, split: FlowSplit | null) =>
  network && split ? network.branches.map(({ kind }, i) => ({ kind, flowM3PerH: split.branchesM3PerH[i]! })) : []

/** Share of the oxygen that bacteria ask for which has to come with the bed's water: units with air bring their own. */
function bedOxygenShare(treated: TreatedWater, tempC: number): number {
  const { unitsM3PerD, totalM3PerD } = clearedBy(treated, tempC)
  const aired = treated.units.reduce(
    (sum, { unit }, i) => sum + (UNIT_FACTS[unit.kind].aerated ? unitsM3PerD[i]! : 0),
    0,
  )
  return totalM3PerD > 0 ? 1 - aired / totalM3PerD : 1
}

const heated = (pond: DesignPond, heatToC: number | null): DesignPond =>
  heatToC === null ? pond : { ...pond, monthlyTempC: pond.monthlyTempC.map((tempC) => Math.max(tempC, heatToC)) }

/** Pumps and pipes, alone or sharing the water out through a network. */
export function pumped(
  design: FilterDesign,
  pond: DesignPond,
  rules: FilterRules,
  pumps: DesignProblemInput['pumps'],
): Pumping & { readonly split: FlowSplit | null } {
  if (design.pumpId === null) {
    if (design.type !== 'none') throw new DomainError('pumpId', 'none', 'a pump, which a bed needs')
    return { ...UNPUMPED, split: null }
  }
  const pump = pumps.find((p) => p.id === design.pumpId)
  if (!pump) throw new DomainError('pumpId', design.pumpId, 'a pump of the catalogue')
  const months = runningMonths(design, pond.monthlyTempC, rules.shutdownWaterC)
  const alone = pumping(design, pump, rules, months)
  const split = design.network ? splitOf(design, design.network, pumps, rules) : null
  return split ? { ...splitPumping(alone, split, headFunction(design, rules), months), split } : { ...alone, split }
}

/** "Next size up always": beds and vessels come in steps of about this. @source house switch */
const NEXT_SIZE = 1.2
const oversize = (rules: FilterRules): number => (rules.oversizing === 'next-size' ? NEXT_SIZE : 1)

const fallsOf = (flowM3PerH: number, widthM: number) => {
  const thickness = sheetM(flowM3PerH, widthM)
  return { sheetM: thickness, look: fallsLook(thickness) }
}

const fouled = (stone: ReturnType<typeof flowPathLayers>, { flushAtPoreLoss }: Clogging) =>
  stone.map((layer) => ({ ...layer, porosity: layer.porosity * (1 - flushAtPoreLoss) }))

/**
 * Upflow: what enters evenly passes the planting on its way out. Along: a section of the bed is solved. Over: roots
 * stand in the stream.
 */
function rootShare(design: FilterDesign, uniformity: number, shared: SharedWork | undefined): number {
  const { path } = FILTER_TYPE_FACTS[design.type]
  if (path !== 'along') return path === 'up' ? uniformity : 1
  const depthM = buildUpM(design.layers)
  return rootShareOnce(shared, {
    lengthM: design.lengthM,
    depthM,
    rootDepthM: Math.min(ROOT_ZONE.depthM, depthM),
    rootPermeability: ROOT_ZONE.permeability,
    slottedShare:
      design.feed === 'full-height-header' ? 1 : Math.min(1, Math.max(0.02, design.manifold.diameterM / depthM)),
  })
}

/** Depth of fine planting stone at the top of the bed, m. */
export function plantedDepthM({ layers }: Pick<FilterDesign, 'layers'>): number {
  const top = layers.at(-1)
  return top && BED_MATERIALS[top.material].granular && BED_MATERIALS[top.material].grainM < 0.015 ? top.thicknessM : 0
}
