/**
 * What can come of a use case besides success. The edge turns each into one answer; wording for people is in
 * `message`.
 */
export type Problem =
  | { kind: 'not-found'; message: string }
  | { kind: 'forbidden'; message: string }
  | { kind: 'bad-input'; message: string; fields: readonly FieldProblem[] }
  /** Someone else saved first: `current` is what stands now, so that both can be shown. */
  | { kind: 'conflict'; message: string; current: unknown }
  /** The rules of the work say no for now (a gate, a clash). */
  | { kind: 'refused'; message: string; details?: unknown }
  | { kind: 'too-many'; message: string; retryAfterS: number }
  /** The machine has enough to do for now. */
  | { kind: 'busy'; message: string; retryAfterS: number }

export interface FieldProblem {
  readonly path: string
  readonly message: string
  /** What is decided by: nothing is there, or a value is asked about and may be confirmed. */
  readonly code?: 'missing' | 'unusual'
}

/** A problem as it crosses the wire. */
export interface ProblemBody {
  readonly title: string
  readonly status: number
  readonly kind: string
  readonly fields?: readonly FieldProblem[]
  readonly current?: unknown
  readonly details?: unknown
}

/** Thrown inside a transaction so that it rolls back; caught once, at the edge. */
export class ProblemError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.message)
    this.name = 'ProblemError'
  }
}

export const notFound = (what: string): ProblemError =>
  new ProblemError({
    kind: 'not-found',
    message: `${what} is not here. It may have been removed, or the link is incomplete.`,
  })
export const refused = (message: string, details?: unknown): ProblemError =>
  new ProblemError({ kind: 'refused', message, details })
export const badField = (path: string, message: string): ProblemError =>
  new ProblemError({ kind: 'bad-input', message, fields: [{ path, message }] })
