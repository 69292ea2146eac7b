'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useState } from 'react'
import { daysBetween } from '@/core/numeric/calendar'
import { MAIN_WINDOW_JOBS, WINDOW_JOBS } from '@/core/season/house-rules'
import type { Season } from '@/core/season/windows'
import type { JobWindow } from '@/core/season/job-window'
import type { HouseRules } from '@/domain/house-rules/house-rules'
import { nextWindow, windowInYear, type PondWindows } from '@/domain/season/season-dates'
import { whyThen } from '@/messages/season/windows'
import { Why } from '@/ui/kit/why'
import { useShow } from '@/ui/person-context'

interface WindowsListProps {
  readonly season: Season
  readonly live: { readonly year: number; readonly season: Season } | null
  readonly rules: HouseRules
  readonly today: string
  readonly planHref: string | null
}

/** The windows ahead, soonest first, each with its reason and how far this year has moved it. */
export function WindowsList({ season, live, rules, today, planHref }: WindowsListProps) {
  const t = useTexts()

  const show = useShow()
  const [all, setAll] = useState(false)
  const windows: PondWindows<JobWindow> = {
    anyYear: season.windows,
    live: live && { year: live.year, windows: live.season.windows },
  }
  const ahead = (all ? WINDOW_JOBS : MAIN_WINDOW_JOBS)
    .flatMap((job) => nextWindow(windows, job, today) ?? [])
    .sort((a, b) => a.earliest.localeCompare(b.earliest))
  return (
    <>
      <ul className="plain-list">
        {ahead.map((next) => (
          <li key={next.job}>
            <div className="d-flex flex-wrap gap-2 align-items-baseline">
              <strong>{t(`season.jobNames.${next.job}`)}</strong>
              <span>
                {t.shortDate(next.earliest)} – {t.datedDay(next.latest)}
              </span>
              <span className="soft">{t('season.windowsList.best', { best: t.shortDate(next.best) })}</span>
              <Moved next={next} usual={season.windows.find((w) => w.job === next.job)} liveYear={live?.year ?? null} />
              {next.job === 'spring-cleanout' && planHref ? (
                <Link className="ms-auto btn btn-sm btn-primary" href={planHref}>
                  {t('season.windowsList.planCleanout')}
                </Link>
              ) : null}
            </div>
            <Why title={t('season.windowsList.whyThen')}>
              {whyThen(next, rules, season.weatherYears, (c) => show(c, 'temperature'), t)}
            </Why>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="btn btn-sm btn-outline-secondary no-print"
        aria-expanded={all}
        onClick={() => setAll(!all)}
      >
        {all ? t('season.windowsList.fewerWindows') : t('season.windowsList.allWindowsYear')}
      </button>
    </>
  )
}

const WORTH_SAYING_DAYS = 3

function Moved({ next, usual, liveYear }: { next: JobWindow; usual: JobWindow | undefined; liveYear: number | null }) {
  const t = useTexts()

  if (!usual || liveYear === null) return null
  const days = daysBetween(windowInYear(usual, liveYear).best, next.best)
  if (Math.abs(days) < WORTH_SAYING_DAYS) return null
  return (
    <span className="verdict look">
      {t('season.windowsList.daysThanUsual', { days: Math.abs(days), way: days < 0 ? 'earlier' : 'later' })}
    </span>
  )
}
