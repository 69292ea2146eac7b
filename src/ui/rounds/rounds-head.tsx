'use client'
import Link from 'next/link'
import { addDays } from '@/core/numeric/calendar'
import type { RoundsPageData } from '@/server/rounds/rounds'
import { Icon } from '@/ui/kit/icon'
import { useTexts } from '@/ui/kit/texts'

export const ROUNDS_VIEWS = ['week', 'day'] as const
export type RoundsViewKey = (typeof ROUNDS_VIEWS)[number]

interface RoundsHeadProps {
  readonly data: Pick<RoundsPageData, 'days' | 'day' | 'today'>
  readonly view: RoundsViewKey
  readonly onView: (view: RoundsViewKey) => void
}

/** Which days are shown, a week or one of them to scale, and what can be done with the page. */
export function RoundsHead({ data, view, onView }: RoundsHeadProps) {
  const t = useTexts()

  const step = view === 'week' ? 7 : 1
  const from = view === 'week' ? data.days[0]! : data.day
  const href = (day: string) => `/rounds?day=${day}${view === 'day' ? '&view=day' : ''}`
  return (
    <div className="page-head">
      <h1>
        {view === 'week'
          ? t('rounds.roundsView.rounds', {
              from: t.shortDate(data.days[0]!),
              to: t.datedDay(data.days[6]!),
            })
          : t('rounds.roundsView.roundsOf', { day: t.longDate(data.day) })}
      </h1>
      <span className="btn-group btn-group-sm no-print">
        <Link
          className="btn btn-outline-secondary"
          href={href(addDays(from, -step))}
          aria-label={t(view === 'week' ? 'rounds.roundsView.weekBefore' : 'rounds.roundsView.dayBefore')}
        >
          <Icon name="chevron-left" />
        </Link>
        <Link className="btn btn-outline-secondary" href={href(data.today)}>
          {t(view === 'week' ? 'rounds.roundsView.week' : 'rounds.roundsView.today')}
        </Link>
        <Link
          className="btn btn-outline-secondary"
          href={href(addDays(from, step))}
          aria-label={t(view === 'week' ? 'rounds.roundsView.weekAfter' : 'rounds.roundsView.dayAfter')}
        >
          <Icon name="chevron-right" />
        </Link>
      </span>
      <span className="btn-group btn-group-sm no-print" role="group" aria-label={t('rounds.roundsView.shown')}>
        {ROUNDS_VIEWS.map((v) => (
          <button
            key={v}
            type="button"
            className={`btn btn-outline-secondary ${v === view ? 'active' : ''}`}
            aria-pressed={v === view}
            onClick={() => onView(v)}
          >
            {t(`rounds.views.${v}`)}
          </button>
        ))}
      </span>
      <span className="actions no-print">
        <Link className="btn btn-sm btn-outline-secondary" href={`/map?day=${data.day}`}>
          <Icon name="map" /> {t('rounds.daySheet.map')}
        </Link>
        <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => window.print()}>
          <Icon name="printer" /> {t('rounds.daySheet.print')}
        </button>
      </span>
    </div>
  )
}
