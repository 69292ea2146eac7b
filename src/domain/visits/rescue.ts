import { z } from 'zod'
import type { FillWater } from '../../core/water/fill-water'
import type { NeglectedPond } from '../../core/visits/rescue-plan'
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
  ghDH: numberWithin([0, 100], 'visits.fields.gh', '°dH').nullable(),
  /** What runs in: goes to the site's file too. */
  fillPh: numberWithin([3, 12], 'visits.fields.fillPh', '').nullable(),
  fillKhDH: numberWithin([0, 60], 'visits.fields.fillKh', '°dH').nullable(),
  oxygenMgL: numberWithin([0, 30], 'visits.fields.dissolvedOxygen', 'mg/L').nullable(),
  hasMedia: z.boolean(),
  rockSections: z
    .int({ error: said('visits.problems.giveWholeSections') })
    .min(0)
    .max(6, { error: said('visits.problems.atMostSixSections') }),
})
export type RescueInput = z.infer<typeof RescueInput>

/** What the file knows of the pond beside what is asked. */
interface RescueFacts {
  readonly systemM3: number
  readonly fishKg: number
  /** The site's fill water as it was last tested. */
  readonly fill: FillWater
}

const tested = (value: number | null): number | null => (value === null || Number.isNaN(value) ? null : value)

/** The pond as the plan takes it: what is asked, with what is on file. */
export const neglectedPond = (
  input: Omit<RescueInput, 'first' | 'crewId' | 'startTime'>,
  { systemM3, fishKg, fill }: RescueFacts,
): NeglectedPond => ({
  systemM3,
  fishKg,
  tan: tested(input.tan),
  nitrite: tested(input.nitrite),
  ph: tested(input.ph),
  khDH: tested(input.khDH),
  ghDH: tested(input.ghDH),
  oxygenMgL: tested(input.oxygenMgL),
  fill: { ...fill, ph: tested(input.fillPh), khDH: tested(input.fillKhDH) },
  hasMedia: input.hasMedia,
  rockSections: input.rockSections,
})
