import { z } from 'zod'
import { NewPassword } from '@/domain/people/people'
import { openRoute } from '@/server/platform/http/route'
import { resetPassword } from '@/server/people/people'

const Body = z.strictObject({ password: NewPassword })

export async function POST(request: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  const { token } = await params
  return openRoute(Body, ({ password }) => resetPassword(token, password))(request)
}
