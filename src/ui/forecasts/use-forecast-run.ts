'use client'
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import type { ForecastRun } from '@/domain/forecasts/forecast'
import { fetchJson, send, type SendProblem } from '@/ui/send'

const ASK_EVERY_MS = 1000
const isOpen = (run: ForecastRun | null): run is ForecastRun =>
  run !== null && (run.state === 'queued' || run.state === 'running')

/** The forecast under way: asked for, followed to its end, stopped. The page is read anew when it has ended. */
export function useForecastRun(latest: ForecastRun | null) {
  const router = useRouter()
  const [followed, setFollowed] = useState<ForecastRun | null>(null)
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const run = followed ?? latest
  const openId = isOpen(run) ? run.id : null
  useEffect(() => {
    if (!openId) return
    const timer = setInterval(() => {
      void fetchJson<ForecastRun>(`/api/v1/forecasts/${openId}`).then((answer) => {
        if (!answer.ok) return setProblem(answer.problem)
        setProblem(null)
        setFollowed(answer.value)
        if (!isOpen(answer.value)) router.refresh()
      })
    }, ASK_EVERY_MS)
    return () => clearInterval(timer)
  }, [openId, router])
  return {
    run,
    underWay: openId !== null,
    problem,
    ask: async () => {
      const answer = await send<{ id: ForecastRun['id'] }>('POST', '/api/v1/forecasts')
      if (!answer.ok) return setProblem(answer.problem)
      setProblem(null)
      setFollowed({
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
      if (!openId) return
      const answer = await send('DELETE', `/api/v1/forecasts/${openId}`)
      setProblem(answer.ok ? null : answer.problem)
    },
  }
}
