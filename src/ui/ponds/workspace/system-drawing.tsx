'use client'
import Link from 'next/link'
import type { ReactNode } from 'react'
import type { SystemSection } from '@/core/drawing/system-section'
import { BedPatterns, stoneFill } from '@/ui/drawing/bed-patterns'
import { ScaleBar } from '@/ui/drawing/scale-bar'
import { fitScale, lineOf, pathOf, type Scale } from '@/ui/drawing/to-scale'
import { waterColour } from '@/ui/drawing/water-colour'
import { useTexts } from '@/ui/kit/texts'
import { useShow } from '@/ui/person-context'

const FRAME = { widthPx: 980, mostHeightPx: 330, marginPx: 26 }
const MAX_EXAGGERATION = 2.5
/** Earth drawn beside the outermost part and below the deepest, m. */
const EARTH_M = 0.5
/** Ice is drawn when it is likelier than not. */
const ICE_LIKELY = 0.5
const ICE_PX = 5

interface SystemDrawingProps {
  readonly section: SystemSection
  /** Null while no temperature is known: the water keeps its plain colour. */
  readonly waterC: number | null
  readonly iceChance: number
  readonly href: { readonly pond: string; readonly filter: string; readonly equipment: string; readonly plants: string }
  readonly labels: { readonly pond: string; readonly filter: string | null; readonly pump: string | null }
}

interface Placed {
  readonly section: SystemSection
  readonly scale: Scale
}

/** The whole system cut open, to scale, in its present state; a press on a part opens the page of it. */
export function SystemDrawing({ section, waterC, iceChance, href, labels }: SystemDrawingProps) {
  const t = useTexts()

  const show = useShow()
  const { bounds } = section
  const extent = {
    minX: bounds.minX - EARTH_M,
    maxX: bounds.maxX + EARTH_M,
    minY: bounds.minY - 0.15,
    maxY: bounds.maxY + 0.1,
  }
  const pxPerM = (FRAME.widthPx - 2 * FRAME.marginPx) / (extent.maxX - extent.minX)
  const heightPx = (extent.maxY - extent.minY) * pxPerM
  const fills = (FRAME.mostHeightPx - 2 * FRAME.marginPx) / heightPx
  // a long shallow system is drawn higher than it is, and says so
  const exaggerate = Math.min(MAX_EXAGGERATION, Math.max(1, Math.floor(fills * 2) / 2))
  const frame = {
    ...FRAME,
    heightPx: Math.min(FRAME.mostHeightPx, heightPx * exaggerate + 2 * FRAME.marginPx),
  }
  const scale = fitScale(frame, extent, { exaggerate })
  const placed = { section, scale }
  const fill = waterC === null ? 'var(--water-fill)' : waterColour(waterC)
  return (
    <svg
      className="drawing system"
      viewBox={`0 0 ${frame.widthPx} ${frame.heightPx}`}
      role="group"
      aria-label={t('ponds.systemDrawing.systemToScale')}
    >
      <BedPatterns />
      <FlowArrow />
      <Ground placed={placed} extent={extent} />
      <Part href={href.pond} name={labels.pond}>
        <Water placed={placed} fill={fill} ice={iceChance > ICE_LIKELY} />
      </Part>
      {section.bed && labels.filter ? (
        <Part href={href.filter} name={labels.filter}>
          <Bed placed={placed} fill={fill} />
        </Part>
      ) : null}
      {section.pump && labels.pump ? (
        <Part href={href.equipment} name={labels.pump}>
          <Pipes placed={placed} />
        </Part>
      ) : null}
      {section.plants.length > 0 ? (
        <Part href={href.plants} name={t('ponds.systemDrawing.plants', { count: section.plants.length })}>
          <Plants placed={placed} />
        </Part>
      ) : null}
      <Labels placed={placed} labels={labels} />
      <ScaleBar scale={scale} x={10} y={frame.heightPx - 8} show={(m) => show(m, 'length')} />
      {exaggerate > 1 ? (
        <text x={frame.widthPx - 10} y={frame.heightPx - 6} textAnchor="end" className="soft-text">
          {t('ponds.systemDrawing.height', { exaggerate })}
        </text>
      ) : null}
    </svg>
  )
}

/** Heads of arrows on thick lines, which do not grow with them. */
function FlowArrow() {
  return (
    <defs>
      <marker
        id="flow-arrow"
        viewBox="0 0 8 8"
        refX="6"
        refY="4"
        markerUnits="userSpaceOnUse"
        markerWidth="11"
        markerHeight="11"
        orient="auto"
      >
        <path d="M0 0L8 4L0 8z" fill="var(--water-line)" />
      </marker>
    </defs>
  )
}

/** A part that opens its own page. */
function Part({ href, name, children }: { href: string; name: string; children: ReactNode }) {
  return (
    <Link href={href} className="part" aria-label={name}>
      <title>{name}</title>
      {children}
    </Link>
  )
}

/** The earth that pond and bed are dug into, its surface at the level of the bank. */
function Ground({
  placed: { section, scale },
  extent,
}: {
  placed: Placed
  extent: { minX: number; maxX: number; minY: number }
}) {
  const left = scale.x(extent.minX)
  const right = scale.x(extent.maxX)
  const top = scale.y(0) - 3
  return (
    <path
      d={`M${left} ${top}L${scale.x(0)} ${top}L${lineOf(section.pond, scale).slice(1)}L${scale.x(section.rightBankM)} ${top}L${right} ${top}V${scale.y(extent.minY)}H${left}Z`}
      fill="var(--earth)"
    />
  )
}

function Water({ placed: { section, scale }, fill, ice }: { placed: Placed; fill: string; ice: boolean }) {
  const level = scale.y(section.levelM)
  const floor = lineOf(section.pond, scale)
  const [left, right] = [scale.x(0), scale.x(section.rightBankM)]
  return (
    <>
      <clipPath id="below-level">
        <rect x={left - 2} y={level} width={right - left + 4} height={FRAME.mostHeightPx} />
      </clipPath>
      <clipPath id="in-pond">
        <path d={`${floor}Z`} />
      </clipPath>
      <path d={`${floor}Z`} fill={fill} clipPath="url(#below-level)" />
      <path d={floor} fill="none" stroke="var(--ink)" strokeWidth="1.8" />
      <g clipPath="url(#in-pond)">
        {ice ? (
          <rect
            x={left}
            y={level}
            width={right - left}
            height={ICE_PX}
            fill="var(--ice, #e9f0f4)"
            stroke="var(--ink-soft)"
          />
        ) : null}
        <path d={`M${left} ${level}H${right}`} stroke="var(--water-line)" strokeWidth="2" />
      </g>
      {section.levelM < 0 ? (
        <path d={`M${left} ${scale.y(0)}H${right}`} stroke="var(--ink-soft)" strokeDasharray="3 4" />
      ) : null}
    </>
  )
}

function Bed({ placed: { section, scale }, fill }: { placed: Placed; fill: string }) {
  const { section: bed, originM } = section.bed!
  const at = (points: readonly { xM: number; yM: number }[]) =>
    points.map((p) => ({ xM: originM.xM + p.xM, yM: originM.yM + p.yM }))
  const [left, right] = [scale.x(originM.xM), scale.x(originM.xM + bed.lengthM)]
  const water = scale.y(originM.yM + bed.waterM)
  const base = scale.y(originM.yM)
  return (
    <>
      <rect x={left} y={water} width={right - left} height={base - water} fill={fill} />
      {bed.bands.map(({ material, baseM, topM }, i) => (
        <rect
          key={i}
          x={left}
          y={scale.y(originM.yM + topM)}
          width={right - left}
          height={scale.y(originM.yM + baseM) - scale.y(originM.yM + topM)}
          fill={stoneFill(material)}
          stroke="var(--ink-soft)"
          strokeWidth="0.6"
        />
      ))}
      <path
        d={pathOf(
          [bed.vault, bed.pipe, ...bed.headers].flatMap((o) => (o ? [at(o)] : [])),
          scale,
        )}
        fill="var(--water-fill)"
        stroke="var(--ink)"
      />
      <path
        d={`M${left} ${Math.min(water, scale.y(originM.yM + bed.depthM)) - 4}V${base}H${right}V${Math.min(water, scale.y(originM.yM + bed.depthM)) - 4}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.8"
      />
      <path d={`M${left} ${water}H${right}`} stroke="var(--water-line)" strokeWidth="2" />
    </>
  )
}

/** Pump, delivery and the way back, arrows in the direction of the water. */
function Pipes({ placed: { section, scale } }: { placed: Placed }) {
  const pump = section.pump!
  const [x, y] = [scale.x(pump.xM), scale.y(pump.yM)]
  return (
    <>
      <path
        d={lineOf(section.delivery, scale)}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="2.4"
        strokeLinejoin="round"
        markerEnd="url(#flow-arrow)"
      />
      <rect
        x={x - 9}
        y={y - 7}
        width="18"
        height="13"
        rx="3"
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth="1.6"
      />
      {section.waterReturn.length > 0 ? (
        <path
          d={lineOf(section.waterReturn, scale)}
          fill="none"
          stroke="var(--water-line)"
          strokeWidth="2.4"
          strokeLinejoin="round"
          markerEnd="url(#flow-arrow)"
        />
      ) : null}
    </>
  )
}

function Plants({ placed: { section, scale } }: { placed: Placed }) {
  return section.plants.map((plant, i) => {
    const [x, foot, tip] = [scale.x(plant.xM), scale.y(plant.yM), scale.y(plant.yM + plant.heightM)]
    const lean = 4 + (i % 3)
    return (
      <path
        key={i}
        d={`M${x} ${foot}Q${x - 1} ${(foot + tip) / 2} ${x - lean} ${tip}M${x} ${foot}L${x} ${tip - 3}M${x} ${foot}Q${x + 1} ${(foot + tip) / 2} ${x + lean} ${tip}`}
        fill="none"
        stroke="var(--reed)"
        strokeWidth="1.6"
        strokeLinecap="round"
      />
    )
  })
}

/** Names of the parts, above what they name. */
function Labels({ placed: { section, scale }, labels }: { placed: Placed; labels: SystemDrawingProps['labels'] }) {
  const top = scale.y(section.bounds.maxY) - 10
  const { bed } = section
  return (
    <>
      <text x={scale.x(section.rightBankM * 0.4)} y={scale.y(section.levelM) - 8} textAnchor="middle">
        {labels.pond}
      </text>
      {bed && labels.filter ? (
        <text x={scale.x(bed.originM.xM + bed.section.lengthM / 2)} y={top} textAnchor="middle">
          {labels.filter}
        </text>
      ) : null}
      {section.pump && labels.pump ? (
        <text x={scale.x(section.pump.xM) - 14} y={scale.y(section.pump.yM) + 4} textAnchor="end" className="on-water">
          {labels.pump}
        </text>
      ) : null}
    </>
  )
}
