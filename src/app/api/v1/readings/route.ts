import { SenmlPack } from '@/domain/api-key'
import { answerError, problemJson } from '@/server/http/problem-response'
import { readJson } from '@/server/http/request-body'
import { keyFor } from '@/server/use-cases/api-keys'
import { takeProbeReadings } from '@/server/use-cases/probes'

/** Probes post their readings here as SenML JSON, with a key. */
export async function POST(request: Request): Promise<Response> {
  try {
    const key = await keyFor('readings', request.headers.get('authorization'))
    if (!key) return problemJson({ title: 'Send a key that may post readings: Authorization: Bearer …', status: 401, kind: 'no-key' })
    return Response.json(await takeProbeReadings(key, SenmlPack.parse(await readJson(request))), { headers: { 'cache-control': 'no-store' } })
  } catch (error) {
    return error instanceof Response ? error : answerError(error)
  }
}
