'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { parseAsString, parseAsStringLiteral, useQueryStates } from 'nuqs'
import { may } from '@/domain/people/roles'
import type { PondSummary } from '@/server/ponds/pond-repository'
import { usePerson, useShow } from '@/ui/person-context'

const COLUMN_KEYS = ['siteName', 'name', 'customerName', 'town', 'use', 'volumeM3', 'areaM2', 'fishCount'] as const
type Column = (typeof COLUMN_KEYS)[number]
/** What is searched for and how it is sorted stands in the address: a link shows the same list, and so does Back. */
const VIEW = {
  q: parseAsString.withDefault(''),
  sort: parseAsStringLiteral(COLUMN_KEYS).withDefault('siteName'),
  order: parseAsStringLiteral(['up', 'down']).withDefault('up'),
}
const ORDERS = { up: { aria: 'ascending', arrow: ' ↑' }, down: { aria: 'descending', arrow: ' ↓' } } as const

const COLUMNS: readonly { key: Column; label: TextId; figure?: boolean }[] = [
  { key: 'siteName', label: textId('ponds.pondList.site') },
  { key: 'name', label: textId('ponds.pondList.pond') },
  { key: 'customerName', label: textId('ponds.pondList.customer') },
  { key: 'town', label: textId('ponds.pondList.town') },
  { key: 'use', label: textId('ponds.pondList.use') },
  { key: 'volumeM3', label: textId('ponds.pondList.water'), figure: true },
  { key: 'areaM2', label: textId('ponds.pondList.surface'), figure: true },
  { key: 'fishCount', label: textId('ponds.pondList.fish'), figure: true },
]

/** All ponds: one search over every word, sortable columns, the search kept in the address. */
export function PondList({ ponds }: { ponds: readonly PondSummary[] }) {
  const t = useTexts()

  const show = useShow()
  const { role } = usePerson()
  const [{ q: search, sort: key, order }, setView] = useQueryStates(VIEW, { history: 'replace' })
  const up = order === 'up'
  const words = search.toLowerCase().split(/\s+/).filter(Boolean)
  const shown = ponds
    .filter((p) =>
      words.every((w) =>
        [p.siteName, p.name, p.customerName, p.town, t(`ponds.pondUseNames.${p.use}`)]
          .join(' ')
          .toLowerCase()
          .includes(w),
      ),
    )
    .sort((a, b) => {
      const [x, y] = [a[key], b[key]]
      return (typeof x === 'number' ? x - (y as number) : String(x).localeCompare(String(y))) * (up ? 1 : -1)
    })
  return (
    <>
      <div className="page-head">
        <h1>{t('ponds.pondList.ponds')}</h1>
        <span className="soft">
          {shown.length === ponds.length
            ? t('ponds.pondList.ponds2', { count: ponds.length })
            : t('ponds.pondList.ponds3', { count: shown.length, count2: ponds.length })}
        </span>
        <span className="actions">
          <input
            className="form-control form-control-sm"
            type="search"
            aria-label={t('ponds.pondList.searchPonds')}
            placeholder={t('ponds.pondList.siteCustomerTownUse')}
            value={search}
            onChange={(e) => void setView({ q: e.target.value })}
          />
          {may(role, 'ponds.write') ? (
            <Link className="btn btn-sm btn-primary text-nowrap" href="/ponds/new">
              {t('ponds.pondList.addPond')}
            </Link>
          ) : null}
        </span>
      </div>
      <div className="sheet table-responsive" tabIndex={0} role="region" aria-label={t('ponds.pondList.pondsTable')}>
        {ponds.length === 0 ? (
          <p className="mb-0">{t('ponds.pondList.pondsStandHereOnce')}</p>
        ) : (
          <table className="table table-sm align-middle mb-0">
            <thead>
              <tr>
                {COLUMNS.map((c) => {
                  const sorted = key === c.key
                  const shape = ORDERS[order]

                  return (
                    <th key={c.key} aria-sort={sorted ? shape.aria : undefined} className={c.figure ? 'text-end' : ''}>
                      <button
                        className="btn btn-sm btn-link p-0 fw-semibold"
                        onClick={() => void setView({ sort: c.key, order: sorted && up ? 'down' : 'up' })}
                      >
                        {t(c.label)}
                        {sorted ? shape.arrow : ''}
                      </button>
                    </th>
                  )
                })}
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
                  <td>{t(`ponds.pondUseNames.${p.use}`)}</td>
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
