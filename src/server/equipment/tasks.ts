import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { PondTask } from '@/core/schedule/needs/pond-work'
import { equipmentKind, type Rest } from '@/core/visits/equipment-care'
import { taskStepKey } from '@/core/visits/compose-job'
import { equipmentDue, type Equipment, type EquipmentInput, type OneOffInput } from '@/domain/equipment/equipment'
import type { FollowUpId, PondId } from '@/domain/shared/ids'
import { badField, notFound } from '@/domain/shared/problems'
import type { VisitInContext } from '@/domain/visits/visit'
import type { StepState } from '@/domain/visits/visit-progress'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import {
  findEquipment,
  insertEquipment,
  listEquipment,
  markEquipmentDone,
  updateEquipment,
} from '@/server/equipment/equipment-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { settleFinding } from '@/server/visits/finding-repository'
import { closeFollowUp, reopenFollowUp, insertFollowUp, listOpenFollowUps } from '@/server/visits/follow-up-repository'
import { findPond } from '@/server/ponds/pond-repository'
import { todayIn } from '@/server/platform/today'
import type { DayHere } from '@/server/plants/plants-of'
import { closePlantTask, duePlantTasks, PLANT_TASK } from '@/server/plants/plant-tasks'
import { said } from '@/domain/shared/said'
import { firmTexts } from '@/messages/texts'

/** A task's id says what it comes from. */
const FOLLOW_UP = 'f-'
const EQUIPMENT = 'e-'

/** Tasks of the firm's equipment whose work needs a new part on the truck. */
export const tasksWithPart = (equipment: readonly Equipment[]): ReadonlySet<string> =>
  new Set(equipment.flatMap(({ id, kind }) => (equipmentKind(kind)!.brings ? [`${EQUIPMENT}${id}`] : [])))

/**
 * Everything that falls due at the firm's ponds until a day, beside agreed jobs.
 * @param here plants count from this day
 * @param lampRests when the lamps of each pond stand still, where their age is counted by running time
 */
export async function dueTasks(
  trx: Knex.Transaction,
  here: DayHere,
  until: string,
  lampRests: ReadonlyMap<PondId, Rest | null>,
): Promise<(PondTask & { pondId: PondId })[]> {
  const followUps = (await listOpenFollowUps(trx, { dueBy: until, limit: 5000 })).map((f) => ({
    id: `${FOLLOW_UP}${f.id}`,
    pondId: f.pondId,
    title: f.title,
    from: f.dueFrom,
    to: f.dueTo,
    minutes: f.minutes,
    prefers: ['routine', 'plant-care'],
    urgent: f.urgent,
  }))
  const pieces = (await listEquipment(trx)).flatMap((piece) => {
    const kind = equipmentKind(piece.kind)!
    const { from, to } = equipmentDue(piece, lampRests.get(piece.pondId) ?? null)
    return from > until
      ? []
      : [
          {
            id: `${EQUIPMENT}${piece.id}`,
            pondId: piece.pondId,
            title: firmTexts()('equipment.kindTasks.of', {
              task: firmTexts()(`equipment.kindTasks.${piece.kind}`),
              name: piece.name,
            }),
            from,
            to,
            minutes: kind.minutes,
            prefers: kind.prefers,
          },
        ]
  })
  return [...followUps, ...pieces, ...(await duePlantTasks(trx, here, until))]
}

/** A finished visit closes the tasks that were done on it; what was left out stays due. */
export async function closeVisitTasks(
  trx: Knex.Transaction,
  actor: Actor,
  visit: VisitInContext,
  states: ReadonlyMap<string, StepState>,
  today: string,
): Promise<void> {
  for (const task of visit.tasks) {
    const state = states.get(taskStepKey(task.id))
    if (state?.status !== 'done') continue
    const id = task.id.slice(2)
    if (task.id.startsWith(PLANT_TASK)) await closePlantTask(trx, actor, visit, task.id, state.entry)
    else if (task.id.startsWith(EQUIPMENT)) await markEquipmentDone(trx, id, today)
    else await closeFollowUp(trx, id as FollowUpId)
  }
}

export async function addEquipment(actor: Actor, pondId: PondId, input: EquipmentInput): Promise<{ id: string }> {
  assertMay(actor, 'visits.log')
  if (input.fittedOn > todayIn(actor.timeZone)) throw badField('fittedOn', said('kit.problems.dayStillCome'))
  return inFirm(actor.firmId, async (trx) => {
    if (!(await findPond(trx, pondId))) throw notFound('pond')
    const id = randomUUID()
    await insertEquipment(trx, actor.firmId, id, pondId, input)
    return { id }
  })
}

export async function changeEquipment(actor: Actor, id: string, version: number, input: EquipmentInput): Promise<void> {
  assertMay(actor, 'visits.log')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findEquipment(trx, id))) throw notFound('pieceOfEquipment')
    await updateEquipment(trx, id, version, input)
  })
}

/** Notes down what is to be done once at a pond; the next plan takes it along. */
export async function addOneOff(actor: Actor, pondId: PondId, input: OneOffInput): Promise<void> {
  assertMay(actor, 'visits.plan')
  if (input.to < todayIn(actor.timeZone)) throw badField('to', said('equipment.problems.dayPast'))
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findPond(trx, pondId))) throw notFound('pond')
    await insertFollowUp(trx, actor.firmId, {
      pondId,
      visitId: null,
      title: input.title,
      readings: [],
      dueFrom: input.from,
      dueTo: input.to,
      minutes: input.minutes,
      urgent: input.urgent,
    })
  })
}

/** A finding is settled: the quote is written, or the note heeded. */
export async function settle(actor: Actor, id: string): Promise<void> {
  assertMay(actor, 'visits.log')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await settleFinding(trx, id))) throw notFound('finding')
  })
}

/** Takes something off the list by hand: done otherwise, or not wanted any more. */
export async function dismissFollowUp(actor: Actor, id: FollowUpId): Promise<void> {
  assertMay(actor, 'visits.plan')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await closeFollowUp(trx, id))) throw notFound('followUp')
  })
}

/** Puts back what was taken off the list by hand. */
export async function bringBackFollowUp(actor: Actor, id: FollowUpId): Promise<void> {
  assertMay(actor, 'visits.plan')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await reopenFollowUp(trx, id))) throw notFound('followUp')
  })
}
