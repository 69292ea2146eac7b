import { ZodError } from 'zod'
import { DomainError } from '@/core/errors'
import { ProblemError, type FieldProblem, type Problem, type ProblemBody } from '@/domain/problems'
import { isDatabaseLost } from '@/server/db/connection'
import { logger } from '@/server/logger'

const STATUS: Readonly<Record<Problem['kind'], number>> = { 'not-found': 404, forbidden: 403, 'bad-input': 422, conflict: 409, refused: 409, 'too-many': 429 }

/** An error answer as problem+json (RFC 9457). */
export function problemJson(body: ProblemBody, headers: Record<string, string> = {}): Response {
  return new Response(JSON.stringify(body), {
    status: body.status,
    headers: { 'content-type': 'application/problem+json', 'cache-control': 'no-store', ...headers },
  })
}

export function zodFields(error: ZodError): FieldProblem[] {
  return error.issues.map((issue) => ({ path: issue.path.join('.'), message: issue.message }))
}

/** One place that turns whatever went wrong into an answer; nothing of the program's inside is shown. */
export function answerError(error: unknown): Response {
  if (error instanceof ProblemError) {
    const { problem } = error
    const extra =
      problem.kind === 'bad-input'
        ? { fields: problem.fields }
        : problem.kind === 'conflict'
          ? { current: problem.current }
          : problem.kind === 'refused'
            ? { details: problem.details }
            : {}
    const headers: Record<string, string> = problem.kind === 'too-many' ? { 'retry-after': String(problem.retryAfterS) } : {}
    return problemJson({ title: problem.message, status: STATUS[problem.kind], kind: problem.kind, ...extra }, headers)
  }
  if (error instanceof ZodError) {
    const fields = zodFields(error)
    return problemJson({ title: fields[0]?.message ?? 'Something in the input is not right.', status: 422, kind: 'bad-input', fields })
  }
  if (error instanceof DomainError)
    return problemJson({ title: error.message, status: 422, kind: 'bad-input', fields: [{ path: error.parameter, message: error.message }] })
  if (isDatabaseLost(error))
    return problemJson(
      {
        title: 'The database cannot be reached just now. Nothing was saved; your entries are still here. Try again in a moment.',
        status: 503,
        kind: 'unavailable',
      },
      { 'retry-after': '5' },
    )
  logger.error({ err: error }, 'unexpected error')
  return problemJson({
    title: 'Something went wrong here. It has been noted. Try again, and tell the owner if it happens twice.',
    status: 500,
    kind: 'unexpected',
  })
}
