import type { BedMaterialKey } from '../filter/bed/layers'
import type { FilterType } from '../filter/types'
import type { SiteObject } from '../site-plan/site-survey'
import type { PlanSymbol } from './symbols'
/** A drawing in metres, y upwards, without any notion of screen, paper or file. */
export interface DrawnPoint {
  readonly xM: number
  readonly yM: number
}

/** Named as on a plan set: exports keep one layer each. */
export const DRAWING_LAYERS = [
  'OUTLINE',
  'STONE',
  'MODULES',
  'WATER',
  'PIPE',
  'PLANTS',
  'DIMENSIONS',
  'LEVELS',
  'TEXT',
  'GROUND',
  'SITE',
  'SERVICES',
  'TREES',
] as const
export type DrawingLayer = (typeof DRAWING_LAYERS)[number]

export type Mark =
  | {
      readonly kind: 'polygon'
      readonly layer: DrawingLayer
      readonly points: readonly DrawnPoint[]
      readonly fill?: string
    }
  | {
      readonly kind: 'line'
      readonly layer: DrawingLayer
      readonly points: readonly DrawnPoint[]
      readonly dashed?: boolean
      readonly arrow?: boolean
    }
  | {
      readonly kind: 'circle'
      readonly layer: DrawingLayer
      readonly centre: DrawnPoint
      readonly radiusM: number
      readonly fill?: string
    }
  | {
      readonly kind: 'text'
      readonly layer: DrawingLayer
      readonly at: DrawnPoint
      readonly text: string
      readonly anchor: 'start' | 'middle' | 'end'
    }
  | {
      readonly kind: 'dimension'
      readonly layer: 'DIMENSIONS'
      readonly from: DrawnPoint
      readonly to: DrawnPoint
      /** How far beside the measured line the dimension stands, to its left, m. */
      readonly offsetM: number
      readonly text: string
    }
  | {
      readonly kind: 'symbol'
      readonly layer: DrawingLayer
      readonly symbol: PlanSymbol
      readonly at: DrawnPoint
      readonly radiusM: number
    }

export interface Sheet {
  readonly title: string
  readonly marks: readonly Mark[]
  /** A diagram, not a drawing: no scale is written on it. */
  readonly notToScale?: boolean
  readonly bounds: { readonly minX: number; readonly minY: number; readonly maxX: number; readonly maxY: number }
}

/** What is written on drawings beside dimensions and names. */
export const SHEET_TEXTS = [
  'plan',
  'long-section',
  'layer-detail',
  'flow-diagram',
  'no-filter',
  'no-bed',
  'vault',
  'ground',
  'north',
  'liner',
  'perforated-loop',
  'back-to-pond',
  'return',
  'falls',
  'not-to-scale',
  'site-plan',
  'pond',
  'pump',
  'skimmer',
  'bed',
  'drain',
  'wind',
  'system-section',
  'grade-line',
  'waterline',
] as const
export type SheetText = (typeof SHEET_TEXTS)[number]

/** Words on drawings in the reader's language and units. */
export interface SheetWords {
  readonly length: (m: number) => string
  readonly text: (code: SheetText) => string
  readonly material: (key: BedMaterialKey) => string
  readonly species: (key: string) => string
  readonly waterLevel: (m: number) => string
  readonly drainsBackTo: (m: number) => string
  readonly band: (widthM: number, alongM: number) => string
  readonly scale: (scale: number, barM: number) => string
  /** @param number of its kind, from 1 */
  readonly siteObject: (object: SiteObject, number: number) => string
  readonly filterType: (type: FilterType) => string
  readonly pipe: (boreM: number, lengthM: number) => string
  readonly falls: (dropsM: readonly number[]) => string
  /** A height over or under the pond's waterline, with its sign. */
  readonly level: (m: number) => string
  readonly exaggerated: (times: number) => string
}

/** A dimension is what was typed, to the millimetre: 12.25 m is never 12.3 m. */
export const DIMENSION_FIGURES = 6

/** End points of a dimension's own line, beside what it measures. */
export function dimensionLine(mark: Extract<Mark, { kind: 'dimension' }>): readonly [DrawnPoint, DrawnPoint] {
  const [dx, dy] = [mark.to.xM - mark.from.xM, mark.to.yM - mark.from.yM]
  const length = Math.hypot(dx, dy) || 1
  const [nx, ny] = [(-dy / length) * mark.offsetM, (dx / length) * mark.offsetM]
  return [
    { xM: mark.from.xM + nx, yM: mark.from.yM + ny },
    { xM: mark.to.xM + nx, yM: mark.to.yM + ny },
  ]
}

const pointsOf = (mark: Mark): readonly DrawnPoint[] => {
  switch (mark.kind) {
    case 'polygon':
    case 'line':
      return mark.points
    case 'circle':
      return [
        { xM: mark.centre.xM - mark.radiusM, yM: mark.centre.yM - mark.radiusM },
        { xM: mark.centre.xM + mark.radiusM, yM: mark.centre.yM + mark.radiusM },
      ]
    case 'text':
    case 'symbol':
      return [mark.at]
    case 'dimension':
      return dimensionLine(mark)
  }
}

/** A sheet whose bounds hold every mark. */
export function sheetOf(title: string, marks: readonly Mark[]): Sheet {
  const points = marks.flatMap(pointsOf)
  const xs = points.map((p) => p.xM)
  const ys = points.map((p) => p.yM)
  return {
    title,
    marks,
    bounds: { minX: Math.min(...xs), minY: Math.min(...ys), maxX: Math.max(...xs), maxY: Math.max(...ys) },
  }
}

export const rectangle = (minX: number, minY: number, maxX: number, maxY: number): DrawnPoint[] => [
  { xM: minX, yM: minY },
  { xM: maxX, yM: minY },
  { xM: maxX, yM: maxY },
  { xM: minX, yM: maxY },
]

export const dimension = (from: DrawnPoint, to: DrawnPoint, offsetM: number, text: string): Mark => ({
  kind: 'dimension',
  layer: 'DIMENSIONS',
  from,
  to,
  offsetM,
  text,
})

export const label = (
  xM: number,
  yM: number,
  text: string,
  anchor: 'start' | 'middle' | 'end' = 'start',
  layer: DrawingLayer = 'TEXT',
): Mark => ({
  kind: 'text',
  layer,
  at: { xM, yM },
  text,
  anchor,
})
