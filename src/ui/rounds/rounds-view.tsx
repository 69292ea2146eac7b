'use client'
import { useTexts } from '@/ui/kit/texts'
import {
  DndContext,
  KeyboardSensor,
  MouseSensor,
  TouchSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
  type DragOverEvent,
} from '@dnd-kit/core'
import Link from 'next/link'
import { useState } from 'react'
import { addDays } from '@/core/numeric/calendar'
import { shortDate } from '@/domain/shared/dates'
import type { RoundsPageData } from '@/server/rounds/rounds'
import type { VisitLine } from '@/server/visits/visit-line-repository'
import { ProblemNote } from '@/ui/kit/problem-note'
import { moveProblemWords } from '@/messages/schedule/planning'
import { DayCell } from './day-cell'
import { MoveVisit } from './move-visit'
import { toNextCell } from './to-next-cell'
import type { Judged } from '@/domain/rounds/board-moves'
import { cellId, cellOf, useBoard } from './use-board'
import { send } from '@/ui/send'
import { useDone } from '@/ui/use-done'
import { useConfirm } from '@/ui/kit/confirm'
import { boardWords } from '@/messages/rounds/board-words'

/** Crews × days of a week, each stop with its times; a planned stop is dragged, moved by its form, or taken off. */
export function RoundsView({ data }: { data: RoundsPageData }) {
  const t = useTexts()

  const [chosen, setChosen] = useState<VisitLine | null>(null)
  const board = useBoard(data.board, data.visits)
  const [over, setOver] = useState<string | null>(null)
  const [judged, setJudged] = useState<Judged | null>(null)
  const siteOf = (id: string) => data.visits.find((v) => v.id === id)?.siteName ?? t('rounds.roundsView.anotherSite')
  // a short way or a short hold tells a drag from a click, with mouse, finger and keyboard
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 250, tolerance: 8 } }),
    useSensor(KeyboardSensor, {
      keyboardCodes: { start: ['Space'], cancel: ['Escape'], end: ['Space', 'Enter'] },
      coordinateGetter: toNextCell,
    }),
  )
  const hang = (event: DragOverEvent) => {
    const id = event.over ? String(event.over.id) : null
    setOver(id)
    setJudged(id ? board.judge(String(event.active.id), cellOf(id)) : null)
  }
  const letGo = () => {
    setOver(null)
    setJudged(null)
  }
  const confirm = useConfirm()
  const done = useDone()
  const drop = async (event: DragEndEvent) => {
    const found = event.over ? board.judge(String(event.active.id), cellOf(String(event.over.id))) : null
    letGo()
    if (!found || found.moves.length === 0) return
    const words = found.problems.map((p) => moveProblemWords(p, siteOf, t)).join('; ')
    // the office may know better, but not by a slip of the hand
    if (words) {
      const question = {
        words: t('rounds.roundsView.confirmConflict', { words }),
        goOn: t('rounds.roundsView.moveAnyway'),
      }
      if (!(await confirm(question))) return
    }
    const back = await board.place(found)
    if (back) done(t('rounds.roundsView.moved'), () => send('PUT', '/api/v1/visits/arrange', { moves: back }))
  }
  return (
    <>
      <div className="page-head">
        <h1>
          {t('rounds.roundsView.rounds', {
            monday: shortDate(data.monday),
            days: shortDate(data.days[6]!),
            days2: data.days[6]!.slice(0, 4),
          })}
        </h1>
        <span className="btn-group btn-group-sm">
          <Link className="btn btn-outline-secondary" href={`/rounds?day=${addDays(data.monday, -7)}`}>
            {t('rounds.roundsView.weekBefore')}
          </Link>
          <Link className="btn btn-outline-secondary" href={`/rounds?day=${data.today}`}>
            {t('rounds.roundsView.week')}
          </Link>
          <Link className="btn btn-outline-secondary" href={`/rounds?day=${addDays(data.monday, 7)}`}>
            {t('rounds.roundsView.weekAfter')}
          </Link>
        </span>
      </div>
      {data.crews.length === 0 ? <p className="sheet">{t('rounds.roundsView.crewsStandHereOne')}</p> : null}
      <ProblemNote problem={board.problem} />
      {data.crews.length > 0 ? (
        <DndContext
          id="rounds"
          sensors={sensors}
          accessibility={{
            announcements: boardWords({ visits: data.visits, crews: data.crews, cellOf }, t),
            screenReaderInstructions: { draggable: t('rounds.board.how') },
          }}
          onDragOver={hang}
          onDragEnd={(event) => void drop(event)}
          onDragCancel={letGo}
        >
          <div className="rounds" role="region" aria-label={t('rounds.roundsView.crewsDays')} tabIndex={0}>
            <div />
            {data.days.map((day) => (
              <div key={day} className={day === data.today ? 'today' : ''}>
                <strong>{shortDate(day)}</strong>
              </div>
            ))}
            {data.crews.map((crew) => (
              <CrewRow key={crew.id} name={crew.name} size={crew.size}>
                {data.days.map((day) => {
                  const cell = { crewId: crew.id, day }
                  return (
                    <DayCell
                      key={day}
                      cell={cell}
                      isToday={day === data.today}
                      stops={data.visits.filter((v) => v.crewId === crew.id && v.day === day)}
                      movable={data.mayPlan}
                      judged={over === cellId(cell) ? judged : null}
                      siteOf={siteOf}
                      onChoose={setChosen}
                    />
                  )
                })}
              </CrewRow>
            ))}
          </div>
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

function CrewRow({ name, size, children }: { name: string; size: number; children: React.ReactNode }) {
  const t = useTexts()

  return (
    <>
      <div>
        <strong>{name}</strong>
        <div className="soft small">{t('rounds.roundsView.people', { size })}</div>
      </div>
      {children}
    </>
  )
}
