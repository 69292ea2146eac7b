'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { send, type SendOutcome, type SendProblem } from './send'

/**
 * Sending to the app's own API from a press of a button: what went wrong and at which field, whether it was kept, and
 * the page read anew after it was. A form of several fields is a `useSchemaForm`.
 * @param part name of the body's part that the fields lie in, such as "site"; '' when they are the body itself
 */
export function useSave(part = '') {
  const router = useRouter()
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [saved, setSaved] = useState(false)
  /** Keeps what came of asking, and reads the page anew where it was kept. @returns the answer; null where refused */
  const ask = async <Answer>(asked: Promise<SendOutcome<Answer>>): Promise<Answer | null> => {
    const outcome = await asked
    setProblem(outcome.ok ? null : outcome.problem)
    setSaved(outcome.ok)
    if (outcome.ok) router.refresh()
    return outcome.ok ? outcome.value : null
  }
  return {
    problem,
    saved,
    /** What is wrong with a field, by its path within the part. */
    errorOf: (path: string): string | undefined =>
      problem?.fields?.find((f) => f.path === (part ? `${part}.${path}` : path))?.message,
    /** Something was changed since it was kept. */
    touched: () => setSaved(false),
    ask,
    /** @returns whether it was kept */
    save: async (method: 'POST' | 'PUT' | 'DELETE', path: string, body?: unknown): Promise<boolean> =>
      (await ask(send(method, path, body))) !== null,
  }
}
