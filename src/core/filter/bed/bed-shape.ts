import type { Outline } from '../../survey/point'

/** Shapes that a lined bed can be laid out in; each fills its length × width. */
export const BED_SHAPES = ['rectangle', 'half-round', 'kidney', 'corners'] as const

/** The plan of a bed. Corners are shares of its length and width, so that a bed that grows keeps its shape. */
export type BedShape =
  | { readonly kind: 'rectangle' | 'half-round' }
  | { readonly kind: 'kidney'; readonly waistShare: number }
  | { readonly kind: 'corners'; readonly corners: Outline }

export const RECTANGLE: BedShape = { kind: 'rectangle' }

/** Inclusive input ranges; form schemas reuse them. */
export const BED_SHAPE_RANGE = { waistShare: [0.3, 1], cornerShare: [0, 1], corners: [3, 24] } as const
