'use client'
import Link from 'next/link'
import { clockAfter } from '@/domain/clash'
import { duration, longDate } from '@/domain/dates'
import type { daySheet } from '@/server/use-cases/rounds'
import { KIT_NAMES } from '@/ui/messages/planning'
import { VISIT_STATE_NAMES } from '@/ui/messages/visits'
import { useShow } from '@/ui/person-context'

/** A crew's day on one sheet: order, times, ways, access, and what to load. Made to be printed and kept in the cab. */
export function DaySheetView({ data }: { data: Awaited<ReturnType<typeof daySheet>> }) {
  const show = useShow()
  const { crew, day, visits, ways, load } = data
  return (
    <>
      <div className="page-head">
        <h1>
          {crew.name}, {longDate(day)}
        </h1>
        <span className="actions no-print">
          <Link className="btn btn-sm btn-outline-secondary" href={`/rounds?day=${day}`}>
            All crews
          </Link>
          <button type="button" className="btn btn-sm btn-primary" onClick={() => window.print()}>
            Print
          </button>
        </span>
      </div>
      {visits.length === 0 ? <p className="sheet">Nothing planned for this crew on this day.</p> : null}
      {visits.length > 0 ? (
        <section className="sheet" aria-label="Load">
          <h2>Load before leaving</h2>
          <ul className="mb-1">
            {load.kit
              .filter((key) => !(key === 'tank' && load.tank))
              .map((key) => (
                <li key={key}>{KIT_NAMES[key as keyof typeof KIT_NAMES]}</li>
              ))}
            {load.tank ? (
              <li>
                Holding tank of at least {show(load.tank.volumeM3, 'volume', { scale: 'small' })}, {show(load.tank.leastWidthM, 'length')} across, with cover
                net and aerator
              </li>
            ) : null}
            {load.dechlorinatorG > 0 ? (
              <li>
                Sodium thiosulfate (5 H₂O) {show(load.dechlorinatorG / 1000, 'mass', { scale: 'small' })} for {show(load.tapWaterM3, 'volume')} of tap water, by
                the chlorine tested last or usual; the test on site decides
              </li>
            ) : null}
            <li>First-aid kit, RCD/GFCI adapter, gloves, goggles, waders, life line; labels and safety data sheets of what is carried</li>
          </ul>
          <p className="soft small mb-0">Lift with two people or a machine above 25 kg. Chemicals are carried closed, apart, and never mixed.</p>
        </section>
      ) : null}
      <ol className="list-unstyled">
        {visits.map((v, i) => (
          <li key={v.id} className="sheet">
            <div className="soft small">{ways[i] === null ? 'way not known: the site is not on the map' : `${duration(ways[i]!)} on the way`}</div>
            <h2>
              {v.startTime}–{clockAfter(v.startTime, v.plannedMinutes)} {v.job.name}
            </h2>
            <p className="mb-1">
              <strong>{v.siteName}</strong>, {v.pondName}. {[v.address, v.town].filter(Boolean).join(', ')}. {v.customerName}.{' '}
              <span className="soft">{VISIT_STATE_NAMES[v.state]}</span>
            </p>
            {v.accessNotes ? <p className="mb-1">Access: {v.accessNotes}</p> : null}
            {v.note ? <p className="mb-1">Note: {v.note}</p> : null}
            <Link className="no-print" href={`/field/visits/${v.id}`}>
              Field sheet
            </Link>
          </li>
        ))}
      </ol>
    </>
  )
}
