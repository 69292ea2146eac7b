'use client'
import { proxy, wrap } from 'comlink'
import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from 'react'
import { bandOf, type Comparison, type MemberRun } from '@/core/ecosystem/comparison/comparison'
import type { ComparisonWorker } from '@/workers/comparison.worker'

/** What charts and verdicts take: runs[scenario][member]. */
export interface ComparedRuns {
  readonly days: number
  readonly from: string
  readonly runs: readonly (readonly Pick<MemberRun, 'daily' | 'measures'>[])[]
}

/** Members' runs of each scenario, with their budgets. */
export interface ComparisonRuns extends ComparedRuns {
  readonly runs: readonly (readonly MemberRun[])[]
}

export type ComparisonState =
  | { readonly status: 'idle' }
  | { readonly status: 'running'; readonly progress: Progress }
  | { readonly status: 'done' | 'stopped'; readonly result: ComparisonRuns }
  | { readonly status: 'failed' }

/**
 * How far runs have come. Apart from the page's state, so that only what shows it is drawn anew, many times a second.
 */
class Progress {
  private shown = 0
  private readonly listeners = new Set<() => void>()

  constructor(readonly of: number) {}

  readonly done = (): number => this.shown
  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener)
    return () => void this.listeners.delete(listener)
  }
  tell(done: number): void {
    this.shown = done
    for (const listener of this.listeners) listener()
  }
}

/** @returns runs done so far */
export const useProgress = (progress: Progress): number =>
  useSyncExternalStore(progress.subscribe, progress.done, progress.done)

const WORKERS = 2
/** Fewer members than this make no band worth showing. */
const MIN_MEMBERS = 10
/** The page is told of progress this often at most, ms. */
const TELL_EVERY_MS = 150

/** Runs comparisons in two workers. A new one ends the one before; what is stopped shows what it has. */
export function useComparison() {
  const [state, setState] = useState<ComparisonState>({ status: 'idle' })
  const running = useRef<{ workers: Worker[]; members: Map<number, MemberRun[]>; comparison: Comparison } | null>(null)

  const end = useCallback(() => {
    for (const worker of running.current?.workers ?? []) worker.terminate()
    running.current = null
  }, [])
  useEffect(() => end, [end])

  const run = useCallback(
    (comparison: Comparison, members: number) => {
      end()
      const workers = Array.from(
        { length: WORKERS },
        () => new Worker(new URL('@/workers/comparison.worker.ts', import.meta.url), { type: 'module' }),
      )
      const mine = { workers, members: new Map<number, MemberRun[]>(), comparison }
      running.current = mine
      const progress = new Progress(members)
      setState({ status: 'running', progress })
      let told = 0
      const take = (member: number, runs: MemberRun[]) => {
        if (running.current !== mine) return
        mine.members.set(member, runs)
        const now = performance.now()
        if (now - told < TELL_EVERY_MS) return
        told = now
        progress.tell(mine.members.size)
      }
      const shares = workers.map((_, w) =>
        Array.from({ length: members }, (_, m) => m).filter((m) => m % WORKERS === w),
      )
      Promise.all(
        workers.map((worker, w) => wrap<ComparisonWorker>(worker).runMembers(comparison, shares[w]!, proxy(take))),
      ).then(
        () => {
          // the last members may still be on their way after their worker has said it is done
          const finish = () => {
            if (running.current !== mine) return
            if (mine.members.size < members) return void setTimeout(finish, 10)
            setState({ status: 'done', result: resultOf(mine.comparison, mine.members) })
            end()
          }
          finish()
        },
        () => {
          if (running.current !== mine) return
          end()
          setState({ status: 'failed' })
        },
      )
    },
    [end],
  )

  const stop = useCallback(() => {
    const mine = running.current
    if (!mine) return
    end()
    setState(
      mine.members.size >= MIN_MEMBERS
        ? { status: 'stopped', result: resultOf(mine.comparison, mine.members) }
        : { status: 'idle' },
    )
  }, [end])

  return { state, run, stop }
}

/** Measures of every way, for the verdict. */
export const measuresOfRuns = ({ runs }: ComparedRuns) => runs.map((members) => members.map((run) => run.measures))

/** Clarity of every way, for the eye's view. */
export const clarityOf = ({ days, runs }: ComparedRuns, names: readonly string[]) =>
  names.map((name, option) => ({ name, clarity: bandOf(runs[option]!, 'clarityM', days) }))

function resultOf({ scenarios, days, from }: Comparison, members: ReadonlyMap<number, MemberRun[]>): ComparisonRuns {
  const inOrder = [...members].sort(([a], [b]) => a - b).map(([, runs]) => runs)
  return { days, from, runs: scenarios.map((_, s) => inOrder.map((runs) => runs[s]!)) }
}
