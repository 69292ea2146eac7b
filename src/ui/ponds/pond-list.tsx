'use client'
import Link from 'next/link'
import { useEffect, useState } from 'react'
import { POND_USE_NAMES } from '@/domain/ponds/pond'
import { may } from '@/domain/people/roles'
import type { PondSummary } from '@/server/ponds/pond-repository'
import { usePerson, useShow } from '@/ui/person-context'

type Column = 'siteName' | 'name' | 'customerName' | 'town' | 'use' | 'volumeM3' | 'areaM2' | 'fishCount'
const COLUMNS: readonly { key: Column; label: string; figure?: boolean }[] = [
  { key: 'siteName', label: 'Site' },
  { key: 'name', label: 'Pond' },
  { key: 'customerName', label: 'Customer' },
  { key: 'town', label: 'Town' },
  { key: 'use', label: 'Use' },
  { key: 'volumeM3', label: 'Water', figure: true },
  { key: 'areaM2', label: 'Surface', figure: true },
  { key: 'fishCount', label: 'Fish', figure: true },
]

/** All ponds: one search over every word, sortable columns, the search kept in the address. */
export function PondList({ ponds, query }: { ponds: readonly PondSummary[]; query: string }) {
  const show = useShow()
  const { role } = usePerson()
  const [search, setSearch] = useState(query)
  const [sort, setSort] = useState<{ key: Column; up: boolean }>({ key: 'siteName', up: true })
  useEffect(() => {
    const url = search ? `/ponds?q=${encodeURIComponent(search)}` : '/ponds'
    window.history.replaceState(null, '', url)
  }, [search])
  const words = search.toLowerCase().split(/\s+/).filter(Boolean)
  const shown = ponds
    .filter((p) => words.every((w) => [p.siteName, p.name, p.customerName, p.town, POND_USE_NAMES[p.use]].join(' ').toLowerCase().includes(w)))
    .sort((a, b) => {
      const [x, y] = [a[sort.key], b[sort.key]]
      return (typeof x === 'number' ? x - (y as number) : String(x).localeCompare(String(y))) * (sort.up ? 1 : -1)
    })
  return (
    <>
      <div className="page-head">
        <h1>Ponds</h1>
        <span className="soft">{shown.length === ponds.length ? `${ponds.length} ponds` : `${shown.length} of ${ponds.length} ponds`}</span>
        <span className="actions">
          <input
            className="form-control form-control-sm"
            type="search"
            aria-label="Search ponds"
            placeholder="Site, customer, town, use"
            value={search}
            onChange={(e) => setSearch(e.target.value)}
          />
          {may(role, 'ponds.write') ? (
            <Link className="btn btn-sm btn-primary text-nowrap" href="/ponds/new">
              Add a pond
            </Link>
          ) : null}
        </span>
      </div>
      <div className="sheet table-responsive" tabIndex={0} role="region" aria-label="Ponds table">
        {ponds.length === 0 ? (
          <p className="mb-0">Ponds stand here once they are measured up. Begin with “Add a pond”: a tape measure is enough.</p>
        ) : (
          <table className="table table-sm align-middle mb-0">
            <thead>
              <tr>
                {COLUMNS.map((c) => (
                  <th key={c.key} aria-sort={sort.key === c.key ? (sort.up ? 'ascending' : 'descending') : undefined} className={c.figure ? 'text-end' : ''}>
                    <button className="btn btn-sm btn-link p-0 fw-semibold" onClick={() => setSort({ key: c.key, up: sort.key === c.key ? !sort.up : true })}>
                      {c.label}
                      {sort.key === c.key ? (sort.up ? ' ↑' : ' ↓') : ''}
                    </button>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {shown.map((p) => (
                <tr key={p.id}>
                  <td>{p.siteName}</td>
                  <td>
                    <Link href={`/ponds/${p.id}`}>{p.name}</Link>
                  </td>
                  <td>{p.customerName}</td>
                  <td>{p.town}</td>
                  <td>{POND_USE_NAMES[p.use]}</td>
                  <td className="text-end">{show(p.volumeM3, 'volume')}</td>
                  <td className="text-end">{show(p.areaM2, 'area')}</td>
                  <td className="text-end">{p.fishCount}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </div>
    </>
  )
}
