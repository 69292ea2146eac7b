import { z } from 'zod'
import { calculate } from '@/calc/registry'
import { assertMay } from '@/server/auth/actor'
import { problemJson } from '@/server/http/problem-response'
import { readJson } from '@/server/http/request-body'
import { signedInRoute } from '@/server/http/route'

export const POST = signedInRoute({ path: z.object({ name: z.string().max(60) }) }, async ({ actor, path, request }) => {
  assertMay(actor, 'calc.run')
  const outcome = await calculate(path.name, await readJson(request))
  if (outcome.ok) return outcome.output
  const { code, message, path: field } = outcome.error
  return problemJson({ title: message, status: code === 'unknown-calculation' ? 404 : 422, kind: code, fields: field ? [{ path: field, message }] : [] })
})
