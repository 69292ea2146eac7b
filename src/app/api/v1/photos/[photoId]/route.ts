import { z } from 'zod'
import { PhotoId } from '@/domain/shared/ids'
import { photoImage } from '@/server/visits/photos'
import { signedInRoute } from '@/server/platform/http/route'

export const GET = signedInRoute({ path: z.object({ photoId: PhotoId }) }, async ({ actor, path, request }) => {
  const size = new URL(request.url).searchParams.get('size') === 'thumbnail' ? 'thumbnail' : 'image'
  const bytes = await photoImage(actor, path.photoId, size)
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=31536000, immutable' },
  })
})
