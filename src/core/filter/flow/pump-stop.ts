import { drainBack } from '../../hydraulics/drain-back'
import type { DesignPond, FilterDesign } from '../design-input'
import { bedAreaM2, buildUpM } from '../bed/bed-geometry'
import { BED_MATERIALS, type BedLayer } from '../bed/layers'

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

/** What happens when the pump stops, and when it starts again. @param flowM3PerH flow into the bed when running */
export function pumpStop(design: FilterDesign, pond: DesignPond, flowM3PerH: number): PumpStop {
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
    porosity: BED_MATERIALS[layer.material].porosity,
  }))
  // water standing over the gravel drains first, and has no stone in it
  if (design.waterOverGravelM > 0) voids.push({ thicknessM: design.waterOverGravelM, porosity: 1 })
  const dryTopM = Math.max(0, -design.waterOverGravelM)
  const drained = drainBack(lowered(voids, dryTopM), areaM2, design.airBreakM, pond.areaM2)
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
      waterTopM <= base
        ? 0
        : Math.min(1, Math.max(0, (Math.min(design.airBreakM, waterTopM) - base) / (waterTopM - base))),
    sludgeReturns: drained.volumeM3 > 0 && design.airBreakM < chamberTopM(design.layers),
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
