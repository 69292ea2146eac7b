'use client'
import Link from 'next/link'
import { useState } from 'react'
import { addDays } from '@/core/numeric/calendar'
import { clockAfter } from '@/domain/clash'
import { duration, shortDate } from '@/domain/dates'
import type { roundsPage } from '@/server/use-cases/rounds'
import type { VisitLine } from '@/server/db/visit-line-repository'
import { MoveVisit } from './move-visit'

type RoundsData = Awaited<ReturnType<typeof roundsPage>>

/** Crews × days of a week, each stop with its times; a planned stop can be moved or taken off. */
export function RoundsView({ data }: { data: RoundsData }) {
  const [chosen, setChosen] = useState<VisitLine | null>(null)
  const minutesOf = (visits: readonly VisitLine[]) => visits.reduce((sum, v) => sum + v.plannedMinutes, 0)
  return (
    <>
      <div className="page-head">
        <h1>
          Rounds, {shortDate(data.monday)} – {shortDate(data.days[6])} {data.days[6].slice(0, 4)}
        </h1>
        <span className="btn-group btn-group-sm">
          <Link className="btn btn-outline-secondary" href={`/rounds?day=${addDays(data.monday, -7)}`}>
            ‹ Week before
          </Link>
          <Link className="btn btn-outline-secondary" href={`/rounds?day=${data.today}`}>
            This week
          </Link>
          <Link className="btn btn-outline-secondary" href={`/rounds?day=${addDays(data.monday, 7)}`}>
            Week after ›
          </Link>
        </span>
      </div>
      {data.crews.length === 0 ? <p className="sheet">Crews stand here, one row each, with their days. Add the first crew under People.</p> : null}
      {data.crews.length > 0 ? (
        <div className="rounds" role="region" aria-label="Crews and days" tabIndex={0}>
          <div />
          {data.days.map((day) => (
            <div key={day} className={day === data.today ? 'today' : ''}>
              <strong>{shortDate(day)}</strong>
            </div>
          ))}
          {data.crews.map((crew) => (
            <CrewRow key={crew.id} name={crew.name} size={crew.size}>
              {data.days.map((day) => {
                const stops = data.visits.filter((v) => v.crewId === crew.id && v.day === day)
                return (
                  <div key={day} className={day === data.today ? 'today' : ''}>
                    {stops.map((v) => (
                      <button
                        key={v.id}
                        type="button"
                        className={`stop-card ${v.state}`}
                        onClick={() => setChosen(v)}
                        aria-label={`${v.jobName} at ${v.siteName}, ${v.startTime}`}
                      >
                        <strong>
                          {v.startTime}–{clockAfter(v.startTime, v.plannedMinutes)}
                        </strong>
                        <br />
                        {v.siteName}
                        <br />
                        <span className="soft">
                          {v.jobName} · {v.town}
                        </span>
                      </button>
                    ))}
                    {stops.length > 0 ? <span className="soft small">{duration(minutesOf(stops))} on site</span> : null}
                  </div>
                )
              })}
            </CrewRow>
          ))}
        </div>
      ) : null}
      {chosen ? <MoveVisit key={chosen.id} visit={chosen} crews={data.crews} mayPlan={data.mayPlan} onClose={() => setChosen(null)} /> : null}
    </>
  )
}

function CrewRow({ name, size, children }: { name: string; size: number; children: React.ReactNode }) {
  return (
    <>
      <div>
        <strong>{name}</strong>
        <div className="soft small">{size === 1 ? 'one person' : `${size} people`}</div>
      </div>
      {children}
    </>
  )
}
