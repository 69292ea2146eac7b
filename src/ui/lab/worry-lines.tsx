'use client'
import Link from 'next/link'
import { jobType } from '@/core/jobs/job-types'
import { shortDate } from '@/domain/dates'
import { HAZARD_NAMES, hazardLine, type Worry } from '@/domain/forecast'
import type { WorryLine } from '@/server/db/forecast-repository'
import { useShow } from '@/ui/person-context'

const OF_TEN = 10

/** Ponds that the forecast worries about, with the reasons and the visit that would help. */
export function WorryLines({ lines, mayPlan }: { lines: readonly WorryLine[]; mayPlan: boolean }) {
  return (
    <ul className="plain-list">
      {lines.map((line) => (
        <li key={line.pondId}>
          <span className="d-flex flex-wrap gap-2 align-items-baseline">
            <Link href={`/ponds/${line.pondId}/outlook`}>
              {line.siteName}: {line.pondName}
            </Link>
            {mayPlan ? (
              <Link className="ms-auto small" href={`/ponds/${line.pondId}/plan?job=${line.worries[0].jobKey}`}>
                Plan: {jobType(line.worries[0].jobKey)?.name.toLowerCase() ?? 'a visit'}
              </Link>
            ) : null}
          </span>
          {line.worries.slice(0, 2).map((worry) => (
            <div key={worry.hazard} className="small">
              <WorryText worry={worry} />
            </div>
          ))}
        </li>
      ))}
    </ul>
  )
}

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
