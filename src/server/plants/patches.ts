import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { instantOn } from '@/domain/shared/dates'
import type { PondId } from '@/domain/shared/ids'
import type { z } from 'zod'
import type { LogPlantInput, NewPatchInput, PatchInput, PlantLine } from '@/domain/plants/plants'
import { badField, notFound, refused } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { listDesigns } from '@/server/design/design-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import {
  deletePatch,
  findPatch,
  insertPatch,
  insertPlantEvents,
  listPatches,
  listPlantEvents,
  updatePatch,
} from '@/server/plants/plant-repository'
import { findPond } from '@/server/ponds/pond-repository'
import { insertMoves } from '@/server/stores/stock-repository'
import { todayIn } from '@/server/platform/today'
import { cuttingsMoves } from './cuttings'
import { bedOf } from './gaps'
import { said } from '@/domain/shared/said'

const PLANTED: PlantLine = { action: 'planted', condition: null, count: null, kept: 0, note: '' }

export async function addPatch(
  actor: Actor,
  pondId: PondId,
  { patch, count }: z.infer<typeof NewPatchInput>,
): Promise<{ id: string }> {
  assertMay(actor, 'ponds.write')
  return inFirm(actor.firmId, async (trx) => {
    if (!(await findPond(trx, pondId))) throw notFound('pond')
    return { id: await plant(trx, actor, pondId, patch, count) }
  })
}

async function plant(
  trx: Knex.Transaction,
  actor: Actor,
  pondId: PondId,
  patch: PatchInput,
  count: number,
): Promise<string> {
  const today = todayIn(actor.timeZone)
  if (patch.plantedOn && patch.plantedOn > today) throw badField('plantedOn', said('kit.problems.dayStillCome'))
  const id = randomUUID()
  await insertPatch(trx, actor.firmId, id, pondId, patch)
  await insertPlantEvents(trx, actor.firmId, [
    {
      ...PLANTED,
      id: randomUUID(),
      patchId: id,
      count,
      at: instantOn(patch.plantedOn ?? today, actor.timeZone, new Date()),
      byId: actor.userId,
      visitId: null,
    },
  ])
  return id
}

/** Writes the planting of the newest filter version down as groups that grow in the bed. */
export async function takeOverPlanting(
  actor: Actor,
  pondId: PondId,
  plantedOn: string | null,
): Promise<{ patches: number }> {
  assertMay(actor, 'ponds.write')
  return inFirm(actor.firmId, async (trx) => {
    if (!(await findPond(trx, pondId))) throw notFound('pond')
    const planting = bedOf(await listDesigns(trx, pondId))?.planting ?? []
    if (planting.length === 0) throw refused(said('plants.problems.newestVersionFilterHoldsPlanting'))
    // two people at once: the second finds the first one's groups
    await trx('ponds').where({ id: pondId }).forUpdate().first('id')
    if ((await listPatches(trx, [pondId])).some((p) => p.place === 'bed'))
      throw refused(said('plants.problems.plantGroupsBedAlreadyRecorded'))
    for (const { species, count, xM, yM } of planting)
      await plant(trx, actor, pondId, { place: 'bed', species, xM, yM, plantedOn }, count)
    return { patches: planting.length }
  })
}

export async function changePatch(actor: Actor, id: string, version: number, patch: PatchInput): Promise<void> {
  assertMay(actor, 'ponds.write')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findPatch(trx, id))) throw notFound('groupOfPlants')
    await updatePatch(trx, id, version, patch)
  })
}

/** Takes back a group that was written down by mistake; what a crew has logged of it stays. */
export async function removePatch(actor: Actor, id: string): Promise<void> {
  assertMay(actor, 'ponds.write')
  await inFirm(actor.firmId, async (trx) => {
    const patch = await findPatch(trx, id)
    if (!patch) throw notFound('groupOfPlants')
    const events = (await listPlantEvents(trx, [patch.pondId])).filter((e) => e.patchId === id)
    if (events.some((e) => e.visitId !== null)) throw refused(said('plants.problems.crewLoggedWorkGroupCount'))
    await deletePatch(trx, id)
  })
}

/** Something seen or done at a group, outside a visit. */
export async function logPlant(actor: Actor, id: string, { line, on }: z.infer<typeof LogPlantInput>): Promise<void> {
  assertMay(actor, 'visits.log')
  if (on > todayIn(actor.timeZone)) throw badField('on', said('kit.problems.dayStillCome'))
  await inFirm(actor.firmId, async (trx) => {
    const patch = await findPatch(trx, id)
    if (!patch) throw notFound('groupOfPlants')
    await insertPlantEvents(trx, actor.firmId, [
      {
        ...line,
        id: randomUUID(),
        patchId: id,
        at: instantOn(on, actor.timeZone, new Date()),
        byId: actor.userId,
        visitId: null,
      },
    ])
    const pond = (await findPond(trx, patch.pondId))!
    const taken = line.kept - (line.action === 'planted' ? (line.count ?? 0) : 0)
    await insertMoves(
      trx,
      actor.firmId,
      actor.userId,
      await cuttingsMoves(
        trx,
        actor.firmId,
        [{ species: patch.species, amount: taken }],
        `${pond.siteName}, ${pond.name}`,
        null,
      ),
    )
  })
}
