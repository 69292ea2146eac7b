'use client'
import { useEffect, useState } from 'react'

const TICK_MS = 500
const two = (n: number) => String(n).padStart(2, '0')

/** Counts down from the logged start, so that a closed phone loses nothing. */
export function StepTimer({ minutes, startedAt, onStart, busy }: { minutes: number; startedAt: string | null; onStart: () => void; busy: boolean }) {
  const [now, setNow] = useState<number | null>(null)
  useEffect(() => {
    const tick = () => setNow(Date.now())
    const first = setTimeout(tick, 0)
    const timer = setInterval(tick, TICK_MS)
    return () => {
      clearTimeout(first)
      clearInterval(timer)
    }
  }, [])
  if (!startedAt)
    return (
      <button className="btn btn-outline-primary w-100 my-2" disabled={busy} onClick={onStart}>
        Start the {minutes}-minute timer
      </button>
    )
  const left = now === null ? null : Math.max(0, Date.parse(startedAt) + minutes * 60_000 - now)
  return (
    <div className="my-2" role="timer" aria-label="Time left">
      <div className="timer">
        {left === null ? '' : left === 0 ? 'Time is up' : `${two(Math.floor(left / 60_000))}:${two(Math.floor((left % 60_000) / 1000))}`}
      </div>
      {left === 0 ? (
        <button className="btn btn-outline-primary" disabled={busy} onClick={onStart}>
          Start again
        </button>
      ) : null}
    </div>
  )
}
