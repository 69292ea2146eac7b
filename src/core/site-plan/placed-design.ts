import { buildUpM } from '../filter/bed/bed-geometry'
import type { FilterDesign } from '../filter/design-input'
import { DESIGN_RANGE } from '../filter/design-input'
import { FILTER_TYPE_FACTS } from '../filter/types'
import type { HydraulicTables } from '../hydraulics/fittings'
import { apartM, lineLengthM, nearestOn, shapesApartM } from './geometry'
import { groundLevelM } from './ground-level'
import { firstLayout, placedParts, skimmersOf, type PlacedParts } from './layout'
import type { SiteLayout } from './site-layout'
import { depthAtM, type PondGround } from './pond-ground'
import { bendsOf, deliveryLengthM, withBends } from './route'
import { objectsOf } from './site-survey'

/** A bed this near to a building stands by the rules for building near one, m. @source house default */
export const NEAR_BUILDING_M = 2

/** Lengths of the plan are written into a design to the centimetre. */
const toCm = (m: number): number => Number(m.toFixed(2))
const within = (m: number, [min, max]: readonly [number, number]): number => Math.min(max, Math.max(min, toCm(m)))

/**
 * A design with every figure that its place on the site decides: lift by the ground's levels, length and bends of the
 * delivery pipe, the way back, the last fall of a stream, the distance to the discharge area, north. What the site
 * survey does not say stays as it was decided by hand. A design without a layout is left as it is.
 */
export function placedDesign(
  design: FilterDesign,
  ground: PondGround | null,
  { fittings }: Pick<HydraulicTables, 'fittings'>,
): FilterDesign {
  if (!design.layout || !ground) return design
  const layout = fittingLayout(design, design.layout, ground)
  const { survey, outline } = ground
  const parts = placedParts(design, layout, outline)
  const lifted = { ...design, layout, ...levelled(design, layout, ground, parts), northDeg: survey.northDeg }
  return {
    ...lifted,
    delivery:
      parts.delivery.length === 0
        ? design.delivery
        : {
            ...design.delivery,
            lengthM: within(
              deliveryLengthM(parts.delivery, depthAtM(ground, layout.pump), lifted),
              DESIGN_RANGE.deliveryLengthM,
            ),
            fittings: withBends(design.delivery.fittings, bendsOf(parts.delivery), fittings),
          },
    vault: design.vault && { ...design.vault, dischargeM: dischargeM(parts, ground) ?? design.vault.dischargeM },
    outlet: FILTER_TYPE_FACTS[design.type].pipedOutlet
      ? { ...design.outlet, lengthM: within(lineLengthM(parts.waterReturn), DESIGN_RANGE.outletLengthM) }
      : design.outlet,
  }
}

/** As many skimmers on the plan as the design has: new ones where they would begin. */
function fittingLayout(design: FilterDesign, layout: SiteLayout, { survey, outline }: PondGround): SiteLayout {
  const fitted = skimmersOf(design)
  if (fitted === layout.skimmers.length) return layout
  const fresh = firstLayout(design, outline, survey.northDeg, survey.windFromDeg).skimmers
  return { ...layout, skimmers: Array.from({ length: fitted }, (_, i) => layout.skimmers[i] ?? fresh[i]!) }
}

/**
 * Where a bed's water stands by the ground it is built on, m over the pond's waterline; null while no level was taken.
 * Vessels stand on the ground with all of their height, dug beds with their walls.
 */
export function bedWaterByGroundM(
  design: Pick<FilterDesign, 'type' | 'layers' | 'raisedM' | 'waterOverGravelM'>,
  groundM: number | null,
): number | null {
  if (groundM === null) return null
  const standsM = FILTER_TYPE_FACTS[design.type].vessels ? buildUpM(design.layers) : design.raisedM
  return groundM + standsM + design.waterOverGravelM
}

/** Lift, last fall and foundation as the ground gives them. */
function levelled(
  design: FilterDesign,
  layout: SiteLayout,
  { survey }: PondGround,
  { beds }: PlacedParts,
): Pick<FilterDesign, 'staticLiftM' | 'falls' | 'stand'> {
  const byGroundM = beds.length === 0 ? null : bedWaterByGroundM(design, groundLevelM(survey, layout.bed.at))
  const last = layout.stream?.places.at(-1)
  const buildings = objectsOf(survey, 'building')
  const apart = buildings.flatMap(({ outline }) =>
    beds.map((bed) => shapesApartM({ points: bed, closed: true }, { points: outline, closed: true })),
  )
  const near = apart.some((m) => m < NEAR_BUILDING_M)
  const standBy = () => {
    if (design.stand === 'slab-or-roof' || buildings.length === 0 || beds.length === 0) return design.stand
    return near ? 'near-building' : 'ground'
  }
  return {
    staticLiftM: byGroundM === null ? design.staticLiftM : within(byGroundM, DESIGN_RANGE.staticLiftM),
    falls:
      design.falls && last && last.dropM > 0
        ? { widthM: within(last.widthM, DESIGN_RANGE.fallsWidthM), dropM: within(last.dropM, DESIGN_RANGE.dropM) }
        : design.falls,
    stand: standBy(),
  }
}

/** From the vault to the nearest place that dirty water may go, m; null while none is marked. */
function dischargeM({ vault }: PlacedParts, { survey }: PondGround): number | null {
  const places = objectsOf(survey, 'discharge')
  if (!vault || places.length === 0) return null
  return within(Math.min(...places.map(({ at }) => apartM(at, vault))), DESIGN_RANGE.dischargeM)
}

/** How far a place lies from the water's edge, m; less than nothing in the pond. */
export const fromShoreM = (ground: Pick<PondGround, 'outline'>, at: { xM: number; yM: number }): number =>
  apartM(at, nearestOn(ground.outline, true, at))
