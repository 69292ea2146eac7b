import { FirstFirmInput } from '@/domain/people'
import { createFirstFirm } from '@/server/use-cases/firm'
import { openRoute } from '@/server/http/route'
import { setSessionCookie } from '@/server/http/session-cookie'

export const POST = openRoute(FirstFirmInput, async (input) => {
  await setSessionCookie(await createFirstFirm(input))
})
