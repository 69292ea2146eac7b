import { z } from 'zod'
import { LEVEL_LOG_RANGE } from '../../core/season/water-balance'
import { calendarDay, numberWithin } from '../shared/fields'

export const LevelLogInput = z.strictObject({
  day: calendarDay,
  hours: numberWithin(LEVEL_LOG_RANGE.hours, 'survey.fields.hoursBetweenTheLooks', 'h'),
  dropMm: numberWithin(LEVEL_LOG_RANGE.dropMm, 'survey.fields.dropOfTheLevel', 'mm'),
  bucketDropMm: numberWithin(LEVEL_LOG_RANGE.bucketDropMm, 'survey.fields.dropInTheBucket', 'mm').nullable(),
  pumpOn: z.boolean(),
  addedM3: numberWithin(LEVEL_LOG_RANGE.addedM3, 'survey.fields.waterAdded', 'm³').default(0),
})
export type LevelLogInput = z.infer<typeof LevelLogInput>
