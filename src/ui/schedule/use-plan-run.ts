'use client'
import type { PlanRun, PlanWish } from '@/domain/schedule/plan-run'
import { useRun } from '@/ui/kit/use-run'
import { send } from '@/ui/send'

const ASK_EVERY_MS = 800

/** A plan being worked out: asks for it, follows it until it ends, stops it. */
export function usePlanRun(latest: PlanRun | null) {
  const { run, underWay, begin, stop, ...following } = useRun<PlanRun>({
    latest,
    pathOf: ({ id }) => `/api/v1/plans/${id}`,
    everyMs: ASK_EVERY_MS,
  })
  return {
    ...following,
    run,
    underWay,
    begin: (wish: PlanWish) =>
      begin(send('POST', '/api/v1/plans', wish), {
        state: 'queued',
        wish,
        share: 0,
        result: null,
        problem: '',
        askedAt: new Date().toISOString(),
        finishedAt: null,
      }),
    stop: async () => (run && underWay ? stop('POST', `/api/v1/plans/${run.id}/stop`) : undefined),
  }
}
