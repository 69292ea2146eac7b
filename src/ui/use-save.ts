'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { send, type SendOutcome } from './send'
import { useAsk } from './use-ask'

/**
 * Sending to the app's own API from a press of a button: what went wrong and at which field, whether it was kept, and
 * the page read anew after it was. A form of several fields is a `useSchemaForm`.
 * @param part name of the body's part that the fields lie in, such as "site"; '' when they are the body itself
 */
export function useSave(part = '') {
  const router = useRouter()
  const asking = useAsk(part)
  const [saved, setSaved] = useState(false)
  /** Keeps what came of asking, and reads the page anew where it was kept. @returns the answer; null where refused */
  const ask = async <Answer>(asked: Promise<SendOutcome<Answer>>): Promise<Answer | null> => {
    const answer = await asking.ask(asked)
    setSaved(answer !== null)
    if (answer !== null) router.refresh()
    return answer
  }
  return {
    ...asking,
    saved,
    /** Something was changed since it was kept. */
    touched: () => setSaved(false),
    ask,
    /** @returns whether it was kept */
    save: async (method: 'POST' | 'PUT' | 'DELETE', path: string, body?: unknown): Promise<boolean> =>
      (await ask(send(method, path, body))) !== null,
  }
}
