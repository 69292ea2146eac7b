import { z } from 'zod'
import { assertMay } from '@/server/platform/auth/actor'
import { answerError, problemJson } from '@/server/platform/http/problem-response'
import { readJson } from '@/server/platform/http/request-body'
import { signedInRoute } from '@/server/platform/http/route'
import { heavy } from '@/server/platform/threads/heavy'
import { keyFor } from '@/server/firm/api-keys'
import { firmTexts } from '@/messages/texts'

type Params = { params: Promise<Record<string, string>> }

const signedIn = signedInRoute({ path: z.object({ name: z.string().max(60) }) }, ({ actor, path, request }) => {
  assertMay(actor, 'calc.run')
  return answer(path.name, request)
})

/** Signed in, or with a key that may run calculations. */
export async function POST(request: Request, context: Params): Promise<Response> {
  if (!request.headers.has('authorization')) return signedIn(request, context)
  try {
    if (!(await keyFor('calc', request.headers.get('authorization'))))
      return problemJson({
        title: firmTexts()('firm.problems.keyForCalc'),
        status: 401,
        kind: 'no-key',
      })
    const outcome = await answer((await context.params).name!, request)
    return outcome instanceof Response ? outcome : Response.json(outcome, { headers: { 'cache-control': 'no-store' } })
  } catch (error) {
    return error instanceof Response ? error : answerError(error)
  }
}

async function answer(name: string, request: Request): Promise<unknown> {
  const outcome = await heavy('calculate', { name, input: await readJson(request) })
  if (outcome.ok) return outcome.output
  const { code, message, path: field } = outcome.error
  return problemJson({
    title: message,
    status: code === 'unknown-calculation' ? 404 : 422,
    kind: code,
    fields: field ? [{ path: field, message }] : [],
  })
}
