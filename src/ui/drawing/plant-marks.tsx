'use client'
import { useTexts } from '@/ui/kit/texts'
import { circlePoints } from '@/core/drawing/bed-sheets'
import type { DrawnPoint } from '@/core/drawing/sheet'
import { patchRadiusM } from '@/core/plants/planting'
import { plantSpecies } from '@/core/plants/species'
import { useShow } from '@/ui/person-context'
import { pathOf, type Frame, type Scale } from './to-scale'
import { speciesName } from '@/messages/plants/species-name'
import { useHandle, type Place } from './use-handle'

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
  readonly onDrop?: (index: number, xM: number, yM: number) => void | Promise<void>
}

const KEY_STEP_M = 0.1
const MIN_RADIUS_M = 0.08

/** Groups of plants as circles of the ground they cover: drag one, or focus it and use the arrow keys. */
export function PlantMarks({ marks, ...on }: PlantMarksProps) {
  return marks.map((mark, index) => <Group key={index} index={index} mark={mark} {...on} />)
}

interface GroupProps extends Omit<PlantMarksProps, 'marks'> {
  readonly mark: PlantMark
  readonly index: number
}

function Group({
  mark: { species: speciesKey, count, xM, yM, looks },
  index,
  frame,
  scale,
  bounds: { minX, maxX, minY, maxY },
  clip = (points) => points,
  clipPath,
  picked,
  onPick,
  onMove,
  onDrop,
}: GroupProps) {
  const t = useTexts()
  const show = useShow()
  const within = ({ xM, yM }: Place) =>
    [Math.min(maxX, Math.max(minX, xM)), Math.min(maxY, Math.max(minY, yM))] as const
  const handle = useHandle({
    at: { xM, yM },
    frame,
    scale,
    keyStepM: KEY_STEP_M,
    onMove: onMove && ((to) => onMove(index, ...within(to))),
    onPick: () => onPick(index),
    onDrop: (at) => onDrop?.(index, ...within(at)),
  })
  const species = plantSpecies(speciesKey)
  if (!species) return null
  const r = Math.max(MIN_RADIUS_M, Math.min(patchRadiusM(species, count), Math.min(maxX - minX, maxY - minY) / 2))
  return (
    <g
      {...handle}
      className={`handle plant ${looks?.className ?? ''} ${picked === index ? 'picked' : ''}`}
      role="button"
      aria-label={t('drawing.plantMarks.alongAcross', {
        count,
        common: speciesName(species.key, t),
        looks: looks ? `, ${looks.words}` : '',
        xM: show(xM, 'length'),
        yM: show(yM, 'length'),
      })}
      aria-pressed={picked === index}
    >
      <path clipPath={clipPath} d={pathOf([clip(circlePoints(xM, yM, r))], scale)} />
      <text x={scale.x(xM)} y={scale.y(yM) + 4} textAnchor="middle">
        {count} {speciesName(species.key, t)}
      </text>
    </g>
  )
}
