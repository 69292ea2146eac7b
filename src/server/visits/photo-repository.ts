import type { Knex } from 'knex'
import type { FirmId, PhotoId, PondId, VisitId } from '@/domain/shared/ids'
import type { VisitPhoto } from '@/domain/visits/visit'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    photos: { pair_of: PhotoId; sketch_of: PhotoId }
  }
}

export interface PhotoImages {
  /** The image itself, or the name under which the photo store has it. */
  readonly image: Buffer | { readonly storedAs: string }
  readonly thumbnail: Buffer
}

export async function insertPhoto(
  trx: Knex.Transaction,
  firmId: FirmId,
  photo: VisitPhoto,
  images: PhotoImages,
): Promise<void> {
  await trx('photos')
    .insert({
      id: photo.id,
      firm_id: firmId,
      visit_id: photo.visitId,
      step_key: photo.stepKey,
      width: photo.width,
      height: photo.height,
      taken_at: photo.takenAt,
      pair_of: photo.pairOf,
      sketch_of: photo.sketchOf,
      ...('storedAs' in images.image ? { stored_as: images.image.storedAs } : { image: images.image }),
      thumbnail: images.thumbnail,
    })
    .onConflict('id')
    .ignore()
}

/** Photos of visits in the order they were taken, without their images. */
export async function listPhotosOf(trx: Knex.Transaction, visitIds: readonly VisitId[]): Promise<VisitPhoto[]> {
  const rows = await trx('photos')
    .whereIn('visit_id', visitIds)
    .select('id', 'visit_id', 'step_key', 'width', 'height', 'taken_at', 'pair_of', 'sketch_of')
    .orderBy(['taken_at', 'id'])
  return rows.map((r) => ({
    id: r.id,
    visitId: r.visit_id,
    stepKey: r.step_key,
    width: r.width,
    height: r.height,
    takenAt: r.taken_at.toISOString(),
    pairOf: r.pair_of,
    sketchOf: r.sketch_of,
  }))
}

export const listPhotos = (trx: Knex.Transaction, visitId: VisitId): Promise<VisitPhoto[]> =>
  listPhotosOf(trx, [visitId])

/** The bytes of a photo, or where its image lies. */
export async function findPhotoImage(
  trx: Knex.Transaction,
  id: PhotoId,
  size: keyof PhotoImages,
): Promise<PhotoImages['image'] | undefined> {
  const row = await trx('photos').where({ id }).first(size, 'stored_as')
  if (!row) return undefined
  return row[size] ?? { storedAs: row.stored_as! }
}

/** Photos of a pond's plant care visits: how it looked over time, the newest last. */
export async function listPlantPhotos(trx: Knex.Transaction, pondId: PondId): Promise<PondPhoto[]> {
  const rows = await trx('photos as f')
    .join('visits as v', 'v.id', 'f.visit_id')
    .where('v.pond_id', pondId)
    .where((q) => q.where('v.job_key', 'plant-care').orWhereRaw(`v.also @> '["plant-care"]'::jsonb`))
    .whereNull('f.sketch_of')
    .orderBy('f.taken_at', 'desc')
    .limit(PLANT_PHOTOS)
    .select('f.id', 'f.taken_at')
  return rows.map((r) => ({ id: r.id, takenAt: r.taken_at.toISOString() })).reverse()
}

/** The newest photos of a pond, of all its visits, drawings on photos among them. */
export async function listPondPhotos(trx: Knex.Transaction, pondId: PondId): Promise<PondPhoto[]> {
  const rows = await trx('photos as f')
    .join('visits as v', 'v.id', 'f.visit_id')
    .where('v.pond_id', pondId)
    .orderBy('f.taken_at', 'desc')
    .limit(POND_PHOTOS)
    .select('f.id', 'f.taken_at')
  return rows.map((r) => ({ id: r.id, takenAt: r.taken_at.toISOString() }))
}

/** The last photo of a pond up to a day, and the newest after it: before and since. Drawings on photos are none. */
export async function findPhotosAround(
  trx: Knex.Transaction,
  pondId: PondId,
  day: string,
  timeZone: string,
): Promise<{ readonly before: PondPhoto | null; readonly since: PondPhoto | null }> {
  const newest = async (side: '<=' | '>') => {
    const row = await trx('photos as f')
      .join('visits as v', 'v.id', 'f.visit_id')
      .where('v.pond_id', pondId)
      .whereNull('f.sketch_of')
      .whereRaw(`(f.taken_at at time zone ?)::date ${side} ?::date`, [timeZone, day])
      .orderBy('f.taken_at', 'desc')
      .first('f.id', 'f.taken_at')
    return row ? { id: row.id, takenAt: row.taken_at.toISOString() } : null
  }
  return { before: await newest('<='), since: await newest('>') }
}

export interface PondPhoto {
  readonly id: PhotoId
  readonly takenAt: string
}

const PLANT_PHOTOS = 12
const POND_PHOTOS = 60
