'use client'
import Link from 'next/link'
import { useState } from 'react'
import type { WindowJob } from '@/core/season/practice'
import type { seasonPage } from '@/server/use-cases/season-view'
import { WaterLegend } from '@/ui/drawing/water-legend'
import { JOB_NAMES } from '@/ui/messages/windows'
import { SeasonRibbon } from './season-ribbon'

type SeasonData = Awaited<ReturnType<typeof seasonPage>>

/** All ponds over the weeks of a year: water temperature, one job's windows, planned and done visits. */
export function SeasonView({ data }: { data: SeasonData }) {
  const [job, setJob] = useState<WindowJob>('spring-cleanout')
  return (
    <>
      <div className="page-head">
        <h1>Season {data.year}</h1>
        <span className="btn-group btn-group-sm">
          <Link className="btn btn-outline-secondary" href={`/season?year=${data.year - 1}`} aria-label={`Season ${data.year - 1}`}>
            ‹ {data.year - 1}
          </Link>
          <Link className="btn btn-outline-secondary" href={`/season?year=${data.year + 1}`} aria-label={`Season ${data.year + 1}`}>
            {data.year + 1} ›
          </Link>
        </span>
        <span className="actions align-items-center flex-wrap">
          <WaterLegend />
        </span>
      </div>
      <div className="btn-group btn-group-sm flex-wrap mb-2 no-print" role="group" aria-label="Window shown">
        {(Object.keys(JOB_NAMES) as WindowJob[]).map((j) => (
          <button key={j} className={`btn btn-outline-secondary ${j === job ? 'active' : ''}`} aria-pressed={j === job} onClick={() => setJob(j)}>
            {JOB_NAMES[j]}
          </button>
        ))}
      </div>
      {data.rows.length === 0 ? (
        <p className="sheet">Every pond gets a ribbon here: its water through the year, its windows and its visits. Add the first pond to begin.</p>
      ) : (
        <SeasonRibbon rows={data.rows} year={data.year} today={data.today} job={job} />
      )}
      <p className="soft small mt-2">The outlined stretch is the window of “{JOB_NAMES[job]}”, the tick in it the best day. ● planned visit, ✓ done.</p>
    </>
  )
}
