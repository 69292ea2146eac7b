import { z } from 'zod'
import { FilterDesignInput } from './design'

/**
 * Work in the filter design that is not a version yet. Names and reasons may still be empty; the bed itself must read
 * well.
 */
export const DesignDraft = z.strictObject({
  /** Number of the version it began from; null for the first. */
  fromVersion: z.int().min(1).nullable(),
  draft: z.strictObject({ bed: FilterDesignInput, name: z.string().max(200), overrideReason: z.string().max(1000) }),
})
export type DesignDraft = z.infer<typeof DesignDraft>
