import type { FilterDesign } from '../filter/design-input'
import type { FittingCounts, FittingRow } from '../hydraulics/fittings'
import type { Point } from '../survey/point'
import { lineLengthM } from './geometry'

/** Turns of a pipe: from here a bend is laid as an elbow of 45°, and from here as one of 90°. */
const BEND_DEG = { elbow45: 20, elbow90: 67.5 } as const
/** Out of the pump, over the edge, and down into the bed. */
export const UPRIGHT_BENDS = 3

/** Fittings that a bend is laid with, the smoother first. */
const BEND_KEYS = { elbow90: ['sweep-90', 'elbow-90'], elbow45: ['elbow-45', 'sweep-90', 'elbow-90'] } as const
const ALL_BENDS = ['sweep-90', 'elbow-90', 'elbow-45']

export interface Bends {
  readonly elbow90: number
  readonly elbow45: number
}

/** Bends of a line on the plan: the turn at each of its corners, degrees, by the elbow it takes. */
export function bendsOf(line: readonly Point[]): Bends {
  const turns = line.slice(1, -1).map((p, i) => turnDeg(line[i]!, p, line[i + 2]!))
  return {
    elbow90: turns.filter((turn) => turn >= BEND_DEG.elbow90).length,
    elbow45: turns.filter((turn) => turn >= BEND_DEG.elbow45 && turn < BEND_DEG.elbow90).length,
  }
}

function turnDeg(a: Point, b: Point, c: Point): number {
  const [ux, uy, vx, vy] = [b.xM - a.xM, b.yM - a.yM, c.xM - b.xM, c.yM - b.yM]
  if ((ux === 0 && uy === 0) || (vx === 0 && vy === 0)) return 0
  return Math.abs((Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy) * 180) / Math.PI)
}

/** The design's fittings with its bends as the route has them; a table without such a bend leaves them uncounted. */
export function withBends(fittings: FittingCounts, bends: Bends, table: readonly FittingRow[]): FittingCounts {
  const keyOf = (keys: readonly string[]) => keys.find((key) => table.some((row) => row.key === key))
  const others = Object.fromEntries(Object.entries(fittings).filter(([key]) => !ALL_BENDS.includes(key)))
  const add = (into: Record<string, number>, key: string | undefined, count: number) => {
    if (key && count > 0) into[key] = (into[key] ?? 0) + count
    return into
  }
  return add(
    add(others, keyOf(BEND_KEYS.elbow90), bends.elbow90 + UPRIGHT_BENDS),
    keyOf(BEND_KEYS.elbow45),
    bends.elbow45,
  )
}

/**
 * Length of pipe on the delivery's way, m: its plan, and the rise from the pump to the higher of edge and bed.
 * @param pumpDepthM how deep the pump lies below the waterline
 */
export const deliveryLengthM = (
  line: readonly Point[],
  pumpDepthM: number,
  { staticLiftM }: Pick<FilterDesign, 'staticLiftM'>,
): number => lineLengthM(line) + pumpDepthM + Math.max(0, staticLiftM)
