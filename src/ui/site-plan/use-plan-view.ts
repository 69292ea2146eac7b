'use client'
import { useDrag } from '@use-gesture/react'
import { useCallback, useEffect, useState, type RefObject } from 'react'
import { fitScale, type Frame, type Scale } from '@/ui/drawing/to-scale'

interface View {
  readonly zoom: number
  /** What is shifted, pixels of the drawing. */
  readonly dx: number
  readonly dy: number
}
const WHOLE: View = { zoom: 1, dx: 0, dy: 0 }
const ZOOM = { least: 0.5, most: 12, step: 1.25 } as const

interface Bounds {
  readonly minX: number
  readonly maxX: number
  readonly minY: number
  readonly maxY: number
}

/** Zoom and shift of a plan. While something is dragged the scale stands still, so that nothing runs away under it. */
export function usePlanView(svg: RefObject<SVGSVGElement | null>, frame: Frame, bounds: Bounds) {
  const [view, setView] = useState(WHOLE)
  const [held, setHeld] = useState<Scale | null>(null)
  const fit = fitScale(frame, bounds)
  const [cx, cy] = [frame.widthPx / 2, frame.heightPx / 2]
  const zoomed: Scale = {
    pxPerM: fit.pxPerM * view.zoom,
    pxPerMDown: fit.pxPerMDown * view.zoom,
    x: (m) => cx + (fit.x(m) - cx) * view.zoom + view.dx,
    y: (m) => cy + (fit.y(m) - cy) * view.zoom + view.dy,
  }
  /** Zooms so that the place under the pointer stays where it is. */
  const zoomBy = useCallback(
    (factor: number, px = frame.widthPx / 2, py = frame.heightPx / 2) =>
      setView((v) => {
        const zoom = Math.min(ZOOM.most, Math.max(ZOOM.least, v.zoom * factor))
        const by = zoom / v.zoom
        const [mx, my] = [px - frame.widthPx / 2, py - frame.heightPx / 2]
        return { zoom, dx: mx + (v.dx - mx) * by, dy: my + (v.dy - my) * by }
      }),
    [frame],
  )
  useEffect(() => {
    const element = svg.current
    if (!element) return
    // the page scrolls with the wheel; the plan zooms only with Ctrl held, as maps do
    const onWheel = (event: WheelEvent) => {
      if (!event.ctrlKey && !event.metaKey) return
      event.preventDefault()
      const box = element.getBoundingClientRect()
      zoomBy(
        event.deltaY < 0 ? ZOOM.step : 1 / ZOOM.step,
        ((event.clientX - box.left) * frame.widthPx) / box.width,
        ((event.clientY - box.top) * frame.heightPx) / box.height,
      )
    }
    element.addEventListener('wheel', onWheel, { passive: false })
    return () => element.removeEventListener('wheel', onWheel)
  }, [svg, frame, zoomBy])
  const shift = useDrag(
    ({ delta: [dx, dy], currentTarget }) => {
      const box = (currentTarget as Element).getBoundingClientRect()
      const [kx, ky] = [frame.widthPx / box.width, frame.heightPx / box.height]
      setView((v) => ({ ...v, dx: v.dx + dx * kx, dy: v.dy + dy * ky }))
    },
    { pointer: { keys: false } },
  )
  const scale = held ?? zoomed
  return {
    scale,
    shift,
    hold: (holds: boolean) => setHeld(holds ? scale : null),
    zoomIn: () => zoomBy(ZOOM.step),
    zoomOut: () => zoomBy(1 / ZOOM.step),
    showAll: () => setView(WHOLE),
  }
}
