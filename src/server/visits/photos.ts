import sharp from 'sharp'
import type { PhotoId, VisitId } from '@/domain/shared/ids'
import { badField, notFound, refused } from '@/domain/shared/problems'
import type { VisitInContext, VisitPhoto } from '@/domain/visits/visit'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findPhotoImage, insertPhoto, type PhotoImages } from '@/server/visits/photo-repository'
import { findVisit } from '@/server/visits/visit-repository'
import { photoStore } from '@/server/platform/gateways/photo-store'
import { turns } from '@/server/platform/threads/turns'
import { said } from '@/domain/shared/said'

export const PHOTO_LIMIT = { bytes: 25_000_000, megapixels: 60 } as const
const KEPT_EDGE_PX = 1600
const THUMBNAIL_EDGE_PX = 320
const PICTURE_FORMATS = ['jpeg', 'png', 'webp', 'heif', 'gif', 'tiff']

/**
 * Pictures are worked on by as many threads as this, whatever is sent at once: everybody else goes on being answered.
 */
sharp.concurrency(1)
const inTurn = turns(2, 40)

/**
 * Turns whatever a phone sends into an upright JPEG without its metadata. The content decides, never the file's name.
 */
async function develop(bytes: Buffer) {
  const limited = () => sharp(bytes, { limitInputPixels: PHOTO_LIMIT.megapixels * 1e6, failOn: 'error' })
  const format = await limited()
    .metadata()
    .then((m) => m.format as string)
    .catch((error: Error) => {
      throw badField(
        'photo',
        /pixel limit/i.test(error.message)
          ? said('visits.problems.pictureLargerThanMegapixelsSet', { megapixels: PHOTO_LIMIT.megapixels })
          : said('visits.problems.filePictureCanReadTake'),
      )
    })
  if (!PICTURE_FORMATS.includes(format)) throw badField('photo', said('visits.problems.filePhotoChooseJpegPng'))
  try {
    const upright = limited().rotate().flatten({ background: '#ffffff' })
    const image = await upright
      .clone()
      .resize({ width: KEPT_EDGE_PX, height: KEPT_EDGE_PX, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 82 })
      .toBuffer({ resolveWithObject: true })
    const thumbnail = await sharp(image.data)
      .resize({ width: THUMBNAIL_EDGE_PX, height: THUMBNAIL_EDGE_PX, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 76 })
      .toBuffer()
    return { image: image.data, thumbnail, width: image.info.width, height: image.info.height }
  } catch {
    // the header was a picture's but the rest is broken off or damaged
    throw badField('photo', said('visits.problems.pictureDamagedTakePhotoAgain'))
  }
}

/** What a device says of a photo; its id is made there, so that sending it twice keeps it once. */
export interface PhotoFacts {
  readonly id: PhotoId
  readonly stepKey: string
  readonly takenAt: string
  readonly pairOf: PhotoId | null
  readonly sketchOf: PhotoId | null
}

/** Keeps a photo of a visit; it may come after the visit is over. */
export async function addPhoto(actor: Actor, visitId: VisitId, facts: PhotoFacts, bytes: Buffer): Promise<VisitPhoto> {
  assertMay(actor, 'visits.log')
  if (bytes.length > PHOTO_LIMIT.bytes)
    throw badField('photo', said('visits.problems.pictureLargerThanMb', { value: PHOTO_LIMIT.bytes / 1e6 }))
  const { image, thumbnail, width, height } = await inTurn(() => develop(bytes))
  await inFirm(actor.firmId, async (trx) => assertTakesPhoto(await findVisit(trx, visitId), facts))
  // the store is asked outside of the transaction: what it has and the database not is written over by the next try
  const kept = await keepImage(`${actor.firmId}/${visitId}/${facts.id}.jpg`, image)
  return inFirm(actor.firmId, async (trx) => {
    assertTakesPhoto(await findVisit(trx, visitId), facts)
    const photo: VisitPhoto = { ...facts, visitId, width, height }
    await insertPhoto(trx, actor.firmId, photo, { image: kept, thumbnail })
    return photo
  })
}

function assertTakesPhoto(visit: VisitInContext | undefined, { stepKey }: PhotoFacts): void {
  if (!visit) throw notFound('visit')
  if (visit.state === 'planned') throw refused(said('visits.problems.startVisitFirst'))
  if (!visit.job.steps.some((step) => step.key === stepKey))
    throw badField('stepKey', said('visits.problems.visitSuchStep'))
}

async function keepImage(name: string, image: Buffer): Promise<PhotoImages['image']> {
  const store = photoStore()
  if (!store) return image
  await store.put(name, image)
  return { storedAs: name }
}

/** The bytes of a photo, wherever they lie. */
export const photoBytes = async (found: PhotoImages['image']): Promise<Buffer> => {
  if (Buffer.isBuffer(found)) return found
  const store = photoStore()
  if (!store) throw new Error('A photo lies in a store that is not set here (PHOTOS_S3_URL).')
  return store.get((found as { storedAs: string }).storedAs)
}

export async function photoImage(actor: Actor, id: PhotoId, size: 'image' | 'thumbnail'): Promise<Buffer> {
  assertMay(actor, 'visits.read')
  const found = await inFirm(actor.firmId, (trx) => findPhotoImage(trx, id, size))
  if (!found) throw notFound('photo')
  return photoBytes(found)
}
