'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { jobType } from '@/core/visits/job-types'
import type { WorryLine } from '@/server/forecasts/forecast-repository'
import { WorryText } from './worry-text'

/** Ponds that the forecast worries about, with the reasons and the visit that would help. */
export function WorryLines({ lines, mayPlan }: { lines: readonly WorryLine[]; mayPlan: boolean }) {
  const t = useTexts()

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
                {t('forecasts.worryLines.plan', { name: jobType(line.worries[0].jobKey)?.name.toLowerCase() ?? t('forecasts.worryLines.visit') })}
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
