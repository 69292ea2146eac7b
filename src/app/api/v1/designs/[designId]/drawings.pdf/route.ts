import { z } from 'zod'
import { PAPERS, type Paper } from '@/core/drawing/svg'
import { DesignId } from '@/domain/shared/ids'
import { drawingSetPdf } from '@/server/design/drawing-set-pdf'
import { readerRegion } from '@/server/platform/http/reader-texts'
import { REGION_HABITS } from '@/domain/shared/region'
import { signedInRoute } from '@/server/platform/http/route'

const PaperName = z.enum(Object.keys(PAPERS) as [Paper, ...Paper[]])

/** ?paper, one of PAPERS; the reader's own where it is left out. */
export const GET = signedInRoute({ path: z.object({ designId: DesignId }) }, async ({ actor, path, request }) => {
  const asked = new URL(request.url).searchParams.get('paper')
  const paper = asked === null ? REGION_HABITS[await readerRegion()].paper : PaperName.parse(asked)
  const { bytes, fileName } = await drawingSetPdf(actor, path.designId, paper)
  return new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="${fileName}"`,
      'cache-control': 'no-store',
    },
  })
})
