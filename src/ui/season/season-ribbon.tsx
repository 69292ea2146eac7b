'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { memo } from 'react'
import { addDays } from '@/core/numeric/calendar'
import { shortDate } from '@/domain/shared/dates'
import { fieldHref } from '@/domain/field/field-href'
import type { SeasonRow } from '@/server/season/season-view'
import { waterColour } from '@/ui/drawing/water-colour'
import { useShow } from '@/ui/person-context'
import { percentAt, type TimeAxis } from './time-axis'

const STATE_WORDS = {
  p: textId('season.seasonRibbon.planned'),
  u: textId('season.seasonRibbon.underWay'),
  d: textId('season.seasonRibbon.done'),
} as const
const STATE_SIGNS = { p: '●', u: '▶', d: '✓' } as const

interface RibbonProps {
  readonly row: SeasonRow
  readonly axis: TimeAxis
  readonly jobLabel: string
  readonly missed: boolean
  readonly today: string
  readonly nameOf: (job: number) => string
  readonly crewOf: (crew: number) => string
  /** Day over which this row's dragged visit hangs. */
  readonly hanging: { readonly visitId: string; readonly day: string; readonly bad: boolean } | null
  readonly onGrab: ((visitId: string, day: string, pointer: React.PointerEvent<HTMLElement> | null) => void) | null
}

/** One pond's year: its water as one gradient, the job's window, its visits. Light enough for hundreds. */
export const Ribbon = memo(function Ribbon({
  row,
  axis,
  jobLabel,
  missed,
  today,
  nameOf,
  crewOf,
  hanging,
  onGrab,
}: RibbonProps) {
  const t = useTexts()

  const show = useShow()
  // the gradient covers the whole year; a zoom shows a part of it
  const yearFrom = percentAt(axis, `${axis.year}-01-01`)
  const yearWidth = percentAt(axis, `${axis.year + 1}-01-01`) - yearFrom
  const gradient = row.weeklyC
    ?.map((c, week) => `${waterColour(c)} ${(week / 52) * 100}% ${((week + 1) / 52) * 100}%`)
    .join(',')
  const [earliest, best, latest] = row.window ?? []
  const zoomed = axis.days <= 31
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
        {earliest && best && latest ? (
          <>
            <span
              className="season-window"
              style={{
                left: `${percentAt(axis, earliest)}%`,
                width: `${Math.max(0.6, percentAt(axis, addDays(latest, 1)) - percentAt(axis, earliest))}%`,
              }}
              title={t('season.seasonRibbon.best', {
                jobLabel,
                earliest: shortDate(earliest),
                latest: shortDate(latest),
                best: shortDate(best),
              })}
            />
            <span className="season-best" style={{ left: `${percentAt(axis, best)}%` }} />
          </>
        ) : null}
        {missed && latest ? (
          <span
            className="season-missed"
            style={{ left: `${percentAt(axis, latest)}%` }}
            title={t('season.seasonRibbon.missedWindowEnded', { jobLabel, latest: shortDate(latest) })}
          >
            ✕<span className="visually-hidden"> {t('season.seasonRibbon.missed')}</span>
          </span>
        ) : null}
        {today.startsWith(String(axis.year)) ? (
          <span className="season-today" style={{ left: `${percentAt(axis, today)}%` }} />
        ) : null}
        {row.visits.map(([id, day, state, job, crew, promised]) => {
          const at = hanging?.visitId === id ? hanging.day : day
          const percent = percentAt(axis, at)
          if (percent < -2 || percent > 102) return null
          const words = t('season.seasonRibbon.at', {
            job: nameOf(job),
            siteName: row.siteName,
            at: shortDate(at),
            crew: crewOf(crew),
            state: t(STATE_WORDS[state]),
            promised: promised ? t('season.seasonRibbon.promised') : '',
          })
          const shared = {
            className: `season-visit ${state} ${hanging?.visitId === id ? `hanging ${hanging.bad ? 'bad' : ''}` : ''} ${zoomed ? 'wide' : ''}`,
            style: { left: `${percent}%`, ...(zoomed ? { width: `${100 / axis.days}%` } : {}) },
            title: words,
          }
          const signOf = () => {
            if (zoomed) return `${STATE_SIGNS[state]} ${crewOf(crew)}`
            if (promised && state === 'p') return '◆'
            return STATE_SIGNS[state]
          }
          const sign = signOf()
          return onGrab && state === 'p' ? (
            <button
              key={id}
              type="button"
              {...shared}
              aria-label={words}
              onPointerDown={(e) => onGrab(id, day, e)}
              onKeyDown={(e) => {
                if (e.key !== ' ' || hanging) return
                e.preventDefault()
                onGrab(id, day, null)
              }}
            >
              {sign}
            </button>
          ) : (
            <Link
              key={id}
              prefetch={false}
              href={state === 'd' ? `/visits/${id}/report` : fieldHref(id)}
              {...shared}
              aria-label={words}
            >
              {sign}
            </Link>
          )
        })}
      </div>
    </div>
  )
})
