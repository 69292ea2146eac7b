'use client'
import { useEffect, useMemo, useState, type RefObject } from 'react'
import type { Frame } from './to-scale'

const FIRST_WIDTH_PX = 900
const LEAST_WIDTH_PX = 300
/** Height for a width, within what a screen shows at once. */
const HEIGHT = { share: 0.62, leastPx: 300, mostPx: 600 } as const

/** A frame as wide as its place on the page, so that words keep their size from a phone to a wall. */
export function useFrame(element: RefObject<Element | null>, marginPx: number): Frame {
  const [widthPx, setWidthPx] = useState(FIRST_WIDTH_PX)
  useEffect(() => {
    if (!element.current) return
    const observer = new ResizeObserver(([entry]) => {
      const width = Math.round(entry?.contentRect.width ?? 0)
      if (width > 0) setWidthPx(Math.max(LEAST_WIDTH_PX, width))
    })
    observer.observe(element.current)
    return () => observer.disconnect()
  }, [element])
  return useMemo(
    () => ({
      widthPx,
      heightPx: Math.round(Math.min(HEIGHT.mostPx, Math.max(HEIGHT.leastPx, widthPx * HEIGHT.share))),
      marginPx,
    }),
    [widthPx, marginPx],
  )
}
