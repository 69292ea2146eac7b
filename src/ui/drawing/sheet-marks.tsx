'use client'
import { Fragment } from 'react'
import type { DrawingLayer, Mark } from '@/core/drawing/sheet'
import { dimensionLine } from '@/core/drawing/sheet'
import { plainMarks, type PlainMark } from '@/core/drawing/symbols'
import { lineOf, pathOf, type Scale } from './to-scale'

/** Inks and fills of a sheet on the screen, by theme; on paper the palette's own are used. */
const INK: Partial<Record<DrawingLayer, string>> = {
  WATER: 'var(--water-line)',
  SERVICES: 'var(--rust)',
  LEVELS: 'var(--rust)',
  TREES: 'var(--reed)',
  PLANTS: 'var(--reed)',
  OUTLINE: 'var(--ink)',
  PIPE: 'var(--ink)',
}
const FILL: Readonly<Record<string, string>> = {
  water: 'var(--water-fill)',
  gravel: 'var(--stone)',
  wall: 'var(--rule)',
  crown: 'var(--reed-wash)',
  plant: 'var(--reed-wash)',
  earth: 'var(--earth)',
  paper: 'var(--sheet)',
}
/** Crowns and water lie over other things that must stay readable. */
const FILL_OPACITY: Readonly<Record<string, number>> = { crown: 0.55, gravel: 0.75 }

const inkOf = (layer: DrawingLayer): string => INK[layer] ?? 'var(--ink-soft)'

/** The marks of a sheet in the page's own colours. */
export function SheetMarks({ marks, scale }: { marks: readonly Mark[]; scale: Scale }) {
  return plainMarks(marks).map((mark, i) => (
    <Fragment key={i}>
      <MarkShape mark={mark} scale={scale} />
    </Fragment>
  ))
}

function MarkShape({ mark, scale }: { mark: PlainMark; scale: Scale }) {
  const stroke = inkOf(mark.layer)
  switch (mark.kind) {
    case 'polygon':
      return (
        <path
          d={pathOf([mark.points], scale)}
          fill={FILL[mark.fill ?? ''] ?? 'none'}
          fillOpacity={FILL_OPACITY[mark.fill ?? ''] ?? 1}
          stroke={stroke}
          strokeWidth="1.4"
        />
      )
    case 'line':
      return (
        <path
          d={lineOf(mark.points, scale)}
          fill="none"
          stroke={stroke}
          strokeWidth={mark.layer === 'PIPE' ? 2.4 : 1.6}
          strokeDasharray={mark.dashed ? '7 4' : undefined}
          markerEnd={mark.arrow ? 'url(#sheet-arrow)' : undefined}
        />
      )
    case 'circle':
      return (
        <circle
          cx={scale.x(mark.centre.xM)}
          cy={scale.y(mark.centre.yM)}
          r={Math.max(3, mark.radiusM * scale.pxPerM)}
          fill={FILL[mark.fill ?? ''] ?? 'none'}
          stroke={stroke}
          strokeWidth="1.4"
        />
      )
    case 'text':
      return (
        <text
          className="on-plan"
          x={scale.x(mark.at.xM)}
          y={scale.y(mark.at.yM) + 4}
          textAnchor={mark.anchor}
          style={mark.layer === 'LEVELS' ? { fill: stroke } : undefined}
        >
          {mark.text}
        </text>
      )
    case 'dimension':
      return <DimensionShape mark={mark} scale={scale} />
  }
}

function DimensionShape({ mark, scale }: { mark: Extract<Mark, { kind: 'dimension' }>; scale: Scale }) {
  const [a, b] = dimensionLine(mark)
  const [ax, ay, bx, by] = [scale.x(a.xM), scale.y(a.yM), scale.x(b.xM), scale.y(b.yM)]
  const angle = (Math.atan2(by - ay, bx - ax) * 180) / Math.PI
  const upright = angle > 90 || angle <= -90 ? angle + 180 : angle
  return (
    <>
      <path className="dimension" d={`M${ax} ${ay}L${bx} ${by}`} />
      <text
        className="on-plan soft-text"
        transform={`translate(${(ax + bx) / 2} ${(ay + by) / 2}) rotate(${upright})`}
        y={-4}
        textAnchor="middle"
      >
        {mark.text}
      </text>
    </>
  )
}

/** Head of the arrows of a sheet; once in each drawing that shows marks. */
export function SheetArrow() {
  return (
    <defs>
      <marker
        id="sheet-arrow"
        viewBox="0 0 8 8"
        refX="7"
        refY="4"
        markerUnits="userSpaceOnUse"
        markerWidth="11"
        markerHeight="11"
        orient="auto"
      >
        <path d="M0 0L8 4L0 8z" fill="var(--ink)" />
      </marker>
    </defs>
  )
}
