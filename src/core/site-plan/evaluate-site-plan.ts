import type { FilterDesign } from '../filter/design-input'
import { levelsOf } from '../filter/levels'
import type { Point } from '../survey/point'
import { alongLine, apartM, inside, lineLengthM, nearestOn, shapesApartM, type Shape } from './geometry'
import { earthworks, type Earthworks } from './earthworks'
import { groundLevelM } from './ground-level'
import { downwind, placedParts, type PlacedParts } from './layout'
import { depthAtM, type PondGround } from './pond-ground'
import { bedWaterByGroundM, fromShoreM } from './placed-design'
import { bendsOf, type Bends } from './route'
import { objectsOf, type SiteObject, type SiteSurvey } from './site-survey'
import { designStream, type StreamSize } from './stream'

/** Something in the way of what is built. */
export interface Clash {
  readonly part: 'bed' | 'pipe' | 'stream'
  readonly with: 'pond' | 'building' | 'wall' | 'fence' | 'property' | 'service' | 'tree'
  /** How far apart they lie, and how far they have to, m. */
  readonly apartM: number
  readonly neededM: number
}

/** What follows from where the parts of a design stand. Lengths in m, levels over the waterline. */
export interface SitePlanResult {
  readonly pipeOnLandM: number
  readonly bends: Bends
  readonly pumpDepthM: number
  /** Ground at the bed's middle, and how far it falls from end to end of the bed; null while no level was taken. */
  readonly groundM: number | null
  readonly slopeAcrossBedM: number | null
  /** Where the bed's water would stand by the ground, m; below 0 it cannot run back. */
  readonly bedWaterByGroundM: number | null
  readonly stream: StreamSize | null
  readonly earthworks: Earthworks
  /** From the bed along the access to the street; null while no access is marked. */
  readonly haulM: number | null
  readonly narrowestAccessM: number | null
  readonly cableM: number | null
  /** How near the electrical supply stands to the water; null while it is not marked. */
  readonly supplyFromWaterM: number | null
  readonly clashes: readonly Clash[]
  /** Skimmers that wait on the windward shore, of all; null while the wind is not known. */
  readonly windwardSkimmers: number | null
}

/** Pieces that a pipe on the plan is looked at in, m. */
const STEP_M = 0.25
/** Roots of a tree near its trunk carry it, m. @source arboricultural practice: keep out of the buttress */
const TRUNK_CLEAR_M = 1
const BUILDING_CLEAR_M = 0.3

/** Works out a layout on its ground; null for a design that has none. */
export function evaluateSitePlan(design: FilterDesign, ground: PondGround | null): SitePlanResult | null {
  if (!design.layout || !ground) return null
  const { layout } = design
  const { survey, outline } = ground
  const parts = placedParts(design, layout, outline)
  const pipeOnLandM = landLengthM(parts.delivery, ground)
  const stream = designStream(design)
  const groundM = groundLevelM(survey, layout.bed.at)
  const ends = [parts.inlet, parts.outlet].map((at) => groundLevelM(survey, at))
  const access = widestAccess(survey)
  const supply = objectsOf(survey, 'supply')[0]
  return {
    pipeOnLandM,
    bends: bendsOf(parts.delivery),
    pumpDepthM: depthAtM(ground, layout.pump),
    groundM,
    slopeAcrossBedM: ends[0] === null || ends[1] === null ? null : Math.abs(ends[0]! - ends[1]!),
    bedWaterByGroundM: parts.beds.length === 0 ? null : bedWaterByGroundM(design, groundM),
    stream,
    earthworks: earthworks(design, pipeOnLandM, stream),
    haulM: access ? haulFrom(layout.bed.at, access.line) : null,
    narrowestAccessM: access?.widthM ?? null,
    cableM: supply ? lineLengthM([supply.at, ...layout.cable, layout.pump]) : null,
    supplyFromWaterM: supply ? onLandM(ground, supply.at) : null,
    clashes: clashesOf(parts, ground),
    windwardSkimmers: survey.windFromDeg === null ? null : windward(parts, ground),
  }
}

/** How far a place lies from the water, m; 0 in it. */
const onLandM = (ground: PondGround, at: Point): number => (inside(ground.outline, at) ? 0 : fromShoreM(ground, at))

function landLengthM(line: readonly Point[], { outline }: PondGround): number {
  if (line.length < 2) return 0
  const places = alongLine(line, STEP_M)
  return places.slice(1).reduce((sum, { at, alongM }, i) => {
    const before = places[i]!
    const middle = { xM: (at.xM + before.at.xM) / 2, yM: (at.yM + before.at.yM) / 2 }
    return inside(outline, middle) ? sum : sum + alongM - before.alongM
  }, 0)
}

/** The way in that lets most through: its width and its length belong together. */
const widestAccess = (survey: SiteSurvey) =>
  objectsOf(survey, 'access').reduce<Extract<SiteObject, { kind: 'access' }> | null>(
    (best, way) => (best && best.widthM >= way.widthM ? best : way),
    null,
  )

/** Across to the access and along it to the street, its first place. */
function haulFrom(at: Point, line: readonly Point[]): number {
  const join = nearestOn(line, false, at)
  const reached = alongLine(line, STEP_M)
  const nearest = reached.reduce((a, b) => (apartM(b.at, join) < apartM(a.at, join) ? b : a))
  return apartM(at, join) + nearest.alongM
}

const asShape = (object: SiteObject): Shape => {
  if ('at' in object) return { points: [object.at], closed: false }
  return 'line' in object ? { points: object.line, closed: false } : { points: object.outline, closed: true }
}

function clashesOf(parts: PlacedParts, { survey, outline }: PondGround): Clash[] {
  const beds = parts.beds.map((points): Shape => ({ points, closed: true }))
  const pond: Shape = { points: outline, closed: true }
  const built: readonly { part: Clash['part']; shape: Shape }[] = [
    ...beds.map((shape) => ({ part: 'bed' as const, shape })),
    ...(parts.delivery.length > 1 ? [{ part: 'pipe' as const, shape: { points: parts.delivery, closed: false } }] : []),
    ...(parts.waterReturn.length > 1
      ? [{ part: 'stream' as const, shape: { points: parts.waterReturn, closed: false } }]
      : []),
  ]
  const clash = (part: Clash['part'], other: Clash['with'], apart: number, neededM: number): Clash[] =>
    apart < neededM ? [{ part, with: other, apartM: apart, neededM }] : []
  const fromObjects = built.flatMap(({ part, shape }) =>
    survey.objects.flatMap((object): Clash[] => {
      switch (object.kind) {
        case 'service':
          return clash(part, 'service', shapesApartM(shape, asShape(object)), Math.max(object.clearM, 1e-3))
        case 'building':
          return clash(part, 'building', shapesApartM(shape, asShape(object)), BUILDING_CLEAR_M)
        case 'wall':
        case 'fence':
          // a pipe may pass under a wall or a fence; a bed cannot
          return part === 'bed' ? clash(part, object.kind, shapesApartM(shape, asShape(object)), 1e-3) : []
        case 'tree':
          return clash(part, 'tree', shapesApartM(shape, asShape(object)), TRUNK_CLEAR_M)
        case 'property':
          return shape.points.every((p) => inside(object.outline, p)) ? [] : clash(part, 'property', 0, 1e-3)
        default:
          return []
      }
    }),
  )
  return [...beds.flatMap((bed) => clash('bed', 'pond', shapesApartM(bed, pond), 1e-3)), ...fromObjects]
}

/** Skimmers that the usual wind blows away from: leaves gather across the pond from them. */
function windward({ skimmers }: PlacedParts, { survey, outline }: PondGround): number {
  const to = downwind(survey.northDeg, survey.windFromDeg ?? 0)
  const middle = {
    xM: outline.reduce((sum, p) => sum + p.xM, 0) / outline.length,
    yM: outline.reduce((sum, p) => sum + p.yM, 0) / outline.length,
  }
  return skimmers.filter(({ xM, yM }) => (xM - middle.xM) * to.xM + (yM - middle.yM) * to.yM < 0).length
}

/** Fall that is left for the stream's own run when its drops are taken off, m. */
export const streamFallM = (design: FilterDesign, stream: StreamSize): number =>
  levelsOf(design).bedWaterM - stream.dropM
