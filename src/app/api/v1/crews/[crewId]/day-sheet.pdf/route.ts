import { z } from 'zod'
import { calendarDay } from '@/domain/shared/fields'
import { CrewId } from '@/domain/shared/ids'
import { daySheetPdf } from '@/server/rounds/day-sheet-pdf'
import { readerRegion } from '@/server/platform/http/reader-texts'
import { signedInRoute } from '@/server/platform/http/route'

/** ?day, a calendar day. */
export const GET = signedInRoute({ path: z.object({ crewId: CrewId }) }, async ({ actor, path, request }) => {
  const day = calendarDay.parse(new URL(request.url).searchParams.get('day'))
  const { bytes, fileName } = await daySheetPdf(actor, path.crewId, day, await readerRegion())
  return new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="${fileName}"`,
      'cache-control': 'no-store',
    },
  })
})
