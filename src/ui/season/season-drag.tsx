'use client'
import { useTexts } from '@/ui/kit/texts'
import {
  DndContext,
  KeyboardSensor,
  MouseSensor,
  TouchSensor,
  useSensor,
  useSensors,
  type Active,
  type DragMoveEvent,
  type KeyboardCoordinateGetter,
} from '@dnd-kit/core'
import type { ReactNode } from 'react'
import { seasonDragWords } from '@/messages/season/season-drag-words'
import { dayCarried, type TimeAxis } from './time-axis'

/** What a visit on a ribbon tells of itself while it is dragged. */
export interface Carried {
  readonly day: string
  /** Its kind, its site and its pond, as they are spoken. */
  readonly name: string
}

interface SeasonDragProps {
  readonly axis: TimeAxis
  /** Day over which the dragged visit hangs. */
  readonly hangsOver: string | null
  readonly onBegin: (visitId: string, day: string) => void
  readonly onOver: (day: string) => void
  readonly onDrop: () => void
  readonly onCancel: () => void
  readonly children: ReactNode
}

const DAYS_OF_KEY: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowLeft: -1 }
const WEEK = 7

const carriedOf = (active: Active) => active.data.current as Carried
const ribbonOf = (node: Element | null | undefined) => node?.closest<HTMLElement>('[data-ribbon]') ?? null

/** Planned visits inside are carried along their ribbons, day by day, with mouse, finger and keyboard. */
export function SeasonDrag({ axis, hangsOver, onBegin, onOver, onDrop, onCancel, children }: SeasonDragProps) {
  const t = useTexts()
  /** By arrow keys a day on or back, with Shift a week. */
  const toNextDay: KeyboardCoordinateGetter = (event, { currentCoordinates, context }) => {
    const days = DAYS_OF_KEY[event.code]
    const ribbon = ribbonOf(context.activeNode)
    if (!days || !ribbon) return undefined
    event.preventDefault()
    const dayPx = ribbon.getBoundingClientRect().width / axis.days
    return { ...currentCoordinates, x: currentCoordinates.x + days * (event.shiftKey ? WEEK : 1) * dayPx }
  }
  // a short way or a short hold tells a drag from a press that opens the visit
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 5 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 250, tolerance: 8 } }),
    useSensor(KeyboardSensor, {
      keyboardCodes: { start: ['Space'], cancel: ['Escape'], end: ['Space', 'Enter'] },
      coordinateGetter: toNextDay,
    }),
  )
  const carry = ({ active, delta }: DragMoveEvent) => {
    const widthPx = ribbonOf(document.querySelector(`[data-visit="${active.id}"]`))?.getBoundingClientRect().width
    if (widthPx) onOver(dayCarried(axis, carriedOf(active).day, (delta.x / widthPx) * 100))
  }
  return (
    <DndContext
      id="season"
      sensors={sensors}
      autoScroll={false}
      accessibility={{
        announcements: seasonDragWords((active) => carriedOf(active).name, hangsOver, t),
        screenReaderInstructions: { draggable: t('season.drag.how') },
      }}
      onDragStart={(event) => onBegin(String(event.active.id), carriedOf(event.active).day)}
      onDragMove={carry}
      onDragEnd={onDrop}
      onDragCancel={onCancel}
    >
      {children}
    </DndContext>
  )
}
