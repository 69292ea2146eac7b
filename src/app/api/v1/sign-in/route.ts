import { SignInInput } from '@/domain/people'
import { deviceName } from '@/domain/device-name'
import { signIn } from '@/server/auth/sign-in'
import { addressOf } from '@/server/http/address-of'
import { openRoute } from '@/server/http/route'
import { setSessionCookie } from '@/server/http/session-cookie'

export const POST = openRoute(SignInInput, async (input, request) => {
  await setSessionCookie(await signIn(input, deviceName(request.headers.get('user-agent') ?? ''), addressOf(request)))
})
