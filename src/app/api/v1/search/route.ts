import { SearchQuery } from '@/domain/search/search'
import { signedInRoute } from '@/server/platform/http/route'
import { search } from '@/server/search/search'

export const GET = signedInRoute({}, async ({ actor, request }) => {
  const { q } = SearchQuery.parse({ q: new URL(request.url).searchParams.get('q') ?? '' })
  return { hits: await search(actor, q) }
})
