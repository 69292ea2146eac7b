'use client'
import { type Texts, useTexts } from '@/ui/kit/texts'
import { useEffect, useState } from 'react'
import { useClockOffset } from '@/ui/field/field-context'

const TICK_MS = 500
const two = (n: number) => String(n).padStart(2, '0')

/** Milliseconds left of a logged start; null until the browser has told the time. */
function useLeft(startedAt: string | null, minutes: number): number | null {
  const offsetMs = useClockOffset()
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
  return now === null || startedAt === null
    ? null
    : Math.max(0, Date.parse(startedAt) + minutes * 60_000 - now - offsetMs)
}

const leftWords = (left: number | null, t: Texts): string => {
  if (left === null) return ''
  if (left === 0) return t('field.stepTimer.timeUp')
  return `${two(Math.floor(left / 60_000))}:${two(Math.floor((left % 60_000) / 1000))}`
}

/** What is left of a running timer, in a line. */
export function TimeLeft({ startedAt, minutes }: { startedAt: string; minutes: number }) {
  const t = useTexts()

  return <strong>{leftWords(useLeft(startedAt, minutes), t)}</strong>
}

/** Counts down from the logged start, so that a closed phone loses nothing. */
export function StepTimer({
  minutes,
  startedAt,
  onStart,
}: {
  minutes: number
  startedAt: string | null
  onStart: () => void
}) {
  const t = useTexts()

  const left = useLeft(startedAt, minutes)
  if (!startedAt)
    return (
      <button className="btn btn-outline-primary w-100 my-2" onClick={onStart}>
        {t('field.stepTimer.startMinuteTimer', { minutes })}
      </button>
    )
  return (
    <div className="my-2" role="timer" aria-label={t('field.stepTimer.timeLeft')}>
      <div className="timer">{leftWords(left, t)}</div>
      {left === 0 ? (
        <button className="btn btn-outline-primary" onClick={onStart}>
          {t('field.stepTimer.startAgain')}
        </button>
      ) : null}
    </div>
  )
}
