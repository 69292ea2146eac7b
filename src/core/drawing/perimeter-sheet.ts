import type { FilterDesign } from '../filter/design-input'
import { patchRadiusM } from '../plants/planting'
import { plantSpecies } from '../plants/species'
import type { Outline, Point } from '../survey/point'
import { perimeterM, signedAreaM2 } from '../survey/polygon'
import { northArrow } from './bed-sheets'
import { circlePoints } from './patch-shapes'
import { label, sheetOf, type DrawnPoint, type Mark, type Sheet, type SheetWords } from './sheet'

/** Turned corners are drawn no further out than this many band widths. */
const MAX_MITRE = 1.8
/** A band that goes this far round is drawn as a closed ring. */
const CLOSED_FROM = 0.98

interface Station {
  readonly at: Point
  /** Away from the water, length 1. */
  readonly out: Point
}

/** Points along a shore from its first corner, at its corners and at the end of the wanted length. */
export function shoreStations(shore: Outline, lengthM: number): Station[] {
  const ring = signedAreaM2(shore) >= 0 ? shore : [...shore].reverse()
  const n = ring.length
  const sideOut = (i: number): Point => {
    const [p, q] = [ring[i % n]!, ring[(i + 1) % n]!]
    const length = Math.hypot(q.xM - p.xM, q.yM - p.yM) || 1
    return { xM: (q.yM - p.yM) / length, yM: -(q.xM - p.xM) / length }
  }
  const cornerOut = (i: number): Point => {
    const [a, b] = [sideOut((i + n - 1) % n), sideOut(i % n)]
    const sum = { xM: a.xM + b.xM, yM: a.yM + b.yM }
    const length = Math.hypot(sum.xM, sum.yM) || 1
    const stretch = Math.min(MAX_MITRE, 2 / length)
    return { xM: (sum.xM / length) * stretch, yM: (sum.yM / length) * stretch }
  }
  const closed = lengthM >= perimeterM(ring) * CLOSED_FROM
  const stations: Station[] = [{ at: ring[0]!, out: closed ? cornerOut(0) : sideOut(0) }]
  let gone = 0
  for (let i = 0; i < n; i++) {
    const [p, q] = [ring[i]!, ring[(i + 1) % n]!]
    const side = Math.hypot(q.xM - p.xM, q.yM - p.yM)
    if (!closed && gone + side >= lengthM) {
      const t = side > 0 ? (lengthM - gone) / side : 0
      return [...stations, { at: { xM: p.xM + t * (q.xM - p.xM), yM: p.yM + t * (q.yM - p.yM) }, out: sideOut(i) }]
    }
    gone += side
    if (i < n - 1 || closed) stations.push({ at: q, out: cornerOut((i + 1) % n) })
  }
  return stations
}

const offset = ({ at, out }: Station, m: number): DrawnPoint => ({ xM: at.xM + out.xM * m, yM: at.yM + out.yM * m })

/** The band along a shore: its edge in the water and its edge on land. */
export function perimeterBand(shore: Outline, lengthM: number, widthM: number) {
  const stations = shoreStations(shore, lengthM)
  return { inner: stations.map((s) => offset(s, 0)), outer: stations.map((s) => offset(s, widthM)) }
}

/**
 * Plan of a perimeter bog: the pond, the band along its shore, the perforated loop in its middle, the stone ring it
 * returns over.
 */
export function perimeterPlanSheet(design: FilterDesign, shore: Outline, words: SheetWords): Sheet {
  const { lengthM, widthM } = design
  const stations = shoreStations(shore, lengthM)
  const { inner, outer } = perimeterBand(shore, lengthM, widthM)
  const middle = stations.map((s) => offset(s, widthM / 2))
  const marks: Mark[] = [
    { kind: 'polygon', layer: 'WATER', points: shore, fill: 'water' },
    { kind: 'polygon', layer: 'OUTLINE', points: [...outer, ...inner.toReversed()], fill: 'gravel' },
    { kind: 'line', layer: 'PIPE', points: middle, dashed: true },
    { kind: 'line', layer: 'STONE', points: inner },
  ]
  for (const patch of design.planting) {
    const species = plantSpecies(patch.species)
    if (!species || patch.xM > lengthM) continue
    const at = offset(shoreStations(shore, Math.max(patch.xM, 1e-6)).at(-1)!, Math.min(patch.yM, widthM))
    marks.push(
      {
        kind: 'polygon',
        layer: 'PLANTS',
        points: circlePoints(at.xM, at.yM, Math.min(patchRadiusM(species, patch.count), widthM / 2)),
        fill: 'plant',
      },
      label(at.xM, at.yM, `${patch.count} ${words.species(species.key)}`, 'middle', 'PLANTS'),
    )
  }
  const xs = [...outer, ...shore].map((p) => p.xM)
  const ys = [...outer, ...shore].map((p) => p.yM)
  const [maxX, maxY, minX, minY] = [Math.max(...xs), Math.max(...ys), Math.min(...xs), Math.min(...ys)]
  const gap = Math.max(0.3, 0.06 * (maxY - minY))
  marks.push(
    label((minX + maxX) / 2, minY - gap, words.band(widthM, Math.min(lengthM, perimeterM(shore))), 'middle'),
    label((minX + maxX) / 2, minY - 2 * gap, words.text('perforated-loop'), 'middle'),
    ...northArrow(design.northDeg, words, maxX + 0.8, maxY),
  )
  return sheetOf(words.text('plan'), marks)
}
