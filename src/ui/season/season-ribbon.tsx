'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { memo } from 'react'
import { addDays } from '@/core/numeric/calendar'
import { shortDate } from '@/domain/shared/dates'
import type { SeasonRow } from '@/server/season/season-view'
import { waterColour } from '@/ui/drawing/water-colour'
import { useShow } from '@/ui/person-context'
import { SeasonVisit, type Hanging } from './season-visit'
import { percentAt, type TimeAxis } from './time-axis'

interface RibbonProps {
  readonly row: SeasonRow
  readonly axis: TimeAxis
  readonly jobLabel: string
  readonly missed: boolean
  readonly today: string
  /** Day over which this row's dragged visit hangs. */
  readonly hanging: (Hanging & { readonly visitId: string }) | null
  readonly movable: boolean
}

/** One pond's year: its water as one gradient, the job's window, its visits. Light enough for hundreds. */
export const Ribbon = memo(function Ribbon({ row, axis, jobLabel, missed, today, hanging, movable }: RibbonProps) {
  const t = useTexts()
  const show = useShow()
  // the gradient covers the whole year; a zoom shows a part of it
  const yearFrom = percentAt(axis, `${axis.year}-01-01`)
  const yearWidth = percentAt(axis, `${axis.year + 1}-01-01`) - yearFrom
  const gradient = row.weeklyC
    ?.map((c, week) => `${waterColour(c)} ${(week / 52) * 100}% ${((week + 1) / 52) * 100}%`)
    .join(',')
  const { window } = row
  return (
    <div className="season-row">
      <Link
        href={`/ponds/${row.id}`}
        prefetch={false}
        className="text-truncate"
        title={`${row.siteName}: ${row.name}, ${row.town}`}
      >
        {row.siteName} <span className="soft">{row.name}</span>
      </Link>
      <div
        className="season-year ribbon"
        data-ribbon
        title={
          row.weeklyC
            ? t('season.seasonRibbon.warmestWeek', { value: show(Math.max(...row.weeklyC), 'temperature') })
            : t('season.seasonRibbon.noWeatherKnownYet')
        }
      >
        {gradient ? (
          <span
            className="season-water"
            style={{
              left: `${yearFrom}%`,
              width: `${yearWidth}%`,
              background: `linear-gradient(to right, ${gradient})`,
            }}
          />
        ) : null}
        {window ? (
          <>
            <span
              className="season-window"
              style={{
                left: `${percentAt(axis, window.earliest)}%`,
                width: `${Math.max(0.6, percentAt(axis, addDays(window.latest, 1)) - percentAt(axis, window.earliest))}%`,
              }}
              title={t('season.seasonRibbon.best', {
                jobLabel,
                earliest: shortDate(window.earliest),
                latest: shortDate(window.latest),
                best: shortDate(window.best),
              })}
            />
            <span className="season-best" style={{ left: `${percentAt(axis, window.best)}%` }} />
          </>
        ) : null}
        {missed && window ? (
          <span
            className="season-missed"
            style={{ left: `${percentAt(axis, window.latest)}%` }}
            title={t('season.seasonRibbon.missedWindowEnded', { jobLabel, latest: shortDate(window.latest) })}
          >
            ✕<span className="visually-hidden"> {t('season.seasonRibbon.missed')}</span>
          </span>
        ) : null}
        {today.startsWith(String(axis.year)) ? (
          <span className="season-today" style={{ left: `${percentAt(axis, today)}%` }} />
        ) : null}
        {row.visits.map((visit) => (
          <SeasonVisit
            key={visit.id}
            visit={visit}
            row={row}
            axis={axis}
            hanging={hanging?.visitId === visit.id ? hanging : null}
            movable={movable}
          />
        ))}
      </div>
    </div>
  )
})
