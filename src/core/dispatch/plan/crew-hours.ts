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
export function crewHours({ light }: Pick<PlanInput, 'light'>, crew: PlanCrew, day: IsoDate): CrewHours {
  const [dawn, dusk] = (crew.daylightOnly ? light[day] : undefined) ?? [0, Infinity]
  const startMin = Math.max(crew.startMin, dawn)
  const home = (end: number) => Math.max(startMin, Math.min(end, dusk) - crew.breakMin)
  return { startMin, endMin: home(crew.endMin), latestMin: home(crew.endMin + crew.overtimeMin) }
}
