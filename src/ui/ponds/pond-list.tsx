'use client'
import Link from 'next/link'
import { useMemo } from 'react'
import { parseAsString, parseAsStringLiteral, useQueryStates } from 'nuqs'
import { may } from '@/domain/people/roles'
import { ATTENTION, attentionOf, type Attention } from '@/domain/ponds/pond-state'
import { shortDate } from '@/domain/shared/dates'
import { wordsOf } from '@/domain/search/search'
import type { PondLine } from '@/server/ponds/ponds'
import { DataTable, type TableColumn } from '@/ui/kit/data-table'
import { Icon } from '@/ui/kit/icon'
import { FilterChips, SearchField } from '@/ui/kit/list-filters'
import { useTexts, type Texts } from '@/ui/kit/texts'
import { usePerson, useShow } from '@/ui/person-context'
import { PondStatus } from './pond-status'

const COLUMN_KEYS = [
  'siteName',
  'name',
  'status',
  'lastVisit',
  'nextVisit',
  'agreed',
  'fishCount',
  'volumeM3',
  'customerName',
  'town',
  'use',
  'areaM2',
  'filter',
] as const
type PondColumn = TableColumn<PondLine> & { readonly key: (typeof COLUMN_KEYS)[number] }

/** What a list of ponds is narrowed down to by one press. */
const FILTERS = ['all', 'attention', 'risk', 'unplanned', 'no-plan', 'no-filter'] as const
type Filter = (typeof FILTERS)[number]
const HOLDS: Readonly<Record<Filter, (pond: PondLine) => boolean>> = {
  all: () => true,
  attention: (pond) => attentionOf(pond) !== 'none',
  risk: (pond) => pond.risk !== null,
  unplanned: (pond) => pond.nextVisit === null,
  'no-plan': (pond) => pond.agreed === 0,
  'no-filter': (pond) => pond.filter === null,
}

/** What is searched for and how it is sorted stands in the address: a link shows the same list, and so does Back. */
const VIEW = {
  q: parseAsString.withDefault(''),
  show: parseAsStringLiteral(FILTERS).withDefault('all'),
  sort: parseAsStringLiteral(COLUMN_KEYS).withDefault('siteName'),
  order: parseAsStringLiteral(['up', 'down']).withDefault('up'),
}

/** All ponds with what helps decide which to see to: how they stand, when someone was and will be there. */
export function PondList({ ponds }: { ponds: readonly PondLine[] }) {
  const t = useTexts()

  const { role } = usePerson()
  const [{ q: search, show: filter, sort: key, order }, setView] = useQueryStates(VIEW, { history: 'replace' })
  const columns = usePondColumns()
  const found = useMemo(() => {
    const words = wordsOf(search)
    return ponds.filter((p) => words.every((w) => textOf(p, t).includes(w)))
  }, [ponds, search, t])
  const shown = found.filter(HOLDS[filter])
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
          <SearchField
            label={t('ponds.pondList.searchPonds')}
            placeholder={t('ponds.pondList.siteCustomerTownUse')}
            value={search}
            onValue={(q) => void setView({ q })}
          />
          {may(role, 'ponds.write') ? (
            <Link className="btn btn-sm btn-primary text-nowrap" href="/ponds/new">
              <Icon name="plus-lg" /> {t('ponds.pondList.addPond')}
            </Link>
          ) : null}
        </span>
      </div>
      <div className="sheet">
        {ponds.length === 0 ? (
          <p className="mb-0">{t('ponds.pondList.pondsStandHereOnce')}</p>
        ) : (
          <DataTable
            tools={
              <FilterChips
                name={t('ponds.pondList.showOnly')}
                chips={FILTERS.map((f) => ({
                  key: f,
                  label: t(`ponds.listFilters.${f}`),
                  count: found.filter(HOLDS[f]).length,
                }))}
                chosen={filter}
                onChoose={(show) => void setView({ show })}
              />
            }
            name={t('ponds.pondList.pondsTable')}
            columns={columns}
            rows={shown}
            keyOf={(p) => p.id}
            rememberAs="ponds"
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

const textOf = (p: PondLine, t: Texts): string =>
  [p.siteName, p.name, p.customerName, p.town, t(`ponds.pondUseNames.${p.use}`)].join(' ').toLowerCase()

const rank = (attention: Attention) => ATTENTION.indexOf(attention)

function usePondColumns(): readonly PondColumn[] {
  const t = useTexts()

  const show = useShow()
  return useMemo(
    (): PondColumn[] => [
      { key: 'siteName', label: t('ponds.pondList.site'), value: (p) => p.siteName },
      {
        key: 'name',
        label: t('ponds.pondList.pond'),
        value: (p) => p.name,
        cell: (p) => <Link href={`/ponds/${p.id}`}>{p.name}</Link>,
      },
      {
        key: 'status',
        label: t('ponds.pondList.status'),
        // the worst first
        value: (p) => rank(attentionOf(p)),
        cell: (p) => <PondStatus pond={p} />,
      },
      {
        key: 'lastVisit',
        label: t('ponds.pondList.lastVisit'),
        value: (p) => p.lastVisit?.day ?? null,
        cell: (p) =>
          p.lastVisit ? <Link href={`/visits/${p.lastVisit.id}/report`}>{dated(p.lastVisit.day)}</Link> : '–',
      },
      {
        key: 'nextVisit',
        label: t('ponds.pondList.nextVisit'),
        value: (p) => p.nextVisit?.day ?? null,
        cell: (p) => (p.nextVisit ? `${dated(p.nextVisit.day)}, ${p.nextVisit.jobName}` : '–'),
      },
      {
        key: 'agreed',
        label: t('ponds.pondList.agreed'),
        value: (p) => p.agreed,
        cell: (p) => (p.agreed > 0 ? t('ponds.pondList.visitTypes', { count: p.agreed }) : t('ponds.pondList.noPlan')),
      },
      { key: 'fishCount', label: t('ponds.pondList.fish'), value: (p) => p.fishCount, figure: true },
      {
        key: 'volumeM3',
        label: t('ponds.pondList.water'),
        value: (p) => p.volumeM3,
        cell: (p) => show(p.volumeM3, 'volume'),
        figure: true,
      },
      { key: 'customerName', label: t('ponds.pondList.customer'), value: (p) => p.customerName, extra: true },
      { key: 'town', label: t('ponds.pondList.town'), value: (p) => p.town, extra: true },
      { key: 'use', label: t('ponds.pondList.use'), value: (p) => t(`ponds.pondUseNames.${p.use}`), extra: true },
      {
        key: 'areaM2',
        label: t('ponds.pondList.surface'),
        value: (p) => p.areaM2,
        cell: (p) => show(p.areaM2, 'area'),
        figure: true,
        extra: true,
      },
      {
        key: 'filter',
        label: t('ponds.pondList.filter'),
        value: (p) => p.filter?.name ?? null,
        cell: (p) => (p.filter ? <Link href={`/ponds/${p.id}/design`}>{p.filter.name}</Link> : '–'),
        extra: true,
      },
    ],
    [t, show],
  )
}

const dated = (day: string) => `${shortDate(day)} ${day.slice(0, 4)}`
