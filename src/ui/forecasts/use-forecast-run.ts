'use client'
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import type { ForecastRun } from '@/domain/forecasts/forecast'
import { useServerData } from '@/ui/kit/server-data'
import { send, type SendProblem } from '@/ui/send'

const ASK_EVERY_MS = 1000
const isOpen = (run: ForecastRun): boolean => run.state === 'queued' || run.state === 'running'
const pathOf = (run: ForecastRun) => `/api/v1/forecasts/${run.id}`

/** The forecast under way: asked for, followed to its end, stopped. The page is read anew when it has ended. */
export function useForecastRun(latest: ForecastRun | null) {
  const router = useRouter()
  const [asked, setAsked] = useState<ForecastRun | null>(null)
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const known = asked ?? latest
  const followed = useServerData<ForecastRun>(known && isOpen(known) ? pathOf(known) : null, {
    ...(known && { initial: known }),
    everyMs: ASK_EVERY_MS,
    until: (run) => !isOpen(run),
  })
  const run = followed.value ?? known
  const underWay = run !== null && isOpen(run)
  const ended = known !== null && isOpen(known) && !underWay
  useEffect(() => {
    if (ended) router.refresh()
  }, [ended, router])
  return {
    run,
    underWay,
    problem: problem ?? followed.problem,
    ask: async () => {
      const answer = await send<{ id: ForecastRun['id'] }>('POST', '/api/v1/forecasts')
      setProblem(answer.ok ? null : answer.problem)
      if (!answer.ok) return
      setAsked({
        id: answer.value.id,
        state: 'queued',
        done: 0,
        ponds: 0,
        problem: '',
        askedAt: '',
        finishedAt: null,
      })
    },
    stop: async () => {
      if (!run || !underWay) return
      const answer = await send('DELETE', pathOf(run))
      setProblem(answer.ok ? null : answer.problem)
    },
  }
}
