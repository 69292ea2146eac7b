'use client'
import Link from 'next/link'
import type { ReactNode } from 'react'
import { money } from '@/domain/prices/pricing'
import type { ProposalLine } from '@/server/proposals/proposal-repository'
import { DataTable, type TableColumn, type TableSort } from '@/ui/kit/data-table'
import { useTexts } from '@/ui/kit/texts'

interface ProposalTableProps {
  readonly proposals: readonly ProposalLine[]
  readonly today: string
  /** Beside other things: without whose it is, and without prices. */
  readonly brief?: boolean
  readonly tools?: ReactNode
  readonly sort?: TableSort
  readonly onSort?: (sort: TableSort) => void
}

const LOOK: Readonly<Record<ProposalLine['state'], string>> = {
  sent: 'watch',
  accepted: 'fine',
  declined: 'act',
  withdrawn: 'unknown',
}

/** Proposals in lines: whose, what, how they stand, until when they hold, what they come to. */
export function ProposalTable({ proposals, today, brief = false, tools, sort, onSort }: ProposalTableProps) {
  const t = useTexts()

  const past = (p: ProposalLine) => p.state === 'sent' && p.validUntil < today
  const all: readonly TableColumn<ProposalLine>[] = [
    { key: 'number', label: t('proposals.table.number'), value: (p) => p.number, figure: true },
    {
      key: 'title',
      label: t('proposals.table.proposal'),
      value: (p) => p.title,
      cell: (p) => <Link href={`/ponds/${p.pondId}/design?part=price`}>{p.title}</Link>,
    },
    { key: 'pond', label: t('proposals.table.pond'), value: (p) => `${p.siteName}: ${p.pondName}` },
    { key: 'customer', label: t('proposals.table.customer'), value: (p) => p.customerName },
    {
      key: 'state',
      label: t('proposals.table.state'),
      value: (p) => p.state,
      cell: (p) => (
        <span className={`verdict ${past(p) ? 'act' : LOOK[p.state]}`}>
          {past(p) ? t('proposals.table.expired') : t(`proposals.stateNames.${p.state}`)}
        </span>
      ),
    },
    {
      key: 'made',
      label: t('proposals.table.made'),
      value: (p) => p.madeAt,
      cell: (p) => t.datedDay(p.madeAt.slice(0, 10)),
    },
    {
      key: 'until',
      label: t('proposals.table.validUntil'),
      value: (p) => p.validUntil,
      cell: (p) => t.datedDay(p.validUntil),
    },
    {
      key: 'total',
      label: t('proposals.table.total'),
      value: (p) => p.totalMinor[1],
      cell: (p) => [...new Set(p.totalMinor)].map((minor) => money(minor, p.currency)).join(' – '),
      figure: true,
    },
  ]
  const columns = brief ? all.filter(({ key }) => ['number', 'title', 'state', 'until'].includes(key)) : all
  return (
    <DataTable
      name={t('proposals.table.proposals')}
      columns={columns}
      rows={proposals}
      keyOf={(p) => p.id}
      tools={tools}
      sort={sort}
      onSort={onSort}
    />
  )
}
