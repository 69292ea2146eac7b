'use client'
import Link from 'next/link'
import type { Season } from '@/core/season/windows'
import { shortDate } from '@/domain/dates'
import type { HousePractice } from '@/domain/practice'
import { nextWindow } from '@/domain/season-dates'
import { JOB_NAMES, whyThen } from '@/ui/messages/windows'
import { Why } from '@/ui/components/why'
import { useShow } from '@/ui/person-context'

/** The windows ahead, soonest first, each with its reason. */
export function WindowsList({ season, practice, today, planHref }: { season: Season; practice: HousePractice; today: string; planHref: string | null }) {
  const show = useShow()
  const ahead = season.windows.map((w) => ({ kept: w, next: nextWindow(w, today) })).sort((a, b) => a.next.earliest.localeCompare(b.next.earliest))
  return (
    <ul className="plain-list">
      {ahead.map(({ kept, next }) => (
        <li key={kept.job}>
          <div className="d-flex flex-wrap gap-2 align-items-baseline">
            <strong>{JOB_NAMES[kept.job]}</strong>
            <span>
              {shortDate(next.earliest)} – {shortDate(next.latest)} {next.latest.slice(0, 4)}
            </span>
            <span className="soft">best {shortDate(next.best)}</span>
            {kept.job === 'spring-cleanout' && planHref ? (
              <Link className="ms-auto btn btn-sm btn-primary" href={planHref}>
                Plan the cleanout
              </Link>
            ) : null}
          </div>
          <Why title="Why then?">{whyThen(kept, practice, season.weatherYears, (c) => show(c, 'temperature'))}</Why>
        </li>
      ))}
    </ul>
  )
}
