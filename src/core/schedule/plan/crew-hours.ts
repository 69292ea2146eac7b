import type { IsoDate } from '../../numeric/calendar'
import type { PlanCrew, PlanInput } from './plan-input'

/** A crew's day on the clock of a plan, minutes: the break is taken off its end. */
export interface CrewHours {
  readonly startMin: number
  /** Home by then without overtime, and with all that is allowed. */
  readonly endMin: number
  readonly latestMin: number
}

/** When a crew can be out on a day: its hours, overtime, and light. */
export function crewHours({ light, out }: Pick<PlanInput, 'light' | 'out'>, crew: PlanCrew, day: IsoDate): CrewHours {
  const [dawn, dusk] = (crew.daylightOnly ? light[day] : undefined) ?? [0, Infinity]
  const already = out?.[crew.id]
  const startMin = Math.max(crew.startMin, dawn, already?.day === day ? already.fromMin : 0)
  const home = (end: number) => Math.max(startMin, Math.min(end, dusk) - crew.breakMin)
  return { startMin, endMin: home(crew.endMin), latestMin: home(crew.endMin + crew.overtimeMin) }
}

/** Where a crew's day begins: at its depot, or where it is. */
export function beginsAt({ out }: Pick<PlanInput, 'out'>, crew: PlanCrew, day: IsoDate): number {
  const already = out?.[crew.id]
  return already?.day === day ? already.location : crew.depot
}
