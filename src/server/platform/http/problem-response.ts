import { ZodError } from 'zod'
import { DomainError } from '@/core/errors'
import { problemBody, zodFields } from '@/messages/problem-body'
import { ProblemError, type ProblemBody } from '@/domain/shared/problems'
import { isDatabaseLost } from '@/server/platform/db/connection'
import { logger } from '@/server/platform/logger'
import { firmTexts, type Texts } from '@/messages/texts'

/** An error answer as problem+json (RFC 9457). */
export function problemJson(body: ProblemBody, headers: Record<string, string> = {}): Response {
  return new Response(JSON.stringify(body), {
    status: body.status,
    headers: { 'content-type': 'application/problem+json', 'cache-control': 'no-store', ...headers },
  })
}

/** One place that turns whatever went wrong into an answer; nothing of the program's inside is shown. */
export function answerError(error: unknown, t: Texts = firmTexts()): Response {
  if (error instanceof ProblemError) {
    const { problem } = error
    const headers: Record<string, string> =
      problem.kind === 'too-many' || problem.kind === 'busy' ? { 'retry-after': String(problem.retryAfterS) } : {}
    return problemJson(problemBody(problem, t), headers)
  }
  if (error instanceof ZodError) {
    const fields = zodFields(error, t)
    return problemJson({
      title: fields[0]?.message ?? t('kit.problems.inputNotRight'),
      status: 422,
      kind: 'bad-input',
      fields,
    })
  }
  if (error instanceof DomainError)
    return problemJson({
      title: error.message,
      status: 422,
      kind: 'bad-input',
      fields: [{ path: error.parameter, message: error.message }],
    })
  if (isDatabaseLost(error))
    return problemJson(
      {
        title: t('kit.problems.databaseLost'),
        status: 503,
        kind: 'unavailable',
      },
      { 'retry-after': '5' },
    )
  logger.error({ err: error }, 'unexpected error')
  return problemJson({
    title: t('kit.problems.unexpected'),
    status: 500,
    kind: 'unexpected',
  })
}
