'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { may } from '@/domain/people/roles'
import type { PondPageData } from '@/server/ponds/ponds'
import { usePerson } from '@/ui/person-context'

/** What can be done for a pond, by those who may. */
export function PondActions({ data: { pond, designs } }: { data: PondPageData }) {
  const t = useTexts()
  const { role } = usePerson()
  return (
    <span className="actions no-print">
      <Link className="btn btn-sm btn-outline-secondary" href={`/ponds/${pond.id}/house-rules`}>
        {t('ponds.pondView.houseRulesHere')}
      </Link>
      {may(role, 'ponds.write') ? (
        <Link className="btn btn-sm btn-outline-secondary" href={`/ponds/${pond.id}/survey`}>
          {t('ponds.pondView.changeSurvey')}
        </Link>
      ) : null}
      <Link className="btn btn-sm btn-outline-primary" href={`/ponds/${pond.id}/design`}>
        {designs.length > 0 ? t('ponds.pondView.openFilterDesign') : t('ponds.pondView.sizeFilter')}
      </Link>
      {may(role, 'visits.plan') ? (
        <Link className="btn btn-sm btn-outline-secondary" href={`/ponds/${pond.id}/service-plan`}>
          {t('ponds.pondView.servicePlan')}
        </Link>
      ) : null}
      {may(role, 'visits.plan') ? (
        <Link className="btn btn-sm btn-primary" href={`/ponds/${pond.id}/plan`}>
          {t('ponds.pondView.planCleanout')}
        </Link>
      ) : null}
      {may(role, 'visits.plan') ? (
        <Link className="btn btn-sm btn-outline-primary" href={`/ponds/${pond.id}/plan?job=routine`}>
          {t('ponds.pondView.planAnotherVisit')}
        </Link>
      ) : null}
      {may(role, 'visits.plan') ? (
        <Link className="btn btn-sm btn-outline-secondary" href={`/ponds/${pond.id}/rescue`}>
          {t('ponds.pondView.planRescue')}
        </Link>
      ) : null}
    </span>
  )
}
