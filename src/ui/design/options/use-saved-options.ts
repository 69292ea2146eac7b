'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { FoundOption } from '@/core/filter/options/option-problem'
import { send } from '@/ui/send'
import { useAsk } from '@/ui/use-ask'
import type { DesignPart } from '../use-design'

/**
 * Saves options as versions, one after the other. What is saved once is not saved again: after a refusal the next
 * press goes on with what is left, and other picks are new.
 */
export function useSavedOptions({ data, opened }: Pick<DesignPart, 'data' | 'opened'>) {
  const router = useRouter()
  const { problem, ask } = useAsk()
  const [saved, setSaved] = useState<ReadonlySet<FoundOption>>(new Set())
  const [saving, setSaving] = useState(false)
  const save = async (options: readonly { readonly option: FoundOption; readonly name: string }[]) => {
    setSaving(true)
    for (const { option, name } of options) {
      const body = { bed: option.design, name, overrideReason: opened?.overrideReason ?? '' }
      const answer = await ask(send('POST', `/api/v1/ponds/${data.pond.id}/designs`, body))
      if (answer === null) break
      setSaved((so) => new Set([...so, option]))
    }
    setSaving(false)
    router.refresh()
  }
  const unsaved = <Pick extends { readonly option: FoundOption }>(picks: readonly Pick[]): Pick[] =>
    picks.filter(({ option }) => !saved.has(option))
  return { unsaved, save, saving, problem }
}
