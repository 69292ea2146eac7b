'use client'
import { useTexts } from '@/ui/kit/texts'
import type { KeyboardEvent, PointerEvent } from 'react'
import { circlePoints } from '@/core/drawing/bed-sheets'
import type { DrawnPoint } from '@/core/drawing/sheet'
import { patchRadiusM } from '@/core/plants/planting'
import { plantSpecies } from '@/core/plants/species'
import { useShow } from '@/ui/person-context'
import { pathOf, type Frame, type Scale } from './to-scale'
import { speciesName } from '@/messages/plants/species-name'

/** A group of plants on a plan. */
export interface PlantMark {
  readonly species: string
  readonly count: number
  readonly xM: number
  readonly yM: number
  /** How it looks, in words, and as a class of the drawing. */
  readonly looks?: { readonly words: string; readonly className: string }
}

interface PlantMarksProps {
  readonly marks: readonly PlantMark[]
  readonly frame: Frame
  readonly scale: Scale
  /** The plan's rectangle, m: groups stay within it. */
  readonly bounds: { readonly minX: number; readonly maxX: number; readonly minY: number; readonly maxY: number }
  /** Cuts off what reaches over the edge. */
  readonly clip?: (points: readonly DrawnPoint[]) => readonly DrawnPoint[]
  /** A clip path of the drawing that does the same. */
  readonly clipPath?: string
  readonly picked: number | null
  readonly onPick: (index: number) => void
  /** Null where groups stand still. */
  readonly onMove: ((index: number, xM: number, yM: number) => void) | null
  /** A group was let go where it was dragged to. */
  readonly onDrop?: (index: number, xM: number, yM: number) => void
}

const KEY_STEP_M = 0.1
const MIN_RADIUS_M = 0.08

/** Groups of plants as circles of the ground they cover: drag one, or focus it and use the arrow keys. */
export function PlantMarks({
  marks,
  frame,
  scale,
  bounds,
  clip = (points) => points,
  clipPath,
  picked,
  onPick,
  onMove,
  onDrop,
}: PlantMarksProps) {
  const t = useTexts()

  const show = useShow()
  const { minX, maxX, minY, maxY } = bounds
  const within = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value))
  const drag = (index: number) => (event: PointerEvent<SVGGElement>) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return
    const box = event.currentTarget.ownerSVGElement!.getBoundingClientRect()
    const x = ((event.clientX - box.left) / box.width) * frame.widthPx
    const y = ((event.clientY - box.top) / box.height) * frame.heightPx
    onMove?.(
      index,
      within(minX + (x - scale.x(minX)) / scale.pxPerM, minX, maxX),
      within(minY + (scale.y(minY) - y) / scale.pxPerM, minY, maxY),
    )
  }
  const key = (index: number) => (event: KeyboardEvent) => {
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key]
    if (!step || !onMove) return
    event.preventDefault()
    const [xM, yM] = [
      within(marks[index]!.xM + step[0]! * KEY_STEP_M, minX, maxX),
      within(marks[index]!.yM + step[1]! * KEY_STEP_M, minY, maxY),
    ]
    onMove(index, xM, yM)
    onDrop?.(index, xM, yM)
  }
  return marks.map(({ species: speciesKey, count, xM, yM, looks }, i) => {
    const species = plantSpecies(speciesKey)
    if (!species) return null
    const r = Math.max(MIN_RADIUS_M, Math.min(patchRadiusM(species, count), Math.min(maxX - minX, maxY - minY) / 2))
    return (
      <g
        key={i}
        className={`handle plant ${looks?.className ?? ''} ${picked === i ? 'picked' : ''}`}
        role="button"
        tabIndex={0}
        aria-label={t('drawing.plantMarks.alongAcross', {
          count,
          common: speciesName(species.key, t),
          looks: looks ? `, ${looks.words}` : '',
          xM: show(xM, 'length'),
          yM: show(yM, 'length'),
        })}
        aria-pressed={picked === i}
        onPointerDown={(event) => {
          if (onMove) event.currentTarget.setPointerCapture(event.pointerId)
          onPick(i)
        }}
        onPointerMove={drag(i)}
        onPointerUp={(event) => {
          // the drawing follows the pointer, so that it stands where it was let go
          if (event.currentTarget.hasPointerCapture(event.pointerId)) onDrop?.(i, xM, yM)
        }}
        onKeyDown={key(i)}
        onFocus={() => onPick(i)}
      >
        <path clipPath={clipPath} d={pathOf([clip(circlePoints(xM, yM, r))], scale)} />
        <text x={scale.x(xM)} y={scale.y(yM) + 4} textAnchor="middle">
          {count} {speciesName(species.key, t)}
        </text>
      </g>
    )
  })
}
