import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { AwsV4Signer } from 'aws4fetch'
import sharp from 'sharp'
import { closeDatabase } from '@/server/platform/db/connection'
import { closeQueue } from '@/server/platform/queue/queue'
import { addPond } from '@/server/ponds/ponds'
import { addPhoto, photoImage } from '@/server/visits/photos'
import { planVisit } from '@/server/visits/visit-planning'
import { photoStore } from '@/server/platform/gateways/photo-store'
import { photoOf, startVisit } from '../fixtures/field'
import { makeFirm, newPond } from '../fixtures/firm'

const ACCESS = { accessKeyId: 'reed', secretAccessKey: 'kept secret' }
let bucket: Server
let url: string
let down = false
const objects = new Map<string, Buffer>()

/**
 * A bucket that checks who asks: the signature over method, address, day and headers has to be the one its own secret
 * gives.
 */
beforeAll(async () => {
  bucket = createServer((request, response) => {
    const parts: Buffer[] = []
    request.on('data', (part: Buffer) => parts.push(part))
    request.on('end', async () => {
      const said = request.headers.authorization ?? ''
      const signed = await new AwsV4Signer({
        ...ACCESS,
        url: `http://${request.headers.host}${request.url}`,
        method: request.method,
        service: 's3',
        region: 'us-east-1',
        datetime: String(request.headers['x-amz-date']),
        headers: {
          'x-amz-content-sha256': String(request.headers['x-amz-content-sha256']),
          ...(request.method === 'PUT' ? { 'content-type': 'image/jpeg' } : {}),
        },
      }).sign()
      const answer = () => {
        if (down) return 503
        if (signed.headers.get('authorization') !== said) return 403
        return 200
      }
      const status = answer()
      if (status === 200 && request.method === 'PUT') objects.set(request.url!, Buffer.concat(parts))
      response.writeHead(status === 200 && request.method === 'GET' && !objects.has(request.url!) ? 404 : status)
      response.end(status === 200 && request.method === 'GET' ? objects.get(request.url!) : '')
    })
  })
  await new Promise<void>((resolve) => bucket.listen(0, '127.0.0.1', resolve))
  url = `http://127.0.0.1:${(bucket.address() as AddressInfo).port}/pond-photos`
})

beforeEach(() => {
  down = false
  Object.assign(process.env, {
    PHOTOS_S3_URL: url,
    PHOTOS_S3_KEY: ACCESS.accessKeyId,
    PHOTOS_S3_SECRET: ACCESS.secretAccessKey,
  })
})
afterEach(() => {
  for (const name of ['PHOTOS_S3_URL', 'PHOTOS_S3_KEY', 'PHOTOS_S3_SECRET']) delete process.env[name]
})
afterAll(async () => {
  await new Promise((resolve) => bucket.close(resolve))
  await closeQueue()
  await closeDatabase()
})

const picture = () =>
  sharp({ create: { width: 800, height: 600, channels: 3, background: '#467a5a' } })
    .jpeg()
    .toBuffer()

async function started(name: string) {
  const { actors, crewId } = await makeFirm(name)
  const pondId = await addPond(actors.owner, newPond())
  const day = new Date().toISOString().slice(0, 10)
  const visitId = await planVisit(actors.office, {
    pondId,
    visitType: 'netting',
    day,
    startTime: '08:00',
    crewId,
    note: '',
  })
  await startVisit(actors.technician, visitId)
  return { actor: actors.technician, firmId: actors.owner.firmId, visitId }
}

describe('a photo store outside', () => {
  it('has the image, while the thumbnail stays in the database', async () => {
    const { actor, firmId, visitId } = await started('Outside')
    const photo = await addPhoto(actor, visitId, photoOf('arrive-photos'), await picture())
    const kept = objects.get(`/pond-photos/${firmId}/${visitId}/${photo.id}.jpg`)!
    expect((await sharp(kept).metadata()).width).toBe(800)
    expect(await photoImage(actor, photo.id, 'image')).toEqual(kept)
    // a store that is out of reach takes no list of photos with it
    down = true
    expect((await sharp(await photoImage(actor, photo.id, 'thumbnail')).metadata()).width).toBe(320)
    await expect(photoImage(actor, photo.id, 'image')).rejects.toThrow('503')
  })
  it('that cannot be reached keeps nothing, and the device sends the photo again', async () => {
    const { actor, visitId } = await started('Down')
    const facts = photoOf('arrive-photos')
    down = true
    await expect(addPhoto(actor, visitId, facts, await picture())).rejects.toThrow('503')
    down = false
    await addPhoto(actor, visitId, facts, await picture())
    await addPhoto(actor, visitId, facts, await picture())
    expect((await photoImage(actor, facts.id, 'image')).length).toBeGreaterThan(500)
  })
  it('is asked with a signature, and needs its keys', async () => {
    process.env.PHOTOS_S3_SECRET = 'another'
    await expect(photoStore()!.put('x', Buffer.from('x'))).rejects.toThrow('403')
    delete process.env.PHOTOS_S3_KEY
    expect(() => photoStore()).toThrow('PHOTOS_S3_KEY')
  })
  it('photos from before it was set stay readable', async () => {
    delete process.env.PHOTOS_S3_URL
    const { actor, visitId } = await started('Before')
    const photo = await addPhoto(actor, visitId, photoOf('arrive-photos'), await picture())
    process.env.PHOTOS_S3_URL = url
    expect((await sharp(await photoImage(actor, photo.id, 'image')).metadata()).format).toBe('jpeg')
  })
})
