'use client'
import { useEffect, useState } from 'react'
import type { PlanRun, PlanWish } from '@/domain/schedule/plan-run'
import { send, type SendProblem } from '@/ui/send'

const ASK_EVERY_MS = 800

const ends = (run: PlanRun | null): boolean => run === null || (run.state !== 'queued' && run.state !== 'running')

/** A plan being worked out: asks for it, follows it until it ends, stops it. */
export function usePlanRun(first: PlanRun | null) {
  const [run, setRun] = useState(first)
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const id = run?.id
  const over = ends(run)
  useEffect(() => {
    if (!id || over) return
    let current = true
    const timer = setInterval(async () => {
      const answer = await fetch(`/api/v1/plans/${id}`).catch(() => null)
      // no connection just now: the next turn asks again
      if (!answer?.ok || !current) return
      setRun((await answer.json()) as PlanRun)
    }, ASK_EVERY_MS)
    return () => {
      current = false
      clearInterval(timer)
    }
  }, [id, over])
  return {
    run,
    problem,
    ask: async (wish: PlanWish) => {
      const outcome = await send<{ id: PlanRun['id'] }>('POST', '/api/v1/plans', wish)
      setProblem(outcome.ok ? null : outcome.problem)
      if (outcome.ok)
        setRun({
          id: outcome.value.id,
          state: 'queued',
          wish,
          share: 0,
          result: null,
          problem: '',
          askedAt: new Date().toISOString(),
          finishedAt: null,
        })
    },
    stop: async () => {
      if (!id) return
      const outcome = await send('POST', `/api/v1/plans/${id}/stop`)
      setProblem(outcome.ok ? null : outcome.problem)
    },
    drop: () => setRun(null),
    setProblem,
  }
}
