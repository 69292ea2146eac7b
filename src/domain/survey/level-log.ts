import { z } from 'zod'
import { LEVEL_LOG_RANGE } from '../../core/season/water-balance'
import { calendarDay, numberWithin } from '../shared/fields'

export const LevelLogInput = z.strictObject({
  day: calendarDay,
  hours: numberWithin(LEVEL_LOG_RANGE.hours, 'Hours between the looks', 'h'),
  dropMm: numberWithin(LEVEL_LOG_RANGE.dropMm, 'Drop of the level', 'mm'),
  bucketDropMm: numberWithin(LEVEL_LOG_RANGE.bucketDropMm, 'Drop in the bucket', 'mm').nullable(),
  pumpOn: z.boolean(),
})
export type LevelLogInput = z.infer<typeof LevelLogInput>
