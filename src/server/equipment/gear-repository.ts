import type { Knex } from 'knex'
import type { Gear } from '@/domain/equipment/gear'
import type { FirmId, PondId } from '@/domain/shared/ids'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    gear: { kind: Gear['kind']; state: Gear['state'] }
  }
}

/** Puts down where something is now; an older word than the one that stands changes nothing. */
export async function putGear(trx: Knex.Transaction, firmId: FirmId, gear: Gear): Promise<void> {
  const row = { kind: gear.kind, name: gear.name, state: gear.state, place: gear.place, since: gear.since }
  await trx('gear')
    .insert({ id: gear.id, firm_id: firmId, pond_id: gear.pondId, ...row })
    .onConflict('id')
    .ignore()
  await trx('gear').where({ id: gear.id }).where('since', '<', gear.since).update(row)
}

/** Of one pond or of all. */
export async function listGear(trx: Knex.Transaction, pondId?: PondId): Promise<Gear[]> {
  const query = trx('gear').orderBy(['state', 'kind', 'name'])
  if (pondId) query.where({ pond_id: pondId })
  return (await query).map((r) => ({
    id: r.id,
    pondId: r.pond_id,
    kind: r.kind,
    name: r.name,
    state: r.state,
    place: r.place,
    since: r.since.toISOString(),
  }))
}
