import type { EntryId, VisitId } from '@/domain/shared/ids'
import { StockItemInput } from '@/domain/stores/stores'
import type { Actor } from '@/server/platform/auth/actor'
import { closeDatabase } from '@/server/platform/db/connection'
import { closeQueue } from '@/server/platform/queue/queue'
import { fieldPack, fieldVisit } from '@/server/field/pack'
import { logEntry } from '@/server/field/log'
import { dosesPage } from '@/server/water/doses'
import { addPond } from '@/server/ponds/ponds'
import { exportProducts, importProducts, setProducts } from '@/server/stores/products'
import { addStockItem, changeStockItem, moveStock, storesPage } from '@/server/stores/stores'
import { addEquipment } from '@/server/equipment/tasks'
import { planVisit } from '@/server/visits/visit-planning'
import { pondOnFile } from '../fixtures/pond-on-file'
import { finishVisit, skipped, startVisit } from '../fixtures/field'
import { makeFirm, newPond } from '../fixtures/firm'
import { problemOf } from '../fixtures/problem-of'
import { USUAL_PRODUCTS_IN_WORDS } from '../fixtures/usual-in-words'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

const today = new Date().toISOString().slice(0, 10)
const item = (over: object) =>
  StockItemInput.parse({ name: 'Culture', kind: 'product', unit: 'mL', least: 500, productKey: 'culture', ...over })

async function withVisit(name: string, visitType: string) {
  const firm = await makeFirm(name)
  const pondId = await addPond(firm.actors.owner, newPond())
  const visitId = await planVisit(firm.actors.office, {
    pondId,
    visitType,
    day: today,
    startTime: '08:00',
    crewId: firm.crewId,
    note: '',
  })
  return { ...firm, pondId, visitId }
}
const give = (actor: Actor, visitId: VisitId, amount: number) =>
  logEntry(actor, visitId, {
    kind: 'done',
    id: crypto.randomUUID() as EntryId,
    stepKey: 'bacteria',
    at: new Date().toISOString(),
    answer: { note: '', doses: [{ productKey: 'culture', name: 'Pond bacteria, liquid', amount, unit: 'mL' }] },
    confirmedUnlikely: false,
    replaces: null,
  })
/** Ends a visit; everything that was not answered is left out. */
async function finish(actor: Actor, visitId: VisitId) {
  const { visit, log } = await fieldVisit(actor, visitId)
  const answered = new Set(log.flatMap((e) => ('stepKey' in e && e.kind !== 'timer-started' ? [e.stepKey] : [])))
  for (const step of visit.job.steps)
    if (!answered.has(step.key)) await logEntry(actor, visitId, skipped(step.key, 'not today'))
  await finishVisit(actor, visitId)
}

describe('the stores', () => {
  it('know what is there: received, taken out, counted', async () => {
    const { actors } = await makeFirm('Bracken')
    const { id } = await addStockItem(actors.office, item({}))
    await moveStock(actors.office, id, { move: 'received', amount: 2000, note: 'Delivery' })
    await moveStock(actors.technician, id, { move: 'used', amount: 300, note: '' })
    await moveStock(actors.office, id, { move: 'counted', amount: 1500, note: 'One bottle broke' })
    const { items, moves } = await storesPage(actors.office)
    expect(items).toMatchObject([{ name: 'Culture', onHand: 1500, order: 0 }])
    expect(moves.map((m) => m.amount)).toEqual([-200, -300, 2000])
    expect((await problemOf(addStockItem(actors.technician, item({ name: 'x' })))).kind).toBe('forbidden')
    await changeStockItem(actors.office, id, 1, item({ least: 1800 }))
    expect((await storesPage(actors.office)).items).toMatchObject([{ order: 300 }])
    expect((await problemOf(changeStockItem(actors.office, id, 1, item({})))).kind).toBe('conflict')
  })
  it('order what coming visits and equipment that falls due will take', async () => {
    const { actors, pondId } = await withVisit('Sallow', 'spring-cleanout')
    await addStockItem(actors.office, item({ name: 'Thiosulfate', unit: 'g', productKey: 'thiosulfate', least: 0 }))
    await addStockItem(
      actors.office,
      item({ name: 'Lamps', kind: 'part', unit: 'pieces', least: 1, productKey: null, equipmentKind: 'uv-lamp' }),
    )
    const lamp = {
      kind: 'uv-lamp' as const,
      name: 'Clarifier',
      fittedOn: '2020-01-01',
      everyDays: 365,
      doneOn: null,
      retired: false,
      warrantyUntil: null,
    }
    await addEquipment(actors.owner, pondId, lamp)
    const { items } = await storesPage(actors.office)
    const of = (name: string) => items.find((i) => i.name === name)!
    expect(of('Thiosulfate').needed).toBeGreaterThan(0)
    expect(of('Thiosulfate').order).toBe(of('Thiosulfate').needed)
    // one falls due, one is to stay on the shelf
    expect(of('Lamps')).toMatchObject({ needed: 1, order: 2 })
  })
  it('are booked by a visit once, as its log stands, and a course goes on as follow-ups', async () => {
    const { actors, visitId, pondId } = await withVisit('Alder', 'spring-startup')
    const { id } = await addStockItem(actors.office, item({}))
    await moveStock(actors.office, id, { move: 'received', amount: 1000, note: '' })
    await startVisit(actors.technician, visitId)
    await give(actors.technician, visitId, 120)
    await finish(actors.technician, visitId)
    const onHand = async () => (await storesPage(actors.office)).items[0]!.onHand
    expect(await onHand()).toBe(880)
    const courses = (await pondOnFile(actors.office, pondId)).followUps.filter((f) =>
      f.title.startsWith('Pond bacteria'),
    )
    expect(courses.map((f) => f.title)).toEqual([
      'Pond bacteria, liquid: 120 mL (2 of 4)',
      'Pond bacteria, liquid: 120 mL (3 of 4)',
      'Pond bacteria, liquid: 120 mL (4 of 4)',
    ])
    // corrected afterwards: the stores follow
    await give(actors.technician, visitId, 100)
    expect(await onHand()).toBe(900)
  })
})

describe('the product book', () => {
  it('is kept, and a stale save is a conflict; a product on a shelf stays', async () => {
    const { actors } = await makeFirm('Osier')
    const changed = USUAL_PRODUCTS_IN_WORDS.map((p) => (p.key === 'culture' ? { ...p, rate: 7 } : p))
    await setProducts(actors.office, 0, changed)
    expect((await fieldPack(actors.technician)).products.find((p) => p.key === 'culture')!.rate).toBe(7)
    expect((await problemOf(setProducts(actors.office, 0, changed))).kind).toBe('conflict')
    await addStockItem(actors.office, item({}))
    expect(
      (
        await problemOf(
          setProducts(
            actors.office,
            1,
            changed.filter((p) => p.key !== 'culture'),
          ),
        )
      ).message,
    ).toContain('in stock')
    expect((await problemOf(setProducts(actors.technician, 1, changed))).kind).toBe('forbidden')
    expect(await importProducts(actors.office, await exportProducts(actors.technician))).toEqual({
      read: changed.length,
      problems: [],
    })
  })
  it('refuses an amount over the label, whoever gives it, and lets the label’s own amount through', async () => {
    const { actors, visitId } = await withVisit('Willow', 'spring-startup')
    await startVisit(actors['crew-lead'], visitId)
    const { gateFacts } = await fieldVisit(actors['crew-lead'], visitId)
    const over = await problemOf(give(actors['crew-lead'], visitId, gateFacts.systemM3 * 41))
    expect(over).toMatchObject({
      kind: 'bad-input',
      message: expect.stringContaining('label allows at most'),
      fields: [{ path: 'answer.doses.0' }],
    })
    expect(await give(actors['crew-lead'], visitId, gateFacts.systemM3 * 40)).toBe('kept')
  })
})

describe('doses of other visits', () => {
  it('are told to the next one and to the desk, as they stand after corrections', async () => {
    const { actors, pondId, crewId, visitId } = await withVisit('Yarrow', 'routine')
    const lead = actors['crew-lead']
    const next = await planVisit(actors.office, {
      pondId,
      visitType: 'winter-check',
      day: today,
      startTime: '15:00',
      crewId,
      note: '',
    })
    const told = async () => (await fieldVisit(lead, next)).recentDoses.map((d) => d.productKey)
    await startVisit(lead, visitId)
    await give(lead, visitId, 40)
    expect(await told()).toEqual(['culture'])
    expect((await fieldVisit(lead, visitId)).recentDoses).toEqual([])
    expect((await dosesPage(actors.owner, pondId)).recentDoses).toHaveLength(1)
    await logEntry(lead, visitId, skipped('bacteria', 'Bottle was empty'))
    expect(await told()).toEqual([])
  })
})
