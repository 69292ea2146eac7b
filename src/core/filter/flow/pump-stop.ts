import { drainBack } from '../../hydraulics/drain-back'
import type { DesignPond, FilterDesign } from '../design-input'
import { bedAreaM2, buildUpM } from '../bed/bed-geometry'
import { BED_MATERIALS, type BedLayer, type BedMaterials } from '../bed/layers'
import { sheetM } from '../../hydraulics/falls'
import { WEIR_RANGE } from '../../hydraulics/weir'
import { drainsToM } from '../levels'
import { outletCapacity } from './outlet-capacity'
import { FILTER_TYPE_FACTS } from '../types'

export interface PumpStop {
  /** Water that runs back if nothing holds it, m³. */
  readonly drainBackM3: number
  readonly pondRiseMm: number
  /** The check valve holds it as long as it is clean. */
  readonly heldByValve: boolean
  /** Share of the treating stone's depth that stays under water. */
  readonly wetShare: number
  /** The chamber itself runs back: its sludge goes with it. */
  readonly sludgeReturns: boolean
  /** Pond level drawn down when the pump starts again and refills the bed, mm. */
  readonly restartDrawdownMm: number
  /** Minutes until the bed is full again; Infinity without flow. */
  readonly refillMin: number
}

/** A return that runs half full stands under half its bore; less flow stands lower. @source Manning, part full */
const RETURN_HEAD = { shareAtHalfFull: 0.5, exponent: 0.7 } as const

/** Water that stands over the bed's still level while the pump runs, m: the sheet on its lip or the return's head. */
const runningHeadM = ({ type, falls, outlet, lengthM }: FilterDesign, flowM3PerH: number): number => {
  if (flowM3PerH <= 0) return 0
  // all along the shore it is a film
  if (FILTER_TYPE_FACTS[type].alongShore) return sheetM(flowM3PerH, Math.min(lengthM, WEIR_RANGE.widthM[1]))
  if (falls) return sheetM(flowM3PerH, falls.widthM)
  const filled = flowM3PerH / (outlet.count * outletCapacity(outlet).halfFullM3PerH)
  return outlet.diameterM * RETURN_HEAD.shareAtHalfFull * Math.min(1, filled) ** RETURN_HEAD.exponent
}

/** What happens when the pump stops, and when it starts again. @param flowM3PerH flow into the bed when running */
export function pumpStop(
  design: FilterDesign,
  pond: DesignPond,
  flowM3PerH: number,
  materials: BedMaterials,
): PumpStop {
  const areaM2 = bedAreaM2(design)
  if (areaM2 === 0)
    return {
      drainBackM3: 0,
      pondRiseMm: 0,
      heldByValve: false,
      wetShare: 1,
      sludgeReturns: false,
      restartDrawdownMm: 0,
      refillMin: 0,
    }
  const voids: { thicknessM: number; porosity: number }[] = design.layers.map((layer) => ({
    thicknessM: layer.thicknessM,
    porosity: materials[layer.material].porosity,
  }))
  // water standing over the gravel drains first, and has no stone in it
  if (design.waterOverGravelM > 0) voids.push({ thicknessM: design.waterOverGravelM, porosity: 1 })
  const dryTopM = Math.max(0, -design.waterOverGravelM)
  const drainToM = drainsToM(design)
  const siphoned = drainBack(lowered(voids, dryTopM), areaM2, drainToM, pond.areaM2)
  // what runs over the lip while the pump runs comes home in any case
  const overM3 = runningHeadM(design, flowM3PerH) * areaM2
  const drained = {
    volumeM3: siphoned.volumeM3 + overM3,
    pondRiseMm: siphoned.pondRiseMm + (overM3 / pond.areaM2) * 1000,
  }
  const [base, top] = treatingSpan(design.layers)
  const waterTopM = Math.min(top, buildUpM(design.layers) + Math.min(0, design.waterOverGravelM))
  const minutesToRefill = () => {
    if (flowM3PerH > 0) return (drained.volumeM3 / flowM3PerH) * 60
    if (drained.volumeM3 > 0) return Infinity
    return 0
  }
  return {
    drainBackM3: drained.volumeM3,
    pondRiseMm: drained.pondRiseMm,
    heldByValve: design.checkValve,
    wetShare:
      waterTopM <= base ? 0 : Math.min(1, Math.max(0, (Math.min(drainToM, waterTopM) - base) / (waterTopM - base))),
    sludgeReturns: siphoned.volumeM3 > 0 && drainToM < chamberTopM(design.layers),
    restartDrawdownMm: drained.pondRiseMm,
    refillMin: minutesToRefill(),
  }
}

/** The same layers without the top that stands dry. */
function lowered(
  layers: readonly { thicknessM: number; porosity: number }[],
  dryTopM: number,
): { thicknessM: number; porosity: number }[] {
  let dry = dryTopM
  return [...layers]
    .reverse()
    .map((layer) => {
      const off = Math.min(dry, layer.thicknessM)
      dry -= off
      return { ...layer, thicknessM: layer.thicknessM - off }
    })
    .reverse()
}

/** Lower and upper edge of the treating stone above the base, m. */
function treatingSpan(layers: readonly BedLayer[]): [number, number] {
  const from = layers.findIndex(
    (layer) => BED_MATERIALS[layer.material].granular && layer.material !== 'levelling-gravel',
  )
  return [from < 0 ? 0 : buildUpM(layers.slice(0, from)), buildUpM(layers)]
}

/** Upper edge of the void modules above the base, m; 0 without. */
function chamberTopM(layers: readonly BedLayer[]): number {
  const last = layers.findLastIndex((layer) => layer.material === 'void-modules')
  return last < 0 ? 0 : buildUpM(layers.slice(0, last + 1))
}
