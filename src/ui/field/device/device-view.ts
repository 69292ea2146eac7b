import { stateAfter } from '@/domain/field/field-log'
import type { FieldVisit } from '@/domain/field/field-pack'
import type { Entry, VisitPhoto } from '@/domain/visits/visit'
import { inOrder } from '@/domain/visits/visit-progress'
import type { DevicePhoto, KeptVisit, WaitingLine } from './device-db'
import { ownEntry } from './sync-device'

/** A visit as this device sees it: what the office has, and what still waits here. */
export interface VisitView extends FieldVisit {
  readonly photos: readonly (VisitPhoto & { readonly own: DevicePhoto | null })[]
  /** Lines and photos that the office has not taken yet. */
  readonly waiting: number
  readonly refused: readonly WaitingLine[]
  readonly refusedPhotos: readonly DevicePhoto[]
}

/** Lays what waits on this device over what the office has. */
export function viewOf(
  kept: KeptVisit,
  lines: readonly WaitingLine[],
  photos: readonly DevicePhoto[],
  byName: string,
  offsetMs = 0,
): VisitView {
  const own = lines.filter((line) => line.visitId === kept.id).sort((a, b) => a.seq - b.seq)
  const waiting = own.filter((line) => line.state === 'waiting')
  const inLog = new Set<string>(kept.log.map((e) => e.id))
  // taken lines count until the log that was read has them
  const ahead = own.filter((line) => line.state !== 'refused' && !inLog.has(line.id))
  const taken = photos.filter((photo) => photo.visitId === kept.id)
  const state = ahead.reduce((at, line) => stateAfter(at, line.entry), kept.visit.state)
  const here = new Map<string, DevicePhoto>(taken.map((photo) => [photo.id, photo]))
  const log: Entry[] = [...kept.log, ...ahead.map((line) => ownEntry(line, byName, offsetMs))]
  return {
    ...kept,
    visit: { ...kept.visit, state },
    log,
    photos: [
      ...kept.photos.map((photo) => ({ ...photo, own: here.get(photo.id) ?? null })),
      ...taken
        .filter((photo) => photo.state !== 'refused' && !kept.photos.some((p) => p.id === photo.id))
        .map((photo) => ({ ...photo, own: photo })),
    ],
    waiting: waiting.length + taken.filter((photo) => photo.state === 'waiting').length,
    refused: own.filter((line) => line.state === 'refused'),
    refusedPhotos: taken.filter((photo) => photo.state === 'refused'),
  }
}

/** Timers that run at a moment, wherever they were started: they outlive a closed app. */
export function runningTimers(
  view: VisitView,
): { readonly stepKey: string; readonly title: string; readonly startedAt: string; readonly minutes: number }[] {
  const answered = new Set(view.log.flatMap((e) => (e.kind === 'done' || e.kind === 'skipped' ? [e.stepKey] : [])))
  return view.visit.job.steps.flatMap((step) => {
    if (!step.timerMinutes || (answered.has(step.key) && !step.again)) return []
    // of what is done again and again the timer runs until the next round is logged
    const own = inOrder(
      view.log.filter(
        (e) => 'stepKey' in e && e.stepKey === step.key && (e.kind === 'timer-started' || e.kind === 'done'),
      ),
    )
    const last = own.at(-1)?.kind === 'timer-started' ? own.at(-1) : undefined
    return last ? [{ stepKey: step.key, title: step.title, startedAt: last.at, minutes: step.timerMinutes }] : []
  })
}
