import { FeedInput } from '@/domain/rounds/calendar-feed'
import { signedInRoute } from '@/server/platform/http/route'
import { makeFeed } from '@/server/rounds/calendar-feeds'

export const POST = signedInRoute({ body: FeedInput }, ({ actor, body }) => makeFeed(actor, body))
