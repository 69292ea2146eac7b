'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useMemo } from 'react'
import { parseAsString, parseAsStringLiteral, useQueryStates } from 'nuqs'
import { may } from '@/domain/people/roles'
import type { PondSummary } from '@/server/ponds/pond-repository'
import { DataTable, type TableColumn } from '@/ui/kit/data-table'
import { usePerson, useShow } from '@/ui/person-context'

const COLUMN_KEYS = ['siteName', 'name', 'customerName', 'town', 'use', 'volumeM3', 'areaM2', 'fishCount'] as const
type PondColumn = TableColumn<PondSummary> & { readonly key: (typeof COLUMN_KEYS)[number] }
/** What is searched for and how it is sorted stands in the address: a link shows the same list, and so does Back. */
const VIEW = {
  q: parseAsString.withDefault(''),
  sort: parseAsStringLiteral(COLUMN_KEYS).withDefault('siteName'),
  order: parseAsStringLiteral(['up', 'down']).withDefault('up'),
}
/** All ponds: one search over every word, sortable columns, the search kept in the address. */
export function PondList({ ponds }: { ponds: readonly PondSummary[] }) {
  const t = useTexts()
  const show = useShow()
  const { role } = usePerson()
  const [{ q: search, sort: key, order }, setView] = useQueryStates(VIEW, { history: 'replace' })
  const columns = useMemo(
    (): PondColumn[] => [
      { key: 'siteName', label: t('ponds.pondList.site'), value: (p) => p.siteName },
      {
        key: 'name',
        label: t('ponds.pondList.pond'),
        value: (p) => p.name,
        cell: (p) => <Link href={`/ponds/${p.id}`}>{p.name}</Link>,
      },
      { key: 'customerName', label: t('ponds.pondList.customer'), value: (p) => p.customerName },
      { key: 'town', label: t('ponds.pondList.town'), value: (p) => p.town },
      { key: 'use', label: t('ponds.pondList.use'), value: (p) => t(`ponds.pondUseNames.${p.use}`) },
      {
        key: 'volumeM3',
        label: t('ponds.pondList.water'),
        value: (p) => p.volumeM3,
        cell: (p) => show(p.volumeM3, 'volume'),
        figure: true,
      },
      {
        key: 'areaM2',
        label: t('ponds.pondList.surface'),
        value: (p) => p.areaM2,
        cell: (p) => show(p.areaM2, 'area'),
        figure: true,
      },
      { key: 'fishCount', label: t('ponds.pondList.fish'), value: (p) => p.fishCount, figure: true },
    ],
    [t, show],
  )
  const shown = useMemo(() => {
    const words = search.toLowerCase().split(/\s+/).filter(Boolean)
    const textOf = (p: PondSummary) =>
      [p.siteName, p.name, p.customerName, p.town, t(`ponds.pondUseNames.${p.use}`)].join(' ').toLowerCase()
    return ponds.filter((p) => words.every((w) => textOf(p).includes(w)))
  }, [ponds, search, t])
  return (
    <>
      <div className="page-head">
        <h1>{t('ponds.pondList.ponds')}</h1>
        <span className="soft">
          {shown.length === ponds.length
            ? t('ponds.pondList.ponds2', { count: ponds.length })
            : t('ponds.pondList.ponds3', { count: shown.length, count2: ponds.length })}
        </span>
        <span className="actions flex-nowrap">
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
      <div className="sheet">
        {ponds.length === 0 ? (
          <p className="mb-0">{t('ponds.pondList.pondsStandHereOnce')}</p>
        ) : (
          <DataTable
            name={t('ponds.pondList.pondsTable')}
            columns={columns}
            rows={shown}
            keyOf={(p) => p.id}
            sort={{ key, up: order === 'up' }}
            onSort={(sort) =>
              void setView({ sort: COLUMN_KEYS.find((k) => k === sort.key)!, order: sort.up ? 'up' : 'down' })
            }
          />
        )}
      </div>
    </>
  )
}
