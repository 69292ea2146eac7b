import { addDays } from '../src/core/numeric/calendar'
import type { PondId } from '../src/domain/shared/ids'
import type { Actor } from '../src/server/platform/auth/actor'
import { logReadings } from '../src/server/water/readings'
import { addOneOff } from '../src/server/equipment/tasks'

const RETEST_WITHIN_DAYS = 3
const RETEST_MINUTES = 15

/** Tests before and after a night and a day without power: the bed's bacteria starved for air, and nitrite rises. */
const TESTS: readonly {
  readonly daysAgo: number
  readonly tan: number
  readonly nitrite: number
  readonly ph: number
  readonly kh: number
}[] = [
  { daysAgo: 24, tan: 0.1, nitrite: 0.08, ph: 7.7, kh: 5.5 },
  { daysAgo: 2, tan: 1.1, nitrite: 0.6, ph: 7.6, kh: 5 },
  { daysAgo: 1, tan: 0.9, nitrite: 1.3, ph: 7.6, kh: 5 },
]

/** The works' canteen had no power for thirty hours: what was tested since, and what is still to be done. */
export async function powerCut(office: Actor, pondId: PondId, today: string): Promise<void> {
  for (const { daysAgo, ...values } of TESTS)
    await logReadings(office, pondId, {
      readings: Object.fromEntries(Object.entries(values).map(([kind, value]) => [kind, { value, belowStep: false }])),
      method: 'drops',
      at: `${addDays(today, -daysAgo)}T09:30:00-03:00`,
      confirmedUnlikely: true,
    })
  await addOneOff(office, pondId, {
    title: 'Test ammonia and nitrite again: the power was out for thirty hours, feed nothing until both are down',
    from: today,
    to: addDays(today, RETEST_WITHIN_DAYS),
    minutes: RETEST_MINUTES,
  })
}
