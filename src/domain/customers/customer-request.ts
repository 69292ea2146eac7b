import { z } from 'zod'
import { calendarDay } from '../shared/fields'
import { PondId } from '../shared/ids'
import { said } from '../shared/said'

/** What a customer asks for on their own page. */
export const CustomerRequestInput = z.strictObject({
  pondId: PondId,
  text: z
    .string()
    .trim()
    .min(5, { error: said('customers.problems.sayFewWordsWhatYou') })
    .max(300, { error: said('customers.problems.mostCharacters') }),
  from: calendarDay.nullable().default(null),
  /** Fish in trouble, water running away: it cannot wait for the next round. */
  urgent: z.boolean().default(false),
})
export type CustomerRequestInput = z.infer<typeof CustomerRequestInput>
