'use client'
import { shortDate } from '@/domain/shared/dates'
import type { CrunchWeek } from '@/domain/schedule/plan-run'
import { percentAt, type TimeAxis } from './time-axis'

const hours = (minutes: number) => Math.round(minutes / 60)
const HEIGHT_PX = 44

/** Hours wanted against crew hours, week by week on the ribbons' own axis: where it gets tight. */
export function CrunchStrip({ weeks, axis }: { weeks: readonly CrunchWeek[]; axis: TimeAxis }) {
  if (weeks.length === 0) return null
  const most = Math.max(1, ...weeks.map((w) => Math.max(w.wantedMin, w.crewMin)))
  return (
    <div className="season-row crunch" role="img" aria-label={labelOf(weeks)}>
      <span className="soft small">Hours wanted, and the crews’</span>
      <span className="season-year" style={{ height: HEIGHT_PX, overflow: 'hidden' }}>
        {weeks.map((w) => {
          const [left, width] = [percentAt(axis, w.monday), (7 / axis.days) * 100]
          const tight = w.wantedMin > w.crewMin
          return (
            <span key={w.monday} title={`Week of ${shortDate(w.monday)}: ${hours(w.wantedMin)} h wanted, crews have ${hours(w.crewMin)} h`}>
              <span
                className={`crunch-bar ${tight ? 'tight' : ''}`}
                style={{ left: `${left}%`, width: `calc(${width}% - 1px)`, height: `${(w.wantedMin / most) * 100}%` }}
              />
              <span className="crunch-line" style={{ left: `${left}%`, width: `${width}%`, bottom: `${(w.crewMin / most) * 100}%` }} />
            </span>
          )
        })}
      </span>
    </div>
  )
}

function labelOf(weeks: readonly CrunchWeek[]): string {
  const tight = weeks.filter((w) => w.wantedMin > w.crewMin)
  return tight.length === 0
    ? 'No week asks for more hours than the crews have'
    : `More hours wanted than the crews have in the weeks of ${tight.map((w) => shortDate(w.monday)).join(', ')}`
}
