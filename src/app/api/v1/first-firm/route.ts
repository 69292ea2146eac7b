import { FirstFirmInput } from '@/domain/people/people'
import { createFirstFirm } from '@/server/firm/firm'
import { openRoute } from '@/server/platform/http/route'
import { setSessionCookie } from '@/server/platform/http/session-cookie'

export const POST = openRoute(FirstFirmInput, async (input) => {
  await setSessionCookie(await createFirstFirm(input))
})
