'use client'
import { type Texts, useTexts } from '@/ui/kit/texts'
import type { CrunchWeek } from '@/domain/schedule/plan-run'
import { percentAt, type TimeAxis } from './time-axis'

const hours = (minutes: number) => Math.round(minutes / 60)
const HEIGHT_PX = 44

/** Hours wanted against crew hours, week by week on the ribbons' own axis: where it gets tight. */
export function CrunchStrip({ weeks, axis }: { weeks: readonly CrunchWeek[]; axis: TimeAxis }) {
  const t = useTexts()

  if (weeks.length === 0) return null
  const max = Math.max(1, ...weeks.map((w) => Math.max(w.wantedMin, w.crewMin)))
  return (
    <div className="season-row crunch" role="img" aria-label={labelOf(weeks, t)}>
      <span className="soft small">{t('season.crunchStrip.hoursWantedCrews')}</span>
      <span className="season-year" style={{ height: HEIGHT_PX, overflow: 'hidden' }}>
        {weeks.map((w) => {
          const [left, width] = [percentAt(axis, w.monday), (7 / axis.days) * 100]
          const tight = w.wantedMin > w.crewMin
          return (
            <span
              key={w.monday}
              title={t('season.crunchStrip.weekHWantedCrews', {
                monday: t.shortDate(w.monday),
                wantedMin: hours(w.wantedMin),
                crewMin: hours(w.crewMin),
              })}
            >
              <span
                className={`crunch-bar ${tight ? 'tight' : ''}`}
                style={{ left: `${left}%`, width: `calc(${width}% - 1px)`, height: `${(w.wantedMin / max) * 100}%` }}
              />
              <span
                className="crunch-line"
                style={{ left: `${left}%`, width: `${width}%`, bottom: `${(w.crewMin / max) * 100}%` }}
              />
            </span>
          )
        })}
      </span>
    </div>
  )
}

function labelOf(weeks: readonly CrunchWeek[], t: Texts): string {
  const tight = weeks.filter((w) => w.wantedMin > w.crewMin)
  return tight.length === 0
    ? t('season.crunchStrip.noWeekAsksMore')
    : t('season.crunchStrip.moreHoursWantedThan', { map: tight.map((w) => t.shortDate(w.monday)).join(', ') })
}
