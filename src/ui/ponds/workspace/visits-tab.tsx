'use client'
import Link from 'next/link'
import { fieldHref } from '@/domain/field/field-href'
import type { PondVisitsData } from '@/server/ponds/pond-pages'
import { DataTable, type TableColumn } from '@/ui/kit/data-table'
import { useTexts } from '@/ui/kit/texts'
import { FindingsSheet } from '@/ui/visits/findings-sheet'
import { FollowUpsSheet } from '@/ui/visits/follow-ups-sheet'
import { Sheet } from '../sheet'

type Visit = PondVisitsData['visits'][number]

/** Visits of a pond, newest first, beside what is to be done after them and what they found. */
export function VisitsTab({ data }: { data: PondVisitsData }) {
  const t = useTexts()

  const { today } = data
  return (
    <div className="columns wide-left">
      <Sheet title={t('ponds.visitsTab.plannedAndDone')}>
        {data.visits.length === 0 ? (
          <p className="soft mb-0">{t('ponds.pondView.noneYetPlanFirst')}</p>
        ) : (
          <Visits visits={data.visits} />
        )}
      </Sheet>
      <Sheet title={t('ponds.visitsTab.toFollowUp')}>
        <FollowUpsSheet pondId={data.pond.id} followUps={data.followUps} today={today} />
        <FindingsSheet findings={data.findings} />
      </Sheet>
    </div>
  )
}

function Visits({ visits }: { visits: readonly Visit[] }) {
  const t = useTexts()

  const columns: readonly TableColumn<Visit>[] = [
    {
      key: 'day',
      label: t('ponds.visitsTab.day'),
      value: (v) => v.day,
      cell: (v) => (
        <Link href={v.state === 'done' ? `/visits/${v.id}/report` : fieldHref(v.id)}>
          {v.job.name}, {t.longDate(v.day)}
        </Link>
      ),
    },
    { key: 'crew', label: t('ponds.visitsTab.crew'), value: (v) => v.crewName },
    { key: 'state', label: t('ponds.visitsTab.state'), value: (v) => t(`visits.visitStateNames.${v.state}`) },
    {
      key: 'paper',
      label: t('ponds.visitsTab.paper'),
      cell: (v) =>
        v.state === 'planned' ? (
          <Link
            href={`/visits/${v.id}/sheet`}
            aria-label={t('ponds.pondView.paper', { name: v.job.name, day: t.longDate(v.day) })}
          >
            {t('ponds.pondView.paper2')}
          </Link>
        ) : null,
    },
  ]
  return (
    <DataTable name={t('ponds.visitsTab.visits')} columns={columns} rows={[...visits].reverse()} keyOf={(v) => v.id} />
  )
}
