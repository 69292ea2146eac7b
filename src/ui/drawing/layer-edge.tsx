'use client'
import { useShow } from '@/ui/person-context'
import type { Frame, Scale } from './to-scale'
import { useHandle } from './use-handle'

interface LayerEdgeProps {
  readonly name: string
  readonly frame: Frame
  readonly scale: Scale
  readonly lengthM: number
  readonly baseM: number
  readonly topM: number
  readonly onMove: (thicknessM: number) => void
}

const KEY_STEP_M = 0.01
const DRAG_STEP_M = 0.005
const LEAST_M = 0.01
const MOST_M = 2

/** A layer's upper edge: drag it, or focus it and use the arrow keys. */
export function LayerEdge({ name, frame, scale, lengthM, baseM, topM, onMove }: LayerEdgeProps) {
  const show = useShow()
  const handle = useHandle({
    at: { xM: lengthM / 2, yM: topM },
    frame,
    scale,
    keyStepM: KEY_STEP_M,
    onMove: ({ yM }) =>
      onMove(Math.max(LEAST_M, Number((Math.round((yM - baseM) / DRAG_STEP_M) * DRAG_STEP_M).toFixed(3)))),
  })
  const [left, right, y] = [scale.x(0), scale.x(lengthM), scale.y(topM)]
  const mm = (m: number) => Math.round(m * 1000)
  return (
    <g
      {...handle}
      className="handle"
      role="slider"
      aria-label={name}
      aria-orientation="vertical"
      aria-valuenow={mm(topM - baseM)}
      aria-valuemin={mm(LEAST_M)}
      aria-valuemax={mm(MOST_M)}
      aria-valuetext={show(topM - baseM, 'length', { scale: 'small' })}
    >
      <rect x={left} y={y - 6} width={right - left} height={12} fill="transparent" />
      <rect className="grip" x={(left + right) / 2 - 18} y={y - 3.5} width={36} height={7} rx={3.5} />
    </g>
  )
}
