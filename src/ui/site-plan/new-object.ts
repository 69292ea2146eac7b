import type { SiteObject, SiteObjectKind, SiteSurvey } from '@/core/site-plan/site-survey'
import { objectsOf, PLACE_KINDS } from '@/core/site-plan/site-survey'
import { boundsOf, type Outline, type Point } from '@/core/survey/point'

/** How far from the pond something new is put, m: near enough to be seen, far enough to be picked. */
const OFF_M = 2
/** Between one new thing and the next, m. */
const STEP_M = 0.9

/** An object to begin with, beside the pond; from there it is dragged to its place. */
export function newObject(kind: SiteObjectKind, shore: Outline, survey: SiteSurvey): SiteObject {
  const { minX, maxX, minY, maxY } = boundsOf(shore)
  // one more does not cover the one before: places share a row, lines and areas go by their kind
  const step = (isPlace(kind) ? placesIn(survey) : objectsOf(survey, kind).length) * STEP_M
  const [midX, topY] = [(minX + maxX) / 2, maxY + OFF_M]
  const at: Point = { xM: round(minX + step), yM: round(topY) }
  const along: Point[] = [
    { xM: round(minX), yM: round(topY + step) },
    { xM: round(maxX), yM: round(topY + step) },
  ]
  switch (kind) {
    case 'tree':
      return { kind, at: { xM: round(minX - OFF_M), yM: round((minY + maxY) / 2 + step) }, crownM: 2 }
    case 'building':
      return { kind, outline: box(midX - 3, topY + 1, midX + 3, topY + 5) }
    case 'property':
      return { kind, outline: box(minX - 6, minY - 6, maxX + 8, maxY + 8) }
    case 'wall':
    case 'fence':
      return { kind, line: along }
    case 'service':
      return { kind, service: 'electric', line: along, clearM: 0.5 }
    case 'access':
      return {
        kind,
        line: [
          { xM: round(maxX + 8), yM: round(minY - 4 - step) },
          { xM: round(maxX + 2), yM: round(minY - 2 - step) },
        ],
        widthM: 1,
      }
    case 'spot-level':
      return { kind, at, levelM: 0.1 }
    default:
      return { kind, at }
  }
}

const isPlace = (kind: SiteObjectKind): boolean => kind === 'spot-level' || PLACE_KINDS.some((place) => place === kind)
const placesIn = ({ objects }: SiteSurvey): number => objects.filter(({ kind }) => isPlace(kind)).length

const round = (m: number): number => Number(m.toFixed(1))

const box = (x0: number, y0: number, x1: number, y1: number): Point[] =>
  [
    { xM: x0, yM: y0 },
    { xM: x1, yM: y0 },
    { xM: x1, yM: y1 },
    { xM: x0, yM: y1 },
  ].map(({ xM, yM }) => ({ xM: round(xM), yM: round(yM) }))
