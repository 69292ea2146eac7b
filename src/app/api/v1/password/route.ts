import { cookies } from 'next/headers'
import { OwnPasswordInput } from '@/domain/people'
import { SESSION_COOKIE } from '@/server/auth/sessions'
import { signedInRoute } from '@/server/http/route'
import { changeOwnPassword } from '@/server/use-cases/people'

export const POST = signedInRoute({ body: OwnPasswordInput }, async ({ actor, body }) =>
  changeOwnPassword(actor, body, (await cookies()).get(SESSION_COOKIE)?.value ?? ''),
)
