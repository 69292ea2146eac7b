'use client'
import { useState } from 'react'
import type { PlanRun, PlanWish } from '@/domain/schedule/plan-run'
import { useServerData } from '@/ui/kit/server-data'
import { send, type SendProblem } from '@/ui/send'

const ASK_EVERY_MS = 800

const isOver = (run: PlanRun): boolean => run.state !== 'queued' && run.state !== 'running'

/** A plan being worked out: asks for it, follows it until it ends, stops it. */
export function usePlanRun(first: PlanRun | null) {
  const [asked, setAsked] = useState(first)
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const followed = useServerData<PlanRun>(asked && !isOver(asked) ? `/api/v1/plans/${asked.id}` : null, {
    ...(asked && { initial: asked }),
    everyMs: ASK_EVERY_MS,
    until: isOver,
  })
  return {
    run: followed.value ?? asked,
    problem: problem ?? followed.problem,
    ask: async (wish: PlanWish) => {
      const outcome = await send<{ id: PlanRun['id'] }>('POST', '/api/v1/plans', wish)
      setProblem(outcome.ok ? null : outcome.problem)
      if (outcome.ok)
        setAsked({
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
      if (!asked) return
      const outcome = await send('POST', `/api/v1/plans/${asked.id}/stop`)
      setProblem(outcome.ok ? null : outcome.problem)
    },
    drop: () => setAsked(null),
    setProblem,
  }
}
