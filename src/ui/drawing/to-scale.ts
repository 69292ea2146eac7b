import { scaleLinear } from 'd3-scale'
import type { DrawnPoint } from '@/core/drawing/sheet'
import type { Outline } from '@/core/survey/point'

/** Places metres on a drawing of a given pixel size, the same scale both ways unless told otherwise. */
export interface Scale {
  readonly pxPerM: number
  readonly pxPerMDown: number
  readonly x: (xM: number) => number
  readonly y: (yM: number) => number
}

export interface Frame {
  readonly widthPx: number
  readonly heightPx: number
  readonly marginPx: number
}

/** A scale that fits a rectangle of metres into a frame, y growing downwards when `down`, upwards otherwise. */
export function fitScale(
  frame: Frame,
  m: { minX: number; maxX: number; minY: number; maxY: number },
  { down = false, exaggerate = 1 } = {},
): Scale {
  const [w, h] = [Math.max(m.maxX - m.minX, 1e-6), Math.max(m.maxY - m.minY, 1e-6)]
  const room = { w: frame.widthPx - 2 * frame.marginPx, h: frame.heightPx - 2 * frame.marginPx }
  const pxPerM = Math.min(room.w / w, room.h / (h * exaggerate))
  const pxPerMDown = pxPerM * exaggerate
  const left = (frame.widthPx - w * pxPerM) / 2
  const top = (frame.heightPx - h * pxPerMDown) / 2
  const high = [top, top + h * pxPerMDown]
  return {
    pxPerM,
    pxPerMDown,
    x: scaleLinear([m.minX, m.minX + w], [left, left + w * pxPerM]),
    y: scaleLinear([m.minY, m.minY + h], down ? high : high.reverse()),
  }
}

/** An open line through points. */
export const lineOf = (points: readonly DrawnPoint[], scale: Scale): string =>
  `M${points.map((p) => `${scale.x(p.xM).toFixed(1)} ${scale.y(p.yM).toFixed(1)}`).join('L')}`

/** Closed outlines. */
export const pathOf = (outlines: readonly Outline[], scale: Scale): string =>
  outlines.map((outline) => `${lineOf(outline, scale)}Z`).join('')

const NICE_M = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100]

/** A round length for a scale bar of about `wantedPx`. */
export const barLengthM = (scale: Scale, wantedPx = 90): number =>
  NICE_M.findLast((m) => m * scale.pxPerM <= wantedPx) ?? NICE_M[0]!
