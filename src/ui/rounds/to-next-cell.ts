import type { KeyboardCoordinateGetter } from '@dnd-kit/core'

const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowDown: [0, 1],
  ArrowUp: [0, -1],
}

/** By arrow keys a dragged visit goes from cell to cell: the nearest one in that direction. */
export const toNextCell: KeyboardCoordinateGetter = (event, { currentCoordinates, context }) => {
  const step = STEPS[event.code]
  if (!step) return undefined
  event.preventDefault()
  const { collisionRect, droppableRects } = context
  if (!collisionRect) return undefined
  const [dx, dy] = step
  const from = { x: collisionRect.left + collisionRect.width / 2, y: collisionRect.top + collisionRect.height / 2 }
  let best: { far: number; x: number; y: number } | null = null
  for (const rect of droppableRects.values()) {
    const to = { x: rect.left + rect.width / 2, y: rect.top + Math.min(rect.height, collisionRect.height) / 2 }
    const along = (to.x - from.x) * dx + (to.y - from.y) * dy
    const aside = Math.abs((to.x - from.x) * dy) + Math.abs((to.y - from.y) * dx)
    // at least half a cell on, and not out of the row or column
    if (along < 20 || aside > along * 2) continue
    const far = along + 3 * aside
    if (!best || far < best.far) best = { far, ...to }
  }
  return best ? { x: currentCoordinates.x + best.x - from.x, y: currentCoordinates.y + best.y - from.y } : undefined
}
