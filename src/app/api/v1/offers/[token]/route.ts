import { AnswerInput } from '@/domain/proposal'
import { openRoute } from '@/server/http/route'
import { answerOffer } from '@/server/use-cases/proposals'

/** The customer's answer through the private link; the link is all they need. */
export async function POST(request: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  const { token } = await params
  return openRoute(AnswerInput, (body) => answerOffer(token, body))(request)
}
