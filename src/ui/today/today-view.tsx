'use client'
import { may } from '@/domain/people/roles'
import type { TodayPageData } from '@/server/today/today'
import { useTexts } from '@/ui/kit/texts'
import { usePerson } from '@/ui/person-context'
import { ComingDays } from './coming-days'
import { CrewsToday } from './crews-today'
import { Answers, AtRisk, CleanoutsToPlan, FollowUps, Requests, Unlogged } from './decisions'
import { WaterStrip } from './water-strip'

/**
 * The morning: for who plans what must be decided, the worst first, and beside it the rounds of today; for a crew its
 * rounds first.
 */
export function TodayView({ data }: { data: TodayPageData }) {
  const t = useTexts()

  const { role } = usePerson()
  const decisions = (
    <div key="decisions">
      <AtRisk data={data} />
      <Requests data={data} />
      <Unlogged data={data} />
      <Answers data={data} />
      <FollowUps data={data} />
      <CleanoutsToPlan data={data} />
    </div>
  )
  const rounds = (
    <div key="rounds">
      <CrewsToday visits={data.todays} />
      <ComingDays visits={data.coming} />
    </div>
  )
  return (
    <>
      <div className="page-head">
        <h1>{t.longDate(data.today)}</h1>
      </div>
      <WaterStrip data={data} />
      <div className="columns two">{may(role, 'visits.plan') ? [decisions, rounds] : [rounds, decisions]}</div>
    </>
  )
}
