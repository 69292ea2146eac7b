import type { MissingThing } from '@/messages/keys'
import { said, type Said } from './said'

/**
 * What can come of a use case besides success. The edge turns each into one answer; what is said to
 * people is named in `message`.
 */
export type Problem =
  | { kind: 'not-found'; message: Said }
  | { kind: 'forbidden'; message: Said }
  | { kind: 'bad-input'; message: Said; fields: readonly FieldProblem[] }
  /** Someone else saved first: `current` is what stands now, so that both can be shown. */
  | { kind: 'conflict'; message: Said; current: unknown }
  /** The rules of the work say no for now (a gate, a clash). */
  | { kind: 'refused'; message: Said; details?: unknown }
  | { kind: 'too-many'; message: Said; retryAfterS: number }
  /** The machine has enough to do for now. */
  | { kind: 'busy'; message: Said; retryAfterS: number }

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

export const notFound = (what: MissingThing): ProblemError =>
  new ProblemError({
    kind: 'not-found',
    message: said('kit.problems.notHere', { what: { text: `kit.missing.${what}` } }),
  })
export const refused = (message: Said, details?: unknown): ProblemError =>
  new ProblemError({ kind: 'refused', message, details })
export const badField = (path: string, message: Said): ProblemError =>
  new ProblemError({ kind: 'bad-input', message, fields: [{ path, message }] })
