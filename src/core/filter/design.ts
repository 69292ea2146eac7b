import { DomainError } from '../errors'
import { grownFish } from '../fish/load'
import { bedLossMm } from '../hydraulics/granular-bed'
import { drainBack } from '../hydraulics/drain-back'
import { manifoldUniformity } from '../hydraulics/manifold'
import { pipeLoss, type PipeLoss } from '../hydraulics/pipe'
import { dutyPoint, type DutyOutcome, type SystemCurve } from '../hydraulics/pump'
import { closedLoop } from './closed-loop'
import { CLOGGING, flushIntervalDays } from './clogging'
import type { DesignProblemInput } from './design-input'
import { BED_MATERIALS, layerQuantities, layerStability, treatingGravel, type BedLayer, type LayerPair } from './layers'
import { firstOrderRatePerD } from './nitrification'
import { PUMP_CATALOGUE, type CataloguePump } from './pump-catalogue'
import type { School } from './practice'
import { CLOSED_LOOP } from './sizing'
import { sizeThroughYear, type YearSizing } from './yearly-sizing'

export interface FlowDemand {
  readonly schoolM3PerH: number
  readonly oxygenM3PerH: number
  readonly turnoverM3PerH: number
  readonly neededM3PerH: number
  readonly governedBy: 'school' | 'oxygen' | 'turnover'
}

export interface HeadBreakdown extends PipeLoss {
  readonly staticM: number
  readonly bedM: number
  readonly nozzlesM: number
  readonly totalM: number
}

export interface DesignResult {
  readonly now: YearSizing
  readonly grown: YearSizing
  /** Area that the design's school asks for with grown fish, m². */
  readonly neededAreaM2: number
  readonly houseAreaM2: number
  readonly areaM2: number
  readonly treatingVolumeM3: number
  readonly depthM: number
  readonly demand: FlowDemand
  readonly pump: CataloguePump
  readonly duty: DutyOutcome
  readonly flowM3PerH: number
  readonly head: HeadBreakdown
  readonly systemCurve: readonly { flowM3PerH: number; headM: number }[]
  readonly velocityMPerH: number
  readonly cleanLossMm: number
  readonly atFlushLossMm: number
  readonly uniformity: number
  readonly drainBackM3: number
  readonly pondRiseMm: number
  readonly flushDays: number
  readonly stability: readonly LayerPair[]
  readonly quantities: ReturnType<typeof layerQuantities>
  /** Highest monthly TAN the pond settles at with this bed, flow and grown fish, mg/L. */
  readonly worstTanMgL: number
}

const CURVE_POINTS = 24
/** Flow used for a bed's figures when its pump cannot lift at all. */
const NO_FLOW = 1e-6

/**
 * Works a design through: four schools now and grown up, flow demand, duty point, losses, drain-back, fouling.
 * @throws {DomainError} a figure outside DESIGN_RANGE, an unknown pump, no stone in the bed
 */
export function workOutDesign({ pond, design, practice, houseSchool }: DesignProblemInput): DesignResult {
  const pump = PUMP_CATALOGUE.find((p) => p.id === design.pumpId)
  if (!pump) throw new DomainError('pumpId', design.pumpId, 'a pump of the catalogue')
  const bed = treatingGravel(design.layers)
  if (bed.depthM === 0) throw new DomainError('layers', 'no stone', 'at least one layer of gravel or stone')

  const areaM2 = design.lengthM * design.widthM
  const now = sizeThroughYear(pond, pond.fish, bed, practice)
  const grown = sizeThroughYear(pond, grownFish(pond.fish, practice.growthYears), bed, practice)
  const schoolOf = (school: School) => grown.schools.find((s) => s.school === school)!
  const demand = flowDemand(schoolOf(design.school).flowM3PerH, grown)

  const headAt = headFunction(design, areaM2)
  const system: SystemCurve = (flow) => headAt(flow).totalM
  const duty = dutyPoint(pump.curve, system)
  const flowM3PerH = duty.status === 'no-flow' ? NO_FLOW : duty.flowM3PerH
  const velocityMPerH = flowM3PerH / areaM2
  const stone = granularOnly(design.layers)
  const quantities = layerQuantities(design.layers, areaM2)
  const drained = drainBack(
    design.layers.map((layer) => ({ thicknessM: layer.thicknessM, porosity: BED_MATERIALS[layer.material].porosity })),
    areaM2,
    design.airBreakM,
    pond.areaM2,
  )
  const treatingVolumeM3 = areaM2 * bed.depthM
  return {
    now,
    grown,
    neededAreaM2: schoolOf(design.school).areaM2,
    houseAreaM2: schoolOf(houseSchool).areaM2,
    areaM2,
    treatingVolumeM3,
    depthM: design.layers.reduce((sum, layer) => sum + layer.thicknessM, 0),
    demand,
    pump,
    duty,
    flowM3PerH,
    head: headAt(flowM3PerH),
    systemCurve: curveOf(system, pump),
    velocityMPerH,
    cleanLossMm: bedLossMm(stone, velocityMPerH).lossMm,
    atFlushLossMm: bedLossMm(fouled(stone), velocityMPerH).lossMm,
    uniformity: manifoldUniformity({
      flowM3PerH,
      lengthM: design.lengthM,
      diameterM: design.manifold.diameterM,
      openings: design.manifold.slots,
      openingAreaM2: design.manifold.slotAreaM2,
    }).uniformity,
    drainBackM3: drained.volumeM3,
    pondRiseMm: drained.pondRiseMm,
    flushDays: flushIntervalDays({ feedKgPerYear: grown.feedKgPerYear, leafKgPerYear: pond.leafKgPerYear, areaM2, poreM3: treatingVolumeM3 * bed.porosity }),
    stability: layerStability(design.layers),
    quantities,
    worstTanMgL: worstTan(grown, flowM3PerH, treatingVolumeM3, bed),
  }
}

function flowDemand(schoolM3PerH: number, sizing: YearSizing): FlowDemand {
  const candidates = [
    { governedBy: 'school' as const, flow: schoolM3PerH },
    { governedBy: 'oxygen' as const, flow: sizing.worstOxygenFlowM3PerH },
    { governedBy: 'turnover' as const, flow: sizing.turnoverFlowM3PerH },
  ]
  const most = candidates.reduce((a, b) => (b.flow > a.flow ? b : a))
  return {
    schoolM3PerH,
    oxygenM3PerH: sizing.worstOxygenFlowM3PerH,
    turnoverM3PerH: sizing.turnoverFlowM3PerH,
    neededM3PerH: most.flow,
    governedBy: most.governedBy,
  }
}

function headFunction(design: DesignProblemInput['design'], areaM2: number): (flowM3PerH: number) => HeadBreakdown {
  const stone = granularOnly(design.layers)
  const { manifold, delivery } = design
  return (flowM3PerH) => {
    const pipe = pipeLoss({ flowM3PerH, lengthM: delivery.lengthM, diameterM: delivery.diameterM, fittingsK: delivery.fittingsK })
    const bedM = bedLossMm(stone, flowM3PerH / areaM2).lossMm / 1000
    const nozzlesM =
      flowM3PerH > NO_FLOW
        ? Math.max(
            0,
            manifoldUniformity({
              flowM3PerH,
              lengthM: design.lengthM,
              diameterM: manifold.diameterM,
              openings: manifold.slots,
              openingAreaM2: manifold.slotAreaM2,
            }).inletHeadM,
          )
        : 0
    return { ...pipe, staticM: design.staticLiftM, bedM, nozzlesM, totalM: design.staticLiftM + pipe.darcyM + pipe.minorM + bedM + nozzlesM }
  }
}

function curveOf(system: SystemCurve, pump: CataloguePump): { flowM3PerH: number; headM: number }[] {
  const last = pump.curve[pump.curve.length - 1].flowM3PerH
  return Array.from({ length: CURVE_POINTS + 1 }, (_, i) => ({ flowM3PerH: (last * i) / CURVE_POINTS, headM: system((last * i) / CURVE_POINTS) }))
}

const granularOnly = (layers: readonly BedLayer[]) =>
  layers
    .filter((layer) => BED_MATERIALS[layer.material].granular)
    .map((layer) => ({ thicknessM: layer.thicknessM, grainM: BED_MATERIALS[layer.material].grainM, porosity: BED_MATERIALS[layer.material].porosity }))

const fouled = (stone: ReturnType<typeof granularOnly>) => stone.map((layer) => ({ ...layer, porosity: layer.porosity * (1 - CLOGGING.flushAtPoreLoss) }))

function worstTan(sizing: YearSizing, flowM3PerH: number, bedVolumeM3: number, bed: { grainM: number; porosity: number }): number {
  return Math.max(
    ...sizing.months.map(
      (m) =>
        closedLoop({ loadGPerD: m.tanLoadGPerD, flowM3PerH, bedVolumeM3, ratePerD: firstOrderRatePerD(bed.grainM, bed.porosity, m.tempC), ...CLOSED_LOOP })
          .concentrationMgL,
    ),
  )
}
