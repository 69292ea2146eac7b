'use client'
import { useConfirm } from './kit/confirm'
import { useTexts } from './kit/texts'
import type { SendOutcome } from './send'
import { useDone } from './use-done'
import { useSave } from './use-save'

interface ForGood {
  readonly path: string
  /** What is lost by it. */
  readonly words: string
  /** What the button says that goes on. */
  readonly goOn: string
  readonly body?: unknown
}

/**
 * Taking something away: at once where a note in passing can put it back, after a question where nothing can.
 */
export function useRemoval() {
  const t = useTexts()

  const { problem, save } = useSave()
  const done = useDone()
  const confirm = useConfirm()
  return {
    problem,
    /** @param putBack sends what makes it anew */
    remove: async (path: string, name: string, putBack: () => Promise<SendOutcome<unknown>>): Promise<void> => {
      if (await save('DELETE', path)) done(t('kit.removal.removed', { name }), putBack)
    },
    /** @returns whether it is gone */
    removeForGood: async ({ path, words, goOn, body }: ForGood): Promise<boolean> =>
      (await confirm({ words, goOn, danger: true })) && save('DELETE', path, body),
  }
}
