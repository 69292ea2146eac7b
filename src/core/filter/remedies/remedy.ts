import { buildUpM, oneBedAreaM2 } from '../bed/bed-geometry'
import { shapeShare } from '../bed/bed-outline'
import type { DesignResult } from '../design'
import type { DesignProblemInput, FilterDesign } from '../design-input'
import { outletFor } from '../first/pipes'
import { stepUp } from '../first/proportions'
import { smallestPump } from '../first/smallest-pump'
import { pastTheBed } from '../first-design'
import { lateralsFor } from '../flow/head'
import { FILTER_TYPE_FACTS } from '../types'
import { VESSEL_SIZES, vesselLayers } from '../types/vessel-sizes'

export type Context = DesignProblemInput & { readonly result: DesignResult }
/** One change that mends a check; null where it cannot. */
export type Mend = (context: Context) => FilterDesign | null

const MOST_SIDE_M = 100
const MOST_VESSELS = 20
/** A band along the shore is no wider than a spade reaches from both sides, m. */
const WIDEST_BAND_M = 1.5

/** A larger bed of the same kind: longer, wider where water runs along it, more or larger vessels. */
export function enlarge({ pond, design, result }: Context, areaM2: number): FilterDesign | null {
  const factor = areaM2 / result.areaM2
  if (!(result.areaM2 > 0) || factor <= 1 + 1e-9 || !Number.isFinite(factor)) return null
  const { vessels, alongShore, path } = FILTER_TYPE_FACTS[design.type]
  if (vessels) return moreVessels(design, areaM2)
  if (alongShore) {
    const longest = Math.min(MOST_SIDE_M, pond.shoreM)
    const lengthM = Math.min(longest, stepUp(areaM2 / design.widthM))
    const widthM = Math.min(WIDEST_BAND_M, Math.max(design.widthM, stepUp(areaM2 / lengthM)))
    return fedAcross({ ...design, lengthM, widthM })
  }
  if (path === 'along') {
    const widthM = Math.min(MOST_SIDE_M, stepUp(design.widthM * factor))
    return {
      ...design,
      widthM,
      bypassShare: pastTheBed(Math.max(result.flowM3PerH, 0.1), widthM * buildUpM(design.layers)),
    }
  }
  const lengthM = Math.min(MOST_SIDE_M, stepUp(design.lengthM * factor))
  const boxM2 = areaM2 / shapeShare(design)
  const widthM = Math.min(MOST_SIDE_M, Math.max(design.widthM, stepUp(boxM2 / lengthM)))
  return fedAcross({ ...design, lengthM, widthM })
}

/** Pipes enough for a bed's width, where no chamber spreads the water. */
export function fedAcross(design: FilterDesign): FilterDesign {
  const { path, vessels } = FILTER_TYPE_FACTS[design.type]
  if (path !== 'up' || vessels || design.layers.some((layer) => layer.material === 'void-modules')) return design
  const laterals = Math.max(design.manifold.laterals, lateralsFor(design))
  return { ...design, manifold: { ...design.manifold, laterals } }
}

/** More of the same vessels, and the next size where twenty do not do. */
function moreVessels(design: FilterDesign, areaM2: number): FilterDesign | null {
  const countOf = (diameterM: number) => Math.ceil(areaM2 / ((Math.PI * diameterM ** 2) / 4) - 1e-9)
  if (!design.round || countOf(design.lengthM) <= MOST_VESSELS) {
    const one = oneBedAreaM2(design)
    const vessels = Math.min(MOST_VESSELS, Math.max(design.vessels + 1, Math.ceil(areaM2 / one - 1e-9)))
    return vessels > design.vessels ? { ...design, vessels } : null
  }
  const larger =
    VESSEL_SIZES.find((size) => size.diameterM > design.lengthM && countOf(size.diameterM) <= MOST_VESSELS) ??
    VESSEL_SIZES[VESSEL_SIZES.length - 1]!
  if (larger.diameterM <= design.lengthM)
    return design.vessels < MOST_VESSELS ? { ...design, vessels: MOST_VESSELS } : null
  const layers = vesselLayers(larger)
  return {
    ...design,
    lengthM: larger.diameterM,
    widthM: larger.diameterM,
    layers,
    airBreakM: design.airBreakM === null ? null : buildUpM(layers) + Math.max(0, design.waterOverGravelM),
    vessels: Math.min(MOST_VESSELS, countOf(larger.diameterM)),
  }
}

/** The smallest pump for a flow, and a return that brings it all back. */
export function withPump({ pond, design, rules, pumps }: Context, flowM3PerH: number): FilterDesign | null {
  const choice = smallestPump(pond, design, rules, pumps, flowM3PerH)
  const same = choice?.pumpId === design.pumpId && choice.pumpSet.count === design.pumpSet.count
  return choice && !same ? { ...design, ...choice } : null
}

/** The return again, for what the bed sends back. */
export const returnFor = (
  { design, result, rules }: Context,
  least = FILTER_TYPE_FACTS[design.type].walled ? 2 : 1,
): FilterDesign => ({
  ...design,
  outlet: outletFor(
    result.bedFlowM3PerH,
    design.delivery.diameterM,
    rules.tables.pipes,
    design.outlet.dropM,
    Math.max(least, 1),
  ),
})
