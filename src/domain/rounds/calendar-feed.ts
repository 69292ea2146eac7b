import { z } from 'zod'
import { CrewId, CustomerId } from '../shared/ids'

export type FeedScope = 'firm' | 'crew' | 'customer'

/** A calendar link for the whole firm, one crew, or one customer. */
export const FeedInput = z.discriminatedUnion('scope', [
  z.strictObject({ scope: z.literal('firm') }),
  z.strictObject({ scope: z.literal('crew'), crewId: CrewId }),
  z.strictObject({ scope: z.literal('customer'), customerId: CustomerId }),
])
export type FeedInput = z.infer<typeof FeedInput>
