'use client'
import { useTexts } from '@/ui/kit/texts'
import type { FilterDesign } from '@/core/filter/design-input'
import { FILTER_TYPE_FACTS } from '@/core/filter/types'
import { useShow } from '@/ui/person-context'
import { PlantMarks, type PlantMark } from './plant-marks'
import { ScaleBar } from './scale-bar'
import { fitScale } from './to-scale'

const FRAME = { widthPx: 760, heightPx: 260, marginPx: 30 }

interface PlantingPlanProps {
  readonly bed: FilterDesign
  /** What stands in it; as designed where left out. */
  readonly groups?: readonly PlantMark[]
  readonly picked: number | null
  readonly onPick: (index: number) => void
  readonly onMove: ((index: number, xM: number, yM: number) => void) | null
  readonly onDrop?: (index: number, xM: number, yM: number) => void | Promise<void>
}

/** The bed from above with its plants. */
export function PlantingPlan({ bed, groups = bed.planting, picked, onPick, onMove, onDrop }: PlantingPlanProps) {
  const t = useTexts()

  const show = useShow()
  const [lengthM, widthM] = [bed.lengthM, bed.round ? bed.lengthM : bed.widthM]
  const bounds = { minX: 0, maxX: lengthM, minY: 0, maxY: widthM }
  const scale = fitScale(FRAME, bounds)
  const [left, right, top, bottom] = [scale.x(0), scale.x(lengthM), scale.y(widthM), scale.y(0)]
  const pipeY = scale.y(widthM / 2)
  return (
    <svg
      className="drawing"
      viewBox={`0 0 ${FRAME.widthPx} ${FRAME.heightPx}`}
      role="group"
      aria-label={t('drawing.plantingPlan.plantingPlanBed', {
        lengthM: show(lengthM, 'length'),
        widthM: show(widthM, 'length'),
      })}
    >
      {bed.round ? (
        <circle
          cx={(left + right) / 2}
          cy={(top + bottom) / 2}
          r={(right - left) / 2}
          fill="var(--earth)"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
      ) : (
        <rect
          x={left}
          y={top}
          width={right - left}
          height={bottom - top}
          fill="var(--earth)"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
      )}
      {FILTER_TYPE_FACTS[bed.type].path === 'up' && !bed.round ? (
        <>
          <path d={`M${left} ${pipeY}H${right - 8}`} stroke="var(--water-line)" strokeDasharray="8 5" strokeWidth="2" />
          <text x={left + 6} y={pipeY - 5} className="soft-text">
            {t('drawing.plantingPlan.distributionPipeBelow')}
          </text>
        </>
      ) : null}
      <text x={right + 5} y={(top + bottom) / 2} className="soft-text">
        {t('drawing.plantingPlan.out')}
      </text>
      <PlantMarks
        marks={groups}
        frame={FRAME}
        scale={scale}
        bounds={bounds}
        ground={{ lengthM, widthM, round: bed.round }}
        picked={picked}
        onPick={onPick}
        onMove={onMove}
        onDrop={onDrop}
      />
      <ScaleBar scale={scale} x={6} y={FRAME.heightPx - 8} show={(m) => show(m, 'length')} />
    </svg>
  )
}
