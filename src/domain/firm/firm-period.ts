import { z } from 'zod'
import { addDays, isoWeekday } from '../../core/numeric/calendar'
import { calendarDay, shortText } from '../shared/fields'
import { said } from '../shared/said'

/** What days do to the work: nobody works; ponds may not be filled from the mains; schools are out. */
export const PERIOD_EFFECTS = ['closed', 'no-filling', 'school-holidays'] as const
export type PeriodEffect = (typeof PERIOD_EFFECTS)[number]

export const FirmPeriodInput = z
  .strictObject({
    name: shortText('firm.fields.name'),
    from: calendarDay,
    to: calendarDay,
    effect: z.enum(PERIOD_EFFECTS, { error: said('firm.problems.chooseWhatDaysMeanWork') }),
  })
  .refine((p) => p.from <= p.to, { path: ['to'], error: said('kit.problems.endsBeforeBegins') })
export type FirmPeriodInput = z.infer<typeof FirmPeriodInput>

export interface FirmPeriod extends FirmPeriodInput {
  readonly id: string
}

/** Whether a day lies in a period of a kind. */
export const inPeriod = (periods: readonly FirmPeriod[], effect: PeriodEffect, day: string): boolean =>
  periods.some((p) => p.effect === effect && day >= p.from && day <= p.to)

/** The next day on which the firm works, from a day on. */
export const workingDay =
  (periods: readonly FirmPeriod[]) =>
  (day: string): string => {
    let at = day
    while (isoWeekday(at) > 5 || inPeriod(periods, 'closed', at)) at = addDays(at, 1)
    return at
  }
