import { cookies } from 'next/headers'
import { z } from 'zod'
import { endAllSessions, endSession, SESSION_COOKIE } from '@/server/platform/auth/sessions'
import { signedInRoute } from '@/server/platform/http/route'
import { clearSessionCookie } from '@/server/platform/http/session-cookie'

export const POST = signedInRoute(
  { body: z.strictObject({ everywhere: z.boolean().default(false) }) },
  async ({ actor, body }) => {
    const token = (await cookies()).get(SESSION_COOKIE)?.value
    if (body.everywhere) await endAllSessions(actor.userId)
    else if (token) await endSession(token)
    await clearSessionCookie()
  },
)
