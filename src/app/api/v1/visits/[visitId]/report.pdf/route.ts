import { z } from 'zod'
import { VisitId } from '@/domain/shared/ids'
import { reportPdf } from '@/server/visits/report-pdf'
import { readerRegion } from '@/server/platform/http/reader-texts'
import { signedInRoute } from '@/server/platform/http/route'

export const GET = signedInRoute({ path: z.object({ visitId: VisitId }) }, async ({ actor, path }) => {
  const { bytes, fileName } = await reportPdf(actor, path.visitId, await readerRegion())
  return new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="${fileName}"`,
      'cache-control': 'no-store',
    },
  })
})
