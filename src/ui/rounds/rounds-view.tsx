'use client'
import { DndContext } from '@dnd-kit/core'
import Link from 'next/link'
import { parseAsStringLiteral, useQueryState } from 'nuqs'
import { Fragment, useMemo, useState } from 'react'
import { clockOf } from '@/domain/people/crew-setup'
import { boardWords } from '@/messages/rounds/board-words'
import type { RoundsPageData } from '@/server/rounds/rounds'
import type { VisitLine } from '@/server/visits/visit-line-repository'
import { ProblemNote } from '@/ui/kit/problem-note'
import { useTexts } from '@/ui/kit/texts'
import { axisOf, hoursOf, leftOf, type DayAxis } from './day-axis'
import { DayCell, type DayCellProps } from './day-cell'
import { DayLane } from './day-lane'
import { MoveVisit } from './move-visit'
import { RoundsHead, ROUNDS_VIEWS } from './rounds-head'
import { cellOf } from './use-board'
import { useHang } from './use-hang'

/**
 * The crews' rounds: a week of days with how full each is, or one day along the hours to scale. A planned stop is
 * dragged, moved by its form, or taken off.
 */
export function RoundsView({ data }: { data: RoundsPageData }) {
  const t = useTexts()

  const [view, setView] = useQueryState('view', parseAsStringLiteral(ROUNDS_VIEWS).withDefault('week'))
  const [chosen, setChosen] = useState<VisitLine | null>(null)
  const { hang, problem, carrying } = useHang(data)
  const shown = useMemo(
    () => (view === 'week' ? data.rounds : data.rounds.filter((r) => r.day === data.day)),
    [data.rounds, data.day, view],
  )
  const axis = useMemo(() => axisOf(data.crews, shown), [data.crews, shown])
  const cell = (crew: RoundsPageData['crews'][number], day: string): DayCellProps => ({
    crew,
    round: data.rounds.find((r) => r.crewId === crew.id && r.day === day)!,
    axis,
    isToday: day === data.today,
    busy: data.busy.filter((b) => b.crewId === crew.id && b.day === day),
    movable: data.mayPlan,
    hang,
    onChoose: setChosen,
  })
  return (
    <>
      <RoundsHead data={data} view={view} onView={(v) => void setView(v)} />
      {data.crews.length === 0 ? <p className="sheet">{t('rounds.roundsView.crewsStandHereOne')}</p> : null}
      <ProblemNote problem={problem} />
      {data.crews.length > 0 ? (
        <DndContext
          id="rounds"
          accessibility={{
            announcements: boardWords({ visits: data.visits, crews: data.crews, cellOf }, t),
            screenReaderInstructions: { draggable: t('rounds.board.how') },
          }}
          {...carrying}
        >
          {view === 'week' ? (
            <div className="rounds" role="region" aria-label={t('rounds.roundsView.crewsDays')} tabIndex={0}>
              <div />
              {data.days.map((day) => (
                <div key={day} className={`day-head ${day === data.today ? 'today' : ''}`}>
                  <Link href={`/rounds?day=${day}&view=day`}>{t.shortDate(day)}</Link>
                </div>
              ))}
              {data.crews.map((crew) => (
                <Fragment key={crew.id}>
                  <div>
                    <strong>{crew.name}</strong>
                    <div className="soft small">{t('rounds.roundsView.people', { size: crew.size })}</div>
                  </div>
                  {data.days.map((day) => (
                    <DayCell key={day} {...cell(crew, day)} />
                  ))}
                </Fragment>
              ))}
            </div>
          ) : (
            <div className="lanes" role="region" aria-label={t('rounds.roundsView.crewsHours')} tabIndex={0}>
              <div />
              <Hours axis={axis} />
              {data.crews.map((crew) => (
                <DayLane
                  key={crew.id}
                  {...cell(crew, data.day)}
                  nowMin={data.day === data.today ? data.nowMin : null}
                />
              ))}
            </div>
          )}
        </DndContext>
      ) : null}
      {chosen ? (
        <MoveVisit
          key={chosen.id}
          visit={chosen}
          crews={data.crews}
          mayPlan={data.mayPlan}
          onClose={() => setChosen(null)}
        />
      ) : null}
    </>
  )
}

function Hours({ axis }: { axis: DayAxis }) {
  return (
    <div className="lane-hours" aria-hidden="true">
      {hoursOf(axis).map((minute) => (
        <span key={minute} style={{ left: `${leftOf(axis, minute)}%` }}>
          {clockOf(minute)}
        </span>
      ))}
    </div>
  )
}
