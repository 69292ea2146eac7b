'use client'
import { useDrag } from '@use-gesture/react'
import { useRef, useState, type KeyboardEvent } from 'react'
import type { Frame, Scale } from './to-scale'

/** idle → pointing (pressed, not moved yet) → dragging → settling (let go, being kept) → idle */
export type HandleState = 'idle' | 'pointing' | 'dragging' | 'settling'

/** A place on a drawing, m; y upwards. */
export interface Place {
  readonly xM: number
  readonly yM: number
}

interface HandleOf {
  readonly at: Place
  readonly frame: Frame
  readonly scale: Scale
  /** How far an arrow key carries it, m; Page Up and Page Down carry it five times as far. */
  readonly keyStepM: number
  /** Null where it stands still and can only be picked. */
  readonly onMove: ((to: Place) => void) | null
  /** Pressed or focused. */
  readonly onPick?: () => void
  /** It stands where it was let go or carried by a key; not called by a press that moved nothing. */
  readonly onDrop?: (at: Place) => void | Promise<void>
  /** The pointer holds it, or no longer does. */
  readonly onHold?: (held: boolean) => void
}

const STEPS: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
  PageUp: [0, 5],
  PageDown: [0, -5],
}

/** Where a drag began: what moves goes by the way from here, so that it never jumps under the finger. */
interface Grip extends Place {
  readonly scale: Scale
  /** Metres of the drawing under one pixel of the screen. */
  readonly mPerPx: Place
}

/** Something on a drawing that is moved by mouse, finger or arrow keys. @returns what its element spreads */
export function useHandle({ at, frame, scale, keyStepM, onMove, onPick, onDrop, onHold }: HandleOf) {
  const [state, setState] = useState<HandleState>('idle')
  const last = useRef(at)
  const to = (place: Place) => {
    last.current = place
    onMove?.(place)
  }
  const settle = async () => {
    setState('settling')
    await onDrop?.(last.current)
    setState('idle')
  }
  const gripOf = (element: Element): Grip => {
    const drawing = (element as SVGElement).ownerSVGElement ?? element
    const box = drawing.getBoundingClientRect()
    return {
      ...at,
      scale,
      mPerPx: {
        xM: frame.widthPx / box.width / scale.pxPerM,
        yM: frame.heightPx / box.height / scale.pxPerMDown,
      },
    }
  }
  const pointer = useDrag<PointerEvent>(
    ({ first, last: ends, movement: [dx, dy], currentTarget, memo }) => {
      const grip: Grip = memo ?? gripOf(currentTarget as Element)
      if (first) {
        setState('pointing')
        onPick?.()
        onHold?.(true)
      }
      const moved = dx !== 0 || dy !== 0
      if (moved && onMove) {
        if (!ends) setState('dragging')
        to({ xM: grip.xM + dx * grip.mPerPx.xM, yM: grip.yM - dy * grip.mPerPx.yM })
      }
      if (ends) {
        onHold?.(false)
        if (moved && onMove) void settle()
        else setState('idle')
      }
      return grip
    },
    { pointer: { keys: false }, eventOptions: { passive: true } },
  )
  const onKeyDown = (event: KeyboardEvent) => {
    const step = STEPS[event.key]
    if (!step || !onMove) return
    event.preventDefault()
    to({ xM: at.xM + step[0] * keyStepM, yM: at.yM + step[1] * keyStepM })
    void settle()
  }
  return { ...pointer(), onKeyDown, onFocus: onPick, tabIndex: 0, 'data-state': state }
}
