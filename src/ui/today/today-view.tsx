'use client'
import { longDate } from '@/domain/shared/dates'
import type { TodayPageData } from '@/server/today/today'
import { ComingDays } from './coming-days'
import { CrewsToday } from './crews-today'
import { Answers, AtRisk, CleanoutsToPlan, FollowUps, Requests, Unlogged } from './decisions'
import { WaterStrip } from './water-strip'

/** The morning: what must be decided, the worst first; beside it the rounds of today and what comes. */
export function TodayView({ data }: { data: TodayPageData }) {
  return (
    <>
      <div className="page-head">
        <h1>{longDate(data.today)}</h1>
      </div>
      <WaterStrip data={data} />
      <div className="columns two">
        <div>
          <AtRisk data={data} />
          <Requests data={data} />
          <Unlogged data={data} />
          <Answers data={data} />
          <FollowUps data={data} />
          <CleanoutsToPlan data={data} />
        </div>
        <div>
          <CrewsToday visits={data.todays} />
          <ComingDays visits={data.coming} />
        </div>
      </div>
    </>
  )
}
