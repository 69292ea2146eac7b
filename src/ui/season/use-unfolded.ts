'use client'
import { useCallback, useState } from 'react'
import type { PondWindowsData } from '@/server/season/pond-windows'
import { fetchJson, type SendProblem } from '@/ui/send'
import { windowsPath } from './season-window'

/** Ponds whose year is unfolded into its types of visits, with all their windows. */
export function useUnfolded(year: number) {
  const [unfolded, setUnfolded] = useState<ReadonlyMap<string, PondWindowsData['windows']>>(new Map())
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const toggle = useCallback(
    async (pondId: string) => {
      if (unfolded.has(pondId)) {
        setUnfolded(new Map([...unfolded].filter(([id]) => id !== pondId)))
        return
      }
      const answer = await fetchJson<PondWindowsData>(windowsPath(pondId, year))
      setProblem(answer.ok ? null : answer.problem)
      if (answer.ok) setUnfolded((now) => new Map(now).set(pondId, answer.value.windows))
    },
    [unfolded, year],
  )
  return { unfolded, toggle, problem }
}
