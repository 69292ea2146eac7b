'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { send, type SendProblem } from './send'

/**
 * Sending one form: what went wrong and at which field, whether it was kept, and the page read anew after it was.
 * @param part name of the body's part that the fields lie in, such as "site"; '' when they are the body itself
 */
export function useSave(part = '') {
  const router = useRouter()
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [saved, setSaved] = useState(false)
  return {
    problem,
    saved,
    /** What is wrong with a field, by its path within the part. */
    errorOf: (path: string): string | undefined =>
      problem?.fields?.find((f) => f.path === (part ? `${part}.${path}` : path))?.message,
    /** Something was changed since it was kept. */
    touched: () => setSaved(false),
    /** @returns whether it was kept */
    save: async (method: 'POST' | 'PUT' | 'DELETE', path: string, body?: unknown): Promise<boolean> => {
      const outcome = await send(method, path, body)
      setProblem(outcome.ok ? null : outcome.problem)
      setSaved(outcome.ok)
      if (outcome.ok) router.refresh()
      return outcome.ok
    },
  }
}
