import { grownFish } from '../fish/load'
import type { BedDesign, DesignPond } from './design-input'
import { workOutDesign } from './design'
import { DEFAULT_LAYERS, treatingGravel } from './layers'
import type { FilterPractice, School } from './practice'
import { PUMP_CATALOGUE } from './pump-catalogue'
import { sizeThroughYear } from './yearly-sizing'

const STEP_M = 0.25 // beds are set out in quarter metres
const LONGER_THAN_WIDE = 2
const SLOT_AREA_M2 = 1.5e-4 // 3 mm × 50 mm saw cut
const SLOT_TO_PIPE_AREA = 0.45 // keeps the feed even
const MANIFOLD_DIAMETERS_M = [0.05, 0.075, 0.1, 0.15, 0.2, 0.25, 0.3]
const DELIVERY_DIAMETERS_M = [0.032, 0.04, 0.05, 0.063, 0.075, 0.09, 0.11, 0.16, 0.2]
const MANIFOLD_SPEED_M_PER_S = 0.9
const DELIVERY_SPEED_M_PER_S = 1.8
const FITTINGS_K = 4 // two bends, a valve, an exit

/**
 * A bed to begin with: the school's area with grown fish, set out about twice as long as wide, with pipes for its flow and the
 * smallest pump that delivers it.
 */
export function firstDesign(pond: DesignPond, school: School, practice: FilterPractice): BedDesign {
  const sizing = sizeThroughYear(pond, grownFish(pond.fish, practice.growthYears), treatingGravel(DEFAULT_LAYERS), practice)
  const asked = sizing.schools.find((s) => s.school === school)!
  const areaM2 = Math.max(asked.areaM2, 0.5)
  const widthM = Math.max(0.5, Math.ceil(Math.sqrt(areaM2 / LONGER_THAN_WIDE) / STEP_M) * STEP_M)
  const lengthM = Math.max(0.5, Math.ceil(areaM2 / widthM / STEP_M - 1e-9) * STEP_M)
  const flow = Math.max(asked.flowM3PerH, sizing.worstOxygenFlowM3PerH, sizing.turnoverFlowM3PerH)
  const manifoldDiameterM = diameterFor(flow, MANIFOLD_SPEED_M_PER_S, MANIFOLD_DIAMETERS_M)
  const depthM = DEFAULT_LAYERS.reduce((sum, layer) => sum + layer.thicknessM, 0)
  const design: BedDesign = {
    school,
    lengthM,
    widthM,
    layers: DEFAULT_LAYERS,
    manifold: {
      diameterM: manifoldDiameterM,
      slots: Math.max(8, Math.round((SLOT_TO_PIPE_AREA * Math.PI * manifoldDiameterM ** 2) / 4 / SLOT_AREA_M2)),
      slotAreaM2: SLOT_AREA_M2,
    },
    delivery: { lengthM: 8, diameterM: diameterFor(flow, DELIVERY_SPEED_M_PER_S, DELIVERY_DIAMETERS_M), fittingsK: FITTINGS_K },
    staticLiftM: 0.6,
    pumpId: PUMP_CATALOGUE[PUMP_CATALOGUE.length - 1].id,
    airBreakM: depthM,
  }
  const enough = PUMP_CATALOGUE.find(
    (pump) => workOutDesign({ pond, design: { ...design, pumpId: pump.id }, practice, houseSchool: school }).flowM3PerH >= flow,
  )
  return { ...design, pumpId: enough?.id ?? design.pumpId }
}

function diameterFor(flowM3PerH: number, speedMPerS: number, sizes: readonly number[]): number {
  const wanted = Math.sqrt((4 * flowM3PerH) / 3600 / speedMPerS / Math.PI)
  return sizes.find((size) => size >= wanted) ?? sizes[sizes.length - 1]
}
