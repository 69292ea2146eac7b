import { workerIsUp } from '@/server/platform/queue/beats'

/** Whether the app, its database and a worker are up. Tells nothing else, so it needs no sign-in. */
export async function GET(): Promise<Response> {
  try {
    const worker = (await workerIsUp()) ? 'up' : 'down'
    return Response.json({ ok: true, worker }, { headers: { 'cache-control': 'no-store' } })
  } catch {
    return Response.json({ ok: false }, { status: 503, headers: { 'cache-control': 'no-store' } })
  }
}
