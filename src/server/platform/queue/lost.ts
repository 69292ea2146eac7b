import type { FirmId } from '@/domain/shared/ids'
import { database } from '@/server/platform/db/connection'

/** What can get lost between its row and its job. */
export type LostKind = 'plan_runs' | 'forecast_runs' | 'notices'

/** Rows of any firm that nobody works on and no job waits for, since a worker died or a job was lost. */
export async function lostRows<Id extends string>(kind: LostKind, olderThanS: number): Promise<{ id: Id; firmId: FirmId }[]> {
  const { rows } = await database().raw(`select id, firm_id from door_lost_${kind}(make_interval(secs => ?))`, [olderThanS])
  return rows.map((r: { id: Id; firm_id: FirmId }) => ({ id: r.id, firmId: r.firm_id }))
}
