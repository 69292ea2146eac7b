import { cookies } from 'next/headers'
import { SESSION_COOKIE, SESSION_DAYS } from '@/server/platform/auth/sessions'

/** Secure only where the app is served over TLS: on loopback a browser would drop the cookie. */
const secure = (): boolean => (process.env.PUBLIC_URL ?? '').startsWith('https://')

export async function setSessionCookie(token: string): Promise<void> {
  ;(await cookies()).set(SESSION_COOKIE, token, {
    httpOnly: true,
    sameSite: 'lax',
    secure: secure(),
    path: '/',
    maxAge: SESSION_DAYS * 86_400,
  })
}

export async function clearSessionCookie(): Promise<void> {
  ;(await cookies()).delete(SESSION_COOKIE)
}
