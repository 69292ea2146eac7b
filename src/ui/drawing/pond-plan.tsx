'use client'
import { useTexts } from '@/ui/kit/texts'
import { useId, useState, type ReactNode } from 'react'
import type { Basin } from '@/core/survey/basin'
import { boundsOf } from '@/core/survey/point'
import { cutLine } from '@/core/survey/section'
import { useShow } from '@/ui/person-context'
import { ScaleBar } from './scale-bar'
import { fitScale, pathOf, type Frame, type Scale } from './to-scale'
import { useHandle } from './use-handle'

const FRAME = { widthPx: 560, heightPx: 300, marginPx: 34 }
const DEEPER = [0.45, 0.62, 0.8, 1]

/** A measured point that can be dragged, or moved with the arrow keys. */
export interface PlanHandle {
  readonly name: string
  readonly xM: number
  readonly yM: number
  readonly onMove: (xM: number, yM: number) => void
}

const KEY_STEP_M = 0.05

interface PondPlanProps {
  readonly basin: Basin
  readonly handles?: readonly PlanHandle[]
  /** What is drawn over the pond, in its scale. */
  readonly children?: (on: {
    frame: Frame
    scale: Scale
    bounds: ReturnType<typeof boundsOf>
    clipPath: string
  }) => ReactNode
}

/** A pond from above, to scale: waterline, depth zones, the line of the section, size. */
export function PondPlan({ basin, handles = [], children }: PondPlanProps) {
  const t = useTexts()

  const show = useShow()
  // while a point is dragged the scale stands still, or the pond would run away under the finger
  const [held, setHeld] = useState<Scale | null>(null)
  const clip = useId()
  const bounds = boundsOf(basin.outline)
  const scale = held ?? fitScale(FRAME, bounds)
  const cut = scale.y(cutLine(basin))
  const length = (m: number) => show(m, 'length')
  const [left, right, top, bottom] = [
    scale.x(bounds.minX),
    scale.x(bounds.maxX),
    scale.y(bounds.maxY),
    scale.y(bounds.minY),
  ]
  return (
    <svg
      className="drawing"
      viewBox={`0 0 ${FRAME.widthPx} ${FRAME.heightPx}`}
      role={handles.length > 0 || children ? 'group' : 'img'}
      aria-label={t('drawing.pondPlan.planPondSurface', {
        maxX: length(bounds.maxX - bounds.minX),
        maxY: length(bounds.maxY - bounds.minY),
        areaM2: show(basin.areaM2, 'area'),
      })}
    >
      <path d={pathOf([basin.outline], scale)} fill="var(--water-fill)" stroke="var(--water-line)" strokeWidth="2" />
      {basin.zones.map((zone, i) => (
        <g key={`${zone.name}${i}`}>
          {i > 0 ? (
            <path d={pathOf(zone.topOutlines, scale)} fill="none" stroke="var(--water-line)" strokeDasharray="4 3" />
          ) : null}
          <path
            d={pathOf(zone.floorOutlines, scale)}
            fill="var(--water-line)"
            fillOpacity={0.16 * DEEPER[i]!}
            stroke="var(--water-line)"
            strokeOpacity="0.55"
          />
        </g>
      ))}
      <path d={`M${left - 14} ${cut}H${right + 14}`} stroke="var(--iris)" strokeDasharray="10 4 2 4" />
      <text x={left - 26} y={cut + 4} style={{ fill: 'var(--iris)' }}>
        {t('drawing.pondPlan.a')}
      </text>
      <text x={right + 17} y={cut + 4} style={{ fill: 'var(--iris)' }}>
        {t('drawing.pondPlan.a')}
      </text>
      <path
        className="dimension"
        d={`M${left} ${bottom + 8}v8M${left} ${bottom + 12}H${right}M${right} ${bottom + 8}v8`}
      />
      <text x={(left + right) / 2} y={bottom + 27} textAnchor="middle">
        {length(bounds.maxX - bounds.minX)}
      </text>
      <text x={(left + right) / 2} y={top - 8} textAnchor="middle" className="soft-text">
        {show(basin.areaM2, 'area')}
      </text>
      {handles.map((handle) => (
        <Corner key={handle.name} handle={handle} scale={scale} onHold={(holds) => setHeld(holds ? scale : null)} />
      ))}
      {children ? (
        <>
          <clipPath id={clip}>
            <path d={pathOf([basin.outline], scale)} />
          </clipPath>
          {children({ frame: FRAME, scale, bounds, clipPath: `url(#${clip})` })}
        </>
      ) : null}
      <ScaleBar scale={scale} x={8} y={FRAME.heightPx - 10} show={length} />
    </svg>
  )
}

interface CornerProps {
  readonly handle: PlanHandle
  readonly scale: Scale
  readonly onHold: (held: boolean) => void
}

function Corner({ handle: { name, xM, yM, onMove }, scale, onHold }: CornerProps) {
  const t = useTexts()
  const show = useShow()
  const handle = useHandle({
    at: { xM, yM },
    frame: FRAME,
    scale,
    keyStepM: KEY_STEP_M,
    onMove: (to) => onMove(rounded(to.xM), rounded(to.yM)),
    onHold,
  })
  return (
    <circle
      {...handle}
      className="handle point"
      role="button"
      aria-label={t('drawing.pondPlan.alongAcross', { name, xM: show(xM, 'length'), yM: show(yM, 'length') })}
      cx={scale.x(xM)}
      cy={scale.y(yM)}
      r={6}
    />
  )
}

const rounded = (m: number): number => Number(m.toFixed(3))
