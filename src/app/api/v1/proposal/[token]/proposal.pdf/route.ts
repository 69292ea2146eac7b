import { answerError } from '@/server/platform/http/problem-response'
import { readerRegion } from '@/server/platform/http/reader-texts'
import { proposalPdf } from '@/server/proposals/proposal-pdf'

export async function GET(_request: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  try {
    const { bytes, fileName } = await proposalPdf((await params).token, await readerRegion())
    return new Response(new Uint8Array(bytes), {
      headers: {
        'content-type': 'application/pdf',
        'content-disposition': `inline; filename="${fileName}"`,
        'cache-control': 'no-store',
      },
    })
  } catch (error) {
    return answerError(error)
  }
}
