'use client'
import { useRouter } from 'next/navigation'
import { problemTitle } from '@/ui/kit/problem-note'
import { useTexts } from '@/ui/kit/texts'
import { useToast } from '@/ui/kit/toasts'
import type { SendOutcome } from './send'

/** Says in passing what was done, and offers to take it back by sending something else. */
export function useDone(): (words: string, takeBack?: () => Promise<SendOutcome<unknown>>) => void {
  const t = useTexts()

  const tell = useToast()
  const router = useRouter()
  return (words, takeBack) =>
    tell({
      words,
      undo: takeBack
        ? async () => {
            const answer = await takeBack()
            router.refresh()
            return answer.ok ? null : problemTitle(answer.problem, t)
          }
        : undefined,
    })
}
