import { calendarDay } from '@/domain/shared/fields'
import { fileResponse } from '@/server/platform/http/file-response'
import { signedInRoute } from '@/server/platform/http/route'
import { visitsAsCsv } from '@/server/exchange/visit-file'

/** ?from and ?to, days; a year at most is asked for from the page. */
export const GET = signedInRoute({}, async ({ actor, request }) => {
  const query = new URL(request.url).searchParams
  const [from, to] = [calendarDay.parse(query.get('from')), calendarDay.parse(query.get('to'))]
  return fileResponse(await visitsAsCsv(actor, from, to), 'text/csv', `visits-${from}-${to}.csv`)
})
