import { SHARE_FIELD } from '@/domain/field/share-target'
import { deviceDb } from './sync-now'
import type { SharedPicture } from './device-db'

/** So many wait at once: more would be a gallery, not a visit's photos. */
const MOST_SHARED = 40

/** Keeps pictures that another app of the phone shares until they are put to a visit. @returns how many were kept */
export async function keepShared(form: FormData, now: Date = new Date()): Promise<number> {
  const files = form.getAll(SHARE_FIELD).filter((part): part is File => typeof part !== 'string')
  const pictures = files.filter(({ type }) => type.startsWith('image/')).slice(0, MOST_SHARED)
  const kept = await Promise.all(
    pictures.map(async (file) => ({ bytes: await file.arrayBuffer(), type: file.type, at: now.toISOString() })),
  )
  await deviceDb().shared.bulkAdd(kept)
  return kept.length
}

export const sharedPictures = (): Promise<SharedPicture[]> => deviceDb().shared.toArray()

export const dropShared = (ids: readonly number[]): Promise<void> => deviceDb().shared.bulkDelete([...ids])
