import { assertInRange, DomainError } from '../errors'
import type { Outline, Point } from './point'

/** One line across the tape: offsets to the water's edge left and right of the baseline, m. */
interface BaselineOffset {
  readonly stationM: number
  readonly leftM: number
  readonly rightM: number
}

/** How the waterline was measured. Lengths in m. */
export type OutlineSurvey =
  | { readonly kind: 'rectangle'; readonly lengthM: number; readonly widthM: number }
  | { readonly kind: 'ellipse'; readonly lengthM: number; readonly widthM: number }
  | {
      readonly kind: 'kidney'
      readonly lengthM: number
      /** Across the widest place, and across the waist. */
      readonly widthM: number
      readonly waistM: number
    }
  | { readonly kind: 'offsets'; readonly offsets: readonly BaselineOffset[] }
  | { readonly kind: 'points'; readonly points: Outline }

/** Inclusive input ranges; form schemas reuse them. */
export const OUTLINE_RANGE = {
  sideM: [0.2, 500],
  /** Negative: the edge lies across the tape, as in a bay; the pond's other edge then lies further out. */
  offsetM: [-250, 250],
  stationM: [0, 500],
  cornerM: [-1000, 1000],
} as const

const ELLIPSE_SEGMENTS = 96 // chord error below 0.06 % of the area

function rectangle(lengthM: number, widthM: number): Point[] {
  return [
    { xM: 0, yM: -widthM / 2 },
    { xM: lengthM, yM: -widthM / 2 },
    { xM: lengthM, yM: widthM / 2 },
    { xM: 0, yM: widthM / 2 },
  ]
}

/** Corners are pushed out so that the polygon's area is exactly the ellipse's. */
function ellipse(lengthM: number, widthM: number): Point[] {
  const step = (2 * Math.PI) / ELLIPSE_SEGMENTS
  const swell = Math.sqrt(step / Math.sin(step))
  return Array.from({ length: ELLIPSE_SEGMENTS }, (_, i) => ({
    xM: lengthM / 2 + (lengthM / 2) * swell * Math.cos(i * step),
    yM: (widthM / 2) * swell * Math.sin(i * step),
  }))
}

/** How far along the pond the waist reaches, share of the length. */
const WAIST_REACH = 0.2

/** An ellipse drawn in on one side so that its middle is as wide as the waist; a bell-shaped bay. */
function kidney(lengthM: number, widthM: number, waistM: number): Point[] {
  const step = (2 * Math.PI) / ELLIPSE_SEGMENTS
  return Array.from({ length: ELLIPSE_SEGMENTS }, (_, i) => {
    const xM = lengthM / 2 + (lengthM / 2) * Math.cos(i * step)
    const yM = (widthM / 2) * Math.sin(i * step)
    if (yM >= 0) return { xM, yM }
    const bay = (widthM - waistM) * Math.exp(-(((xM - lengthM / 2) / (WAIST_REACH * lengthM)) ** 2))
    // near the tips the bay is wider than what is left of the pond: the edge stays on the axis's own side
    return {
      xM,
      yM: Math.min(
        yM + bay,
        (widthM / 2) * Math.abs(Math.sin(i * step)) - 0.02 * widthM * Math.abs(Math.sin(i * step)),
      ),
    }
  })
}

function fromOffsets(offsets: readonly BaselineOffset[]): Point[] {
  if (offsets.length < 2) throw new DomainError('offsets', offsets.length, 'at least two stations')
  offsets.forEach((o, i) => {
    assertInRange(`offsets.${i}.stationM`, o.stationM, OUTLINE_RANGE.stationM)
    assertInRange(`offsets.${i}.leftM`, o.leftM, OUTLINE_RANGE.offsetM)
    assertInRange(`offsets.${i}.rightM`, o.rightM, OUTLINE_RANGE.offsetM)
    if (o.leftM + o.rightM < 0)
      throw new DomainError(`offsets.${i}.rightM`, o.rightM, `at least ${-o.leftM}: the edges would cross`)
    if (i > 0 && !(o.stationM > offsets[i - 1]!.stationM))
      throw new DomainError(
        `offsets.${i}.stationM`,
        o.stationM,
        `further along the tape than ${offsets[i - 1]!.stationM}`,
      )
  })
  const right = offsets.map((o) => ({ xM: o.stationM, yM: -o.rightM }))
  const left = offsets.map((o) => ({ xM: o.stationM, yM: o.leftM })).reverse()
  return withoutRepeats([...right, ...left])
}

/** Where both offsets are 0 (the tip of a pond) left and right are one point. */
function withoutRepeats(points: Point[]): Point[] {
  return points.filter((p, i) => {
    const before = points[(i + points.length - 1) % points.length]!
    return p.xM !== before.xM || p.yM !== before.yM
  })
}

/**
 * The waterline as a closed polygon.
 * @param survey measured figures, m
 * @returns corner points, m; the first is not repeated at the end
 * @throws {DomainError} a length out of OUTLINE_RANGE, stations not rising, fewer than three corners
 */
export function outlineOf(survey: OutlineSurvey): Point[] {
  switch (survey.kind) {
    case 'rectangle':
    case 'ellipse':
      assertInRange('lengthM', survey.lengthM, OUTLINE_RANGE.sideM)
      assertInRange('widthM', survey.widthM, OUTLINE_RANGE.sideM)
      return survey.kind === 'rectangle'
        ? rectangle(survey.lengthM, survey.widthM)
        : ellipse(survey.lengthM, survey.widthM)
    case 'kidney':
      assertInRange('lengthM', survey.lengthM, OUTLINE_RANGE.sideM)
      assertInRange('widthM', survey.widthM, OUTLINE_RANGE.sideM)
      assertInRange('waistM', survey.waistM, OUTLINE_RANGE.sideM)
      if (survey.waistM > survey.widthM)
        throw new DomainError('waistM', survey.waistM, `no wider than the pond, ${survey.widthM}`)
      return kidney(survey.lengthM, survey.widthM, survey.waistM)
    case 'offsets':
      return fromOffsets(survey.offsets)
    case 'points': {
      const points = withoutRepeats([...survey.points])
      if (points.length < 3) throw new DomainError('points', points.length, 'at least three different corners')
      return points
    }
  }
}
