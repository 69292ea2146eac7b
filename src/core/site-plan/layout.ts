import { bedOutline } from '../filter/bed/bed-outline'
import { isSkimmer } from '../filter/train/train-unit'
import type { FilterDesign } from '../filter/design-input'
import { FILTER_TYPE_FACTS } from '../filter/types'
import { boundsOf, type Outline, type Point } from '../survey/point'
import { nearestOn } from './geometry'
import type { SiteLayout } from './site-layout'

const VESSEL_GAP_M = 0.25

/** The bed as it lies in its own coordinates: every vessel, and the box around them. */
export function bedBox(design: FilterDesign): { outlines: Outline[]; lengthM: number; widthM: number } {
  if (design.type === 'none') return { outlines: [], lengthM: 0, widthM: 0 }
  const acrossM = design.round ? design.lengthM : design.widthM
  const one = design.round ? roundOutline(design.lengthM) : bedOutline(design)
  const outlines = Array.from({ length: design.vessels }, (_, i) =>
    one.map(({ xM, yM }) => ({ xM, yM: yM + i * (acrossM + VESSEL_GAP_M) })),
  )
  return { outlines, lengthM: design.lengthM, widthM: design.vessels * (acrossM + VESSEL_GAP_M) - VESSEL_GAP_M }
}

const ROUND_POINTS = 36
const roundOutline = (diameterM: number): Outline =>
  Array.from({ length: ROUND_POINTS }, (_, i) => ({
    xM: (diameterM / 2) * (1 + Math.cos((2 * Math.PI * i) / ROUND_POINTS)),
    yM: (diameterM / 2) * (1 + Math.sin((2 * Math.PI * i) / ROUND_POINTS)),
  }))

/** From the bed's own coordinates to the site's. */
export function onSite(design: FilterDesign, { bed }: SiteLayout): (own: Point) => Point {
  const { lengthM, widthM } = bedBox(design)
  const angle = (bed.turnDeg * Math.PI) / 180
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)]
  return ({ xM, yM }) => {
    const [dx, dy] = [xM - lengthM / 2, yM - widthM / 2]
    return { xM: bed.at.xM + dx * cos - dy * sin, yM: bed.at.yM + dx * sin + dy * cos }
  }
}

/** Where water leaves a bed that stands by itself; null without one. */
export function outletOf(design: FilterDesign, layout: SiteLayout): Point | null {
  if (FILTER_TYPE_FACTS[design.type].alongShore || design.type === 'none') return null
  const { lengthM, widthM } = bedBox(design)
  return onSite(design, layout)({ xM: lengthM, yM: widthM / 2 })
}

export interface PlacedParts {
  /** Outline of each bed or vessel on the site. */
  readonly beds: readonly Outline[]
  /** Where water enters and leaves the bed; the pump's own place and the shore without a bed. */
  readonly inlet: Point
  readonly outlet: Point
  readonly vault: Point | null
  /** From pump to bed. */
  readonly delivery: readonly Point[]
  /** From bed to pond: along the stream, or straight to the nearest shore. */
  readonly waterReturn: readonly Point[]
  readonly skimmers: readonly Point[]
}

/** Every part of a design where its layout puts it. @param shore the pond's outline */
export function placedParts(design: FilterDesign, layout: SiteLayout, shore: Outline): PlacedParts {
  const facts = FILTER_TYPE_FACTS[design.type]
  const place = onSite(design, layout)
  const { outlines, lengthM, widthM } = bedBox(design)
  const along = facts.alongShore || design.type === 'none'
  const middle = { xM: lengthM / 2, yM: widthM / 2 }
  const inlet = along ? nearestOn(shore, true, layout.bed.at) : place({ ...middle, xM: 0 })
  const outlet = outletOf(design, layout) ?? inlet
  const stream = layout.stream?.places.map(({ at }) => at)
  return {
    beds: along ? [] : outlines.map((outline) => outline.map(place)),
    inlet,
    outlet,
    vault:
      design.vault && !along
        ? place(facts.vessels ? middle : { xM: -design.vault.diameterM / 2, yM: middle.yM })
        : null,
    delivery: design.pumpId === null ? [] : [layout.pump, ...layout.route, inlet],
    waterReturn: along ? [] : [outlet, ...(stream ?? [nearestOn(shore, true, outlet)])],
    skimmers: layout.skimmers,
  }
}

/** Skimmers that a design has. */
export const skimmersOf = (design: Pick<FilterDesign, 'train'>): number =>
  design.train.filter(({ kind }) => isSkimmer(kind)).length

/** How far apart bed and pond are put to begin with, m. */
const FIRST_GAP_M = 1.5

/**
 * A layout to begin with: the bed beside the pond with its outlet towards it, the pump at the far side so that the
 * water crosses the pond, skimmers where the wind carries leaves.
 */
export function firstLayout(design: FilterDesign, shore: Outline, northDeg: number, windFromDeg: number | null) {
  const bounds = boundsOf(shore)
  const middle = { xM: (bounds.minX + bounds.maxX) / 2, yM: (bounds.minY + bounds.maxY) / 2 }
  const { lengthM } = bedBox(design)
  const at = { xM: bounds.maxX + FIRST_GAP_M + lengthM / 2, yM: middle.yM }
  const skimmers = skimmersOf(design)
  const to = windFromDeg === null ? null : downwind(northDeg, windFromDeg)
  return {
    // its inlet lies away from the pond
    bed: { at, turnDeg: 180 },
    pump: inShore(shore, { xM: bounds.minX, yM: middle.yM }, middle),
    route: design.pumpId === null ? [] : besidePond(bounds, at, lengthM),
    stream: null,
    skimmers: Array.from({ length: skimmers }, (_, i) => {
      const spread = (i - (skimmers - 1) / 2) * 0.5
      const aim = to
        ? { xM: middle.xM + 1e3 * (to.xM - spread * to.yM), yM: middle.yM + 1e3 * (to.yM + spread * to.xM) }
        : { xM: bounds.minX, yM: middle.yM + (i + 1) }
      return nearestOn(shore, true, aim)
    }),
    cable: [],
  } satisfies SiteLayout
}

/** Unit vector of where the wind blows to, in the survey's axes. */
export function downwind(northDeg: number, windFromDeg: number): Point {
  const angle = ((northDeg + windFromDeg + 180) * Math.PI) / 180
  return { xM: Math.sin(angle), yM: Math.cos(angle) }
}

/** A place a little inside the shore. */
function inShore(shore: Outline, aim: Point, middle: Point): Point {
  const edge = nearestOn(shore, true, aim)
  // far enough in that a pump finds water over it
  const share = 0.35
  return rounded({ xM: edge.xM + share * (middle.xM - edge.xM), yM: edge.yM + share * (middle.yM - edge.yM) })
}

/** Around the pond on its lower side to the far end of the bed. */
function besidePond(bounds: ReturnType<typeof boundsOf>, bed: Point, lengthM: number): Point[] {
  const yM = bounds.minY - 0.6
  const endM = bed.xM + lengthM / 2
  return [
    { xM: bounds.minX, yM },
    { xM: endM, yM },
  ].map(rounded)
}

const rounded = ({ xM, yM }: Point): Point => ({ xM: Number(xM.toFixed(2)), yM: Number(yM.toFixed(2)) })
