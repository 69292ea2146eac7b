import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { PAPERS, fittingScale } from '@/core/drawing/svg'
import { siteSheet } from '@/core/drawing/site-sheet'
import { leafFallKgPerYear } from '@/core/site-plan/leaf-fall'
import type { SiteSurvey } from '@/core/site-plan/site-survey'
import { closeDatabase } from '@/server/platform/db/connection'
import { addPond, pondForEdit } from '@/server/ponds/ponds'
import { designPage, moveDesignOn, saveDesign } from '@/server/design/designs'
import { drawingSetPdf } from '@/server/design/drawing-set-pdf'
import { dosesPage } from '@/server/water/doses'
import { saveSiteSurvey } from '@/server/survey/site-survey'
import { SiteSurveyInput } from '@/domain/survey/site-survey'
import { LAYOUT } from '../fixtures/site-plan'
import { SHEET_WORDS } from '../fixtures/sheet-words'
import { makeFirm, newPond } from '../fixtures/firm'
import { pondInput } from '../fixtures/pond-input'
import { problemOf } from '../fixtures/problem-of'

afterAll(closeDatabase)

const at = (xM: number, yM: number) => ({ xM, yM })
const SITE: SiteSurvey = {
  northDeg: 15,
  windFromDeg: 270,
  objects: [
    { kind: 'spot-level', at: at(0, 3), levelM: 0.4 },
    { kind: 'tree', at: at(-2, 0), crownM: 4 },
    { kind: 'fixed-point', at: at(0, 6) },
    { kind: 'fixed-point', at: at(8, 6) },
  ],
}
const surveyed = async (name: string) => {
  const { actors } = await makeFirm(name)
  const id = await addPond(actors.owner, { ...newPond(), pond: pondInput() })
  await saveSiteSurvey(actors.owner, id, 1, SITE)
  return { actors, id }
}

describe('a site survey', () => {
  it('is kept, carried by the pond, and does not go with a change of its survey', async () => {
    const { actors, id } = await surveyed('Rushmere')
    const pond = await pondForEdit(actors.owner, id)
    expect(pond.siteSurvey).toEqual(SITE)
    expect(pond.version).toBe(2)
  })
  it('brings the leaves of its trees and its levels to the design', async () => {
    const { actors, id } = await surveyed('Sedgeley')
    const { designPond } = await designPage(actors.designer, id)
    const fallen = leafFallKgPerYear(SITE, designPond.ground!.outline)
    expect(fallen).toBeGreaterThan(0.5)
    expect(designPond.leafKgPerYear).toBeCloseTo(0.05 * designPond.areaM2 + fallen, 9)
  })
  it('is not overwritten by who saved later from an older page', async () => {
    const { actors, id } = await surveyed('Ferncote')
    const problem = await problemOf(saveSiteSurvey(actors.designer, id, 1, { ...SITE, objects: [] }))
    expect(problem.kind).toBe('conflict')
    expect((await pondForEdit(actors.owner, id)).siteSurvey).toEqual(SITE)
  })
  it('names what cannot be: a third fixed point, an outline that crosses itself, a crown of nothing', () => {
    const refused = (objects: unknown[]) =>
      SiteSurveyInput.safeParse({ ...SITE, objects }).error!.issues.map((issue) => issue.path.join('.'))
    const point = { kind: 'fixed-point', at: at(0, 0) }
    expect(refused([point, point, point])).toEqual(['objects.2'])
    expect(refused([{ kind: 'building', outline: [at(0, 0), at(2, 2), at(2, 0), at(0, 2)] }])).toEqual([
      'objects.0.outline',
    ])
    expect(refused([{ kind: 'tree', at: at(0, 0), crownM: 0 }])).toEqual(['objects.0.crownM'])
    expect(refused([{ kind: 'pergola', at: at(0, 0) }])).toEqual(['objects.0.kind'])
  })
})

describe('a design on its site', () => {
  it('stands where its layout puts it, whatever figures came with it', async () => {
    const { actors, id } = await surveyed('Alderwick')
    const { start } = await designPage(actors.designer, id)
    const bed = { ...start, layout: LAYOUT, staticLiftM: 3, delivery: { ...start.delivery, lengthM: 99 } }
    await saveDesign(actors.designer, id, { name: 'Placed', bed, overrideReason: '' })
    const [saved] = (await designPage(actors.designer, id)).designs
    expect(saved!.bed.staticLiftM).toBeCloseTo(0.4 + bed.raisedM + bed.waterOverGravelM, 9)
    expect(saved!.bed.northDeg).toBe(15)
    expect(saved!.bed.delivery.lengthM).toBeLessThan(40)
  })
  it('makes doses treat its stream once it is built', async () => {
    const { actors, id } = await surveyed('Marlbrook')
    const { start } = await designPage(actors.designer, id)
    const stream = { depthM: 0.1, places: [{ at: at(5, 0), widthM: 1, dropM: 0.1 }] }
    const saved = await saveDesign(actors.designer, id, {
      name: 'With a stream',
      bed: { ...start, layout: { ...LAYOUT, stream } },
      overrideReason: '',
    })
    const before = (await dosesPage(actors.owner, id)).system
    const stopReason = 'built for the test'
    await moveDesignOn(actors.designer, saved.id, 1, { state: 'approved', stopReason })
    await moveDesignOn(actors.designer, saved.id, 2, { state: 'built', asBuilt: '', builtBed: null, stopReason })
    const { system } = await dosesPage(actors.owner, id)
    expect(before.besideM3).toBe(0)
    expect(system.besideM3).toBeGreaterThan(0.1)
    expect(system.totalM3).toBeGreaterThan(before.totalM3 + system.besideM3)
  })
})

describe('the drawing set', () => {
  it('is one file at a true scale: sheets of the paper asked for, the bed as long as it is', async () => {
    const { actors, id } = await surveyed('Thornlea')
    const { start } = await designPage(actors.designer, id)
    const { id: designId } = await saveDesign(actors.designer, id, {
      name: 'To be built',
      bed: { ...start, layout: LAYOUT },
      overrideReason: '',
    })
    const page = await designPage(actors.designer, id)
    const { bytes } = await drawingSetPdf(actors.designer, designId, 'A3')
    const pdf = await getDocument({ data: new Uint8Array(bytes), useSystemFonts: true }).promise
    // site, section from pump to pond, plan, section, layers, flow, schedules
    expect(pdf.numPages).toBe(7)
    const first = await pdf.getPage(1)
    const [, , width, height] = first.view
    expect([width, height].map((pt) => (pt! / 72) * 25.4)).toEqual([
      expect.closeTo(PAPERS.A3[1], 1),
      expect.closeTo(PAPERS.A3[0], 1),
    ])
    const bed = page.designs[0]!.bed
    const sheet = siteSheet(page.designPond.ground!, bed, SHEET_WORDS)
    const scale = fittingScale(sheet, 'A3')
    const { fnArray, argsArray } = await first.getOperatorList()
    // a path's own box; what only clips has none
    const boxes = fnArray.flatMap((fn, i) => {
      const box = fn === OPS.constructPath ? (argsArray[i][2] as ArrayLike<number> | null) : null
      return box ? [Array.from(box)] : []
    })
    const wanted = [(bed.lengthM * 1000) / scale, (bed.widthM * 1000) / scale].map((mm) => (mm / 25.4) * 72)
    const sizes = boxes.map(([x0, y0, x1, y1]) => [x1! - x0!, y1! - y0!])
    expect(sizes).toContainEqual([expect.closeTo(wanted[0]!, 1), expect.closeTo(wanted[1]!, 1)])
    const last = await (await pdf.getPage(7)).getTextContent()
    const said = last.items.map((item) => ('str' in item ? item.str : '')).join('|')
    expect(said).toContain('Pipe schedule')
    expect(said).toContain('Bed corner 4')
  })
  it('is nobody else’s', async () => {
    const { actors, id } = await surveyed('Ashwell')
    const { start } = await designPage(actors.designer, id)
    const { id: designId } = await saveDesign(actors.designer, id, { name: 'Ours', bed: start, overrideReason: '' })
    const other = await makeFirm('Birchholt')
    expect((await problemOf(drawingSetPdf(other.actors.owner, designId, 'A4'))).kind).toBe('not-found')
  })
})
