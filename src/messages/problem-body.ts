import type { ZodError } from 'zod'
import type { FieldProblem, Problem, ProblemBody } from '@/domain/shared/problems'
import { saidWords } from './said'
import type { Texts } from './texts'
import type { CsvRowProblem } from '@/domain/shared/csv'
import { issueWords } from './schema-words'

const STATUS: Readonly<Record<Problem['kind'], number>> = {
  'not-found': 404,
  forbidden: 403,
  'bad-input': 422,
  conflict: 409,
  refused: 409,
  'too-many': 429,
  busy: 503,
}

/** A problem as it crosses the wire, in the words of who asked. */
export function problemBody(problem: Problem, t: Texts): ProblemBody {
  const more = () => {
    if (problem.kind === 'bad-input') return { fields: fieldsInWords(problem.fields, t) }
    if (problem.kind === 'conflict') return { current: problem.current }
    if (problem.kind === 'refused') return { details: problem.details }
    return {}
  }
  const extra = more()
  return { title: saidWords(problem.message, t), status: STATUS[problem.kind], kind: problem.kind, ...extra }
}

const fieldsInWords = (fields: readonly FieldProblem[], t: Texts): FieldProblem[] =>
  fields.map((field) => ({ ...field, message: saidWords(field.message, t) }))

/** What a schema finds wrong, by field and in words. */
export const zodFields = (error: ZodError, t: Texts): FieldProblem[] =>
  error.issues.map((issue) => ({ path: issue.path.join('.'), message: issueWords(issue, t) }))

/** What is wrong with a row of a file, in words. */
export interface RowProblemWords {
  readonly line: number
  readonly message: string
}

export const rowProblemsInWords = (problems: readonly CsvRowProblem[], t: Texts): RowProblemWords[] =>
  problems.map(({ line, message }) => ({ line, message: saidWords(message, t) }))
