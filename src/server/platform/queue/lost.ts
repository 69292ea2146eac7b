import type { FirmId } from '@/domain/shared/ids'
import { database } from '@/server/platform/db/connection'

/**
 * Rows of any firm that nobody works on and no job waits for, since a worker died or a job was lost.
 * @param table one with a function `door_lost_<table>` in the database
 */
export async function lostRows<Id extends string>(
  table: string,
  olderThanS: number,
): Promise<{ id: Id; firmId: FirmId }[]> {
  const { rows } = await database().raw('select id, firm_id from ??(make_interval(secs => ?))', [
    `door_lost_${table}`,
    olderThanS,
  ])
  return rows.map((r: { id: Id; firm_id: FirmId }) => ({ id: r.id, firmId: r.firm_id }))
}
