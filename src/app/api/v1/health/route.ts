import { database } from '@/server/db/connection'

/** Whether the app and its database are up. Tells nothing else, so it needs no sign-in. */
export async function GET(): Promise<Response> {
  try {
    await database().raw('select 1')
    return Response.json({ ok: true }, { headers: { 'cache-control': 'no-store' } })
  } catch {
    return Response.json({ ok: false }, { status: 503, headers: { 'cache-control': 'no-store' } })
  }
}
