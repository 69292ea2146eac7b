'use client'
import { useTexts } from '@/ui/kit/texts'
import { fieldHref } from '@/domain/field/field-href'
import type { VisitView } from './device/device-view'
import { FieldLink } from './field-link'

/**
 * Visits that one crew makes at one site on one day: one stop with several ponds. The visit itself is not among them.
 */
export const othersAtStop = (view: VisitView, views: readonly VisitView[]): VisitView[] =>
  views.filter(
    ({ visit }) =>
      visit.id !== view.visit.id &&
      visit.siteId === view.visit.siteId &&
      visit.day === view.visit.day &&
      visit.crewId === view.visit.crewId &&
      visit.state !== 'cancelled',
  )

/** The other ponds of this stop, a tap away. */
export function StopPonds({ view, others }: { view: VisitView; others: readonly VisitView[] }) {
  const t = useTexts()

  if (others.length === 0) return null
  const all = [view, ...others].sort(
    (a, b) => a.visit.startTime.localeCompare(b.visit.startTime) || a.visit.pondName.localeCompare(b.visit.pondName),
  )
  return (
    <nav aria-label={t('field.stopPonds.pondsStop')} className="stop-ponds">
      {all.map(({ visit }) => (
        <FieldLink
          key={visit.id}
          href={fieldHref(visit.id)}
          className="btn btn-outline-secondary"
          current={visit.id === view.visit.id}
        >
          {visit.pondName}
          <span className="soft small d-block">
            {visit.job.name}, {t(`visits.visitStateNames.${visit.state}`)}
          </span>
        </FieldLink>
      ))}
    </nav>
  )
}
