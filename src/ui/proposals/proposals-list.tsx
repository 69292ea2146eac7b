'use client'
import Link from 'next/link'
import { parseAsString, parseAsStringLiteral, useQueryStates } from 'nuqs'
import { wordsOf } from '@/domain/search/search'
import type { ProposalLine } from '@/server/proposals/proposal-repository'
import { FilterChips, SearchField } from '@/ui/kit/list-filters'
import { useTexts } from '@/ui/kit/texts'
import { ProposalTable } from './proposal-table'

const FILTERS = ['open', 'accepted', 'declined', 'withdrawn', 'all'] as const
type Filter = (typeof FILTERS)[number]
const holds = (filter: Filter, { state }: ProposalLine) =>
  filter === 'all' || state === (filter === 'open' ? 'sent' : filter)

const COLUMN_KEYS = ['number', 'title', 'pond', 'customer', 'state', 'made', 'until', 'total'] as const
const VIEW = {
  q: parseAsString.withDefault(''),
  show: parseAsStringLiteral(FILTERS).withDefault('all'),
  sort: parseAsStringLiteral(COLUMN_KEYS).withDefault('number'),
  order: parseAsStringLiteral(['up', 'down']).withDefault('down'),
}

/** Proposals of all ponds by how they stand. */
export function ProposalsList({ proposals, today }: { proposals: readonly ProposalLine[]; today: string }) {
  const t = useTexts()

  const [{ q: search, show: filter, sort, order }, setView] = useQueryStates(VIEW, { history: 'replace' })
  const words = wordsOf(search)
  const found = proposals.filter((p) => {
    const text = [p.number, p.title, p.siteName, p.pondName, p.customerName].join(' ').toLowerCase()
    return words.every((word) => text.includes(word))
  })
  return (
    <>
      <div className="page-head">
        <h1>{t('proposals.list.proposals')}</h1>
        <span className="actions no-print">
          <SearchField
            label={t('proposals.list.search')}
            placeholder={t('proposals.list.siteCustomerTitle')}
            value={search}
            onValue={(q) => void setView({ q })}
          />
        </span>
      </div>
      <div className="sheet">
        {proposals.length === 0 ? (
          <p className="mb-0">
            {t('proposals.list.none')} <Link href="/ponds">{t('proposals.list.ponds')}</Link>
          </p>
        ) : (
          <ProposalTable
            tools={
              <FilterChips
                name={t('proposals.list.showOnly')}
                chips={FILTERS.map((f) => ({
                  key: f,
                  label: t(`proposals.listFilters.${f}`),
                  count: found.filter((p) => holds(f, p)).length,
                }))}
                chosen={filter}
                onChoose={(show) => void setView({ show })}
              />
            }
            proposals={found.filter((p) => holds(filter, p))}
            today={today}
            sort={{ key: sort, up: order === 'up' }}
            onSort={(next) =>
              void setView({ sort: COLUMN_KEYS.find((k) => k === next.key)!, order: next.up ? 'up' : 'down' })
            }
          />
        )}
      </div>
    </>
  )
}
