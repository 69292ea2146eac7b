import { execFileSync } from 'node:child_process'
import type { FilterDesign } from '@/core/filter/design-input'
import { beforeAfter } from '@/domain/proposals/before-after'
import type { DesignId, PondId } from '@/domain/shared/ids'
import type { Actor } from '@/server/platform/auth/actor'
import { closeDatabase } from '@/server/platform/db/connection'
import { closeQueue } from '@/server/platform/queue/queue'
import { designPage, moveDesignOn, saveDesign } from '@/server/design/designs'
import { pondEquipment, pondHead } from '@/server/ponds/pond-pages'
import { addPond } from '@/server/ponds/ponds'
import { proposalPdf } from '@/server/proposals/proposal-pdf'
import { makeProposal, publicProposal } from '@/server/proposals/proposals'
import { dosesPage } from '@/server/water/doses'
import { makeFirm, newPond } from '../fixtures/firm'
import { problemOf } from '../fixtures/problem-of'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

/** A pond with a bed that somebody built too small, as it was found. */
async function withFound(name: string) {
  const { actors } = await makeFirm(name)
  const pondId = await addPond(actors.owner, newPond())
  const { start } = await designPage(actors.designer, pondId)
  const save = async (called: string, bed: FilterDesign) =>
    (await saveDesign(actors.designer, pondId, { name: called, bed, overrideReason: '' })).id
  const small = await save('As it was', { ...start, lengthM: start.lengthM * 0.3 })
  return { actors, pondId, start, small, save }
}
const propose = async (actor: Actor, pondId: PondId, designId: DesignId) => {
  const { token } = await makeProposal(actor, pondId, {
    title: 'A larger bed',
    intro: '',
    validUntil: '2099-01-01',
    options: [{ designId, why: '' }],
    whatIfId: null,
    stopReason: 'Agreed with the customer.',
  })
  return { token, content: (await publicProposal(token)).content }
}

describe('a filter that was found at a pond', () => {
  it('stands without a reason, whatever is wrong with it; doses count its water, and nothing is made up of its age', async () => {
    const { actors, pondId, small } = await withFound('Sweetflag')
    expect((await dosesPage(actors.office, pondId)).system.filterVoidsM3).toBe(0)
    await moveDesignOn(actors.designer, small, 1, { state: 'found' })
    expect((await dosesPage(actors.office, pondId)).system.filterVoidsM3).toBeGreaterThan(0)
    expect((await pondHead(actors.office, pondId)).state.filter).toMatchObject({ state: 'found', number: 1 })
    expect((await pondEquipment(actors.office, pondId)).equipment).toEqual([])
    expect((await problemOf(moveDesignOn(actors.designer, small, 2, { state: 'approved' }))).kind).toBe('refused')
    expect((await problemOf(moveDesignOn(actors.technician, small, 2, { state: 'found' }))).kind).toBe('forbidden')
  })
  it('that was recorded by mistake is taken back, and stands no more', async () => {
    const { actors, pondId, small } = await withFound('Waterplantain')
    expect((await problemOf(moveDesignOn(actors.designer, small, 1, { state: 'open' }))).kind).toBe('refused')
    await moveDesignOn(actors.designer, small, 1, { state: 'found' })
    await moveDesignOn(actors.designer, small, 2, { state: 'open' })
    expect((await dosesPage(actors.office, pondId)).system.filterVoidsM3).toBe(0)
    expect((await pondHead(actors.office, pondId)).state.filter).toMatchObject({ state: 'open' })
  })
  it('is set beside what is proposed, on the page and on paper, as it stood that day', async () => {
    const { actors, pondId, small, save, start } = await withFound('Arrowhead')
    const larger = await save('Larger', start)
    // nothing was recorded yet: nothing is said of today
    expect(beforeAfter((await propose(actors.designer, pondId, larger)).content)).toBeNull()
    await moveDesignOn(actors.designer, small, 1, { state: 'found' })
    const { token, content } = await propose(actors.designer, pondId, larger)
    const [today, then] = beforeAfter(content)!
    expect([today!.option, then!.option]).toEqual([null, 0])
    expect(content.found?.designNumber).toBe(1)
    expect(today!.ammoniaMgL[0]).toBeGreaterThan(then!.ammoniaMgL[0])
    const paper = execFileSync('pdftotext', ['-layout', '-', '-'], {
      input: (await proposalPdf(token)).bytes,
      encoding: 'utf8',
    })
    expect(paper).toContain('Your filter today and what we propose')
    expect(paper).toMatch(/Electricity\s+\d+ kWh a year\s+\d+ kWh a year/)
  })
  it('is the past once another was built: then that one stands, and no proposal speaks of the old', async () => {
    const { actors, pondId, small, save, start } = await withFound('Burreed')
    await moveDesignOn(actors.designer, small, 1, { state: 'found' })
    const larger = await save('Larger', start)
    const before = (await dosesPage(actors.office, pondId)).system.filterVoidsM3
    const why = { stopReason: 'Agreed with the customer.' }
    await moveDesignOn(actors.designer, larger, 1, { state: 'approved', ...why })
    await moveDesignOn(actors.designer, larger, 2, { state: 'built', asBuilt: '', builtBed: null, ...why })
    expect((await dosesPage(actors.office, pondId)).system.filterVoidsM3).toBeGreaterThan(before)
    expect((await propose(actors.designer, pondId, larger)).content.found).toBeNull()
  })
})
