import type { CrewOut } from '@/core/schedule/plan/plan-input'
import { wholeSteps } from '@/core/schedule/plan/plan-input'
import { minutesOfDay } from '@/domain/people/crew-setup'
import type { Crew } from '@/domain/people/people'
import type { PlanningVisit } from '@/server/schedule/planning-repository'
import { minuteIn } from '@/server/platform/today'
import type { Places } from './places'

/**
 * Where crews are today, and from which minute each is free: at the site of what is under way, when that should be
 * over, or at the last
 * site that is done, now. A crew that has not been anywhere begins at its yard.
 * @param fromTime a person's say instead of now
 */
export function crewsOut(
  crews: readonly Crew[],
  visits: readonly PlanningVisit[],
  places: Places,
  { today, timeZone, now }: { readonly today: string; readonly timeZone: string; readonly now: Date },
  fromTime: string | null,
): Record<string, CrewOut> {
  const from = fromTime === null ? minuteIn(timeZone, now) : minutesOfDay(fromTime)
  return Object.fromEntries(
    crews.map((crew) => {
      const mine = visits.filter((v) => v.crewId === crew.id && v.day === today)
      const running = mine.find((v) => v.state === 'under-way')
      const last = running ?? mine.filter((v) => v.state === 'done').at(-1)
      const begin = () => {
        if (running) {
          if (running.startedAt) return minuteIn(timeZone, new Date(running.startedAt))
          return minutesOfDay(running.startTime)
        }
        return 0
      }
      const began = begin()
      const ends = running ? began + running.plannedMinutes : 0
      return [
        crew.id,
        {
          day: today,
          fromMin: wholeSteps(Math.max(from, ends)),
          location: last ? places.of(last.pondId) : places.yardOf(crew.id),
        },
      ]
    }),
  )
}
