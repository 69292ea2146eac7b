'use client'
import { useTexts } from '@/ui/kit/texts'
import { clockAfter, DAY_ENDS, endsLate, overlapping } from '@/domain/schedule/clash'
import type { VisitPlanningData } from '@/server/visits/visit-planning'

interface SameDayProps {
  readonly crewName: string
  readonly sameDay: VisitPlanningData['visits']
  readonly startTime: string
  readonly minutes: number
}

/** What the crew has that day already, what it clashes with, and whether the day grows long. */
export function SameDay({ crewName, sameDay, startTime, minutes }: SameDayProps) {
  const t = useTexts()
  const clashing = overlapping({ startTime, minutes }, sameDay)
  return (
    <div className="mt-2" aria-live="polite">
      {sameDay.length === 0 ? (
        <span className="soft">{t('season.planForm.hasNothingElseDay', { name: crewName })}</span>
      ) : null}
      {sameDay.map((v) => (
        <div key={v.id}>
          {clashing.includes(v) ? <span className="verdict stop me-1">{t('season.planForm.clash')}</span> : null}
          {v.startTime}–{clockAfter(v.startTime, v.plannedMinutes)} {v.siteName}, {v.pondName}
        </div>
      ))}
      {crewName && endsLate({ startTime, minutes }) ? (
        <div>
          <span className="verdict look me-1">{t('season.planForm.longDay')}</span>{' '}
          {t('season.planForm.endsAboutAfterStart', { end: clockAfter(startTime, minutes), dayEnds: DAY_ENDS })}
        </div>
      ) : null}
    </div>
  )
}
