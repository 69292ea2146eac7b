import { SignInInput } from '@/domain/people/people'
import { deviceWords } from '@/messages/field/device-words'
import { firmTexts } from '@/messages/texts'
import { signIn } from '@/server/platform/auth/sign-in'
import { addressOf } from '@/server/platform/http/address-of'
import { openRoute } from '@/server/platform/http/route'
import { setSessionCookie } from '@/server/platform/http/session-cookie'

export const POST = openRoute(SignInInput, async (input, request) => {
  await setSessionCookie(
    await signIn(input, deviceWords(request.headers.get('user-agent') ?? '', firmTexts()), addressOf(request)),
  )
})
