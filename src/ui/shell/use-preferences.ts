'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Preferences } from '@/domain/people/people'
import { problemTitle } from '@/ui/kit/problem-note'
import { useTexts } from '@/ui/kit/texts'
import { wear } from '@/ui/kit/theme'
import { useToast } from '@/ui/kit/toasts'
import { usePerson } from '@/ui/person-context'
import { send } from '@/ui/send'

/** Changes what a person prefers, at once where that shows. */
export function usePreferences() {
  const t = useTexts()

  const { preferences } = usePerson()
  const router = useRouter()
  const tell = useToast()
  const [busy, setBusy] = useState(false)
  const prefer = async (change: Partial<Preferences>) => {
    setBusy(true)
    if (change.theme) wear(change.theme)
    const answer = await send('PUT', '/api/v1/preferences', { ...preferences, ...change }, { keepalive: true })
    setBusy(false)
    if (answer.ok) return router.refresh()
    wear(preferences.theme)
    tell({ words: problemTitle(answer.problem, t), bad: true })
  }
  return { busy, prefer }
}
