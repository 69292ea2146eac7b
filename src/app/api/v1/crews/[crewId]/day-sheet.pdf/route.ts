import { z } from 'zod'
import { calendarDay } from '@/domain/fields'
import { CrewId } from '@/domain/ids'
import { daySheetPdf } from '@/server/exchange/day-sheet-pdf'
import { signedInRoute } from '@/server/http/route'

/** ?day, a calendar day. */
export const GET = signedInRoute({ path: z.object({ crewId: CrewId }) }, async ({ actor, path, request }) => {
  const day = calendarDay.parse(new URL(request.url).searchParams.get('day'))
  const { bytes, fileName } = await daySheetPdf(actor, path.crewId, day)
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="${fileName}"`, 'cache-control': 'no-store' },
  })
})
