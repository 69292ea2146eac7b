import { CustomerRequestInput } from '@/domain/customers/customer-request'
import { openRoute } from '@/server/platform/http/route'
import { askForVisit } from '@/server/customers/customer-page'

/** The customer asks for a visit; the link is all it takes. */
export async function POST(request: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  const { token } = await params
  return openRoute(CustomerRequestInput, (body) => askForVisit(token, body))(request)
}
