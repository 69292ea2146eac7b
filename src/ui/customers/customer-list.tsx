'use client'
import Link from 'next/link'
import { useMemo } from 'react'
import { parseAsString, parseAsStringLiteral, useQueryStates } from 'nuqs'
import { wordsOf } from '@/domain/search/search'
import type { CustomerLine } from '@/server/customers/customer-line-repository'
import { DataTable, type TableColumn } from '@/ui/kit/data-table'
import { FilterChips, SearchField } from '@/ui/kit/list-filters'
import { useTexts, type Texts } from '@/ui/kit/texts'

const COLUMN_KEYS = ['name', 'contact', 'sites', 'ponds', 'last', 'next', 'balance', 'proposals', 'towns'] as const
type CustomerColumn = TableColumn<CustomerLine> & { readonly key: (typeof COLUMN_KEYS)[number] }

const FILTERS = ['all', 'owed', 'unplanned', 'proposals', 'no-contact'] as const
type Filter = (typeof FILTERS)[number]
const owed = (c: CustomerLine) => c.agreed - c.done - c.planned
const HOLDS: Readonly<Record<Filter, (customer: CustomerLine) => boolean>> = {
  all: () => true,
  owed: (c) => owed(c) > 0,
  unplanned: (c) => c.nextVisit === null,
  proposals: (c) => c.openProposals > 0,
  'no-contact': (c) => c.email === '' && c.phone === '',
}

const VIEW = {
  q: parseAsString.withDefault(''),
  show: parseAsStringLiteral(FILTERS).withDefault('all'),
  sort: parseAsStringLiteral(COLUMN_KEYS).withDefault('name'),
  order: parseAsStringLiteral(['up', 'down']).withDefault('up'),
}

/** All customers: how to reach them, where, when someone was and will be there, what is agreed and open. */
export function CustomerList({ customers }: { customers: readonly CustomerLine[] }) {
  const t = useTexts()

  const [{ q: search, show: filter, sort: key, order }, setView] = useQueryStates(VIEW, { history: 'replace' })
  const columns = useCustomerColumns()
  const found = useMemo(() => {
    const words = wordsOf(search)
    return customers.filter((c) => words.every((w) => textOf(c).includes(w)))
  }, [customers, search])
  const shown = found.filter(HOLDS[filter])
  return (
    <>
      <div className="page-head">
        <h1>{t('customers.list.customers')}</h1>
        <span className="soft">{t('customers.list.count', { count: customers.length })}</span>
        <span className="actions no-print">
          <SearchField
            label={t('customers.list.searchCustomers')}
            placeholder={t('customers.list.nameSiteTown')}
            value={search}
            onValue={(q) => void setView({ q })}
          />
        </span>
      </div>
      <div className="sheet">
        {customers.length === 0 ? (
          <p className="mb-0">
            {t('customers.list.none')} <Link href="/ponds/new">{t('customers.list.addPond')}</Link>
          </p>
        ) : (
          <DataTable
            tools={
              <FilterChips
                name={t('customers.list.showOnly')}
                chips={FILTERS.map((f) => ({
                  key: f,
                  label: t(`customers.listFilters.${f}`),
                  count: found.filter(HOLDS[f]).length,
                }))}
                chosen={filter}
                onChoose={(show) => void setView({ show })}
              />
            }
            name={t('customers.list.customersTable')}
            columns={columns}
            rows={shown}
            keyOf={(c) => c.id}
            rememberAs="customers"
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

const textOf = (c: CustomerLine): string => [c.name, c.email, c.phone, ...c.sites, ...c.towns].join(' ').toLowerCase()

const dated = (day: string | null, t: Texts) => (day ? t.datedDay(day) : '–')

function useCustomerColumns(): readonly CustomerColumn[] {
  const t = useTexts()

  return useMemo(
    (): CustomerColumn[] => [
      {
        key: 'name',
        label: t('customers.list.customer'),
        value: (c) => c.name,
        cell: (c) => <Link href={`/customers/${c.id}`}>{c.name}</Link>,
      },
      {
        key: 'contact',
        label: t('customers.list.contact'),
        value: (c) => c.email || c.phone || null,
        cell: (c) => [c.email, c.phone].filter(Boolean).join(' · ') || t('customers.list.noContact'),
      },
      { key: 'sites', label: t('customers.list.sites'), value: (c) => c.sites.join(', ') },
      { key: 'ponds', label: t('customers.list.ponds'), value: (c) => c.ponds, figure: true },
      {
        key: 'last',
        label: t('customers.list.lastVisit'),
        value: (c) => c.lastVisit,
        cell: (c) => dated(c.lastVisit, t),
      },
      {
        key: 'next',
        label: t('customers.list.nextVisit'),
        value: (c) => c.nextVisit,
        cell: (c) => dated(c.nextVisit, t),
      },
      {
        key: 'balance',
        label: t('customers.list.agreedThisYear'),
        value: (c) => owed(c),
        cell: (c) =>
          c.agreed === 0
            ? t('customers.list.nothingAgreed')
            : t('customers.list.balance', { agreed: c.agreed, done: c.done, planned: c.planned }),
      },
      {
        key: 'proposals',
        label: t('customers.list.openProposals'),
        value: (c) => c.openProposals,
        cell: (c) => (c.openProposals > 0 ? c.openProposals : '–'),
        figure: true,
      },
      { key: 'towns', label: t('customers.list.towns'), value: (c) => c.towns.join(', '), extra: true },
    ],
    [t],
  )
}
