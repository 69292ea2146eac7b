'use client'
import Link from 'next/link'
import { useMemo } from 'react'
import { parseAsBoolean, parseAsString, parseAsStringLiteral, useQueryStates } from 'nuqs'
import { may } from '@/domain/people/roles'
import { ATTENTION, attentionOf, type Attention } from '@/domain/ponds/pond-state'
import { wordsOf } from '@/domain/search/search'
import type { PondLine } from '@/server/ponds/ponds'
import { DataTable, type TableColumn } from '@/ui/kit/data-table'
import { Icon } from '@/ui/kit/icon'
import { FilterChips, SearchField } from '@/ui/kit/list-filters'
import { useTexts, type Texts } from '@/ui/kit/texts'
import { sitesOf } from '@/ui/map/map-sites'
import { RegionMap, type RegionMapProps } from '@/ui/map/region-map'
import { usePerson, useShow } from '@/ui/person-context'
import { FILTERS, HOLDS } from './pond-filters'
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

/** What is searched for and how it is sorted stands in the address: a link shows the same list, and so does Back. */
const VIEW = {
  q: parseAsString.withDefault(''),
  show: parseAsStringLiteral(FILTERS).withDefault('all'),
  sort: parseAsStringLiteral(COLUMN_KEYS).withDefault('siteName'),
  map: parseAsBoolean.withDefault(false),
  order: parseAsStringLiteral(['up', 'down']).withDefault('up'),
}

/** The same each time, so that the map is not drawn anew. */
const NO_ROUNDS: RegionMapProps['rounds'] = []

/** All ponds with what helps decide which to see to: how they stand, when someone was and will be there. */
export function PondList({ ponds, tiles }: { ponds: readonly PondLine[]; tiles: RegionMapProps['tiles'] }) {
  const t = useTexts()

  const { role } = usePerson()
  const [{ q: search, show: filter, sort: key, order, map }, setView] = useQueryStates(VIEW, { history: 'replace' })
  const columns = usePondColumns()
  const found = useMemo(() => {
    const words = wordsOf(search)
    return ponds.filter((p) => words.every((w) => textOf(p, t).includes(w)))
  }, [ponds, search, t])
  const shown = useMemo(() => found.filter(HOLDS[filter]), [found, filter])
  const { sites } = useMemo(() => sitesOf(shown), [shown])
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
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary text-nowrap"
            aria-pressed={map}
            onClick={() => void setView({ map: !map })}
          >
            <Icon name="map" /> {t('ponds.pondList.mapBeside')}
          </button>
          {may(role, 'ponds.write') ? (
            <Link className="btn btn-sm btn-primary text-nowrap" href="/ponds/new">
              <Icon name="plus-lg" /> {t('ponds.pondList.addPond')}
            </Link>
          ) : null}
        </span>
      </div>
      <div className={map ? 'columns with-map' : ''}>
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
        {map ? (
          <section className="sheet p-2 stick">
            <RegionMap
              name={t('map.mapView.mapOfSites', { count: sites.length })}
              sites={sites}
              rounds={NO_ROUNDS}
              tiles={tiles}
              chosen={null}
            />
          </section>
        ) : null}
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
          p.lastVisit ? <Link href={`/visits/${p.lastVisit.id}/report`}>{t.datedDay(p.lastVisit.day)}</Link> : '–',
      },
      {
        key: 'nextVisit',
        label: t('ponds.pondList.nextVisit'),
        value: (p) => p.nextVisit?.day ?? null,
        cell: (p) => (p.nextVisit ? `${t.datedDay(p.nextVisit.day)}, ${p.nextVisit.jobName}` : '–'),
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
