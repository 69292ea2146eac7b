import { AwsClient } from 'aws4fetch'

/** Where images lie that are not kept in the database. */
export interface PhotoStore {
  put(key: string, bytes: Buffer): Promise<void>
  get(key: string): Promise<Buffer>
}

const TIMEOUT_MS = 30_000

/**
 * A bucket of any S3-compatible service, addressed by path.
 * @param bucketUrl such as https://objects.example/pond-photos
 */
function s3Store(bucketUrl: string, accessKeyId: string, secretAccessKey: string, region: string): PhotoStore {
  const client = new AwsClient({ accessKeyId, secretAccessKey, region, service: 's3', retries: 2 })
  const ask = async (key: string, init: RequestInit): Promise<Response> => {
    const response = await client.fetch(`${bucketUrl.replace(/\/$/, '')}/${key}`, {
      ...init,
      signal: AbortSignal.timeout(TIMEOUT_MS),
    })
    if (!response.ok) throw new Error(`The photo store answered ${response.status} for ${init.method} ${key}`)
    return response
  }
  return {
    async put(key, bytes) {
      await ask(key, { method: 'PUT', body: new Uint8Array(bytes), headers: { 'content-type': 'image/jpeg' } })
    },
    async get(key) {
      return Buffer.from(await (await ask(key, { method: 'GET' })).arrayBuffer())
    },
  }
}

/**
 * The store that is set for this machine; null: images are kept in the database, so that one backup holds everything.
 */
export function photoStore(
  { PHOTOS_S3_URL, PHOTOS_S3_KEY, PHOTOS_S3_SECRET, PHOTOS_S3_REGION }: NodeJS.ProcessEnv = process.env,
): PhotoStore | null {
  if (!PHOTOS_S3_URL) return null
  if (!PHOTOS_S3_KEY || !PHOTOS_S3_SECRET)
    throw new Error('PHOTOS_S3_URL is set, but PHOTOS_S3_KEY and PHOTOS_S3_SECRET are not.')
  return s3Store(PHOTOS_S3_URL, PHOTOS_S3_KEY, PHOTOS_S3_SECRET, PHOTOS_S3_REGION || 'us-east-1')
}
