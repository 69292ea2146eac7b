import { z } from 'zod'
import { VISIT_TYPES } from '../../core/visits/visit-types'
import { VISIT_PLANNING } from '../../core/visits/types'
import { calendarDay, numberWithin } from '../shared/fields'
import type { SeasonFrom } from '../../core/season/season-year'
import { monthDayIn } from '../season/season-dates'
import { said } from '../shared/said'

/** What a customer can agree to; the rest is planned by hand, once. */
export const SERVICE_JOBS = VISIT_TYPES.filter((job) => VISIT_PLANNING[job.key]!.timing !== 'by-hand')
const JOB_KEYS = SERVICE_JOBS.map((job) => job.key) as [string, ...string[]]
const monthDay = z
  .string()
  .regex(/^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, { error: said('schedule.problems.giveMonthDayLike') })

const ServiceLineInput = z
  .strictObject({
    job: z.enum(JOB_KEYS, { error: said('schedule.problems.chooseVisitType') }),
    everyDays: z
      .int()
      .min(3, { error: said('kit.problems.minDaysApart') })
      .max(366, { error: said('schedule.problems.mostYearApart') })
      .nullable()
      .default(null),
    from: monthDay.nullable().default(null),
    to: monthDay.nullable().default(null),
    /** Agreed from this day and until that one. */
    starts: calendarDay.nullable().default(null),
    ends: calendarDay.nullable().default(null),
    priceMinor: numberWithin([0, 100_000_000], 'schedule.fields.price', { text: 'kit.units.cents' })
      .nullable()
      .default(null),
  })
  .superRefine((line, context) => {
    if (context.issues.length > 0) return
    const comesRound = VISIT_PLANNING[line.job]!.timing === 'interval'
    // plants may be cared for as they grow
    if (comesRound && line.everyDays === null && line.job !== 'plant-care')
      context.addIssue({ code: 'custom', path: ['everyDays'], message: said('schedule.problems.sayAfterHowManyDays') })
    if (line.starts !== null && line.ends !== null && line.starts > line.ends)
      context.addIssue({ code: 'custom', path: ['ends'], message: said('kit.problems.endsBeforeBegins') })
  })

/** What a customer has agreed to for one pond. */
export const ServicePlan = z
  .array(ServiceLineInput)
  .max(20, { error: said('schedule.problems.mostLines') })
  .superRefine((lines, context) => {
    const twice = lines.findIndex(
      (line, i) =>
        VISIT_PLANNING[line.job]?.timing === 'window' && lines.findIndex((other) => other.job === line.job) < i,
    )
    if (twice >= 0)
      context.addIssue({
        code: 'custom',
        path: [twice, 'job'],
        message: said('schedule.problems.jobAgreedOnceYearAlready'),
      })
  })
export type ServiceLine = z.infer<typeof ServiceLineInput>
export type ServicePlan = z.infer<typeof ServicePlan>

const OPEN = { starts: null, ends: null, priceMinor: null } as const

/** Plans that most customers begin with, by the months of a season year that begins in January. */
export const SERVICE_TEMPLATES: readonly {
  readonly key: 'full' | 'light' | 'wetland'
  readonly lines: ServicePlan
}[] = [
  {
    key: 'full',
    lines: [
      { job: 'spring-cleanout', everyDays: null, from: null, to: null, ...OPEN },
      { job: 'routine', everyDays: 28, from: '04-20', to: '10-15', ...OPEN },
      { job: 'netting', everyDays: null, from: null, to: null, ...OPEN },
      { job: 'winter-shutdown', everyDays: null, from: null, to: null, ...OPEN },
    ],
  },
  {
    key: 'light',
    lines: [
      { job: 'spring-startup', everyDays: null, from: null, to: null, ...OPEN },
      { job: 'routine', everyDays: 56, from: '05-01', to: '10-01', ...OPEN },
      { job: 'netting', everyDays: null, from: null, to: null, ...OPEN },
    ],
  },
  {
    key: 'wetland',
    lines: [
      { job: 'spring-startup', everyDays: null, from: null, to: null, ...OPEN },
      { job: 'wetland-flush', everyDays: 180, from: '05-01', to: '11-01', ...OPEN },
      { job: 'plant-care', everyDays: null, from: '05-01', to: '09-30', ...OPEN },
      { job: 'winter-check', everyDays: 28, from: '01-01', to: '03-01', ...OPEN },
    ],
  },
]

/** Lines of a template where the season year begins in another month. */
export const inSeasonOf = (lines: ServicePlan, seasonFrom: SeasonFrom): ServicePlan =>
  lines.map((line) => ({
    ...line,
    from: line.from && monthDayIn(line.from, seasonFrom),
    to: line.to && monthDayIn(line.to, seasonFrom),
  }))
