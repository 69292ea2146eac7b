'use client'
import type { PhotoId, VisitId } from '@/domain/shared/ids'
import type { EntryInput } from '@/domain/visits/visit'
import { newId } from '@/ui/new-id'
import { DeviceDb, type DevicePhoto } from './device-db'
import { httpOffice, NoAnswer } from './office'
import { resizePhoto } from './resize-photo'
import { keepVisit } from './sync-device'
import { closeDeviceDb, deviceDb, dropCaches, sendInBackground } from './sync-now'

/** An entry without what the device adds: its id and the time. */
export type NewEntry = EntryInput extends infer Line
  ? Line extends EntryInput
    ? Omit<Line, 'id' | 'at'>
    : never
  : never

/** Keeps a line of a visit's log on this device; it goes out with the next sync. */
export async function keepLine(userId: string, visitId: string, entry: NewEntry): Promise<string> {
  const id = newId()
  const line = { ...entry, id, at: new Date().toISOString() } as EntryInput
  await deviceDb().lines.add({ id, visitId, userId, entry: line, state: 'waiting', problem: null })
  void sendInBackground()
  return id
}

/** Once more, after what stood in the way is mended. */
export async function tryAgain(seq: number): Promise<void> {
  await deviceDb().lines.update(seq, { state: 'waiting', problem: null })
}

/** Gives a line up that the office cannot take. */
export async function letGo(seq: number): Promise<void> {
  await deviceDb().lines.delete(seq)
}

export type PhotoTrouble = 'no-picture' | 'device-full'

interface NewPhoto {
  readonly userId: string
  readonly visitId: string
  readonly stepKey: string
  readonly pairOf?: string
  readonly sketchOf?: string
}

/**
 * Makes a photo small and keeps it on this device.
 * @returns its id, or why it could not be kept: nothing else is lost by that
 */
export async function keepPhoto(
  { userId, visitId, stepKey, pairOf, sketchOf }: NewPhoto,
  file: Blob,
): Promise<{ id: string } | { trouble: PhotoTrouble }> {
  const resized = await resizePhoto(file).catch(() => null)
  if (!resized) return { trouble: 'no-picture' }
  const photo: DevicePhoto = {
    id: newId() as PhotoId,
    visitId: visitId as VisitId,
    userId,
    stepKey,
    takenAt: new Date().toISOString(),
    pairOf: (pairOf ?? null) as PhotoId | null,
    sketchOf: (sketchOf ?? null) as PhotoId | null,
    width: resized.width,
    height: resized.height,
    thumbnail: resized.thumbnail,
    state: 'waiting',
    problem: null,
  }
  try {
    const db = deviceDb()
    await db.transaction('rw', db.photos, db.images, async () => {
      await db.images.add({ id: photo.id, bytes: resized.image })
      await db.photos.add(photo)
    })
  } catch (error) {
    if (!isFull(error)) throw error
    return { trouble: 'device-full' }
  }
  void sendInBackground()
  return { id: photo.id }
}

/** Whether something could not be kept because the device has no room left. */
export const isFull = (error: unknown): boolean =>
  error instanceof Error && (error.name === 'QuotaExceededError' || /quota/i.test(`${error.name} ${error.message}`))

/** Takes a photo away again while it is on this device only. */
export async function dropPhoto(id: string): Promise<void> {
  const db = deviceDb()
  await db.transaction('rw', db.photos, db.images, async () => {
    await db.photos.delete(id as PhotoId)
    await db.images.delete(id)
  })
}

/** The image of a photo that is still on this device only. */
export const imageOf = async (id: string): Promise<ArrayBuffer | null> =>
  (await deviceDb().images.get(id))?.bytes ?? null

/** Opens a visit that is not among the person's rounds. @returns why it cannot be opened, or null */
export async function openVisit(id: string): Promise<NoAnswer['why'] | null> {
  try {
    await keepVisit(deviceDb(), await httpOffice.visit(id))
    return null
  } catch (error) {
    if (error instanceof NoAnswer) return error.why
    throw error
  }
}

/** Lines and photos of a person that the office does not have yet. */
export async function unsent(): Promise<number> {
  const db = deviceDb()
  return (
    (await db.lines.filter((line) => line.state !== 'taken').count()) +
    (await db.photos.filter((photo) => photo.state === 'waiting').count()) +
    (await db.shared.count())
  )
}

/** Forgets everything on this device, as on signing out. */
export async function forgetDevice(): Promise<void> {
  closeDeviceDb()
  await new DeviceDb().delete()
  await dropCaches()
}

/** Share of this device's room that is used, 0–1; null where the browser does not tell. */
export async function roomUsed(): Promise<number | null> {
  const { usage, quota } = (await navigator.storage?.estimate?.()) ?? {}
  return usage !== undefined && quota ? usage / quota : null
}
