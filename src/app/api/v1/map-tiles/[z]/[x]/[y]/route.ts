import { z } from 'zod'
import { mapTile } from '@/server/platform/gateways/tiles'
import { signedInRoute } from '@/server/platform/http/route'

const MAX_ZOOM = 20
const place = z
  .string()
  .regex(/^\d{1,7}$/)
  .transform(Number)
const Path = z
  .object({ z: place, x: place, y: place })
  .refine((at) => at.z <= MAX_ZOOM && at.x < 2 ** at.z && at.y < 2 ** at.z)

const ONE_DAY_S = 86_400

export const GET = signedInRoute({ path: Path }, async ({ path }) => {
  const tile = await mapTile(path)
  if (!tile) return new Response(null, { status: 404 })
  return new Response(tile.body, {
    headers: { 'content-type': tile.type, 'cache-control': `private, max-age=${ONE_DAY_S}` },
  })
})
