'use client'
import { type Texts, useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useCallback, useEffect, useMemo, useState } from 'react'
import { flushSync } from 'react-dom'
import { WINDOW_JOBS } from '@/core/season/house-rules'
import { longDate, shortDate } from '@/domain/shared/dates'
import { fieldHref } from '@/domain/field/field-href'
import type { SeasonPageData } from '@/server/season/season-view'
import { ChoiceField } from '@/ui/kit/choice-field'
import { CheckField } from '@/ui/kit/check-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { WaterLegend } from '@/ui/drawing/water-legend'
import { moveProblemWords } from '@/messages/schedule/planning'
import { CrunchStrip } from './crunch-strip'
import { SeasonList } from './season-list'
import { Ribbon } from './season-ribbon'
import {
  holds,
  linesOf,
  SHOW_NAMES,
  SHOWS,
  SORT_NAMES,
  SORTS,
  sortRows,
  standingOf,
  type Show,
  type Sort,
} from './season-rows'
import {
  axisAround,
  dayAtPercent,
  marksOf,
  percentAt,
  shifted,
  ZOOM_NAMES,
  ZOOMS,
  type TimeAxis,
  type Zoom,
} from './time-axis'
import { SETTLE_EVENT, useVisitDrag, verdictOf, type VisitDrag } from './use-visit-drag'

const wordsOf = (drag: VisitDrag, t: Texts): string => {
  const verdict = verdictOf(drag)
  if (!verdict || !('verdicts' in drag)) return ''
  return verdict.problems
    .map((p) => moveProblemWords(p, (id) => drag.verdicts.sites[id] ?? t('season.seasonView.anotherSite'), t))
    .join('; ')
}

/**
 * All ponds over the weeks of a year: water temperature, one job's windows, visits that can be dragged, and where it
 * gets tight.
 */
export function SeasonView({ data }: { data: SeasonPageData }) {
  const t = useTexts()

  const router = useRouter()
  const [text, setText] = useState('')
  const [sort, setSort] = useState<Sort>('site')
  const [show, setShow] = useState<Show>('all')
  const [grouped, setGrouped] = useState(false)
  const [zoom, setZoom] = useState<Zoom>('year')
  const [axis, setAxis] = useState<TimeAxis>(() => axisAround(data.year, 'year', `${data.year}-01-01`))
  const [printing, setPrinting] = useState(false)
  const moving = useVisitDrag((drag) => wordsOf(drag, t))
  const { drag } = moving

  const jobNumbers = useMemo(
    () => new Set(data.jobs.flatMap((j, i) => (j.key === data.job ? [i] : []))),
    [data.jobs, data.job],
  )
  const standing = useMemo(
    () => new Map(data.rows.map((row) => [row.id, standingOf(row, jobNumbers, data.today)])),
    [data.rows, jobNumbers, data.today],
  )
  const lines = useMemo(
    () =>
      linesOf(
        sortRows(
          data.rows.filter((row) => holds(row, text) && (show === 'all' || standing.get(row.id) === show)),
          sort,
        ),
        grouped,
        t,
      ),
    [data.rows, text, show, standing, sort, grouped, t],
  )
  const nameOf = useCallback((job: number) => data.jobs[job]?.name ?? t('season.seasonView.visit'), [data.jobs, t])
  const crewOf = useCallback((crew: number) => data.crews[crew]?.name ?? '', [data.crews])
  const hanging = useMemo(
    () =>
      drag.state === 'idle'
        ? null
        : { visitId: drag.visitId, day: drag.day, bad: (verdictOf(drag)?.problems.length ?? 0) > 0 },
    [drag],
  )
  const hangingRow = useMemo(
    () => (hanging ? (data.rows.find((row) => row.visits.some(([id]) => id === hanging.visitId))?.id ?? null) : null),
    [data.rows, hanging],
  )

  useEffect(() => {
    // paper shows every row, however the print was asked for; it must stand before the browser takes its picture
    const whole = () => flushSync(() => setPrinting(true))
    const part = () => setPrinting(false)
    window.addEventListener('beforeprint', whole)
    window.addEventListener('afterprint', part)
    return () => {
      window.removeEventListener('beforeprint', whole)
      window.removeEventListener('afterprint', part)
    }
  }, [])

  const { begin, over, drop, cancel, step } = moving
  const grab = useCallback(
    (visitId: string, day: string, pointer: React.PointerEvent<HTMLElement> | null) => {
      if (!pointer) return void begin(visitId, day)
      if (pointer.button !== 0) return
      const ribbon = pointer.currentTarget.closest<HTMLElement>('[data-ribbon]')!
      const from = pointer.clientX
      let moved = false
      const move = (e: PointerEvent) => {
        // a short way tells a drag from a click
        if (!moved && Math.abs(e.clientX - from) < 5) return
        if (!moved) void begin(visitId, day)
        moved = true
        const box = ribbon.getBoundingClientRect()
        over(dayAtPercent(axis, ((e.clientX - box.left) / box.width) * 100))
      }
      const end = () => {
        window.removeEventListener('pointermove', move)
        window.removeEventListener('pointerup', end)
        if (moved) document.dispatchEvent(new CustomEvent(SETTLE_EVENT))
        else router.push(fieldHref(visitId))
      }
      window.addEventListener('pointermove', move)
      window.addEventListener('pointerup', end)
    },
    [axis, begin, over, router],
  )
  useEffect(() => {
    // the drop is answered by the newest state, not by the one in which the drag began
    const letGo = () => void drop()
    document.addEventListener(SETTLE_EVENT, letGo)
    return () => document.removeEventListener(SETTLE_EVENT, letGo)
  }, [drop])
  const keys = (e: React.KeyboardEvent) => {
    if (drag.state === 'idle') return
    if (e.key === 'Escape') cancel()
    else if (e.key === 'ArrowRight') step(e.shiftKey ? 7 : 1)
    else if (e.key === 'ArrowLeft') step(e.shiftKey ? -7 : -1)
    else if (e.key === 'Enter' || e.key === ' ') void drop()
    else return
    e.preventDefault()
  }
  const zoomTo = (next: Zoom, day = data.today.startsWith(String(data.year)) ? data.today : `${data.year}-04-01`) => {
    setZoom(next)
    const startOf = () => {
      if (zoom === 'year') return day
      if (axis.from.startsWith(String(data.year))) return axis.from
      return day
    }
    setAxis(axisAround(data.year, next, startOf()))
  }
  return (
    <div onKeyDown={keys}>
      <div className="page-head">
        <h1>{t('season.seasonView.season', { year: data.year })}</h1>
        <span className="btn-group btn-group-sm no-print">
          <Link
            className="btn btn-outline-secondary"
            href={`/season?year=${data.year - 1}&job=${data.job}`}
            aria-label={t('season.seasonView.season', { year: data.year - 1 })}
          >
            ‹ {data.year - 1}
          </Link>
          <Link
            className="btn btn-outline-secondary"
            href={`/season?year=${data.year + 1}&job=${data.job}`}
            aria-label={t('season.seasonView.season', { year: data.year + 1 })}
          >
            {data.year + 1} ›
          </Link>
        </span>
        <span className="btn-group btn-group-sm no-print" role="group" aria-label={t('season.seasonView.zoom')}>
          {ZOOMS.map((z) => (
            <button
              key={z}
              type="button"
              className={`btn btn-outline-secondary ${z === zoom ? 'active' : ''}`}
              aria-pressed={z === zoom}
              onClick={() => zoomTo(z)}
            >
              {t(ZOOM_NAMES[z])}
            </button>
          ))}
        </span>
        {zoom === 'year' ? null : <Shift axis={axis} zoom={zoom} onShift={setAxis} />}
        <span className="actions align-items-center flex-wrap">
          <WaterLegend />
          {moving.canUndo ? (
            <button
              type="button"
              className="btn btn-sm btn-outline-secondary no-print"
              onClick={() => void moving.takeBack()}
            >
              {t('season.seasonView.undoMove')}
            </button>
          ) : null}
          <button type="button" className="btn btn-sm btn-outline-secondary no-print" onClick={() => window.print()}>
            {t('season.seasonView.print')}
          </button>
        </span>
      </div>
      <div className="d-flex flex-wrap gap-2 align-items-end mb-2 no-print">
        <ChoiceField
          label={t('season.seasonView.windowShown')}
          value={data.job}
          onChange={(e) => router.push(`/season?year=${data.year}&job=${e.target.value}`)}
          options={WINDOW_JOBS.map((job) => ({ value: job, label: t(`season.jobNames.${job}`) }))}
        />
        <TextField
          label={t('season.seasonView.find')}
          placeholder={t('season.seasonView.siteCustomerTown')}
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
        <ChoiceField
          label={t('season.seasonView.show')}
          value={show}
          onChange={(e) => setShow(e.target.value as Show)}
          options={SHOWS.map((s) => ({ value: s, label: t(SHOW_NAMES[s]) }))}
        />
        <ChoiceField
          label={t('season.seasonView.order')}
          value={sort}
          onChange={(e) => setSort(e.target.value as Sort)}
          options={SORTS.map((s) => ({ value: s, label: t(SORT_NAMES[s]) }))}
        />
        <CheckField label={t('season.seasonView.town')} checked={grouped} onChange={setGrouped} />
        <span className="soft ms-auto">
          {t('season.seasonView.ponds', {
            count: lines.filter((l) => l.kind === 'row').length,
            count2: data.rows.length,
          })}
        </span>
      </div>
      <ProblemNote problem={moving.problem} />
      <p className="drag-note" role="status">
        {dragWords(drag, t)}
      </p>
      {data.rows.length === 0 ? (
        <p className="sheet">{t('season.seasonView.everyPondGetsRibbon')}</p>
      ) : (
        <SeasonList lines={lines} whole={printing} head={<Head axis={axis} zoom={zoom} crunch={data.crunch} />}>
          {(line) =>
            line.kind === 'group' ? (
              <div className="season-row fw-bold">
                {line.name} <span className="soft fw-normal">{line.count}</span>
              </div>
            ) : (
              <Ribbon
                row={line.row}
                axis={axis}
                jobLabel={t(`season.jobNames.${data.job}`)}
                missed={standing.get(line.row.id) === 'missed'}
                today={data.today}
                nameOf={nameOf}
                crewOf={crewOf}
                hanging={hangingRow === line.row.id ? hanging : null}
                onGrab={data.mayPlan ? grab : null}
              />
            )
          }
        </SeasonList>
      )}
      <p className="soft small mt-2">
        {t('season.seasonView.outlinedStretchWindowTick', {
          job: t(`season.jobNames.${data.job}`),
          mayPlan: data.mayPlan ? t('season.seasonView.dragPlannedVisitAlong') : '',
        })}
        {data.crunch.length === 0 && data.mayPlan ? (
          <>
            {' '}
            <Link href="/planning" className="text-decoration-underline">
              {t('season.seasonView.workOutPlan')}
            </Link>{' '}
            {t('season.seasonView.seeWhichWeeksGet')}
          </>
        ) : null}
      </p>
    </div>
  )
}

function dragWords(drag: VisitDrag, t: Texts): string {
  if (drag.state === 'idle') return ''
  if (drag.state === 'asking') return t('season.seasonView.lookingDaysAround')
  const verdict = verdictOf(drag)
  const day = longDate(drag.day)
  if (!verdict) return t('season.seasonView.tooFarPast', { day })
  const costText = () => {
    if (verdict.costMin === 0) return t('season.seasonView.costsNothing')
    if (verdict.costMin > 0) return t('season.seasonView.costsMin', { costMin: verdict.costMin })
    return t('season.seasonView.savesMin', { costMin: -verdict.costMin })
  }
  const cost = costText()
  const words = wordsOf(drag, t)
  return words ? `${day}: ${words}; ${cost}.` : t('season.seasonView.fits', { day, cost })
}

function Shift({ axis, zoom, onShift }: { axis: TimeAxis; zoom: Zoom; onShift: (axis: TimeAxis) => void }) {
  const t = useTexts()

  const [before, after] = [shifted(axis, zoom, -1), shifted(axis, zoom, 1)]
  return (
    <span className="btn-group btn-group-sm no-print">
      <button
        type="button"
        className="btn btn-outline-secondary"
        disabled={!before}
        onClick={() => before && onShift(before)}
        aria-label={t('season.seasonView.earlier')}
      >
        ‹
      </button>
      <span className="btn btn-outline-secondary disabled">
        {t('season.seasonView.from', { from: shortDate(axis.from) })}
      </span>
      <button
        type="button"
        className="btn btn-outline-secondary"
        disabled={!after}
        onClick={() => after && onShift(after)}
        aria-label={t('season.seasonView.later')}
      >
        ›
      </button>
    </span>
  )
}

function Head({ axis, zoom, crunch }: { axis: TimeAxis; zoom: Zoom; crunch: SeasonPageData['crunch'] }) {
  return (
    <>
      <CrunchStrip weeks={crunch} axis={axis} />
      <div className="season-row">
        <span />
        <span className="season-year soft small" style={{ overflow: 'hidden' }}>
          {marksOf(axis, zoom).map(({ day, label }) => (
            <span key={day} style={{ position: 'absolute', left: `${percentAt(axis, day)}%`, whiteSpace: 'nowrap' }}>
              {label}
            </span>
          ))}
        </span>
      </div>
    </>
  )
}
