import { OwnConstants } from '@/domain/house-rules/house-constants'
import { OwnRules } from '@/domain/house-rules/house-rules'
import { setHouseConstants } from '@/server/house-rules/house-constants'
import { dosesPage } from '@/server/water/doses'
import { closeDatabase } from '@/server/platform/db/connection'
import { wantedSheets } from '@/server/design/cutting'
import { designPage, discardDraft, moveDesignOn, storeDraft, saveDesign } from '@/server/design/designs'
import { addPond, pondRules, setPondConstants, setPondRules } from '@/server/ponds/ponds'
import { houseTables, priceBook, setHouseTables } from '@/server/prices/prices'
import { pondOnFile } from '../fixtures/pond-on-file'
import { makeFirm, newPond } from '../fixtures/firm'
import { problemOf } from '../fixtures/problem-of'
import { USUAL_TABLES } from '../fixtures/usual-in-words'

afterAll(closeDatabase)

async function withPond(name: string) {
  const { actors } = await makeFirm(name)
  return { actors, pondId: await addPond(actors.owner, newPond()) }
}

describe('a pond’s own rules', () => {
  it('governs its bench and its windows, and no other pond’s', async () => {
    const { actors, pondId } = await withPond('Sedge')
    const other = await addPond(actors.owner, newPond())
    const own = {
      sizingMethod: { value: 'nitrogen', reason: 'Four large koi in little water.' },
      startupWaterC: { value: 9, reason: 'Shaded until noon.' },
    } as const
    await setPondRules(actors.designer, pondId, 1, own)
    expect((await designPage(actors.designer, pondId)).houseMethod).toBe('nitrogen')
    expect((await designPage(actors.designer, other)).houseMethod).toBe('volume')
    expect((await pondOnFile(actors.office, pondId)).rules.startupWaterC).toBe(9)
    expect((await pondOnFile(actors.office, other)).rules.startupWaterC).toBe(7)
  })
  it('is not taken without a reason, nor twice from the same page', async () => {
    const { actors, pondId } = await withPond('Rush')
    expect(OwnRules.safeParse({ uv: { value: 'always', reason: '  ' } }).error?.issues[0]!.path).toEqual([
      'uv',
      'reason',
    ])
    expect(OwnRules.safeParse({ uv: { value: 'sometimes', reason: 'x' } }).success).toBe(false)
    await setPondRules(actors.owner, pondId, 1, { uv: { value: 'always', reason: 'Full sun.' } })
    expect((await problemOf(setPondRules(actors.designer, pondId, 1, {}))).kind).toBe('conflict')
    expect((await problemOf(setPondRules(actors.technician, pondId, 2, {}))).kind).toBe('forbidden')
  })
})

describe('the firm’s own pipes and fittings', () => {
  const own = { key: 'long-bend', name: 'Long bend', k: 0.2, costMinor: 990 }
  it('are computed with, priced, and kept as long as designs may count them', async () => {
    const { actors, pondId } = await withPond('Cane')
    await setHouseTables(actors.office, 0, {
      ...USUAL_TABLES,
      fittings: [...USUAL_TABLES.fittings, own],
    })
    const bench = await designPage(actors.designer, pondId)
    expect(bench.rules.tables.fittings.at(-1)).toEqual({ key: 'long-bend', name: 'Long bend', k: 0.2 })
    expect((await priceBook(actors.office)).book.items.find((i) => i.key === 'fitting:long-bend')?.costMinor).toBe(990)
    const bed = { ...bench.start, delivery: { ...bench.start.delivery, fittings: { 'long-bend': 4 } } }
    await saveDesign(actors.designer, pondId, { name: 'With bends', bed, overrideReason: '' })
    const gone = await problemOf(setHouseTables(actors.office, 1, USUAL_TABLES))
    expect(gone).toMatchObject({ kind: 'bad-input', message: expect.stringContaining('Long bend') })
    expect((await houseTables(actors.technician)).version).toBe(1)
  })
  it('are named when a design counts one that is not there', async () => {
    const { actors, pondId } = await withPond('Flag')
    const { start } = await designPage(actors.designer, pondId)
    const bed = { ...start, delivery: { ...start.delivery, fittings: { 'somebody-elses-bend': 1 } } }
    const problem = await problemOf(saveDesign(actors.designer, pondId, { name: 'Foreign', bed, overrideReason: '' }))
    expect(problem).toMatchObject({
      kind: 'bad-input',
      fields: [{ path: 'bed.delivery.fittings.somebody-elses-bend' }],
    })
  })
})

const STONE = 'materials.gravel-19-38.porosity'
const OWN = { value: 0.34, reason: 'Washed river stone is round here.', source: 'Own bucket test.' }

describe('the firm’s own figures', () => {
  it('are what its designs, saved filters’ water and prices go by, with the pond’s before the house’s', async () => {
    const { actors, pondId } = await withPond('Bulrush')
    const before = await designPage(actors.designer, pondId)
    await saveDesign(actors.designer, pondId, { name: 'First', bed: before.start, overrideReason: '' })
    const [saved] = (await designPage(actors.designer, pondId)).designs
    const why = { stopReason: 'Agreed with the customer.' }
    await moveDesignOn(actors.designer, saved!.id, 1, { state: 'approved', ...why })
    await moveDesignOn(actors.designer, saved!.id, 2, { state: 'built', asBuilt: '', builtBed: null, ...why })
    const voids = (await dosesPage(actors.office, pondId)).system.filterVoidsM3
    await setHouseConstants(actors.owner, 0, { [STONE]: OWN, 'production.setUpH': { ...OWN, value: 9 } })
    const now = await designPage(actors.designer, pondId)
    expect(now.rules.materials['gravel-19-38'].porosity).toBe(0.34)
    expect(now.rules.production.setUpH).toBe(9)
    expect(now.constants).toEqual([
      { ...OWN, key: STONE, by: 'house' },
      { ...OWN, value: 9, key: 'production.setUpH', by: 'house' },
    ])
    const area = before.start.lengthM * before.start.widthM
    const gravelM = before.start.layers
      .filter((layer) => layer.material === 'gravel-19-38')
      .reduce((sum, layer) => sum + layer.thicknessM, 0)
    const less = voids - (await dosesPage(actors.office, pondId)).system.filterVoidsM3
    expect(less).toBeCloseTo(area * gravelM * (0.4 - 0.34), 6)
    const { version } = (await pondRules(actors.designer, pondId)).pond
    await setPondConstants(actors.designer, pondId, version, { [STONE]: { ...OWN, value: 0.37 } })
    const here = await designPage(actors.designer, pondId)
    expect(here.rules.materials['gravel-19-38'].porosity).toBe(0.37)
    expect(here.constants[0]).toMatchObject({ by: 'pond', value: 0.37 })
  })
  it('are the owner’s to set, once from the same page, and those of one pond the designer’s', async () => {
    const { actors, pondId } = await withPond('Galingale')
    expect((await problemOf(setHouseConstants(actors.designer, 0, { [STONE]: OWN }))).kind).toBe('forbidden')
    await setHouseConstants(actors.owner, 0, { [STONE]: OWN })
    expect((await problemOf(setHouseConstants(actors.owner, 0, {}))).kind).toBe('conflict')
    expect((await problemOf(setPondConstants(actors.office, pondId, 1, { [STONE]: OWN }))).kind).toBe('forbidden')
    await setPondConstants(actors.designer, pondId, 1, { [STONE]: OWN })
    expect((await problemOf(setPondConstants(actors.designer, pondId, 1, {}))).kind).toBe('conflict')
  })
  it('of a pond are refused where they contradict the house’s', async () => {
    const { actors, pondId } = await withPond('Reedmace')
    await setHouseConstants(actors.owner, 0, { 'clogging.gravelShare': { ...OWN, value: 0.38 } })
    const own = { 'clogging.chamberShare': { ...OWN, value: 0.65 } }
    expect(await problemOf(setPondConstants(actors.designer, pondId, 1, own))).toMatchObject({
      kind: 'bad-input',
      fields: [{ path: 'own.clogging.gravelShare.value' }],
    })
  })
  it('of a house are refused where they contradict a pond’s, which is named; a pond’s may lean on the house’s', async () => {
    const { actors, pondId } = await withPond('Cattail')
    await setHouseConstants(actors.owner, 0, { 'clogging.gravelShare': { ...OWN, value: 0.1 } })
    // with the usual share of the gravel this would be more than all
    const own = { 'clogging.chamberShare': { ...OWN, value: 0.85 } }
    await setPondConstants(actors.designer, pondId, 1, own)
    expect((await designPage(actors.designer, pondId)).rules.clogging).toMatchObject({ chamberShare: 0.85 })
    const { name } = (await pondRules(actors.designer, pondId)).pond
    const back = await problemOf(setHouseConstants(actors.owner, 1, {}))
    expect(back).toMatchObject({ kind: 'refused', message: expect.stringContaining(name) })
  })
  it('are not taken without reason and source, nor for what is no figure', () => {
    expect(OwnConstants.safeParse({ [STONE]: { ...OWN, reason: ' ' } }).error?.issues[0]!.path).toEqual([
      STONE,
      'reason',
    ])
    expect(OwnConstants.safeParse({ [STONE]: { ...OWN, source: '' } }).success).toBe(false)
    expect(OwnConstants.safeParse({ [STONE]: { ...OWN, value: 0.9 } }).success).toBe(false)
    expect(OwnConstants.safeParse({ 'materials.gold.porosity': OWN }).success).toBe(false)
  })
})

describe('work left on the bench', () => {
  it('is found again by the same person, by nobody else, until a version is saved', async () => {
    const { actors, pondId } = await withPond('Mint')
    const { start } = await designPage(actors.designer, pondId)
    const draft = { bed: { ...start, lengthM: 7.25 }, name: 'Half done', overrideReason: '' }
    await storeDraft(actors.designer, pondId, { fromVersion: null, draft })
    expect((await designPage(actors.designer, pondId)).left?.draft.bed.lengthM).toBe(7.25)
    expect((await designPage(actors.owner, pondId)).left).toBeNull()
    await saveDesign(actors.designer, pondId, draft)
    expect((await designPage(actors.designer, pondId)).left).toBeNull()
    await storeDraft(actors.designer, pondId, { fromVersion: 1, draft })
    await discardDraft(actors.designer, pondId)
    expect((await designPage(actors.designer, pondId)).left).toBeNull()
  })
})

describe('sheets to cut', () => {
  it('are liner, underlayment and net of each pond, and liner and underlayment of its bed', async () => {
    const { actors, pondId } = await withPond('Iris')
    const { start } = await designPage(actors.designer, pondId)
    await saveDesign(actors.designer, pondId, { name: 'First', bed: start, overrideReason: '' })
    const sheets = await wantedSheets(actors.office)
    expect(sheets.map((s) => s.id.split(':').slice(0, 2).join(' ')).sort()).toEqual([
      'bed liner',
      'bed underlayment',
      'pond liner',
      'pond net',
      'pond underlayment',
    ])
    const [liner, net] = ['liner', 'net'].map((kind) => sheets.find((s) => s.kind === kind && s.id.startsWith('pond'))!)
    expect(net!.lengthM).toBeGreaterThan(0)
    expect(net!.lengthM).not.toBe(liner!.lengthM)
  })
})
