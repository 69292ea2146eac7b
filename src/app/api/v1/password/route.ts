import { cookies } from 'next/headers'
import { OwnPasswordInput } from '@/domain/people/people'
import { SESSION_COOKIE } from '@/server/platform/auth/sessions'
import { signedInRoute } from '@/server/platform/http/route'
import { changeOwnPassword } from '@/server/people/people'

export const POST = signedInRoute({ body: OwnPasswordInput }, async ({ actor, body }) =>
  changeOwnPassword(actor, body, (await cookies()).get(SESSION_COOKIE)?.value ?? ''),
)
