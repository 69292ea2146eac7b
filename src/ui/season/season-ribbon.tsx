'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { memo } from 'react'
import { weekOf } from '@/core/numeric/calendar'
import { seasonBegins } from '@/core/season/season-year'
import type { WindowJob } from '@/core/season/house-rules'
import type { SeasonRow } from '@/server/season/season-view'
import { waterColour } from '@/ui/drawing/water-colour'
import { useShow } from '@/ui/person-context'
import { Icon } from '@/ui/kit/icon'
import { SeasonWindow } from './season-window'
import { SeasonVisits, type HangingVisit } from './season-visit'
import { percentAt, type TimeAxis } from './time-axis'

interface RibbonProps {
  readonly row: SeasonRow
  readonly axis: TimeAxis
  readonly job: WindowJob
  readonly missed: boolean
  /** Its types of visits stand below it, each with its own. */
  readonly unfolded: boolean
  readonly onUnfold: (pondId: string) => void
  /** Day over which this row's dragged visit hangs. */
  readonly hanging: HangingVisit | null
  readonly movable: boolean
}

/** One pond's year: its water as one gradient, the job's window, its visits. Light enough for hundreds. */
export const Ribbon = memo(function Ribbon(props: RibbonProps) {
  const { row, axis, job, missed, unfolded, onUnfold, hanging, movable } = props
  const t = useTexts()
  const show = useShow()
  const visits = unfolded ? [] : row.visits
  // the gradient covers the whole year; a zoom shows a part of it
  const yearFrom = percentAt(axis, seasonBegins(axis.year, axis.seasonFrom))
  const yearWidth = percentAt(axis, seasonBegins(axis.year + 1, axis.seasonFrom)) - yearFrom
  const firstWeek = weekOf(seasonBegins(axis.year, axis.seasonFrom))
  const gradient = row.weeklyC
    ?.map((_, week, all) => all[(week + firstWeek) % all.length]!)
    .map((c, week) => `${waterColour(c)} ${(week / 52) * 100}% ${((week + 1) / 52) * 100}%`)
    .join(',')
  const { window } = row
  return (
    <div className="season-row">
      <span className="season-name">
        <button
          type="button"
          className="no-print"
          aria-expanded={unfolded}
          aria-label={t('season.seasonRibbon.unfold', { site: row.siteName, pond: row.name })}
          onClick={() => onUnfold(row.id)}
        >
          <Icon name={unfolded ? 'chevron-down' : 'chevron-right'} />
        </button>
        <Link
          href={`/ponds/${row.id}`}
          prefetch={false}
          className="text-truncate"
          title={`${row.siteName}: ${row.name}, ${row.town}`}
        >
          {row.siteName} <span className="soft">{row.name}</span>
        </Link>
      </span>
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
        {window ? <SeasonWindow row={row} job={job} window={window} axis={axis} /> : null}
        {missed && window ? (
          <span
            className="season-missed"
            style={{ left: `${percentAt(axis, window.latest)}%` }}
            title={t('season.seasonRibbon.missedWindowEnded', {
              jobLabel: t(`season.jobNames.${job}`),
              latest: t.shortDate(window.latest),
            })}
          >
            ✕<span className="visually-hidden"> {t('season.seasonRibbon.missed')}</span>
          </span>
        ) : null}
        <SeasonVisits visits={visits} {...{ row, axis, hanging, movable }} />
      </div>
    </div>
  )
})
