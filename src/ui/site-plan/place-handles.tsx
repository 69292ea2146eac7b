'use client'
import { useTexts } from '@/ui/kit/texts'
import type { KeyboardEvent } from 'react'
import { sidesOf } from '@/core/site-plan/geometry'
import { SNAP_GRID_M } from '@/core/site-plan/snap'
import type { Point } from '@/core/survey/point'
import { useHandle } from '@/ui/drawing/use-handle'
import type { Frame, Scale } from '@/ui/drawing/to-scale'
import type { PlanItem } from './plan-item'

interface PlaceHandlesProps {
  readonly item: PlanItem
  readonly frame: Frame
  readonly scale: Scale
  readonly onHold: (holds: boolean) => void
  readonly onMove: (index: number, to: Point) => void
}

/** Handles at the corners of what is picked, and a plus in each side that a new corner is drawn from. */
export function PlaceHandles({ item, frame, scale, onHold, onMove }: PlaceHandlesProps) {
  const { places, closed, onAddPlace } = item
  if (!item.onMovePlace) return null
  const sides = places.length > 1 ? sidesOf(places, closed) : []
  return (
    <>
      {onAddPlace
        ? sides.map(([a, b], i) => (
            <NewCorner
              key={`new${i}`}
              at={{ xM: (a.xM + b.xM) / 2, yM: (a.yM + b.yM) / 2 }}
              index={i + 1}
              item={item}
              scale={scale}
            />
          ))
        : null}
      {places.map((at, i) => (
        <PlaceHandle key={i} {...{ item, frame, scale, onHold, at }} index={i} onMove={(to) => onMove(i, to)} />
      ))}
    </>
  )
}

function PlaceHandle({
  item,
  index,
  at,
  frame,
  scale,
  onHold,
  onMove,
}: Omit<PlaceHandlesProps, 'onMove'> & { index: number; at: Point; onMove: (to: Point) => void }) {
  const t = useTexts()
  const handle = useHandle({ at, frame, scale, keyStepM: SNAP_GRID_M, onMove, onHold })
  const onKeyDown = (event: KeyboardEvent) => {
    if ((event.key === 'Delete' || event.key === 'Backspace') && item.onRemovePlace) {
      event.preventDefault()
      item.onRemovePlace(index)
      return
    }
    handle.onKeyDown(event)
  }
  return (
    <circle
      {...handle}
      onKeyDown={onKeyDown}
      className="handle point"
      role="button"
      aria-label={t('sitePlan.canvas.corner', { name: item.name, number: index + 1 })}
      cx={scale.x(at.xM)}
      cy={scale.y(at.yM)}
      r={7}
    />
  )
}

interface NewCornerProps {
  readonly at: Point
  readonly index: number
  readonly item: PlanItem
  readonly scale: Scale
}

function NewCorner({ at, index, item, scale }: NewCornerProps) {
  const t = useTexts()
  const add = () => item.onAddPlace?.(index, at)
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key !== 'Enter' && event.key !== ' ') return
    event.preventDefault()
    add()
  }
  const [x, y] = [scale.x(at.xM), scale.y(at.yM)]
  return (
    <g
      className="new-corner"
      role="button"
      tabIndex={0}
      aria-label={t('sitePlan.canvas.addCorner', { name: item.name, number: index })}
      onClick={add}
      onKeyDown={onKeyDown}
    >
      <circle cx={x} cy={y} r={7} />
      <line x1={x - 4} x2={x + 4} y1={y} y2={y} />
      <line x1={x} x2={x} y1={y - 4} y2={y + 4} />
    </g>
  )
}
