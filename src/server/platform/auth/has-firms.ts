import { database } from '@/server/platform/db/connection'

/**
 * Whether any firm is there: before the first, the door leads to opening one. Asked by those who belong to none yet.
 */
export async function hasFirms(): Promise<boolean> {
  const { rows } = await database().raw('select door_has_firms() as has')
  return rows[0].has
}
