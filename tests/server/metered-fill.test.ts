import type { EntryId, VisitId } from '@/domain/shared/ids'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import type { Actor } from '@/server/platform/auth/actor'
import { closeDatabase } from '@/server/platform/db/connection'
import { closeQueue } from '@/server/platform/queue/queue'
import { designPage, moveDesignOn, saveDesign } from '@/server/design/designs'
import { dosesPage } from '@/server/water/doses'
import { logEntry } from '@/server/field/log'
import { fieldVisit } from '@/server/field/pack'
import { addPond } from '@/server/ponds/ponds'
import { planVisit } from '@/server/visits/visit-planning'
import { pondOnFile } from '../fixtures/pond-on-file'
import { finishVisit, skipped, startVisit } from '../fixtures/field'
import { makeFirm, newPond } from '../fixtures/firm'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

const today = new Date().toISOString().slice(0, 10)

/** A filter that is approved and being built, with what the meter says of its first fill. */
async function filled(name: string, saysM3: (surveyedM3: number) => number) {
  const firm = await makeFirm(name)
  const { actors, crewId } = firm
  const pondId = await addPond(actors.owner, newPond())
  const bench = await designPage(actors.designer, pondId)
  const { id } = await saveDesign(actors.designer, pondId, { name: 'First', bed: bench.start, overrideReason: '' })
  await moveDesignOn(actors.designer, id, 1, { state: 'approved' })
  const before = savedPondFacts((await pondOnFile(actors.office, pondId)).pond).adopted.volumeM3
  const visitId = await planVisit(actors.office, {
    pondId,
    visitType: 'filter-build',
    day: today,
    startTime: '08:00',
    crewId,
    note: '',
  })
  const lead = actors['crew-lead']
  await startVisit(lead, visitId)
  const { visit } = await fieldVisit(lead, visitId)
  await meter(lead, visitId, saysM3(before))
  for (const step of visit.job.steps)
    if (step.key !== 'fill') await logEntry(lead, visitId, skipped(step.key, 'Shown elsewhere'))
  await finishVisit(lead, visitId)
  return { ...firm, pondId, visitId, before, designId: id, lead }
}
const meter = (by: Actor, visitId: VisitId, fillM3: number, replaces: string | null = null) => {
  const id = crypto.randomUUID() as EntryId
  const entry = {
    kind: 'done' as const,
    id,
    stepKey: 'fill',
    at: new Date().toISOString(),
    replaces: replaces as EntryId | null,
    confirmedUnlikely: true,
  }
  return logEntry(by, visitId, { ...entry, answer: { note: '', figures: { fillM3 } } })
}

describe('what a meter says of a first fill', () => {
  it('corrects the pond’s volume wherever it is used, less what the filter holds', async () => {
    const { actors, pondId, before } = await filled('Ouzel', (m3) => m3 * 1.3)
    const { pond } = await pondOnFile(actors.office, pondId)
    const { adopted, evidence } = savedPondFacts(pond)
    expect(pond.meteredFillM3).toBeLessThan(before * 1.3)
    expect(evidence.map((e) => e.method)).toContain('metered-fill')
    // the meter is the surer of the two: the volume lies nearer to it
    expect(Math.abs(adopted.volumeM3 - pond.meteredFillM3!)).toBeLessThan(Math.abs(adopted.volumeM3 - before))
    // until it is known which of the two is off, doses are told with what both leave open
    const { system, gateFacts } = await dosesPage(actors.technician, pondId)
    expect(system.totalM3).toBeGreaterThan(before)
    expect(adopted.open).toBe(true)
    const besidePondM3 = system.totalM3 - adopted.volumeM3
    expect(system.lowM3).toBeLessThan(before + besidePondM3)
    expect(system.highM3).toBeGreaterThan(pond.meteredFillM3! + besidePondM3)
    expect(gateFacts.systemRangeM3).toEqual([system.lowM3, system.highM3])
  })
  it('a correction of the log corrects the volume', async () => {
    const { actors, pondId, visitId, lead, before } = await filled('Heronsew', (m3) => m3 * 1.3)
    const first = (await pondOnFile(actors.office, pondId)).pond.meteredFillM3!
    await new Promise((done) => setTimeout(done, 5))
    await meter(lead, visitId, before * 1.2)
    const { pond } = await pondOnFile(actors.office, pondId)
    expect(pond.meteredFillM3!).toBeCloseTo(first - before * 0.1, 2)
  })
  it('that cannot be the whole of it is not taken, and the office is told', async () => {
    const { actors, pondId } = await filled('Skua', (m3) => m3 * 0.3)
    const page = await pondOnFile(actors.office, pondId)
    expect(page.pond.meteredFillM3).toBeNull()
    expect(JSON.stringify(page)).toContain('Not adopted as the pond’s volume')
  })
})
