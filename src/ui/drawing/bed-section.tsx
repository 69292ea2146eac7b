'use client'
import { useTexts } from '@/ui/kit/texts'
import { useRef, type KeyboardEvent, type PointerEvent } from 'react'
import type { Feed } from '@/core/filter/design-input'
import { type BedLayer, type BedMaterialKey } from '@/core/filter/bed/layers'
import { useShow } from '@/ui/person-context'
import { ScaleBar } from './scale-bar'
import { fitScale } from './to-scale'

const FRAME = { widthPx: 760, heightPx: 270, marginPx: 26 }
const LABEL_M_SHARE = 0.36

const PATTERN: Readonly<Record<BedMaterialKey, { size: number; radius: number }>> = {
  'levelling-gravel': { size: 9, radius: 2.6 },
  'void-modules': { size: 26, radius: 0 },
  'bridging-stone': { size: 30, radius: 12 },
  'gravel-19-38': { size: 16, radius: 6 },
  'planting-6-12': { size: 8, radius: 2.4 },
  'pea-gravel': { size: 6, radius: 1.8 },
}

interface BedSectionProps {
  readonly lengthM: number
  readonly layers: readonly BedLayer[]
  readonly manifoldDiameterM: number
  readonly airBreakM: number
  /** Horizontal beds: their headers; null for upflow beds. */
  readonly along?: Feed | null
  readonly withVault?: boolean
  /** Horizontal beds: share of the flow that reaches the roots. */
  readonly rootShare?: number | null
  /**
   * Given: the upper edge of each layer can be dragged, or moved with the arrow keys; called with the layer's new
   * thickness.
   */
  readonly onMoveBoundary?: (layer: number, thicknessM: number) => void
}

const KEY_STEP_M = 0.01
const DRAG_STEP_M = 0.005

/** A long section of the bed to scale: layers with thickness and level, distribution pipe, vault, flow, air break. */
export function BedSection({
  lengthM,
  layers,
  manifoldDiameterM,
  airBreakM,
  along = null,
  withVault = true,
  rootShare = null,
  onMoveBoundary,
}: BedSectionProps) {
  const t = useTexts()

  const drawing = useRef<SVGSVGElement>(null)
  const show = useShow()
  const depthM = layers.reduce((sum, l) => sum + l.thicknessM, 0)
  const exaggerate = Math.max(1, Math.round((lengthM / Math.max(depthM, 0.2) / 1.9) * 2) / 2)
  const labelM = lengthM * LABEL_M_SHARE
  const vaultM = withVault ? Math.max(0.3, lengthM * 0.06) : 0
  const scale = fitScale(
    FRAME,
    { minX: -vaultM, maxX: lengthM + labelM, minY: -0.18 * depthM, maxY: depthM * 1.06 },
    { exaggerate },
  )
  const thick = (m: number) => show(m, 'length', { scale: 'small' })
  const [left, right, base, top] = [scale.x(0), scale.x(lengthM), scale.y(0), scale.y(depthM)]
  const bands = layers.map((layer, i) => ({
    layer,
    below: layers.slice(0, i).reduce((sum, l) => sum + l.thicknessM, 0),
  }))
  const pipe = Math.max(4, manifoldDiameterM * scale.pxPerMDown)
  const pipeY = base - pipe / 2 - 2
  return (
    <svg
      ref={drawing}
      className="drawing"
      viewBox={`0 0 ${FRAME.widthPx} ${FRAME.heightPx}`}
      role={onMoveBoundary ? 'group' : 'img'}
      aria-label={t('drawing.bedSection.sectionBedLongDeep', {
        lengthM: show(lengthM, 'length'),
        depthM: show(depthM, 'length'),
        count: layers.length,
      })}
    >
      <defs>
        {(Object.keys(PATTERN) as BedMaterialKey[]).map((key) => (
          <pattern
            key={key}
            id={`stone-${key}`}
            width={PATTERN[key].size}
            height={PATTERN[key].size}
            patternUnits="userSpaceOnUse"
          >
            <rect
              width={PATTERN[key].size}
              height={PATTERN[key].size}
              fill={key === 'void-modules' ? 'var(--water-fill)' : 'var(--earth)'}
            />
            {key === 'void-modules' ? (
              <path d={`M0 0H26V26H0Z`} fill="none" stroke="var(--water-line)" strokeOpacity="0.55" />
            ) : (
              <circle
                cx={PATTERN[key].size / 2}
                cy={PATTERN[key].size / 2}
                r={PATTERN[key].radius}
                fill="var(--stone)"
                stroke="var(--ink-soft)"
                strokeWidth="0.6"
              />
            )}
          </pattern>
        ))}
        <marker id="bed-arrow" viewBox="0 0 8 8" refX="7" refY="4" markerWidth="7" markerHeight="7" orient="auto">
          <path d="M0 0L8 4L0 8z" fill="var(--water-line)" />
        </marker>
      </defs>
      {bands.map(({ layer, below }, i) => {
        const [y1, y2] = [scale.y(below + layer.thicknessM), scale.y(below)]
        return (
          <g key={i}>
            <rect
              x={left}
              y={y1}
              width={right - left}
              height={y2 - y1}
              fill={`url(#stone-${layer.material})`}
              stroke="var(--ink-soft)"
              strokeWidth="0.8"
            />
            <path className="dimension" d={`M${right + 4} ${y1}h8M${right + 8} ${y1}V${y2}M${right + 4} ${y2}h8`} />
            <text x={right + 16} y={(y1 + y2) / 2 + 4}>
              {thick(layer.thicknessM)} {t(`design.bedMaterialNames.${layer.material}`)}
            </text>
          </g>
        )
      })}
      {withVault ? (
        <>
          <rect
            x={scale.x(-vaultM)}
            y={top}
            width={left - scale.x(-vaultM)}
            height={base - top}
            fill="var(--water-fill)"
            stroke="var(--ink)"
          />
          <text x={(scale.x(-vaultM) + left) / 2} y={top - 6} textAnchor="middle" className="soft-text">
            {t('drawing.bedSection.vault')}
          </text>
        </>
      ) : null}
      {along ? (
        <AlongFlow left={left} right={right} top={top} base={base} along={along} rootShare={rootShare ?? 1} />
      ) : (
        <>
          <path d={`M${scale.x(-vaultM)} ${pipeY}H${right - 6}`} stroke="var(--ink)" strokeWidth={pipe} />
          <path
            d={`M${scale.x(-vaultM)} ${pipeY}H${right - 6}`}
            stroke="var(--water-fill)"
            strokeWidth={Math.max(2, pipe - 2.5)}
          />
          {[0.2, 0.4, 0.6, 0.8].map((share) => (
            <path
              key={share}
              d={`M${left + (right - left) * share} ${pipeY - pipe}V${top + 10}`}
              stroke="var(--water-line)"
              strokeWidth="1.6"
              markerEnd="url(#bed-arrow)"
            />
          ))}
        </>
      )}
      <path d={`M${left} ${top}H${right}`} stroke="var(--water-line)" strokeWidth="2" />
      {airBreakM < depthM ? (
        <g>
          <path d={`M${left} ${scale.y(airBreakM)}H${right}`} stroke="var(--rust)" strokeDasharray="6 4" />
          <text x={left + 6} y={scale.y(airBreakM) - 4} style={{ fill: 'var(--rust)' }}>
            {t('drawing.bedSection.drainsBackHere')}
          </text>
        </g>
      ) : null}
      <path className="dimension" d={`M${left} ${base + 6}v8M${left} ${base + 10}H${right}M${right} ${base + 6}v8`} />
      <text x={(left + right) / 2} y={base + 25} textAnchor="middle">
        {show(lengthM, 'length')}
      </text>
      {onMoveBoundary
        ? bands.map(({ layer, below }, i) => (
            <BoundaryHandle
              key={i}
              name={t('drawing.bedSection.upperEdgeLayer', {
                i: i + 1,
                name: t(`design.bedMaterialNames.${layer.material}`),
              })}
              valueText={thick(layer.thicknessM)}
              thicknessM={layer.thicknessM}
              y={scale.y(below + layer.thicknessM)}
              left={left}
              right={right}
              levelAt={(clientY) => {
                const box = drawing.current!.getBoundingClientRect()
                return (base - ((clientY - box.top) / box.height) * FRAME.heightPx) / scale.pxPerMDown
              }}
              onMove={(thicknessM) => onMoveBoundary(i, thicknessM)}
              belowM={below}
            />
          ))
        : null}
      <ScaleBar scale={scale} x={6} y={FRAME.heightPx - 8} show={(m) => show(m, 'length')} />
      {exaggerate > 1 ? (
        <text x={FRAME.widthPx - 6} y={FRAME.heightPx - 4} textAnchor="end" className="soft-text">
          {t('drawing.bedSection.height', { exaggerate })}
        </text>
      ) : null}
    </svg>
  )
}

/** Streamlines along a horizontal bed: where most of the water passes under the roots, so are they drawn. */
function AlongFlow({
  left,
  right,
  top,
  base,
  along,
  rootShare,
}: {
  left: number
  right: number
  top: number
  base: number
  along: Feed
  rootShare: number
}) {
  const headerTop = along === 'full-height-header' ? top : base - Math.min(14, (base - top) * 0.3)
  const lines = 5
  // the share of streamlines in the upper half of the bed follows the share that reaches the roots
  const heights = Array.from({ length: lines }, (_, i) => {
    const share = (i + 0.5) / lines
    return (
      base -
      (base - top) *
        (share <= 1 - rootShare
          ? (share / Math.max(1 - rootShare, 0.01)) * 0.5
          : 0.5 + ((share - (1 - rootShare)) / Math.max(rootShare, 0.01)) * 0.45)
    )
  })
  return (
    <g>
      {[left, right - 6].map((x) => (
        <rect
          key={x}
          x={x}
          y={headerTop}
          width={6}
          height={base - headerTop}
          fill="var(--water-fill)"
          stroke="var(--ink)"
        />
      ))}
      {heights.map((y, i) => {
        const start = along === 'full-height-header' ? y : base - 6
        return (
          <path
            key={i}
            d={`M${left + 8} ${start}C${left + 60} ${y} ${left + 60} ${y} ${left + 90} ${y}H${right - 90}C${right - 60} ${y} ${right - 60} ${y} ${right - 10} ${start}`}
            fill="none"
            stroke="var(--water-line)"
            strokeWidth="1.6"
            markerEnd="url(#bed-arrow)"
          />
        )
      })}
    </g>
  )
}

interface BoundaryHandleProps {
  readonly name: string
  readonly valueText: string
  readonly thicknessM: number
  readonly y: number
  readonly left: number
  readonly right: number
  readonly belowM: number
  /** Level over the base at a place on the screen, m. */
  readonly levelAt: (clientY: number) => number
  readonly onMove: (thicknessM: number) => void
}

/** A layer's upper edge as a handle: drag it, or focus it and use the arrow keys. */
function BoundaryHandle({ name, valueText, thicknessM, y, left, right, belowM, levelAt, onMove }: BoundaryHandleProps) {
  const drag = (event: PointerEvent<SVGGElement>) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return
    const level = Math.round(levelAt(event.clientY) / DRAG_STEP_M) * DRAG_STEP_M
    onMove(Number(Math.max(KEY_STEP_M, level - belowM).toFixed(3)))
  }
  const key = (event: KeyboardEvent) => {
    const step = { ArrowUp: KEY_STEP_M, ArrowDown: -KEY_STEP_M, PageUp: 5 * KEY_STEP_M, PageDown: -5 * KEY_STEP_M }[
      event.key
    ]
    if (step === undefined) return
    event.preventDefault()
    onMove(Number(Math.max(KEY_STEP_M, thicknessM + step).toFixed(3)))
  }
  return (
    <g
      className="handle"
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-orientation="vertical"
      aria-valuenow={Math.round(thicknessM * 1000)}
      aria-valuemin={10}
      aria-valuemax={2000}
      aria-valuetext={valueText}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={drag}
      onKeyDown={key}
    >
      <rect x={left} y={y - 6} width={right - left} height={12} fill="transparent" />
      <rect className="grip" x={(left + right) / 2 - 18} y={y - 3.5} width={36} height={7} rx={3.5} />
    </g>
  )
}
