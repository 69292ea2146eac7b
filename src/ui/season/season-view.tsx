'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useCallback, useMemo, useState } from 'react'
import type { SeasonPageData } from '@/server/season/season-view'
import { ProblemNote } from '@/ui/kit/problem-note'
import { CrunchStrip } from './crunch-strip'
import { dragNote, moveWords } from './drag-note'
import { SeasonDrag } from './season-drag'
import { SeasonFilters, type SeasonFilter } from './season-filters'
import { SeasonHead } from './season-head'
import { SeasonList } from './season-list'
import { Ribbon } from './season-ribbon'
import { SeasonLane } from './season-lane'
import { holds, linesOf, sortRows, standingOf, type SeasonLine, type Show } from './season-rows'
import type { HangingVisit } from './season-visit'
import { axisAround, marksOf, nowOn, percentAt, type TimeAxis, type Zoom } from './time-axis'
import { send } from '@/ui/send'
import { useDone } from '@/ui/use-done'
import { useUnfolded } from './use-unfolded'
import { useVisitDrag, verdictOf } from './use-visit-drag'
import { usePrinting } from '@/ui/kit/use-printing'

/**
 * All ponds over the weeks of a year: water temperature, one job's windows, visits that can be dragged, and where it
 * gets tight.
 */
export function SeasonView({ data }: { data: SeasonPageData }) {
  const t = useTexts()
  const [filter, setFilter] = useState<SeasonFilter>({ text: '', sort: 'site', show: 'all', grouped: false })
  const [shown, setShown] = useState<{ zoom: Zoom; axis: TimeAxis }>(() => ({
    zoom: 'year',
    axis: axisAround(data, 'year', data.today),
  }))
  const { axis, zoom } = shown
  const onPaper = usePrinting()
  const done = useDone()
  const moving = useVisitDrag(
    (drag) => moveWords(drag, t),
    (back) => done(t('season.seasonView.moved'), () => send('PUT', '/api/v1/visits/arrange', { moves: back })),
  )
  const { drag } = moving
  const { unfolded, toggle, problem: unread } = useUnfolded(data.year)
  const standing = useMemo(
    () => new Map(data.rows.map((row) => [row.id, standingOf(row, data.job, data.today)])),
    [data.rows, data.job, data.today],
  )
  const lines = useMemo(() => {
    const { text, show, sort, grouped } = filter
    const found = data.rows.filter((row) => holds(row, text) && (show === 'all' || standing.get(row.id) === show))
    return linesOf(sortRows(found, sort), { grouped, unfolded }, t)
  }, [data.rows, filter, standing, unfolded, t])
  const unfold = useCallback((pondId: string) => void toggle(pondId), [toggle])
  const hanging = useMemo(
    () =>
      drag.state === 'idle'
        ? null
        : { visitId: drag.visitId, day: drag.day, bad: (verdictOf(drag)?.problems.length ?? 0) > 0 },
    [drag],
  )
  return (
    <>
      <SeasonHead data={data} {...shown} onShow={setShown} />
      <SeasonFilters
        data={data}
        filter={filter}
        onFilter={setFilter}
        found={lines.filter((l) => l.kind === 'row').length}
      />
      <ProblemNote problem={moving.problem ?? unread} />
      <p className="drag-note" role="status">
        {dragNote(drag, t)}
      </p>
      {data.rows.length === 0 ? (
        <p className="sheet">{t('season.seasonView.everyPondGetsRibbon')}</p>
      ) : (
        <SeasonDrag
          axis={axis}
          hangsOver={drag.state === 'idle' ? null : drag.day}
          onBegin={(visitId, day) => void moving.begin(visitId, day)}
          onOver={moving.over}
          onDrop={() => void moving.drop()}
          onCancel={moving.cancel}
        >
          <SeasonList
            lines={lines}
            whole={onPaper}
            now={nowOn(axis, data.today)}
            head={<Axis axis={axis} zoom={zoom} crunch={data.crunch} today={data.today} />}
          >
            {(line) => <Line line={line} {...{ axis, data, standing, hanging, unfold }} unfolded={unfolded} />}
          </SeasonList>
        </SeasonDrag>
      )}
      <HowToRead data={data} />
    </>
  )
}

interface LineProps {
  readonly line: SeasonLine
  readonly axis: TimeAxis
  readonly data: Pick<SeasonPageData, 'job' | 'mayPlan'>
  readonly standing: ReadonlyMap<string, Show>
  readonly hanging: HangingVisit | null
  readonly unfolded: ReadonlyMap<string, unknown>
  readonly unfold: (pondId: string) => void
}

function Line({ line, axis, data, standing, hanging, unfolded, unfold }: LineProps) {
  if (line.kind === 'group')
    return (
      <div className="season-row fw-bold">
        {line.name} <span className="soft fw-normal">{line.count}</span>
      </div>
    )
  const { row } = line
  const shared = {
    row,
    axis,
    hanging: row.visits.some(({ id }) => id === hanging?.visitId) ? hanging : null,
    movable: data.mayPlan,
  }
  return line.kind === 'lane' ? (
    <SeasonLane lane={line.lane} {...shared} />
  ) : (
    <Ribbon
      {...shared}
      job={data.job}
      missed={standing.get(row.id) === 'missed'}
      unfolded={unfolded.has(row.id)}
      onUnfold={unfold}
    />
  )
}

function HowToRead({ data: { job, mayPlan, crunch } }: { data: SeasonPageData }) {
  const t = useTexts()
  return (
    <p className="soft small mt-2">
      {t('season.seasonView.outlinedStretchWindowTick', {
        job: t(`season.jobNames.${job}`),
        mayPlan: mayPlan ? t('season.seasonView.dragPlannedVisitAlong') : '',
      })}
      {crunch.length === 0 && mayPlan ? (
        <>
          {' '}
          <Link href="/planning" className="text-decoration-underline">
            {t('season.seasonView.workOutPlan')}
          </Link>{' '}
          {t('season.seasonView.seeWhichWeeksGet')}
        </>
      ) : null}
    </p>
  )
}

interface AxisProps {
  readonly axis: TimeAxis
  readonly zoom: Zoom
  readonly crunch: SeasonPageData['crunch']
  readonly today: string
}

function Axis({ axis, zoom, crunch, today }: AxisProps) {
  const t = useTexts()
  const now = nowOn(axis, today)
  return (
    <>
      <CrunchStrip weeks={crunch} axis={axis} />
      <div className="season-row">
        <span />
        <span className="season-year soft small" style={{ overflow: 'hidden' }}>
          {marksOf(axis, zoom, t.region).map(({ day, label }) => (
            <span key={day} style={{ position: 'absolute', left: `${percentAt(axis, day)}%`, whiteSpace: 'nowrap' }}>
              {label}
            </span>
          ))}
          {now === null ? null : (
            <span className="season-now-name" style={{ left: `${now}%` }}>
              {t('season.seasonView.todayIs', { today: t.dayMonth(today) })}
            </span>
          )}
        </span>
      </div>
    </>
  )
}
