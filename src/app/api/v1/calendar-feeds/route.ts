import { FeedInput } from '@/domain/calendar-feed'
import { signedInRoute } from '@/server/http/route'
import { makeFeed } from '@/server/use-cases/calendar-feeds'

export const POST = signedInRoute({ body: FeedInput }, ({ actor, body }) => makeFeed(actor, body))
