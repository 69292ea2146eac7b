import type { PlanVisit } from '@/core/schedule/plan/plan-input'
import { PLAN_STEP_MIN } from '@/core/schedule/plan/plan-input'
import { minutesOfDay } from '@/domain/people/crew-setup'
import type { CrewId } from '@/domain/shared/ids'
import type { Crew } from '@/domain/people/people'
import type { CrewBusy } from '@/server/rounds/busy-repository'

interface BusyInPlan {
  /** Hours in the middle of a day, as visits at the yard that nobody may move. */
  readonly visits: readonly PlanVisit[]
  readonly wholeDays: ReadonlyMap<CrewId, readonly string[]>
}

/** A busy time that leaves less than this of the day takes all of it. */
const MIN_LEFT_MIN = 90

/** Busy times as a plan can reckon with them. Overlapping ones of a crew and day are joined first. */
export function busyVisits(busy: readonly CrewBusy[], crews: readonly Crew[]): BusyInPlan {
  const visits: PlanVisit[] = []
  const wholeDays = new Map<CrewId, string[]>()
  for (const crew of crews) {
    const [starts, ends] = [minutesOfDay(crew.setup.starts), minutesOfDay(crew.setup.ends)]
    const days = new Map<string, CrewBusy[]>()
    for (const b of busy) if (b.crewId === crew.id) days.set(b.day, [...(days.get(b.day) ?? []), b])
    for (const [day, times] of days) {
      const spans = joined(
        times.map((t) => [Math.max(starts, t.startMin), Math.min(ends, t.endMin)] as const).filter(([a, b]) => b > a),
      )
      const left = ends - starts - spans.reduce((sum, [a, b]) => sum + b - a, 0)
      if (left < MIN_LEFT_MIN) wholeDays.set(crew.id, [...(wholeDays.get(crew.id) ?? []), day])
      else spans.forEach(([a, b]) => visits.push(stayingAway(crew, day, a, b)))
    }
  }
  return { visits, wholeDays }
}

function joined(spans: readonly (readonly [number, number])[]): [number, number][] {
  const found: [number, number][] = []
  for (const [a, b] of [...spans].sort((x, y) => x[0] - y[0])) {
    const last = found.at(-1)
    if (last && a <= last[1]) last[1] = Math.max(last[1], b)
    else found.push([a, b])
  }
  return found
}

function stayingAway(crew: Crew, day: string, from: number, to: number): PlanVisit {
  const start = Math.ceil(from / PLAN_STEP_MIN) * PLAN_STEP_MIN
  return {
    id: `busy:${crew.id}:${day}:${from}`,
    location: 0,
    handsMin: 0,
    fixedMin: to - from,
    earliest: day,
    best: day,
    latest: day,
    likelihood: {},
    opensMin: start,
    closesMin: start,
    closedDays: [],
    skills: [],
    kit: [],
    load: 0,
    tankM3: 0,
    value: 1,
    after: [],
    preferredCrew: crew.id,
    published: { crew: crew.id, day, startMin: start },
    locked: true,
    urgent: true,
  }
}
