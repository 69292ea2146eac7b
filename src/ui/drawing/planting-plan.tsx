'use client'
import { useRef, type KeyboardEvent, type PointerEvent } from 'react'
import { circlePoints, withinBed } from '@/core/drawing/bed-sheets'
import type { FilterDesign } from '@/core/filter/design-input'
import { FILTER_TYPE_FACTS } from '@/core/filter/filter-types'
import { patchRadiusM } from '@/core/plants/planting'
import { plantSpecies } from '@/core/plants/species'
import { useShow } from '@/ui/person-context'
import { ScaleBar } from './scale-bar'
import { fitScale, pathOf } from './to-scale'

const FRAME = { widthPx: 760, heightPx: 260, marginPx: 30 }
const KEY_STEP_M = 0.1

interface PlantingPlanProps {
  readonly bed: FilterDesign
  readonly picked: number | null
  readonly onPick: (index: number) => void
  readonly onMove: (index: number, xM: number, yM: number) => void
}

/** The bed from above with its plants: drag a patch, or focus it and use the arrow keys. */
export function PlantingPlan({ bed, picked, onPick, onMove }: PlantingPlanProps) {
  const show = useShow()
  const drawing = useRef<SVGSVGElement>(null)
  const [lengthM, widthM] = [bed.lengthM, bed.round ? bed.lengthM : bed.widthM]
  const scale = fitScale(FRAME, { minX: 0, maxX: lengthM, minY: 0, maxY: widthM })
  const [left, right, top, bottom] = [scale.x(0), scale.x(lengthM), scale.y(widthM), scale.y(0)]
  const within = (value: number, most: number) => Math.min(most, Math.max(0, value))
  const drag = (index: number) => (event: PointerEvent<SVGGElement>) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return
    const box = drawing.current!.getBoundingClientRect()
    const x = ((event.clientX - box.left) / box.width) * FRAME.widthPx
    const y = ((event.clientY - box.top) / box.height) * FRAME.heightPx
    onMove(index, within((x - left) / scale.pxPerM, lengthM), within((bottom - y) / scale.pxPerM, widthM))
  }
  const key = (index: number) => (event: KeyboardEvent) => {
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key]
    if (!step) return
    event.preventDefault()
    const { xM, yM } = bed.planting[index]
    onMove(index, within(xM + step[0] * KEY_STEP_M, lengthM), within(yM + step[1] * KEY_STEP_M, widthM))
  }
  const pipeY = scale.y(widthM / 2)
  return (
    <svg
      ref={drawing}
      className="drawing"
      viewBox={`0 0 ${FRAME.widthPx} ${FRAME.heightPx}`}
      role="group"
      aria-label={`Planting plan of the bed, ${show(lengthM, 'length')} by ${show(widthM, 'length')}`}
    >
      {bed.round ? (
        <circle cx={(left + right) / 2} cy={(top + bottom) / 2} r={(right - left) / 2} fill="var(--earth)" stroke="var(--ink)" strokeWidth="1.5" />
      ) : (
        <rect x={left} y={top} width={right - left} height={bottom - top} fill="var(--earth)" stroke="var(--ink)" strokeWidth="1.5" />
      )}
      {FILTER_TYPE_FACTS[bed.type].path === 'up' && !bed.round ? (
        <>
          <path d={`M${left} ${pipeY}H${right - 8}`} stroke="var(--water-line)" strokeDasharray="8 5" strokeWidth="2" />
          <text x={left + 6} y={pipeY - 5} className="soft-text">
            distribution pipe below
          </text>
        </>
      ) : null}
      <text x={right + 5} y={(top + bottom) / 2} className="soft-text">
        out
      </text>
      {bed.planting.map((patch, i) => {
        const species = plantSpecies(patch.species)
        if (!species) return null
        const r = Math.max(0.08, Math.min(patchRadiusM(species, patch.count), Math.min(lengthM, widthM) / 2))
        return (
          <g
            key={i}
            className={`handle plant ${picked === i ? 'picked' : ''}`}
            role="button"
            tabIndex={0}
            aria-label={`${patch.count} ${species.common}, ${show(patch.xM, 'length')} along, ${show(patch.yM, 'length')} across`}
            aria-pressed={picked === i}
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId)
              onPick(i)
            }}
            onPointerMove={drag(i)}
            onKeyDown={key(i)}
            onFocus={() => onPick(i)}
          >
            <path d={pathOf([bed.round ? circlePoints(patch.xM, patch.yM, r) : withinBed(circlePoints(patch.xM, patch.yM, r), lengthM, widthM)], scale)} />
            <text x={scale.x(patch.xM)} y={scale.y(patch.yM) + 4} textAnchor="middle">
              {patch.count} {species.common}
            </text>
          </g>
        )
      })}
      <ScaleBar scale={scale} x={6} y={FRAME.heightPx - 8} show={(m) => show(m, 'length')} />
    </svg>
  )
}
