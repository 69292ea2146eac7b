import { SignInInput } from '@/domain/people'
import { signIn } from '@/server/auth/sign-in'
import { openRoute } from '@/server/http/route'
import { setSessionCookie } from '@/server/http/session-cookie'

export const POST = openRoute(SignInInput, async (input) => {
  await setSessionCookie(await signIn(input))
})
