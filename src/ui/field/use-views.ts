'use client'
import { useMemo } from 'react'
import { deviceDb } from './device/sync-now'
import { viewOf, type VisitView } from './device/device-view'
import { useLive } from './device/use-live'

/** All visits on this device as they stand, with what waits to be sent. */
export function useViews(name: string, clockOffsetMs: number): readonly VisitView[] | undefined {
  const kept = useLive(() => deviceDb().visits.toArray(), 'visits')
  const lines = useLive(() => deviceDb().lines.toArray(), 'lines')
  const photos = useLive(() => deviceDb().photos.toArray(), 'photos')
  return useMemo(
    () =>
      kept && lines && photos
        ? kept
            .map((visit) => viewOf(visit, lines, photos, name, clockOffsetMs))
            .sort(
              (a, b) => a.visit.day.localeCompare(b.visit.day) || a.visit.startTime.localeCompare(b.visit.startTime),
            )
        : undefined,
    [kept, lines, photos, name, clockOffsetMs],
  )
}
