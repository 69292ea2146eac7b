import type { Knex } from 'knex'
import type { FirmId, PhotoId, VisitId } from '@/domain/ids'
import type { VisitPhoto } from '@/domain/visit'

export interface PhotoImages {
  readonly image: Buffer
  readonly thumbnail: Buffer
}

export async function insertPhoto(trx: Knex.Transaction, firmId: FirmId, photo: VisitPhoto, images: PhotoImages): Promise<void> {
  await trx('photos')
    .insert({
      id: photo.id,
      firm_id: firmId,
      visit_id: photo.visitId,
      step_key: photo.stepKey,
      width: photo.width,
      height: photo.height,
      taken_at: photo.takenAt,
      image: images.image,
      thumbnail: images.thumbnail,
    })
    .onConflict('id')
    .ignore()
}

export async function listPhotos(trx: Knex.Transaction, visitId: VisitId): Promise<VisitPhoto[]> {
  const rows = await trx('photos').where({ visit_id: visitId }).select('id', 'visit_id', 'step_key', 'width', 'height', 'taken_at').orderBy('taken_at')
  return rows.map((r) => ({ id: r.id, visitId: r.visit_id, stepKey: r.step_key, width: r.width, height: r.height, takenAt: r.taken_at.toISOString() }))
}

export async function findPhotoImage(trx: Knex.Transaction, id: PhotoId, size: keyof PhotoImages): Promise<Buffer | undefined> {
  const row = await trx('photos').where({ id }).first(size)
  return row?.[size]
}
