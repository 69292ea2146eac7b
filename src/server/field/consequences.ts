import { firmTexts } from '@/messages/texts'
import type { Knex } from 'knex'
import { addDays } from '@/core/numeric/calendar'
import { equipmentKind } from '@/core/visits/equipment-care'
import { courseDays } from '@/core/water/dosing/products'
import { READING_KINDS, VISIT_ONLY_READINGS, type ReadingKindName } from '@/core/water/readings'
import { inOrder, stepStates, type StepState } from '@/domain/visits/visit-progress'
import { type Entry, type EntryInput, type VisitInContext } from '@/domain/visits/visit'
import type { Actor } from '@/server/platform/auth/actor'
import { noteFillWater } from '@/server/customers/customer-repository'
import { insertEquipment, renewEquipment } from '@/server/equipment/equipment-repository'
import { insertFinding } from '@/server/visits/finding-repository'
import { closeAnsweredFollowUps, insertFollowUp } from '@/server/visits/follow-up-repository'
import { putGear } from '@/server/equipment/gear-repository'
import { findPatch, insertPatch, insertPlantEvents } from '@/server/plants/plant-repository'
import { findProducts } from '@/server/stores/product-repository'
import { insertReadings, removeVisitReadings, type NewReading } from '@/server/water/reading-repository'
import { changeVisit, findSecondDay, listEntries } from '@/server/visits/visit-repository'
import { insertMoves, listStock, removeVisitMoves } from '@/server/stores/stock-repository'
import { todayIn } from '@/server/platform/today'
import { cuttingsMoves } from '@/server/plants/cuttings'
import { closeVisitTasks } from '@/server/equipment/tasks'
import { noteMeteredFill } from './metered-fill'

/** What was found is looked at again within so many days. @source house default */
const FINDING_DAYS = [3, 28] as const
const FINDING_MIN = 20
/** A visit that could not be done is wanted again within so many days. @source house default */
const COME_BACK_DAYS = [1, 14] as const

/**
 * What a new line of a log brings with it elsewhere: follow-ups, findings, parts, and what the end of a visit means
 * for its pond.
 */
export async function onEntryLogged(
  trx: Knex.Transaction,
  actor: Actor,
  visit: VisitInContext,
  log: readonly Entry[],
  entry: EntryInput,
): Promise<void> {
  const day = todayIn(actor.timeZone, new Date(entry.at))
  if (entry.kind === 'finding') await found(trx, actor, visit, entry, day)
  if (entry.kind === 'part') await fitted(trx, actor, visit, entry, day)
  if (entry.kind === 'gear') {
    const { id, gearId, gearKind, name, state, place, at } = entry
    await putGear(trx, actor.firmId, {
      id: gearId ?? id,
      pondId: visit.pondId,
      kind: gearKind,
      name,
      state,
      place,
      since: at,
    })
  }
  if (entry.kind === 'plant') await seenOrDone(trx, actor, visit, entry)
  const over = visit.state === 'done' || visit.state === 'given-up'
  // lines that come in after the end correct what it had written to the pond
  if (over) await toThePond(trx, actor, visit, log, day)
  if (entry.kind !== 'finished') return
  await afterTheEnd(trx, actor, visit, entry, day)
  if (entry.ending === 'done') await goOn(trx, actor, visit, log, day)
}

async function found(
  trx: Knex.Transaction,
  actor: Actor,
  visit: VisitInContext,
  entry: Extract<EntryInput, { kind: 'finding' }>,
  day: string,
): Promise<void> {
  const { id, text, becomes } = entry
  if (becomes !== 'follow-up')
    return insertFinding(trx, actor.firmId, {
      id,
      pondId: visit.pondId,
      visitId: visit.id,
      becomes,
      text,
      foundOn: day,
    })
  await insertFollowUp(trx, actor.firmId, {
    id,
    pondId: visit.pondId,
    visitId: visit.id,
    title: text,
    readings: [],
    dueFrom: addDays(day, FINDING_DAYS[0]),
    dueTo: addDays(day, FINDING_DAYS[1]),
    minutes: FINDING_MIN,
  })
}

async function fitted(
  trx: Knex.Transaction,
  actor: Actor,
  visit: VisitInContext,
  entry: Extract<EntryInput, { kind: 'part' }>,
  day: string,
): Promise<void> {
  const { id, equipmentId, equipmentKind: kind, name, warrantyUntil } = entry
  if (equipmentId) return renewEquipment(trx, equipmentId, day, name, warrantyUntil)
  const known = equipmentKind(kind)
  if (!known) return
  await insertEquipment(trx, actor.firmId, id, visit.pondId, {
    kind: known.key,
    name,
    fittedOn: day,
    everyDays: known.everyDays,
    doneOn: null,
    retired: false,
    warrantyUntil,
  })
}

/**
 * A line about plants goes to its group; a group that is new here, or that the office has taken away meanwhile, is
 * written down anew.
 */
async function seenOrDone(
  trx: Knex.Transaction,
  actor: Actor,
  visit: VisitInContext,
  entry: Extract<EntryInput, { kind: 'plant' }>,
): Promise<void> {
  const { id, patchId, place, species, action, condition, count, kept, note, at } = entry
  const known = patchId ? await findPatch(trx, patchId) : undefined
  const group = known?.pondId === visit.pondId ? known.id : id
  if (group === id)
    await insertPatch(trx, actor.firmId, id, visit.pondId, {
      place,
      species,
      xM: null,
      yM: null,
      plantedOn: action === 'planted' ? todayIn(actor.timeZone, new Date(at)) : null,
    })
  await insertPlantEvents(trx, actor.firmId, [
    { id, patchId: group, action, condition, count, kept, note, at, byId: actor.userId, visitId: visit.id },
  ])
}

/** Readings and closed tasks of a visit that is over, as its log stands now. */
async function toThePond(
  trx: Knex.Transaction,
  actor: Actor,
  visit: VisitInContext,
  log: readonly Entry[],
  day: string,
): Promise<void> {
  const states = stepStates(visit.job.steps, log)
  const readings = pondReadings(visit, states)
  await removeVisitReadings(trx, visit.id)
  await insertReadings(trx, actor.firmId, readings)
  await closeVisitTasks(trx, actor, visit, states, day)
  await bookUse(trx, actor, visit, states, log)
  await noteFillWater(trx, visit.siteId, fillWaterOf(states))
  await noteMeteredFill(trx, actor, visit, states, day)
  const taken = [...new Set(readings.map((r) => r.kind))]
  if (taken.length > 0) await closeAnsweredFollowUps(trx, visit.pondId, taken, day, readings[0]!.takenAt)
}

async function afterTheEnd(
  trx: Knex.Transaction,
  actor: Actor,
  visit: VisitInContext,
  entry: Extract<EntryInput, { kind: 'finished' }>,
  day: string,
): Promise<void> {
  const { job, pondId, id: visitId } = visit
  const t = firmTexts()
  if (entry.ending !== 'done') await callOffSecondDay(trx, visit)
  if (entry.ending !== 'done')
    return insertFollowUp(trx, actor.firmId, {
      id: entry.id,
      pondId,
      visitId,
      title: t('visits.followUps.comeBack', {
        visit: job.name.toLowerCase(),
        ending: t(`visits.endingNames.${entry.ending}`).toLowerCase(),
        reason: entry.reason,
      }),
      readings: [],
      dueFrom: addDays(day, COME_BACK_DAYS[0]),
      dueTo: addDays(day, COME_BACK_DAYS[1]),
      minutes: visit.plannedMinutes,
    })
  // most visit types ask for nothing afterwards
  if (job.followUpReadings.length === 0) return
  const [from, to] = job.followUpDays
  await insertFollowUp(trx, actor.firmId, {
    id: entry.id,
    pondId,
    visitId,
    title: job.followUpTitle,
    readings: job.followUpReadings,
    dueFrom: addDays(day, from),
    dueTo: addDays(day, to),
  })
}

/** A cleanout that was given up before any fish left the pond has no second day. */
async function callOffSecondDay(trx: Knex.Transaction, visit: VisitInContext): Promise<void> {
  const second = await findSecondDay(trx, visit.id)
  if (second?.state !== 'planned') return
  const out = stepStates(visit.job.steps, await listEntries(trx, visit.id)).get('fish-out')
  if (out?.status !== 'done') await changeVisit(trx, second.id, second.version, { state: 'cancelled' })
}

/** What the visit took from the stores, as its log stands now. */
async function bookUse(
  trx: Knex.Transaction,
  actor: Actor,
  visit: VisitInContext,
  states: ReadonlyMap<string, StepState>,
  log: readonly Entry[],
): Promise<void> {
  const stock = await listStock(trx)
  const doses = [...states.values()].flatMap((state) =>
    state.status === 'done' ? (state.entry.answer.doses ?? []) : [],
  )
  const parts = log.flatMap((e) => (e.kind === 'part' ? [e.equipmentKind] : []))
  const cuttings = log.flatMap((e) =>
    e.kind === 'plant' ? [{ species: e.species, amount: e.kept - (e.action === 'planted' ? (e.count ?? 0) : 0) }] : [],
  )
  const taken = stock.flatMap((item) => {
    const given = doses
      .filter((d) => item.productKey !== null && d.productKey === item.productKey)
      .reduce((sum, d) => sum + d.amount, 0)
    const fittedHere = parts.filter((kind) => item.equipmentKind !== null && kind === item.equipmentKind).length
    const amount = given + fittedHere
    return amount > 0
      ? [
          {
            itemId: item.id,
            amount: -amount,
            move: 'used' as const,
            note: `${visit.job.name}, ${visit.siteName}`,
            visitId: visit.id,
          },
        ]
      : []
  })
  await removeVisitMoves(trx, visit.id)
  const pieces = await cuttingsMoves(trx, actor.firmId, cuttings, `${visit.job.name}, ${visit.siteName}`, visit.id)
  await insertMoves(trx, actor.firmId, actor.userId, [...taken, ...pieces])
}

/** Days on which what was begun on the visit goes on become follow-ups, so that a course is not broken off. */
async function goOn(
  trx: Knex.Transaction,
  actor: Actor,
  visit: VisitInContext,
  log: readonly Entry[],
  day: string,
): Promise<void> {
  const { products } = await findProducts(trx)
  const states = stepStates(visit.job.steps, log)
  const given = [...states.values()].flatMap((state) =>
    state.status === 'done' ? (state.entry.answer.doses ?? []) : [],
  )
  for (const dose of given) {
    const product = products.find((p) => p.key === dose.productKey)
    if (!product || dose.amount <= 0) continue
    const days = courseDays(product, day)
    for (const [i, due] of days.entries())
      await insertFollowUp(trx, actor.firmId, {
        pondId: visit.pondId,
        visitId: visit.id,
        title:
          `${product.name}: ${Number(dose.amount.toPrecision(3))} ${product.unit === 'each' ? '' : product.unit} (${i + 2} of ${days.length + 1})`.replace(
            '  ',
            ' ',
          ),
        readings: [],
        dueFrom: due,
        dueTo: addDays(due, Math.max(1, Math.floor(product.repeats!.everyDays / 2))),
        minutes: 10,
      })
  }
}

/** What the visit found of the water that goes in. */
function fillWaterOf(
  states: ReadonlyMap<string, StepState>,
): Partial<Record<'ph' | 'khDH' | 'chlorineMgL' | 'chloramineMgL', number>> {
  const last = (kind: ReadingKindName): number | undefined =>
    inOrder(
      [...states.values()].flatMap((s) => (s.status === 'done' && s.entry.answer.readings?.[kind] ? [s.entry] : [])),
    ).at(-1)?.answer.readings?.[kind]?.value
  return {
    ph: last('tapPh'),
    khDH: last('tapKh'),
    chlorineMgL: last('tapChlorine'),
    chloramineMgL: last('tapChloramine'),
  }
}

/** The readings of a log that describe the pond; tap and tank belong to the visit only. */
function pondReadings(visit: VisitInContext, states: ReadonlyMap<string, StepState>): NewReading[] {
  return [...states.values()].flatMap((state) =>
    state.status !== 'done'
      ? []
      : (
          Object.entries(state.entry.answer.readings ?? {}) as [
            ReadingKindName,
            { value: number; belowStep: boolean },
          ][]
        )
          .filter(([kind]) => READING_KINDS[kind] && !VISIT_ONLY_READINGS.includes(kind))
          .map(([kind, r]) => ({
            pondId: visit.pondId,
            visitId: visit.id,
            kind,
            value: r.value,
            belowStep: r.belowStep,
            method: state.entry.answer.method ?? '',
            takenAt: state.entry.at,
            byId: state.entry.byId,
          })),
  )
}
