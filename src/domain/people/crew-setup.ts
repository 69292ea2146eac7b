import { z } from 'zod'
import { KIT, SKILLS } from '../../core/visits/planning-facts'
import { calendarDay, numberWithin } from '../shared/fields'
import { said } from '../shared/said'

const clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, { error: said('kit.problems.timeMustLookLike') })

/** What a crew can do, carries and when it works; a crew without an entry has the usual one. */
export const CrewSetup = z
  .strictObject({
    skills: z.array(z.enum(SKILLS)).max(SKILLS.length).default(['fish']),
    kit: z
      .array(z.enum(KIT))
      .max(KIT.length)
      .default([...KIT]),
    starts: clock.default('07:30'),
    ends: clock.default('16:30'),
    breakMin: z.int().min(0).max(180).default(30),
    daysOff: z.array(calendarDay).max(400).default([]),
    /** Minutes that the crew may be out longer where the season needs it. */
    overtimeMin: z.int().min(0).max(240).default(0),
    /** Leaves, silt and cuttings that the truck can take away in a day, m³. */
    carriesM3: numberWithin([0, 60], 'people.fields.truckLoad', 'm³').default(4),
    /** Holding tanks on the truck, m³. */
    tankM3: numberWithin([0, 60], 'people.fields.holdingTanks', 'm³').default(8),
    /** Outdoor work only between dawn and dusk. */
    daylightOnly: z.boolean().default(true),
    /** Where its day begins and ends; empty: the firm's yard in the middle of its sites. */
    yard: z
      .strictObject({
        lat: numberWithin([-90, 90], 'people.fields.latitude', '°'),
        lon: numberWithin([-180, 180], 'people.fields.longitude', '°'),
      })
      .nullable()
      .default(null),
  })
  .refine(({ starts, ends }) => starts < ends, { error: said('people.problems.dayEndsBeforeBegins'), path: ['ends'] })
export type CrewSetup = z.infer<typeof CrewSetup>

export const minutesOfDay = (time: string): number => Number(time.slice(0, 2)) * 60 + Number(time.slice(3))
export const clockOf = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(Math.floor(minutes % 60)).padStart(2, '0')}`
