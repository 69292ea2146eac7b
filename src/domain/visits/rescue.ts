import { z } from 'zod'
import { calendarDay, numberWithin } from '../shared/fields'
import { CrewId } from '../shared/ids'
import { clockTime } from './visit'
import { said } from '../shared/said'

/** What is asked before a rescue is planned; tests that were not made stay empty. */
export const RescueInput = z.strictObject({
  first: calendarDay,
  crewId: CrewId,
  startTime: clockTime,
  tan: numberWithin([0, 100], 'visits.fields.totalAmmonia', 'mg/L').nullable(),
  nitrite: numberWithin([0, 100], 'visits.fields.nitrite', 'mg/L').nullable(),
  ph: numberWithin([3, 12], 'visits.fields.ph', '').nullable(),
  khDH: numberWithin([0, 60], 'visits.fields.kh', '°dH').nullable(),
  oxygenMgL: numberWithin([0, 30], 'visits.fields.dissolvedOxygen', 'mg/L').nullable(),
  hasMedia: z.boolean(),
  rockSections: z
    .int({ error: said('visits.problems.giveWholeSections') })
    .min(0)
    .max(6, { error: said('visits.problems.atMostSixSections') }),
})
export type RescueInput = z.infer<typeof RescueInput>
