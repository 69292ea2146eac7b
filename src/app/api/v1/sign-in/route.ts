import { SignInInput } from '@/domain/people/people'
import { deviceName } from '@/domain/field/device-name'
import { signIn } from '@/server/platform/auth/sign-in'
import { addressOf } from '@/server/platform/http/address-of'
import { openRoute } from '@/server/platform/http/route'
import { setSessionCookie } from '@/server/platform/http/session-cookie'

export const POST = openRoute(SignInInput, async (input, request) => {
  await setSessionCookie(await signIn(input, deviceName(request.headers.get('user-agent') ?? ''), addressOf(request)))
})
