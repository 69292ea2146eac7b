import { z } from 'zod'
import { PondId } from '@/domain/shared/ids'
import { pondWindows } from '@/server/season/pond-windows'
import { signedInRoute } from '@/server/platform/http/route'

const Query = z.object({ year: z.coerce.number().int().min(2000).max(2100) })

export const GET = signedInRoute({ path: z.object({ pondId: PondId }) }, ({ actor, path, request }) => {
  const { year } = Query.parse(Object.fromEntries(new URL(request.url).searchParams))
  return pondWindows(actor, path.pondId, year)
})
