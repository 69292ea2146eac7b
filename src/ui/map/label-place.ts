/** A place on the screen, pixels. */
export interface ScreenPoint {
  readonly x: number
  readonly y: number
}

/** A rectangle on the screen by its left and upper edge and its size, pixels. */
export interface ScreenBox extends ScreenPoint {
  readonly width: number
  readonly height: number
}

/** How far a label may stand from its place, pixels: the nearest first. */
const GAPS_PX = [6, 22, 40, 60] as const
/** How much around the middle of a mark must stay free, pixels. */
const MARK_PX = 19

/** Left and upper edges of a label above, below, right and left of its place, at every distance. */
const cornersAround = ({ x, y }: ScreenPoint, { width, height }: Size): ScreenPoint[] =>
  GAPS_PX.flatMap((gap) => [
    { x: x - width / 2, y: y - gap - height },
    { x: x - width / 2, y: y + gap },
    { x: x + gap, y: y - height / 2 },
    { x: x - gap - width, y: y - height / 2 },
  ])

type Size = Pick<ScreenBox, 'width' | 'height'>

const overlap = (a: ScreenBox, b: ScreenBox): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height

/** The square that a mark takes around its middle. */
export const boxOfMark = ({ x, y }: ScreenPoint): ScreenBox => ({
  x: x - MARK_PX,
  y: y - MARK_PX,
  width: 2 * MARK_PX,
  height: 2 * MARK_PX,
})

/**
 * Where a label stands: as near to its place as it can without covering anything, else where it covers the least.
 * @param taken  what must not be covered
 */
export function placeLabel(place: ScreenPoint, size: Size, taken: readonly ScreenBox[]): ScreenBox {
  let best: { box: ScreenBox; covered: number } | null = null
  for (const corner of cornersAround(place, size)) {
    const box = { ...corner, ...size }
    const covered = taken.filter((t) => overlap(box, t)).length
    if (covered === 0) return box
    if (!best || covered < best.covered) best = { box, covered }
  }
  return best!.box
}
