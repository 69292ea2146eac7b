'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { fieldHref } from '@/domain/field/field-href'
import { longDate } from '@/domain/shared/dates'
import type { PondPageData } from '@/server/ponds/ponds'
import { FindingsSheet } from '@/ui/visits/findings-sheet'
import { FollowUpsSheet } from '@/ui/visits/follow-ups-sheet'
import { Sheet } from './sheet'

/** Visits of a pond, newest first, what is to be done after them, and what they found. */
export function PondVisits({ data, today }: { data: PondPageData; today: string }) {
  const t = useTexts()

  return (
    <Sheet title={t('ponds.pondView.visitsFollowUps')}>
      <FollowUpsSheet pondId={data.pond.id} followUps={data.followUps} today={today} />
      <FindingsSheet findings={data.findings} />
      <ul className="plain-list">
        {[...data.visits].reverse().map((v) => (
          <li key={v.id}>
            <Link href={v.state === 'done' ? `/visits/${v.id}/report` : fieldHref(v.id)}>
              {v.job.name}, {longDate(v.day)}
            </Link>
            <span className="soft">
              {' '}
              · {v.crewName} · {t(`visits.visitStateNames.${v.state}`)}
            </span>
            {v.state === 'planned' ? (
              <>
                {' '}
                <Link
                  className="small no-print"
                  href={`/visits/${v.id}/sheet`}
                  aria-label={t('ponds.pondView.paper', { name: v.job.name, day: longDate(v.day) })}
                >
                  {t('ponds.pondView.paper2')}
                </Link>
              </>
            ) : null}
          </li>
        ))}
      </ul>
      {data.visits.length + data.followUps.length === 0 ? (
        <p className="soft mb-0">{t('ponds.pondView.noneYetPlanFirst')}</p>
      ) : null}
    </Sheet>
  )
}
