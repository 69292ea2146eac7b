'use client'
import { useState } from 'react'
import type { SendOutcome, SendProblem } from './send'

/**
 * Asking the app's own API: what went wrong with the last asking, and at which field.
 * @param part name of the body's part that the fields lie in, such as "site"; '' when they are the body itself
 */
export function useAsk(part = '') {
  const [problem, setProblem] = useState<SendProblem | null>(null)
  return {
    problem,
    /** What is wrong with a field, by its path within the part. */
    errorOf: (path: string): string | undefined =>
      problem?.fields?.find((f) => f.path === (part ? `${part}.${path}` : path))?.message,
    /** @returns the answer; null where it was refused */
    ask: async <Answer>(asked: Promise<SendOutcome<Answer>>): Promise<Answer | null> => {
      const outcome = await asked
      setProblem(outcome.ok ? null : outcome.problem)
      return outcome.ok ? outcome.value : null
    },
  }
}
