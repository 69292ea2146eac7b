'use client'
import Link from 'next/link'
import { shortDate } from '@/domain/shared/dates'
import { PLANT_ACTION_NAMES, speciesName } from '@/domain/plants/plants'
import type { allPlants } from '@/server/plants/all-plants'

type AllPlants = Awaited<ReturnType<typeof allPlants>>

type DueTask = AllPlants['due'][number]['tasks'][number]

/** Groups that ask for the same are named together. */
function byAction(tasks: readonly DueTask[]): [DueTask['action'], DueTask[]][] {
  const of = new Map<DueTask['action'], DueTask[]>()
  for (const task of tasks) of.set(task.action, [...(of.get(task.action) ?? []), task])
  return [...of]
}

/** Plants of all ponds: care that falls due, the tender ones with where they are, and the cuttings that are kept. */
export function AllPlantsView({ data }: { data: AllPlants }) {
  return (
    <>
      <div className="page-head">
        <h1>Plants</h1>
        <span className="soft">
          {data.groups} {data.groups === 1 ? 'group' : 'groups'} on {data.groups === 0 ? 'no pond yet' : 'all ponds'}
        </span>
        <span className="actions no-print">
          <button className="btn btn-sm btn-outline-secondary" onClick={() => window.print()}>
            Print
          </button>
          <a className="btn btn-sm btn-outline-secondary" href="/api/v1/plants.csv" download>
            List as CSV
          </a>
        </span>
      </div>
      <div className="columns wide-left">
        <div>
          <section className="sheet" aria-label="To lift and store">
            <h2>Tender plants: lift, store, set out</h2>
            {data.seasonal.length === 0 ? (
              <p className="soft mb-0">No plants that have to come in for the winter are written down.</p>
            ) : (
              <div className="table-responsive" tabIndex={0} role="region" aria-label="Tender plants">
                <table className="table table-sm align-middle mb-0">
                  <thead>
                    <tr>
                      <th>By</th>
                      <th>What</th>
                      <th className="text-end">Plants</th>
                      <th>Pond</th>
                      <th>Now</th>
                    </tr>
                  </thead>
                  <tbody>
                    {data.seasonal.map((p, i) => (
                      <tr key={i}>
                        <td className="text-nowrap">
                          {p.by ? shortDate(p.by) : ''}
                          {p.thisYear && p.from <= data.today ? <span className="verdict look ms-1">{p.by < data.today ? 'late' : 'now'}</span> : null}
                        </td>
                        <td>
                          {p.stored ? 'Set out' : 'Lift'}: {speciesName(p.species)}
                        </td>
                        <td className="text-end">{p.count}</td>
                        <td>
                          <Link href={`/ponds/${p.pondId}/plants`}>
                            {p.site}, {p.pond}
                          </Link>
                        </td>
                        <td>{p.stored ? `stored${p.place ? `: ${p.place}` : ''}` : 'outside'}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </div>
            )}
          </section>
          <section className="sheet" aria-label="Care due">
            <h2>Care due in the coming week</h2>
            {data.due.length === 0 ? <p className="soft mb-0">Nothing: in cold water plants ask for little.</p> : null}
            {data.due.map((pond) => (
              <div key={pond.pondId} className="mb-2">
                <h3 className="mb-0">
                  <Link href={`/ponds/${pond.pondId}/plants`}>{pond.name}</Link>
                </h3>
                <ul className="plain-list">
                  {byAction(pond.tasks).map(([action, tasks]) => {
                    const latest = tasks.map((t) => t.latest).sort()[0]
                    return (
                      <li key={action}>
                        {PLANT_ACTION_NAMES[action]}: {[...new Set(tasks.map((t) => speciesName(t.species)))].join(', ')}{' '}
                        <span className="soft small">
                          from {shortDate(tasks[0].due)} to {shortDate(latest)}
                        </span>
                        {latest < data.today ? <span className="verdict look ms-1">late</span> : null}
                      </li>
                    )
                  })}
                </ul>
              </div>
            ))}
          </section>
        </div>
        <div>
          <section className="sheet" aria-label="Cuttings kept">
            <h2>Cuttings kept</h2>
            {data.cuttings.length === 0 ? <p className="soft">None. Crews keep rooted pieces when they divide and thin, and gaps name them.</p> : null}
            <ul className="plain-list">
              {data.cuttings.map((c) => (
                <li key={c.id}>
                  {c.onHand} {speciesName(c.speciesKey!)} <span className="soft small">{c.place}</span>
                </li>
              ))}
            </ul>
            <Link className="btn btn-sm btn-outline-secondary no-print" href="/stores">
              In the stores
            </Link>
          </section>
          {data.replanting.length > 0 ? (
            <section className="sheet" aria-label="Where they may go">
              <h2>Where they may go</h2>
              <ul className="plain-list">
                {data.replanting.map((place) => (
                  <li key={place.pondId}>
                    <Link href={`/ponds/${place.pondId}/plants`}>{place.name}</Link>
                    <span className="soft small d-block">
                      {place.replanting.map((r) => `${r.count} ${speciesName(r.species)}${r.patchId ? '' : ' between the groups'}`).join(', ')}
                    </span>
                  </li>
                ))}
              </ul>
            </section>
          ) : null}
        </div>
      </div>
    </>
  )
}
