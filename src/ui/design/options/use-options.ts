'use client'
import { useCallback, useEffect, useRef, useState } from 'react'
import { proxy, wrap } from 'comlink'
import type { FoundOption, OptionProblem } from '@/core/filter/options/option-problem'
import { paretoFront } from '@/core/filter/options/pareto'
import type { OptionSearch } from '@/core/filter/options/search'
import type { OptionsWorker } from '@/workers/options.worker'

/** Two searches side by side that begin otherwise find more than one that goes on for twice as long. */
const WORKERS = 2
const SEED = 20_270_401
/** Designs that are worked through in all. */
export const EVALUATIONS = 5_000

export interface OptionsFound {
  readonly evaluated: number
  readonly passed: number
  readonly front: readonly FoundOption[]
}
export type OptionsState =
  | { readonly status: 'idle' }
  | { readonly status: 'failed' }
  | (OptionsFound & { readonly status: 'working' | 'done' | 'stopped'; readonly tookMs: number })

const togetherOf = (parts: readonly (Omit<OptionSearch, 'status'> | null)[]): OptionsFound => ({
  evaluated: parts.reduce((sum, part) => sum + (part?.evaluated ?? 0), 0),
  passed: parts.reduce((sum, part) => sum + (part?.passed ?? 0), 0),
  front: paretoFront(parts.flatMap((part) => part?.front ?? [])),
})

/** What was found last for each pond, while the app is open: another section of the design takes nothing away. */
const foundLast = new Map<string, OptionsState>()

/**
 * Looks for options in two workers; a new search ends the one before, and a stopped one keeps what it has found, as
 * does one that is left.
 */
export function useOptions(pondId: string) {
  const [state, setState] = useState<OptionsState>(() => {
    const last = foundLast.get(pondId) ?? { status: 'idle' }
    return last.status === 'working' ? { ...last, status: 'stopped' } : last
  })
  useEffect(() => void foundLast.set(pondId, state), [pondId, state])
  const workers = useRef<readonly Worker[]>([])
  const end = useCallback(() => {
    for (const worker of workers.current) worker.terminate()
    workers.current = []
  }, [])
  useEffect(() => end, [end])

  const run = useCallback(
    (problem: OptionProblem) => {
      end()
      const began = performance.now()
      const mine = Array.from(
        { length: WORKERS },
        () => new Worker(new URL('@/workers/options.worker.ts', import.meta.url), { type: 'module' }),
      )
      workers.current = mine
      const parts: (Omit<OptionSearch, 'status'> | null)[] = mine.map(() => null)
      const show = (status: 'working' | 'done') => {
        if (workers.current !== mine) return
        setState({ status, ...togetherOf(parts), tookMs: performance.now() - began })
      }
      show('working')
      Promise.all(
        mine.map(async (worker, i) => {
          const take = (so: Omit<OptionSearch, 'status'>) => {
            parts[i] = so
            show('working')
          }
          parts[i] = await wrap<OptionsWorker>(worker).search(problem, SEED + i, EVALUATIONS / WORKERS, proxy(take))
        }),
      ).then(
        () => {
          show('done')
          if (workers.current === mine) end()
        },
        () => {
          if (workers.current !== mine) return
          end()
          setState({ status: 'failed' })
        },
      )
    },
    [end],
  )
  const stop = useCallback(() => {
    end()
    setState((so) => (so.status === 'working' ? { ...so, status: 'stopped' } : so))
  }, [end])
  return { state, run, stop }
}
