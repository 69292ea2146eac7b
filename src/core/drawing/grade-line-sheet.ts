import type { DesignResult } from '../filter/design'
import type { FilterDesign } from '../filter/design-input'
import { buildUpM } from '../filter/bed/bed-geometry'
import { levelsOf } from '../filter/levels'
import { alongLine, apartM, lineLengthM } from '../site-plan/geometry'
import { groundLevelM } from '../site-plan/ground-level'
import { placedParts, type PlacedParts } from '../site-plan/layout'
import { depthAtM, type PondGround } from '../site-plan/pond-ground'
import { TRENCH } from '../site-plan/earthworks'
import type { Point } from '../survey/point'
import { label, rectangle, sheetOf, type DrawnPoint, type Mark, type Sheet, type SheetWords } from './sheet'
import type { SiteLayout } from '../site-plan/site-layout'

/** Chainage is drawn in pieces of at most this, m. */
const STEP_M = 0.25
/** The drawing is at least this high for its length; flat systems are drawn higher and say so. */
const LEAST_HEIGHT_SHARE = 0.28
const TIMES = [1, 2, 5, 10, 20] as const
/** Pond drawn beyond the mouth of the return, m. */
const INTO_POND_M = 1.2
const BED_FREEBOARD_M = 0.08

/** The way of the water in one line: heights over the pond's waterline by the way gone from the pump, m. */
export interface GradeLine {
  /** Surface of the ground, or the floor of the pond. */
  readonly ground: readonly DrawnPoint[]
  readonly pipe: readonly DrawnPoint[]
  /** Hydraulic grade line: pump's head, less what each part loses, down to the pond. */
  readonly grade: readonly DrawnPoint[]
  readonly bed: { readonly fromM: number; readonly toM: number; readonly baseM: number; readonly topM: number } | null
  /** Chainage of the shore that water goes back over. */
  readonly shoreM: number
  readonly endM: number
}

/** Works out the long section of a laid-out design; null without a layout, a bed or a pump. */
export function gradeLine(design: FilterDesign, result: DesignResult, ground: PondGround | null): GradeLine | null {
  if (!design.layout || !ground || result.pump === null) return null
  const parts = placedParts(design, design.layout, ground.outline)
  if (parts.beds.length === 0 || parts.delivery.length < 2) return null
  const levels = levelsOf(design)
  const surface = (at: Point) => {
    const depthM = depthAtM(ground, at)
    return depthM > 0 ? -depthM : (groundLevelM(ground.survey, at) ?? 0)
  }
  const inletM = lineLengthM(parts.delivery)
  const outletM = inletM + apartM(parts.inlet, parts.outlet)
  const shoreM = outletM + lineLengthM(parts.waterReturn)
  const delivery = alongLine(parts.delivery, STEP_M)
  const returning = alongLine(parts.waterReturn, STEP_M)
  const { head } = result
  const lossM = head.darcyM + head.minorM
  const alongPipe = delivery.map(({ alongM }) => ({
    xM: alongM,
    yM: head.totalM - head.trainM - head.suctionM - (lossM * alongM) / inletM,
  }))
  return {
    ground: [
      ...delivery.map(({ at, alongM }) => ({ xM: alongM, yM: surface(at) })),
      ...returning.map(({ at, alongM }) => ({ xM: outletM + alongM, yM: surface(at) })),
      { xM: shoreM + INTO_POND_M, yM: -Math.max(0.1, depthAtM(ground, intoPond(parts))) },
    ],
    pipe: pipeLine(delivery, ground, surface, { inletM, baseM: levels.bedBaseM }),
    grade: [
      { xM: 0, yM: head.totalM },
      ...alongPipe,
      { xM: inletM, yM: levels.bedWaterM },
      { xM: outletM, yM: levels.bedWaterM },
      ...backToPond(design, design.layout, parts, outletM, levels.bedWaterM),
      { xM: shoreM + INTO_POND_M, yM: 0 },
    ],
    bed: {
      fromM: inletM,
      toM: outletM,
      baseM: levels.bedBaseM,
      topM: Math.max(levels.bedBaseM + buildUpM(design.layers), levels.bedWaterM) + BED_FREEBOARD_M,
    },
    shoreM,
    endM: shoreM + INTO_POND_M,
  }
}

/** A place in the pond beyond the mouth of the return. */
function intoPond({ waterReturn }: PlacedParts): Point {
  const [a, b] = [waterReturn.at(-2)!, waterReturn.at(-1)!]
  const length = apartM(a, b) || 1
  return {
    xM: b.xM + ((b.xM - a.xM) / length) * INTO_POND_M,
    yM: b.yM + ((b.yM - a.yM) / length) * INTO_POND_M,
  }
}

/** Up from the pump, below ground on land, and into the foot of the bed. */
function pipeLine(
  delivery: ReturnType<typeof alongLine>,
  ground: PondGround,
  surface: (at: Point) => number,
  { inletM, baseM }: { inletM: number; baseM: number },
): DrawnPoint[] {
  const places = delivery.map(({ at, alongM }) => {
    const onLand = depthAtM(ground, at) === 0
    return { xM: alongM, yM: onLand ? surface(at) - TRENCH.depthM : surface(at) + 0.1 }
  })
  return [...places.slice(0, -1), { xM: inletM, yM: baseM }]
}

/** Down the stream: its drops where they are, the rest of the height evenly along it. */
function backToPond(
  { falls, outlet }: FilterDesign,
  { stream }: SiteLayout,
  { outlet: from, waterReturn }: PlacedParts,
  outletM: number,
  bedWaterM: number,
): DrawnPoint[] {
  if (!stream) {
    const endM = outletM + lineLengthM(waterReturn)
    // a pipe or a channel runs down to the shore, and what is left falls
    const dropM = Math.min(bedWaterM, falls?.dropM ?? outlet.dropM)
    return [
      { xM: endM, yM: falls ? dropM : bedWaterM - dropM },
      { xM: endM, yM: 0 },
    ]
  }
  const dropsM = stream.places.reduce((sum, place) => sum + place.dropM, 0)
  const lengthM = lineLengthM(waterReturn)
  const slope = Math.max(0, bedWaterM - dropsM) / (lengthM || 1)
  let [alongM, level, before] = [0, bedWaterM, from]
  return stream.places.flatMap(({ at, dropM }) => {
    const runM = apartM(before, at)
    alongM += runM
    level -= slope * runM
    before = at
    const top = { xM: outletM + alongM, yM: level }
    level -= dropM
    return [top, { xM: outletM + alongM, yM: level }]
  })
}

/** Long section through intake, pump, bed, falls and pond with its levels and the hydraulic grade line. */
export function gradeLineSheet(line: GradeLine, words: SheetWords): Sheet {
  const heights = [...line.ground, ...line.grade, ...line.pipe].map((p) => p.yM)
  const [low, high] = [Math.min(...heights, line.bed?.baseM ?? 0), Math.max(...heights)]
  const times = TIMES.find((e) => (high - low) * e >= line.endM * LEAST_HEIGHT_SHARE) ?? TIMES[TIMES.length - 1]!
  const up = ({ xM, yM }: DrawnPoint): DrawnPoint => ({ xM, yM: yM * times })
  const floorM = low * times - line.endM * 0.03
  const marks: Mark[] = [
    {
      kind: 'polygon',
      layer: 'GROUND',
      points: [...line.ground.map(up), { xM: line.endM, yM: floorM }, { xM: 0, yM: floorM }],
      fill: 'earth',
    },
    ...waterMarks(line, times, words),
    ...bedMarks(line, times),
    { kind: 'line', layer: 'PIPE', points: line.pipe.map(up) },
    { kind: 'line', layer: 'LEVELS', points: line.grade.map(up), dashed: true },
    { kind: 'symbol', layer: 'PIPE', symbol: 'pump', at: up(line.pipe[0]!), radiusM: line.endM * 0.012 },
    ...levelLabels(line, times, words),
  ]
  const title = words.text('system-section')
  return sheetOf(times === 1 ? title : `${title}, ${words.exaggerated(times)}`, marks)
}

function waterMarks(line: GradeLine, times: number, words: SheetWords): Mark[] {
  const firstLand = line.ground.findIndex((p) => p.yM >= 0)
  const intake = line.ground.slice(0, Math.max(1, firstLand))
  const up = ({ xM, yM }: DrawnPoint) => ({ xM, yM: yM * times })
  const edgeM = firstLand > 0 ? line.ground[firstLand]!.xM : 0
  const mouth = line.ground.filter((p) => p.xM >= line.shoreM)
  const water = (points: DrawnPoint[]): Mark => ({ kind: 'polygon', layer: 'WATER', points, fill: 'water' })
  return [
    ...(firstLand > 0 ? [water([{ xM: 0, yM: 0 }, ...intake.map(up), { xM: edgeM, yM: 0 }])] : []),
    water([{ xM: line.shoreM, yM: 0 }, ...mouth.map(up), { xM: line.endM, yM: 0 }]),
    label(line.endM, -line.endM * 0.015, words.text('waterline'), 'end', 'LEVELS'),
  ]
}

function bedMarks({ bed, grade }: GradeLine, times: number): Mark[] {
  if (!bed) return []
  const waterM = grade.find((p) => p.xM === bed.toM)!.yM
  return [
    {
      kind: 'polygon',
      layer: 'STONE',
      points: rectangle(bed.fromM, bed.baseM * times, bed.toM, bed.topM * times),
      fill: 'gravel',
    },
    {
      kind: 'line',
      layer: 'WATER',
      points: [
        { xM: bed.fromM, yM: waterM * times },
        { xM: bed.toM, yM: waterM * times },
      ],
    },
  ]
}

function levelLabels(line: GradeLine, times: number, words: SheetWords): Mark[] {
  const { bed, grade } = line
  const start = grade[0]!
  const rise = line.endM * 0.02
  return [
    label(start.xM, start.yM * times + rise, `${words.text('grade-line')} ${words.level(start.yM)}`, 'start', 'LEVELS'),
    label(line.endM * 0.02, line.pipe[0]!.yM * times - rise, `${words.text('pump')} ${words.level(line.pipe[0]!.yM)}`),
    ...(bed
      ? [
          label(
            (bed.fromM + bed.toM) / 2,
            bed.topM * times + rise,
            words.level(grade.find((p) => p.xM === bed.toM)!.yM),
            'middle',
            'LEVELS',
          ),
          label((bed.fromM + bed.toM) / 2, bed.baseM * times + rise * 0.6, words.level(bed.baseM), 'middle', 'LEVELS'),
        ]
      : []),
  ]
}
