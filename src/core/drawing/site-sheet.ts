import type { FilterDesign } from '../filter/design-input'
import { FILTER_TYPE_FACTS } from '../filter/types'
import { bedBox, onSite, placedParts, type PlacedParts } from '../site-plan/layout'
import { nearestOn, apartM } from '../site-plan/geometry'
import type { PondGround } from '../site-plan/pond-ground'
import { numberOfKind, type SiteObject } from '../site-plan/site-survey'
import type { SiteLayout, StreamPlace } from '../site-plan/site-layout'
import { boundsOf, type Point } from '../survey/point'
import { perimeterBand } from './perimeter-sheet'
import { circlePoints } from './patch-shapes'
import { dimension, label, sheetOf, type Mark, type Sheet, type SheetWords } from './sheet'
import type { PlanSymbol } from './symbols'

/** What a part of the plan is: an object of the site by its place in the survey, or a part of the design. */
export type SitePartId =
  | 'pond'
  | 'bed'
  | 'vault'
  | 'pump'
  | 'delivery'
  | 'return'
  | 'cable'
  | 'dimensions'
  | `skimmer:${number}`
  | `object:${number}`

/** A part with everything that is drawn of it; a screen moves it as one. */
export interface SitePart {
  readonly id: SitePartId
  readonly marks: readonly Mark[]
}

const SYMBOL_M = 0.28

/** The whole site to scale: what is there, and the design where its layout puts it. Later parts lie over earlier. */
export function siteParts(ground: PondGround, design: FilterDesign | null, words: SheetWords): SitePart[] {
  const laidOut = design?.layout ? { design, layout: design.layout } : null
  const parts = laidOut ? placedParts(laidOut.design, laidOut.layout, ground.outline) : null
  const all: SitePart[] = [
    ...ground.survey.objects.map((object, i): SitePart => ({
      id: `object:${i}`,
      marks: objectMarks(object, words.siteObject(object, numberOfKind(ground.survey.objects, i))),
    })),
    { id: 'pond', marks: pondMarks(ground, words) },
    ...(laidOut && parts ? designParts(laidOut.design, laidOut.layout, parts, ground, words) : []),
  ]
  return all.sort((a, b) => depthOf(a, ground) - depthOf(b, ground))
}

/** Plan of the site as a sheet. */
export function siteSheet(ground: PondGround, design: FilterDesign | null, words: SheetWords): Sheet {
  const marks = siteParts(ground, design, words).flatMap((part) => part.marks)
  const bounds = sheetOf('', marks).bounds
  return sheetOf(words.text('site-plan'), [
    ...marks,
    ...compass(ground, { xM: bounds.maxX + 1, yM: bounds.maxY - 0.6 }, 0.9, words),
  ])
}

/** Areas first, then lines, then places. */
function depthOf({ id }: SitePart, { survey }: PondGround): number {
  if (id === 'pond') return 20
  if (!id.startsWith('object:')) return id === 'bed' || id === 'return' || id === 'cable' ? 30 : 40
  const { kind } = survey.objects[Number(id.slice(7))]!
  if (kind === 'property') return 0
  if (kind === 'access') return 5
  if (kind === 'building') return 10
  return kind === 'tree' ? 25 : 45
}

const middleOf = (points: readonly Point[]): Point => {
  const { minX, minY, maxX, maxY } = boundsOf(points)
  return { xM: (minX + maxX) / 2, yM: (minY + maxY) / 2 }
}

const symbol = (kind: PlanSymbol, at: Point, layer: Mark['layer']): Mark => ({
  kind: 'symbol',
  layer,
  symbol: kind,
  at,
  radiusM: SYMBOL_M,
})

const OBJECT_SYMBOLS = {
  supply: 'supply',
  'auto-fill': 'auto-fill',
  discharge: 'discharge',
  'fixed-point': 'fixed-point',
} as const

function objectMarks(object: SiteObject, name: string): Mark[] {
  switch (object.kind) {
    case 'tree':
      return [
        {
          kind: 'polygon',
          layer: 'TREES',
          points: circlePoints(object.at.xM, object.at.yM, object.crownM),
          fill: 'crown',
        },
        { kind: 'circle', layer: 'TREES', centre: object.at, radiusM: 0.15, fill: 'wall' },
        label(object.at.xM, object.at.yM + 0.3, name, 'middle'),
      ]
    case 'building':
    case 'property': {
      const at = middleOf(object.outline)
      const isBuilding = object.kind === 'building'
      const top = Math.max(...object.outline.map((p) => p.yM))
      return [
        isBuilding
          ? { kind: 'polygon', layer: 'SITE', points: object.outline, fill: 'wall' }
          : { kind: 'line', layer: 'SITE', points: [...object.outline, object.outline[0]!], dashed: true },
        isBuilding ? label(at.xM, at.yM, name, 'middle') : label(at.xM, top + 0.15, name, 'middle'),
      ]
    }
    case 'wall':
    case 'fence':
    case 'service':
      return [
        {
          kind: 'line',
          layer: object.kind === 'service' ? 'SERVICES' : 'SITE',
          points: object.line,
          dashed: object.kind !== 'wall',
        },
        lineLabel(object.line, name, 0.2),
      ]
    case 'access':
      return [{ kind: 'line', layer: 'SITE', points: object.line, arrow: true }, lineLabel(object.line, name, 0.3)]
    case 'spot-level':
      return [symbol('spot', object.at, 'LEVELS'), label(object.at.xM + 0.35, object.at.yM, name, 'start', 'LEVELS')]
    default:
      return [
        symbol(OBJECT_SYMBOLS[object.kind], object.at, object.kind === 'supply' ? 'SERVICES' : 'SITE'),
        label(object.at.xM + 0.4, object.at.yM, name, 'start'),
      ]
  }
}

/** A name beside the middle of a line's longest side. */
function lineLabel(line: readonly Point[], name: string, offM: number): Mark {
  const sides = line.slice(1).map((b, i) => [line[i]!, b] as const)
  const [a, b] = sides.reduce((best, side) => (apartM(...side) > apartM(...best) ? side : best))
  const upright = Math.abs(b.yM - a.yM) > Math.abs(b.xM - a.xM)
  const [x, y] = [(a.xM + b.xM) / 2, (a.yM + b.yM) / 2]
  return upright ? label(x + offM, y, name, 'start') : label(x, y + offM, name, 'middle')
}

function pondMarks({ outline, zones }: PondGround, words: SheetWords): Mark[] {
  const at = middleOf(outline)
  return [
    { kind: 'polygon', layer: 'WATER', points: outline, fill: 'water' },
    ...zones.flatMap((zone) =>
      zone.floorOutlines.map((points): Mark => ({
        kind: 'line',
        layer: 'WATER',
        points: [...points, points[0]!],
        dashed: true,
      })),
    ),
    label(at.xM, at.yM, words.text('pond'), 'middle'),
  ]
}

function designParts(
  design: FilterDesign,
  layout: SiteLayout,
  parts: PlacedParts,
  ground: PondGround,
  words: SheetWords,
): SitePart[] {
  const part = (id: SitePartId, ...marks: readonly Mark[]): SitePart => ({ id, marks })
  return [
    // under the pump that it ends at
    ...cableParts(layout, ground),
    part('return', ...returnMarks(design, layout, parts, words)),
    part('bed', ...bedMarks(design, parts, ground, words)),
    ...(parts.vault ? [part('vault', ...vaultMarks(design, parts.vault, words))] : []),
    ...(parts.delivery.length > 1
      ? [
          part(
            'delivery',
            { kind: 'line', layer: 'PIPE', points: parts.delivery, arrow: true },
            lineLabel(parts.delivery, words.pipe(design.delivery.diameterM, design.delivery.lengthM), 0.2),
          ),
          part(
            'pump',
            symbol('pump', layout.pump, 'PIPE'),
            label(layout.pump.xM, layout.pump.yM + 0.45, words.text('pump'), 'middle'),
          ),
        ]
      : []),
    ...parts.skimmers.map((at, i) =>
      part(`skimmer:${i}`, symbol('skimmer', at, 'PIPE'), label(at.xM, at.yM + 0.4, words.text('skimmer'), 'middle')),
    ),
    part(
      'dimensions',
      ...dimensions(design, layout, parts, ground, words),
      // over the bed, not under it
      ...(layout.stream && parts.waterReturn.length > 1
        ? fallsLabel(parts.waterReturn, layout.stream.places, words)
        : []),
    ),
  ]
}

function vaultMarks(design: FilterDesign, at: Point, words: SheetWords): Mark[] {
  const radiusM = (design.vault?.diameterM ?? 0) / 2
  return [
    { kind: 'circle', layer: 'PIPE', centre: at, radiusM, fill: 'water' },
    label(at.xM, at.yM - radiusM - 0.25, words.text(vaultName(design)), 'middle'),
  ]
}

/** What hangs under a vessel is a drain; a vault stands beside a bed. */
const vaultName = ({ type }: FilterDesign) =>
  FILTER_TYPE_FACTS[type].vessels ? ('drain' as const) : ('vault' as const)

function cableParts({ pump, cable }: SiteLayout, { survey }: PondGround): SitePart[] {
  const supply = survey.objects.find((o) => o.kind === 'supply')
  if (!supply || !('at' in supply)) return []
  return [
    { id: 'cable', marks: [{ kind: 'line', layer: 'SERVICES', points: [supply.at, ...cable, pump], dashed: true }] },
  ]
}

function bedMarks(design: FilterDesign, parts: PlacedParts, ground: PondGround, words: SheetWords): Mark[] {
  if (FILTER_TYPE_FACTS[design.type].alongShore) {
    const { inner, outer } = perimeterBand(ground.outline, design.lengthM, design.widthM)
    return [
      { kind: 'polygon', layer: 'OUTLINE', points: [...outer, ...inner.toReversed()], fill: 'gravel' },
      label(outer[0]!.xM, outer[0]!.yM - 0.3, words.filterType(design.type), 'middle'),
    ]
  }
  const names = parts.beds.map(middleOf)
  return [
    ...parts.beds.map((points): Mark => ({ kind: 'polygon', layer: 'OUTLINE', points, fill: 'gravel' })),
    ...(names[0] ? [label(names[0].xM, names[0].yM, words.text('bed'), 'middle')] : []),
  ]
}

/** The stream as wide as it is, or the way straight back. */
function returnMarks(design: FilterDesign, layout: SiteLayout, parts: PlacedParts, words: SheetWords): Mark[] {
  const line = parts.waterReturn
  if (line.length < 2) return []
  const arrow: Mark = { kind: 'line', layer: 'WATER', points: line, arrow: true }
  if (!layout.stream) return [arrow]
  const widths = [layout.stream.places[0]!.widthM, ...layout.stream.places.map((p) => p.widthM)]
  const end = line.at(-1)!
  return [
    { kind: 'polygon', layer: 'WATER', points: ribbon(line, widths), fill: 'water' },
    arrow,
    ...(layout.stream.places.at(-1)!.dropM > 0
      ? []
      : [label(end.xM, end.yM - 0.3, words.text('back-to-pond'), 'middle')]),
  ]
}

/** All falls of a stream in one line below it: beside each fall they would lie over one another. */
function fallsLabel(line: readonly Point[], places: readonly StreamPlace[], words: SheetWords): Mark[] {
  const drops = places.flatMap(({ dropM }) => (dropM > 0 ? [dropM] : []))
  if (drops.length === 0) return []
  const { minX, maxX, minY } = boundsOf(line)
  const widestM = Math.max(...places.map((place) => place.widthM))
  return [label((minX + maxX) / 2, minY - widestM / 2 - 0.3, words.falls(drops), 'middle', 'LEVELS')]
}

/** A band of changing width along a line. */
function ribbon(line: readonly Point[], widthsM: readonly number[]): Point[] {
  const side = (sign: 1 | -1) =>
    line.map((p, i) => {
      const [a, b] = [line[Math.max(0, i - 1)]!, line[Math.min(line.length - 1, i + 1)]!]
      const length = apartM(a, b) || 1
      const half = (sign * widthsM[i]!) / 2
      return { xM: p.xM - ((b.yM - a.yM) / length) * half, yM: p.yM + ((b.xM - a.xM) / length) * half }
    })
  return [...side(1), ...side(-1).toReversed()]
}

/** Size of the bed, and how far it stands from the pond. */
function dimensions(
  design: FilterDesign,
  layout: SiteLayout,
  { beds }: PlacedParts,
  { outline }: PondGround,
  words: SheetWords,
): Mark[] {
  if (beds.length === 0) return []
  const place = onSite(design, layout)
  const { lengthM, widthM } = bedBox(design)
  const corners = [place({ xM: 0, yM: 0 }), place({ xM: lengthM, yM: 0 }), place({ xM: 0, yM: widthM })] as const
  // beyond the vault, away from where the water goes back
  const besideVaultM = (design.vault?.diameterM ?? 0) + 0.5
  const nearest = beds
    .flat()
    .map((p) => [p, nearestOn(outline, true, p)] as const)
    .reduce((best, pair) => (apartM(...pair) < apartM(...best) ? pair : best))
  return [
    dimension(corners[0], corners[1], -0.45, words.length(lengthM)),
    dimension(corners[0], corners[2], besideVaultM, words.length(widthM)),
    ...(apartM(...nearest) > 0.05
      ? [dimension(nearest[0], nearest[1], 0, words.length(roundCm(apartM(...nearest))))]
      : []),
  ]
}

const roundCm = (m: number): number => Number(m.toFixed(2))

/** North, and beside it where the wind usually comes from; `sizeM` is the length of its arrows. */
export function compass(
  { survey }: Pick<PondGround, 'survey'>,
  { xM, yM }: Point,
  sizeM: number,
  words: SheetWords,
): Mark[] {
  const around = (middleX: number, deg: number, lengthM: number): Point => ({
    xM: middleX + Math.sin((deg * Math.PI) / 180) * lengthM,
    yM: yM + Math.cos((deg * Math.PI) / 180) * lengthM,
  })
  const arrow = (layer: 'TEXT' | 'WATER', middleX: number, deg: number): Mark => ({
    kind: 'line',
    layer,
    points: [around(middleX, deg + 180, sizeM / 2), around(middleX, deg, sizeM / 2)],
    arrow: true,
  })
  const name = around(xM, survey.northDeg, sizeM * 0.75)
  const windX = xM - 1.6 * sizeM
  return [
    arrow('TEXT', xM, survey.northDeg),
    label(name.xM, name.yM, words.text('north'), 'middle'),
    ...(survey.windFromDeg === null
      ? []
      : [
          arrow('WATER', windX, survey.northDeg + survey.windFromDeg + 180),
          label(windX, yM - sizeM * 0.8, words.text('wind'), 'middle'),
        ]),
  ]
}
