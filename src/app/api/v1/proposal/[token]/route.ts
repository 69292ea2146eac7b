import { AnswerInput } from '@/domain/proposals/proposal'
import { openRoute } from '@/server/platform/http/route'
import { answerProposal } from '@/server/proposals/proposals'

/** The customer's answer through the private link; the link is all they need. */
export async function POST(request: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  const { token } = await params
  return openRoute(AnswerInput, (body) => answerProposal(token, body))(request)
}
