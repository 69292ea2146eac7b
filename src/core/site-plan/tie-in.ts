import type { FilterDesign } from '../filter/design-input'
import type { Outline, Point } from '../survey/point'
import { apartM } from './geometry'
import { bedBox, placedParts } from './layout'
import type { SiteLayout } from './site-layout'
import { objectsOf, type SiteSurvey } from './site-survey'

/** What is set out; `number` counts those of a kind from 1. */
export const TIE_IN_KINDS = ['bed-corner', 'vessel', 'vault', 'pump', 'pipe-corner', 'skimmer', 'stream'] as const
export interface TieIn {
  readonly kind: (typeof TIE_IN_KINDS)[number]
  readonly number: number
  readonly at: Point
  /** Distance from the first and the second fixed point, m. */
  readonly fromA: number
  readonly fromB: number
  /** Which side of the line from the first to the second fixed point it lies on, looking along it. */
  readonly side: 'left' | 'right' | 'on-line'
}

/** The two fixed points that set-out is measured from; null while fewer are marked. */
export function fixedPoints(survey: SiteSurvey): readonly [Point, Point] | null {
  const [a, b] = objectsOf(survey, 'fixed-point')
  return a && b && apartM(a.at, b.at) > 0 ? [a.at, b.at] : null
}

/** Set-out of a design from two fixed points, tape by tape; empty while fewer than two are marked. */
export function tieInTable(design: FilterDesign, layout: SiteLayout, shore: Outline, survey: SiteSurvey): TieIn[] {
  const points = fixedPoints(survey)
  if (!points) return []
  const [a, b] = points
  const parts = placedParts(design, layout, shore)
  const corners = design.round ? [] : (parts.beds[0] ?? [])
  const rows: readonly (readonly [TieIn['kind'], readonly Point[]])[] = [
    // a curved bed is set out by its box: every point of a curve would fill the page
    ['bed-corner', corners.length > MOST_CORNERS ? boxCorners(design, layout, shore) : corners],
    ['vessel', design.round ? parts.beds.map(middleOf) : []],
    ['vault', parts.vault ? [parts.vault] : []],
    ['pump', design.pumpId === null ? [] : [layout.pump]],
    ['pipe-corner', layout.route],
    ['skimmer', parts.skimmers],
    ['stream', layout.stream?.places.map(({ at }) => at) ?? []],
  ]
  return rows.flatMap(([kind, places]) =>
    places.map((at, i) => ({
      kind,
      number: i + 1,
      at,
      fromA: apartM(a, at),
      fromB: apartM(b, at),
      side: sideOf(a, b, at),
    })),
  )
}

const MOST_CORNERS = 24
/** Nearer to the line than a tape can tell. */
const ON_LINE_M = 0.005

function sideOf(a: Point, b: Point, p: Point): TieIn['side'] {
  const across = ((b.xM - a.xM) * (p.yM - a.yM) - (b.yM - a.yM) * (p.xM - a.xM)) / apartM(a, b)
  if (Math.abs(across) < ON_LINE_M) return 'on-line'
  return across > 0 ? 'left' : 'right'
}

const middleOf = (outline: Outline): Point => ({
  xM: outline.reduce((sum, p) => sum + p.xM, 0) / outline.length,
  yM: outline.reduce((sum, p) => sum + p.yM, 0) / outline.length,
})

/** Corners of the rectangle that a curved bed lies in. */
function boxCorners(design: FilterDesign, layout: SiteLayout, shore: Outline): readonly Point[] {
  const { lengthM, widthM } = bedBox(design)
  const straight = { ...design, lengthM, widthM, vessels: 1, shape: { kind: 'rectangle' } as const }
  return placedParts(straight, layout, shore).beds[0] ?? []
}

/** The place that two tapes give. @returns null where they do not meet */
export function placeFromTapes([a, b]: readonly [Point, Point], row: Pick<TieIn, 'fromA' | 'fromB' | 'side'>) {
  const base = apartM(a, b)
  const along = (row.fromA ** 2 - row.fromB ** 2 + base ** 2) / (2 * base)
  const square = row.fromA ** 2 - along ** 2
  if (square < -1e-9) return null
  const across = Math.sqrt(Math.max(0, square)) * (row.side === 'right' ? -1 : 1)
  const [ux, uy] = [(b.xM - a.xM) / base, (b.yM - a.yM) / base]
  return { xM: a.xM + along * ux - across * uy, yM: a.yM + along * uy + across * ux }
}
