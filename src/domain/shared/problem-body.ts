import type { ZodError } from 'zod'
import type { FieldProblem, Problem, ProblemBody } from './problems'

const STATUS: Readonly<Record<Problem['kind'], number>> = {
  'not-found': 404,
  forbidden: 403,
  'bad-input': 422,
  conflict: 409,
  refused: 409,
  'too-many': 429,
  busy: 503,
}

/** A problem as it crosses the wire. */
export function problemBody(problem: Problem): ProblemBody {
  const more = () => {
    if (problem.kind === 'bad-input') return { fields: problem.fields }
    if (problem.kind === 'conflict') return { current: problem.current }
    if (problem.kind === 'refused') return { details: problem.details }
    return {}
  }
  const extra = more()
  return { title: problem.message, status: STATUS[problem.kind], kind: problem.kind, ...extra }
}

export const zodFields = (error: ZodError): FieldProblem[] =>
  error.issues.map((issue) => ({ path: issue.path.join('.'), message: issue.message }))
