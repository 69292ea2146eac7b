import type { RowOf } from '@/server/platform/db/column-types'
import type { Knex } from 'knex'
import type { FilterDesign } from '@/core/filter/design-input'
import type { Design, DesignInput, DesignState } from '@/domain/design/design'
import { keptDesign } from '@/domain/design/design-file'
import { updateVersioned } from '@/server/platform/db/versioned-update'
import type { DesignId, FirmId, PondId, UserId } from '@/domain/shared/ids'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    designs: { state: Design['state']; stops: Design['stops'] }
  }
}

export interface DesignMeasures {
  readonly areaM2: number
  readonly flowM3PerH: number
}

const toDesign = (r: RowOf<'designs'> & { state_by_name?: string | null; saved_by_name: string }): Design => ({
  id: r.id,
  pondId: r.pond_id,
  number: r.number,
  name: r.name,
  bed: keptDesign(r.bed),
  overrideReason: r.override_reason,
  version: r.version,
  state: r.state,
  stateByName: r.state_by_name ?? null,
  stopReason: r.stop_reason,
  stops: r.stops,
  stateAt: r.state_at?.toISOString() ?? null,
  asBuilt: r.as_built,
  builtBed: r.built_bed ? keptDesign(r.built_bed) : null,
  savedBy: r.saved_by,
  savedByName: r.saved_by_name,
  savedAt: r.saved_at.toISOString(),
  areaM2: r.area_m2,
  flowM3PerH: r.flow_m3_per_h,
})

/** A new version of a pond's filter; versions count up from 1. */
export async function insertDesign(
  trx: Knex.Transaction,
  firmId: FirmId,
  id: DesignId,
  pondId: PondId,
  by: UserId,
  input: DesignInput,
  measures: DesignMeasures,
): Promise<number> {
  // the pond's row is locked so that two people saving at once get different numbers
  await trx('ponds').where({ id: pondId }).forUpdate().first('id')
  const last = await trx('designs')
    .where({ pond_id: pondId })
    .max<{ number: number | null }[]>('number as number')
    .first()
  const number = Number(last?.number ?? 0) + 1
  await trx('designs').insert({
    id,
    firm_id: firmId,
    pond_id: pondId,
    number,
    name: input.name,
    bed: JSON.stringify(input.bed),
    override_reason: input.overrideReason,
    area_m2: measures.areaM2,
    flow_m3_per_h: measures.flowM3PerH,
    saved_by: by,
  })
  return number
}

const designRows = (trx: Knex.Transaction) =>
  trx('designs as d')
    .join('users as u', 'u.id', 'd.saved_by')
    .leftJoin('users as w', 'w.id', 'd.state_by')
    .select('d.*', 'u.name as saved_by_name', 'w.name as state_by_name')

export async function listDesigns(trx: Knex.Transaction, pondId: PondId): Promise<Design[]> {
  return (await designRows(trx).where('d.pond_id', pondId).orderBy('d.number', 'desc')).map(toDesign)
}

export async function findDesign(trx: Knex.Transaction, id: DesignId): Promise<Design | undefined> {
  const row = await designRows(trx).where('d.id', id).first()
  return row && toDesign(row)
}

/** One version is approved at a time: the others of its pond are open again. */
export async function reopenOthers(trx: Knex.Transaction, pondId: PondId, except: DesignId): Promise<void> {
  await trx('designs')
    .where({ pond_id: pondId, state: 'approved' })
    .whereNot('id', except)
    .update({ state: 'open', version: trx.raw('version + 1') })
}

/** Moves a design on to its next state. @throws {ProblemError} 'conflict' when someone else moved it first */
export async function moveDesign(
  trx: Knex.Transaction,
  design: Design,
  state: DesignState,
  by: UserId,
  built: { readonly asBuilt: string; readonly builtBed: FilterDesign | null } = { asBuilt: '', builtBed: null },
  stopped: { readonly reason: string; readonly stops: readonly string[] } = { reason: '', stops: [] },
): Promise<void> {
  const changes = {
    state,
    ...(stopped.stops.length > 0 ? { stop_reason: stopped.reason, stops: JSON.stringify(stopped.stops) } : {}),
    state_by: by,
    state_at: trx.fn.now(),
    as_built: built.asBuilt,
    built_bed: built.builtBed ? JSON.stringify(built.builtBed) : null,
  }
  await updateVersioned(trx, 'designs', design.id, design.version, changes, () => findDesign(trx, design.id))
}
