import type { Outline, Point } from '../survey/point'

/** What lies in the ground and is not to be hit; the codes of what is marked on site. */
export const SERVICE_KINDS = ['electric', 'gas', 'water', 'drain', 'telecom'] as const
export type ServiceKind = (typeof SERVICE_KINDS)[number]

/** Places that are one point. */
export const PLACE_KINDS = ['supply', 'auto-fill', 'discharge', 'fixed-point'] as const
type PlaceKind = (typeof PLACE_KINDS)[number]

/**
 * What stands or lies around a pond, in the coordinates of its survey, m. Levels are over the pond's waterline.
 * - tree: its trunk and the radius of its crown
 * - access: from the street inwards, and the narrowest width on it
 * - supply: the point that electricity is taken from; discharge: where dirty water may go
 * - fixed-point: what set-out is measured from, such as a house corner
 */
export type SiteObject =
  | { readonly kind: 'tree'; readonly at: Point; readonly crownM: number }
  | { readonly kind: 'building'; readonly outline: Outline }
  | { readonly kind: 'property'; readonly outline: Outline }
  | { readonly kind: 'wall'; readonly line: readonly Point[] }
  | { readonly kind: 'fence'; readonly line: readonly Point[] }
  | {
      readonly kind: 'service'
      readonly service: ServiceKind
      readonly line: readonly Point[]
      readonly clearM: number
    }
  | { readonly kind: 'access'; readonly line: readonly Point[]; readonly widthM: number }
  | { readonly [Kind in PlaceKind]: { readonly kind: Kind; readonly at: Point } }[PlaceKind]
  | { readonly kind: 'spot-level'; readonly at: Point; readonly levelM: number }
export type SiteObjectKind = SiteObject['kind']

export const SITE_OBJECT_KINDS = [
  'spot-level',
  'fixed-point',
  'building',
  'wall',
  'fence',
  'property',
  'tree',
  'service',
  'access',
  'supply',
  'auto-fill',
  'discharge',
] as const satisfies readonly SiteObjectKind[]

/** The ground around a pond as measured, before anything is designed. */
export interface SiteSurvey {
  /** North, degrees clockwise from the survey's y axis. */
  readonly northDeg: number
  /** Where the usual wind comes from, degrees clockwise from north; null while nobody said. */
  readonly windFromDeg: number | null
  readonly objects: readonly SiteObject[]
}

export const EMPTY_SITE_SURVEY: SiteSurvey = { northDeg: 0, windFromDeg: null, objects: [] }

/** Inclusive input ranges; form schemas reuse them. */
export const SITE_RANGE = {
  coordinateM: [-1000, 1000],
  bearingDeg: [0, 360],
  crownM: [0.3, 25],
  clearM: [0, 5],
  accessM: [0.3, 10],
  levelM: [-10, 20],
  corners: [2, 60],
  outlineCorners: [3, 60],
  objects: [0, 120],
} as const

/** Every place of an object that can be moved by itself. */
export function placesOf(object: SiteObject): readonly Point[] {
  if ('at' in object) return [object.at]
  return 'line' in object ? object.line : object.outline
}

/** The same object at other places; as many as it keeps. */
export function withPlaces(object: SiteObject, places: readonly Point[]): SiteObject {
  if ('at' in object) return { ...object, at: places[0]! }
  return 'line' in object ? { ...object, line: places } : { ...object, outline: places }
}

/** Fewest places that an object of this kind can be drawn with. */
export const leastPlaces = (object: SiteObject): number => {
  if ('at' in object) return 1
  return 'line' in object ? SITE_RANGE.corners[0] : SITE_RANGE.outlineCorners[0]
}

/** All objects of some kinds, typed as such. */
export const objectsOf = <Kind extends SiteObjectKind>(
  survey: SiteSurvey,
  ...kinds: readonly Kind[]
): Extract<SiteObject, { kind: Kind }>[] =>
  survey.objects.filter((o): o is Extract<SiteObject, { kind: Kind }> => (kinds as readonly string[]).includes(o.kind))

/** Which of its kind an object is, from 1. */
export const numberOfKind = (objects: readonly SiteObject[], index: number): number =>
  objects.slice(0, index + 1).filter((o) => o.kind === objects[index]!.kind).length
