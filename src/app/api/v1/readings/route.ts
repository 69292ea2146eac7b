import { SenmlPack } from '@/domain/firm/api-key'
import { answerError, problemJson } from '@/server/platform/http/problem-response'
import { readJson } from '@/server/platform/http/request-body'
import { keyFor } from '@/server/firm/api-keys'
import { takeProbeReadings } from '@/server/water/probes'
import { firmTexts } from '@/messages/texts'

/** Probes post their readings here as SenML JSON, with a key. */
export async function POST(request: Request): Promise<Response> {
  try {
    const key = await keyFor('readings', request.headers.get('authorization'))
    if (!key)
      return problemJson({
        title: firmTexts()('firm.problems.keyForReadings'),
        status: 401,
        kind: 'no-key',
      })
    return Response.json(await takeProbeReadings(key, SenmlPack.parse(await readJson(request))), {
      headers: { 'cache-control': 'no-store' },
    })
  } catch (error) {
    return error instanceof Response ? error : answerError(error)
  }
}
