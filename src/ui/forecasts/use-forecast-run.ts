'use client'
import { useRouter } from 'next/navigation'
import { useEffect } from 'react'
import type { ForecastRun } from '@/domain/forecasts/forecast'
import { useRun } from '@/ui/kit/use-run'
import { send } from '@/ui/send'

const ASK_EVERY_MS = 1000
const pathOf = ({ id }: ForecastRun) => `/api/v1/forecasts/${id}`

/** The forecast under way: asked for, followed to its end, stopped. The page is read anew when it has ended. */
export function useForecastRun(latest: ForecastRun | null) {
  const router = useRouter()
  const { run, underWay, ended, problem, begin, stop } = useRun<ForecastRun>({ latest, pathOf, everyMs: ASK_EVERY_MS })
  useEffect(() => {
    if (ended) router.refresh()
  }, [ended, router])
  return {
    run,
    underWay,
    problem,
    ask: () =>
      begin(send('POST', '/api/v1/forecasts'), {
        state: 'queued',
        done: 0,
        ponds: 0,
        problem: '',
        askedAt: '',
        finishedAt: null,
      }),
    stop: async () => (run && underWay ? stop('DELETE', pathOf(run)) : undefined),
  }
}
