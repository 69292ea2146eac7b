import { addDays } from '@/core/numeric/calendar'
import { PlantLine } from '@/domain/plants/plants'
import type { EntryId, VisitId } from '@/domain/shared/ids'
import type { EntryInput } from '@/domain/visits/visit'
import type { Actor } from '@/server/platform/auth/actor'
import { closeDatabase } from '@/server/platform/db/connection'
import { closeQueue } from '@/server/platform/queue/queue'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { designPage, saveDesign } from '@/server/design/designs'
import { logEntry } from '@/server/field/log'
import { fieldVisit } from '@/server/field/pack'
import { allPlants, seasonalCsv } from '@/server/plants/all-plants'
import { addPatch, changePatch, logPlant, removePatch, takeOverPlanting } from '@/server/plants/patches'
import { duePlantTasks } from '@/server/plants/plant-tasks'
import { pondPlants } from '@/server/plants/pond-plants'
import { addPond } from '@/server/ponds/ponds'
import { storesPage } from '@/server/stores/stores'
import { planVisit } from '@/server/visits/visit-planning'
import { finishVisit, skipped, startVisit } from '../fixtures/field'
import { makeFirm, newPond } from '../fixtures/firm'
import { problemOf } from '../fixtures/problem-of'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

const today = new Date().toISOString().slice(0, 10)
const line = (over: Partial<PlantLine>) => PlantLine.parse({ action: 'look', ...over })
const inPond = (species: string) => ({ place: 'pond' as const, species, xM: 1, yM: 1, plantedOn: null })

async function withPond(name: string) {
  const firm = await makeFirm(name)
  return { ...firm, pondId: await addPond(firm.actors.owner, newPond()) }
}

async function withVisit(name: string, visitType = 'plant-care') {
  const firm = await withPond(name)
  const visitId = await planVisit(firm.actors.office, {
    pondId: firm.pondId,
    visitType,
    day: today,
    startTime: '08:00',
    crewId: firm.crewId,
    note: '',
  })
  return { ...firm, visitId }
}

type PlantEntry = Extract<EntryInput, { kind: 'plant' }>
const plantEntry = (over: Partial<PlantEntry>): PlantEntry => ({
  kind: 'plant',
  id: crypto.randomUUID() as EntryId,
  at: new Date().toISOString(),
  patchId: null,
  place: 'bed',
  species: 'iris-versicolor',
  ...line({}),
  ...over,
})

async function finish(actor: Actor, visitId: VisitId) {
  const { visit, log } = await fieldVisit(actor, visitId)
  const answered = new Set(log.flatMap((e) => ('stepKey' in e ? [e.stepKey] : [])))
  for (const step of visit.job.steps)
    if (!answered.has(step.key)) await logEntry(actor, visitId, skipped(step.key, 'not today'))
  await finishVisit(actor, visitId)
}

describe('groups of plants at the desk', () => {
  it('are set down, moved, seen to, and taken back while only the desk knows of them', async () => {
    const { actors, pondId } = await withPond('Alder')
    const { id } = await addPatch(actors.designer, pondId, { patch: inPond('nymphaea-alba'), count: 3 })
    await changePatch(actors.designer, id, 1, { ...inPond('nymphaea-alba'), xM: 2.5 })
    await logPlant(actors.technician, id, {
      on: today,
      line: line({ action: 'divide', condition: 'good', count: 2, kept: 4 }),
    })
    const page = await pondPlants(actors.technician, pondId)
    expect(page.patches).toMatchObject([
      { id, xM: 2.5, count: 2, planned: 3, condition: 'good', lastDone: { divide: today } },
    ])
    expect(page.patches[0]!.history.map((e) => e.action)).toEqual(['divide', 'planted'])
    expect(page.cuttings).toEqual([{ species: 'nymphaea-alba', onHand: 4 }])
    // one is missing, and pieces of the kind are kept
    expect(page.replanting).toEqual([
      expect.objectContaining({ patchId: id, species: 'nymphaea-alba', count: 1, sameKind: true }),
    ])
    await logPlant(actors.office, id, { on: today, line: line({ action: 'planted', count: 1 }) })
    expect((await storesPage(actors.owner)).items).toMatchObject([
      { speciesKey: 'nymphaea-alba', kind: 'plant', onHand: 3 },
    ])
    await removePatch(actors.office, id)
    expect((await pondPlants(actors.owner, pondId)).patches).toEqual([])
  })

  it('answer what cannot be with the field and the mend', async () => {
    const { actors, pondId } = await withPond('Birch')
    const { id } = await addPatch(actors.owner, pondId, { patch: inPond('carex-elata'), count: 1 })
    expect(
      await problemOf(
        addPatch(actors.owner, pondId, { patch: { ...inPond('carex-elata'), plantedOn: addDays(today, 3) }, count: 1 }),
      ),
    ).toMatchObject({
      fields: [{ path: 'plantedOn' }],
    })
    expect(await problemOf(logPlant(actors.owner, id, { on: addDays(today, 2), line: line({}) }))).toMatchObject({
      fields: [{ path: 'on' }],
    })
    expect((await problemOf(changePatch(actors.owner, id, 9, inPond('carex-elata')))).kind).toBe('conflict')
    expect(
      (await problemOf(addPatch(actors.technician, pondId, { patch: inPond('carex-elata'), count: 1 }))).kind,
    ).toBe('forbidden')
    const stranger = await withPond('Birch’s neighbour')
    expect((await problemOf(logPlant(stranger.actors.owner, id, { on: today, line: line({}) }))).kind).toBe('not-found')
    expect((await problemOf(pondPlants(stranger.actors.owner, pondId))).kind).toBe('not-found')
    expect((await problemOf(takeOverPlanting(stranger.actors.owner, pondId, null))).kind).toBe('not-found')
  })

  it('are taken over from the filter’s plan once', async () => {
    const { actors, pondId } = await withPond('Cedar')
    expect((await problemOf(takeOverPlanting(actors.owner, pondId, null))).kind).toBe('refused')
    const { start } = await designPage(actors.owner, pondId)
    await saveDesign(actors.owner, pondId, { name: 'Bed', bed: start, overrideReason: '' })
    const [first, second] = await Promise.allSettled([
      takeOverPlanting(actors.owner, pondId, '2025-05-01'),
      takeOverPlanting(actors.designer, pondId, null),
    ])
    expect([first.status, second.status].sort()).toEqual(['fulfilled', 'rejected'])
    const { patches } = await pondPlants(actors.owner, pondId)
    expect(patches.map((p) => p.species).sort()).toEqual(start.planting.map((p) => p.species).sort())
    expect(patches.every((p) => p.place === 'bed' && p.count > 0)).toBe(true)
  })
})

describe('plants on a visit', () => {
  it('are logged from any device, in whatever order the lines come in', async () => {
    const { actors, pondId, visitId } = await withVisit('Dock')
    const lead = actors['crew-lead']
    const { id } = await addPatch(actors.owner, pondId, {
      patch: { ...inPond('iris-versicolor'), plantedOn: addDays(today, -400) },
      count: 10,
    })
    await startVisit(lead, visitId)
    const minute = (n: number) => new Date(Date.now() + (n - 30) * 60_000).toISOString()
    const later = plantEntry({
      patchId: id,
      species: 'iris-versicolor',
      action: 'divide',
      condition: 'good',
      count: 8,
      kept: 5,
      at: minute(2),
    })
    const earlier = plantEntry({
      patchId: id,
      species: 'iris-versicolor',
      condition: 'crowded',
      count: 12,
      at: minute(1),
    })
    for (const entry of [later, earlier, later]) await logEntry(lead, visitId, entry)
    const fresh = plantEntry({ species: 'veronica-beccabunga', action: 'planted', count: 6, at: minute(3) })
    await logEntry(lead, visitId, fresh)
    const { patches } = await pondPlants(actors.owner, pondId)
    expect(patches).toHaveLength(2)
    expect(patches.find((p) => p.id === id)).toMatchObject({ count: 8, planned: 12, condition: 'good' })
    expect(patches.find((p) => p.species === 'veronica-beccabunga')).toMatchObject({
      id: fresh.id,
      count: 6,
      xM: null,
      plantedOn: expect.any(String),
    })
    // a crew's work is not taken back by the desk
    expect((await problemOf(removePatch(actors.owner, id))).kind).toBe('refused')
    // cuttings reach the stores with the end of the visit, once, also when a line comes in after it
    await finish(lead, visitId)
    const kept = async () => (await storesPage(actors.owner)).items.map((i) => [i.speciesKey, i.onHand])
    expect(await kept()).toEqual([['iris-versicolor', 5]])
    await logEntry(lead, visitId, plantEntry({ patchId: id, species: 'iris-versicolor', action: 'planted', count: 2 }))
    expect(await kept()).toEqual([['iris-versicolor', 3]])
    // more than lies there was bought elsewhere
    await logEntry(lead, visitId, plantEntry({ patchId: id, species: 'iris-versicolor', action: 'planted', count: 90 }))
    expect(await kept()).toEqual([['iris-versicolor', 0]])
  })

  it('a group that the office has taken away meanwhile is written down anew', async () => {
    const { actors, pondId, visitId } = await withVisit('Elder')
    const { id } = await addPatch(actors.owner, pondId, { patch: inPond('carex-elata'), count: 4 })
    await removePatch(actors.owner, id)
    await startVisit(actors['crew-lead'], visitId)
    await logEntry(
      actors['crew-lead'],
      visitId,
      plantEntry({ patchId: id, species: 'carex-elata', place: 'pond', action: 'deadhead', count: 4 }),
    )
    expect((await pondPlants(actors.owner, pondId)).patches).toMatchObject([
      { species: 'carex-elata', count: 4, place: 'pond' },
    ])
  })

  it('brings the groups and what they ask for onto the device', async () => {
    const { actors, pondId, visitId } = await withVisit('Fern')
    const { id } = await addPatch(actors.owner, pondId, { patch: inPond('carex-elata'), count: 4 })
    await logPlant(actors.owner, id, { on: today, line: line({ condition: 'pale' }) })
    const { plants, care } = await fieldVisit(actors['crew-lead'], visitId)
    expect(plants).toMatchObject([{ id, condition: 'pale' }])
    expect(care).toContainEqual(expect.objectContaining({ patchId: id, action: 'look-at-roots', due: today }))
  })
})

describe('plants of all ponds', () => {
  it('lists what is lifted and stored, and where it is', async () => {
    const { actors, pondId } = await withPond('Gorse')
    const { id } = await addPatch(actors.owner, pondId, { patch: inPond('canna-hybrids'), count: 3 })
    await addPatch(actors.owner, pondId, { patch: inPond('carex-elata'), count: 9 })
    expect((await allPlants(actors.technician)).seasonal).toMatchObject([
      { species: 'canna-hybrids', stored: false, count: 3 },
    ])
    await logPlant(actors['crew-lead'], id, { on: today, line: line({ action: 'lift', note: '=Cellar, left shelf' }) })
    expect((await allPlants(actors.owner)).seasonal).toMatchObject([{ stored: true, place: '=Cellar, left shelf' }])
    const csv = await seasonalCsv(actors.owner)
    expect(csv.split('\n')[0]).toBe('site,pond,plant,botanical,plants,state,place,next,from,by\r')
    expect(csv).toContain('Water canna,Canna × generalis,3,stored')
    // a spreadsheet must not take a place for a formula
    expect(csv).toContain("'=Cellar")
  })

  it('reach the season plan as one task a pond, which a visit closes', async () => {
    const { actors, firmId, crewId, pondId } = await withPond('Heath')
    for (const species of ['iris-versicolor', 'acorus-calamus']) {
      const { id } = await addPatch(actors.owner, pondId, { patch: inPond(species), count: 5 })
      await logPlant(actors.owner, id, { on: today, line: line({ condition: 'pale' }) })
    }
    const tasks = await inFirm(firmId, (trx) => duePlantTasks(trx, { today, timeZone: 'Etc/UTC' }, today))
    expect(tasks).toMatchObject([
      { pondId, title: expect.stringMatching(/^Check whether roots are wet: .*northern blue flag/), minutes: 10 },
    ])
    const visitId = await planVisit(actors.office, {
      pondId,
      visitType: 'routine',
      day: today,
      startTime: '08:00',
      crewId,
      note: '',
    })
    await inFirm(firmId, (trx) =>
      trx('visits')
        .where({ id: visitId })
        .update({
          tasks: JSON.stringify([{ id: tasks[0]!.id, title: tasks[0]!.title }]),
          job: trx.raw(`jsonb_set(job, '{steps}', (job->'steps') || ?::jsonb)`, [
            JSON.stringify([
              { key: `task-${tasks[0]!.id}`, section: 'While we are there', kind: 'do', title: tasks[0]!.title },
            ]),
          ]),
        }),
    )
    const lead = actors['crew-lead']
    await startVisit(lead, visitId)
    await logEntry(lead, visitId, {
      kind: 'done',
      id: crypto.randomUUID() as EntryId,
      stepKey: `task-${tasks[0]!.id}`,
      at: new Date().toISOString(),
      answer: { note: '' },
      confirmedUnlikely: false,
      replaces: null,
    })
    await finish(lead, visitId)
    expect(await inFirm(firmId, (trx) => duePlantTasks(trx, { today, timeZone: 'Etc/UTC' }, today))).toEqual([])
    expect((await pondPlants(actors.owner, pondId)).patches.map((p) => p.lastDone)).toEqual([
      { 'look-at-roots': today },
      { 'look-at-roots': today },
    ])
  })
})
