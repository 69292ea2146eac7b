'use client'
import { useTexts } from '@/ui/kit/texts'
import { middleOf, patchShapes, type PatchGround } from '@/core/drawing/patch-shapes'
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
  /** What the groups grow on: what reaches over its edge is left off. */
  readonly ground?: PatchGround
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

/**
 * Groups of plants as the ground they cover, none over another: drag one, or focus it and use the arrow keys.
 */
export function PlantMarks({ marks, ground, ...on }: PlantMarksProps) {
  const { minX, maxX, minY, maxY } = on.bounds
  const shapes = patchShapes(
    marks.map(({ species: key, count, xM, yM }) => {
      const species = plantSpecies(key)
      const most = Math.min(maxX - minX, maxY - minY) / 2
      return {
        xM,
        yM,
        radiusM: species ? Math.max(MIN_RADIUS_M, Math.min(patchRadiusM(species, count), most)) : 0,
      }
    }),
    ground ?? null,
  )
  return marks.map((mark, index) => <Group key={index} index={index} mark={mark} shape={shapes[index]!} {...on} />)
}

/** Width of a letter and height of a line on a plan. */
const LETTER_PX = 5.6
const LINE_PX = 12

/** A group's name in as few lines as fit within it; one that fits nowhere has a word on each. */
function nameLines(name: string, widthPx: number): string[] {
  return name.split(' ').reduce<string[]>((lines, word) => {
    const last = lines.at(-1)
    const longer = last === undefined ? word : `${last} ${word}`
    return last !== undefined && longer.length * LETTER_PX > widthPx
      ? [...lines, word]
      : [...lines.slice(0, -1), longer]
  }, [])
}

interface GroupProps extends Omit<PlantMarksProps, 'marks' | 'ground'> {
  readonly mark: PlantMark
  readonly shape: readonly DrawnPoint[]
  readonly index: number
}

function Group({
  mark: { species: speciesKey, count, xM, yM, looks },
  shape,
  index,
  frame,
  scale,
  bounds: { minX, maxX, minY, maxY },
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
  const middle = middleOf(shape) ?? { xM, yM }
  const xs = shape.map((p) => scale.x(p.xM))
  const lines = nameLines(`${count} ${speciesName(species.key, t)}`, Math.max(...xs) - Math.min(...xs))
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
      <path clipPath={clipPath} d={pathOf([shape], scale)} />
      <text x={scale.x(middle.xM)} y={scale.y(middle.yM) + 4} textAnchor="middle">
        {lines.map((line, i) => (
          <tspan key={i} x={scale.x(middle.xM)} dy={i === 0 ? ((1 - lines.length) / 2) * LINE_PX : LINE_PX}>
            {line}
          </tspan>
        ))}
      </text>
    </g>
  )
}
