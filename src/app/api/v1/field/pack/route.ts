import { createHash } from 'node:crypto'
import { signedInRoute } from '@/server/platform/http/route'
import { smallJson } from '@/server/platform/http/small-json'
import { fieldPack } from '@/server/field/pack'
import { refusalOfOtherPage } from '@/server/field/pack-format'

/** What a device keeps; 304 while nothing in it has changed. */
export const GET = signedInRoute({}, async ({ actor, request }) => {
  const refusal = refusalOfOtherPage(request)
  if (refusal) return refusal
  const pack = await fieldPack(actor)
  const tag = `"${createHash('sha256').update(JSON.stringify(pack.person)).update(pack.today).update(JSON.stringify(pack.products)).update(JSON.stringify(pack.visits)).digest('base64url').slice(0, 27)}"`
  const headers = { etag: tag, 'cache-control': 'no-store' }
  return request.headers.get('if-none-match') === tag
    ? new Response(null, { status: 304, headers })
    : smallJson(request, pack, headers)
})
