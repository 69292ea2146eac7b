'use client'
import { shortDate } from '@/domain/shared/dates'
import { HAZARD_NAMES, hazardLine, type Worry } from '@/domain/forecasts/forecast'
import { useShow } from '@/ui/person-context'

const OF_TEN = 10

/** One reason: what, how likely, when, and past which line. */
export function WorryText({ worry }: { worry: Worry }) {
  const show = useShow()
  const tenths = Math.max(1, Math.round(worry.whole * OF_TEN))
  return (
    <>
      <span className={`verdict ${worry.week >= 0.5 ? 'act' : 'watch'}`}>{worry.week >= 0.5 ? 'likely' : 'maybe'}</span> {HAZARD_NAMES[worry.hazard]}:{' '}
      {lineWords(worry, show)} in {tenths} of 10 runs, <span className="soft">about {shortDate(worry.day)}</span>
    </>
  )
}

function lineWords({ hazard }: Worry, show: ReturnType<typeof useShow>): string {
  const line = hazardLine(hazard)
  switch (hazard) {
    case 'oxygen':
      return `below ${show(line, 'concentration')} at night`
    case 'ammonia':
    case 'nitrite':
      return `above ${show(line, 'concentration')}`
    case 'heat':
      return `above ${show(line, 'temperature')}`
    case 'level':
      return `${show(-line / 1000, 'length', { scale: 'small' })} down`
    case 'murk':
      return `a hand is not seen ${show(line, 'length')} deep`
  }
}
