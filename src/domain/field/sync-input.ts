import { z } from 'zod'
import { VisitId } from '../shared/ids'

/**
 * One line of a visit's log on its way from a device; what it says is parsed line by line, so that a bad one holds up
 * no other.
 */
export const SyncInput = z.strictObject({
  /** What the device's clock says as it sends: its lines are dated by the office's clock. */
  sentAt: z.iso.datetime({ offset: true }).optional(),
  /** Who wrote the lines: they are not taken as somebody else's. */
  userId: z.uuid(),
  lines: z
    .array(z.strictObject({ visitId: VisitId, entry: z.looseObject({ id: z.string().max(60) }) }))
    .min(1)
    .max(200),
})
export type SyncInput = z.infer<typeof SyncInput>
