'use client'
import { useTexts } from '@/ui/kit/texts'
import { useRef, useState, type KeyboardEvent } from 'react'
import type { SitePart, SitePartId } from '@/core/drawing/site-sheet'
import { compass } from '@/core/drawing/site-sheet'
import { sheetOf, type SheetWords } from '@/core/drawing/sheet'
import { SNAP_GRID_M, onShore, snapped } from '@/core/site-plan/snap'
import type { PondGround } from '@/core/site-plan/pond-ground'
import type { Point } from '@/core/survey/point'
import { SheetArrow, SheetMarks } from '@/ui/drawing/sheet-marks'
import { ScaleBar } from '@/ui/drawing/scale-bar'
import { useFrame } from '@/ui/drawing/use-frame'
import { useHandle } from '@/ui/drawing/use-handle'
import { lineOf, type Frame, type Scale } from '@/ui/drawing/to-scale'
import { Icon } from '@/ui/kit/icon'
import { useShow } from '@/ui/person-context'
import { PlaceReadout } from './place-readout'
import type { PlanItem } from './plan-item'
import { PlaceHandles } from './place-handles'
import { usePlanView } from './use-plan-view'

const MARGIN_PX = 42
/** Pixels of a metre from which dimensions can be told apart. */
const DIMENSIONS_FROM_PX = 18
/** Words are smaller on a plan narrower than this. */
const NARROW_PX = 560
const COMPASS_PX = 38

interface SiteCanvasProps {
  readonly ground: PondGround
  readonly parts: readonly SitePart[]
  readonly items: readonly PlanItem[]
  readonly words: SheetWords
  readonly picked: SitePartId | null
  readonly onPick: (id: SitePartId | null) => void
  /** What is seen first: everything, or the pond with the design's own parts. */
  readonly focus: 'all' | 'design'
}

/** The site plan: everything on it to scale, what can be moved by mouse, finger or keys. */
export function SiteCanvas({ ground, parts, items, words, picked, onPick, focus }: SiteCanvasProps) {
  const t = useTexts()
  const show = useShow()
  const svg = useRef<SVGSVGElement>(null)
  const box = useRef<HTMLDivElement>(null)
  const frame = useFrame(box, MARGIN_PX)
  const [snaps, setSnaps] = useState(true)
  const [moving, setMoving] = useState<Point | null>(null)
  const [guides, setGuides] = useState<readonly Point[]>([])
  const [shows, setShows] = useState(focus)
  const marks = parts.flatMap((part) => (shows === 'design' && part.id.startsWith('object:') ? [] : part.marks))
  const view = usePlanView(svg, frame, sheetOf('', marks).bounds)
  const { scale } = view
  const resting = (item: PlanItem, to: Point, others: readonly Point[]): Point => {
    if (item.onShore) return onShore(to, ground.outline)
    if (!snaps) return { xM: Number(to.xM.toFixed(3)), yM: Number(to.yM.toFixed(3)) }
    const found = snapped(to, others)
    setGuides(found.guides)
    return found.at
  }
  const hold = (holds: boolean) => {
    view.hold(holds)
    if (!holds) {
      setMoving(null)
      setGuides([])
    }
  }
  // where another part was carried to is not where this one stands
  const pick = (id: SitePartId | null) => {
    setMoving(null)
    setGuides([])
    onPick(id)
  }
  const neighbours = (item: PlanItem, index: number | null): Point[] =>
    items.flatMap((other) =>
      other.id === item.id ? item.places.filter((_, i) => index !== null && i !== index) : other.places,
    )
  // zoomed out so far, dimensions would only lie over everything else
  const readable = scale.pxPerM < DIMENSIONS_FROM_PX ? parts.filter((part) => part.id !== 'dimensions') : parts
  const open = items.find((item) => item.id === picked)
  return (
    <div className={`site-canvas ${frame.widthPx < NARROW_PX ? 'narrow' : ''}`} ref={box}>
      <svg
        ref={svg}
        className="drawing"
        viewBox={`0 0 ${frame.widthPx} ${frame.heightPx}`}
        role="group"
        aria-label={t('sitePlan.canvas.name')}
      >
        <SheetArrow />
        <rect
          {...view.shift()}
          className="canvas-ground"
          width={frame.widthPx}
          height={frame.heightPx}
          onClick={() => pick(null)}
        />
        {readable.map((part) => {
          const item = items.find((i) => i.id === part.id)
          if (!item)
            return (
              <g key={part.id} className="still">
                {<SheetMarks marks={part.marks} scale={scale} />}
              </g>
            )
          return (
            <MovablePart
              key={part.id}
              part={part}
              item={item}
              frame={frame}
              scale={scale}
              isPicked={picked === part.id}
              onPick={() => pick(part.id)}
              onHold={hold}
              onMove={(to) => {
                const at = resting(item, to, neighbours(item, null))
                setMoving(at)
                item.onMove?.(at)
              }}
            />
          )
        })}
        <SheetMarks marks={compass(ground, cornerOf(frame, scale), COMPASS_PX / scale.pxPerM, words)} scale={scale} />
        {guides.map((p, i) => (
          <Guide key={i} at={p} to={moving} scale={scale} />
        ))}
        {open ? (
          <PlaceHandles
            item={open}
            frame={frame}
            scale={scale}
            onHold={hold}
            onMove={(index, to) => {
              const at = resting(open, to, neighbours(open, index))
              setMoving(at)
              open.onMovePlace?.(index, at)
            }}
          />
        ) : null}
        <ScaleBar scale={scale} x={10} y={frame.heightPx - 10} show={(m) => show(m, 'length')} />
      </svg>
      <div className="canvas-tools" role="toolbar" aria-label={t('sitePlan.canvas.view')}>
        <ToolButton name={t('sitePlan.canvas.zoomIn')} icon="zoom-in" onClick={view.zoomIn} />
        <ToolButton name={t('sitePlan.canvas.zoomOut')} icon="zoom-out" onClick={view.zoomOut} />
        <ToolButton
          name={t('sitePlan.canvas.showAll')}
          icon="arrows-fullscreen"
          onClick={() => {
            setShows('all')
            view.showAll()
          }}
        />
        <button
          type="button"
          className="btn btn-sm btn-outline-secondary"
          aria-pressed={snaps}
          onClick={() => setSnaps(!snaps)}
        >
          {t('sitePlan.canvas.snap', { grid: show(SNAP_GRID_M, 'length', { scale: 'small' }) })}
        </button>
      </div>
      <PlaceReadout at={moving ?? open?.at ?? null} name={open?.name ?? null} ground={ground} />
    </div>
  )
}

/** Where north is written: the drawing's upper right corner, whatever it shows. */
const cornerOf = (frame: Frame, scale: Scale): Point => {
  return {
    xM: (frame.widthPx - 45 - scale.x(0)) / scale.pxPerM,
    yM: -(56 - scale.y(0)) / scale.pxPerMDown,
  }
}

function ToolButton({
  name,
  icon,
  onClick,
}: {
  name: string
  icon: 'zoom-in' | 'zoom-out' | 'arrows-fullscreen'
  onClick: () => void
}) {
  return (
    <button type="button" className="btn btn-sm btn-outline-secondary" aria-label={name} title={name} onClick={onClick}>
      <Icon name={icon} />
    </button>
  )
}

function Guide({ at, to, scale }: { at: Point; to: Point | null; scale: Scale }) {
  if (!to) return null
  return <path className="guide" d={`M${scale.x(at.xM)} ${scale.y(at.yM)}L${scale.x(to.xM)} ${scale.y(to.yM)}`} />
}

interface MovablePartProps {
  readonly part: SitePart
  readonly item: PlanItem
  readonly frame: Frame
  readonly scale: Scale
  readonly isPicked: boolean
  readonly onPick: () => void
  readonly onHold: (holds: boolean) => void
  readonly onMove: (to: Point) => void
}

function MovablePart({ part, item, frame, scale, isPicked, onPick, onHold, onMove }: MovablePartProps) {
  const handle = useHandle({
    at: item.at,
    frame,
    scale,
    keyStepM: SNAP_GRID_M,
    onMove: item.onMove ? onMove : null,
    onPick,
    onHold,
  })
  const onKeyDown = (event: KeyboardEvent) => {
    if ((event.key === 'Delete' || event.key === 'Backspace') && item.onRemove) {
      event.preventDefault()
      item.onRemove()
      return
    }
    handle.onKeyDown(event)
  }
  return (
    <g
      {...handle}
      onKeyDown={onKeyDown}
      className={`plan-part ${isPicked ? 'picked' : ''}`}
      role="button"
      aria-pressed={isPicked}
      aria-label={item.name}
    >
      <SheetMarks marks={part.marks} scale={scale} />
      {part.marks.map((mark, i) =>
        mark.kind === 'line' ? <path key={i} className="hit" d={lineOf(mark.points, scale)} /> : null,
      )}
    </g>
  )
}
