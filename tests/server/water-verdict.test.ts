import type { ReadingKindName } from '@/core/water/readings'
import { closeDatabase } from '@/server/platform/db/connection'
import { diagnosisPage } from '@/server/diagnosis/diagnosis'
import { addPond } from '@/server/ponds/ponds'
import { logReadings } from '@/server/water/readings'
import { todayPage } from '@/server/today/today'
import { makeFirm, newPond } from '../fixtures/firm'

afterAll(closeDatabase)

/** A pond with these tests of now. */
async function tested(name: string, values: Partial<Record<ReadingKindName, number>>) {
  const { actors } = await makeFirm(name)
  const pondId = await addPond(actors.owner, newPond())
  const readings = Object.fromEntries(
    Object.entries(values).map(([kind, value]) => [kind, { value, belowStep: false }]),
  )
  await logReadings(actors.technician, pondId, {
    readings,
    method: 'drops',
    at: new Date().toISOString(),
    confirmedUnlikely: true,
  })
  return { actors, pondId }
}

describe('one verdict for ammonia on Today and in the diagnosis', () => {
  it('TAN 0.5 at pH 9.3 and 26 °C is an emergency', async () => {
    const { actors, pondId } = await tested('Sharp', { tan: 0.5, ph: 9.3, waterTemp: 26 })
    const { concerns, concernCount } = await todayPage(actors.office)
    expect(concernCount).toBe(1)
    expect(concerns).toMatchObject([{ pondId, kind: 'tan', band: 'emergency', missing: [] }])
    expect(concerns[0]!.nh3MgL).toBeCloseTo(0.274, 2)
    expect((await diagnosisPage(actors.office, pondId)).known['ammonia-high']?.found).toBe(true)
  })
  it('TAN 3 at pH 6.5 and 10 °C is at risk for its pH alone', async () => {
    const { actors, pondId } = await tested('Sour', { tan: 3, ph: 6.5, waterTemp: 10 })
    expect((await todayPage(actors.office)).concerns).toMatchObject([{ kind: 'ph', band: 'watch' }])
    expect((await diagnosisPage(actors.office, pondId)).known['ammonia-high']?.found).toBe(false)
  })
  it('says what to test where only the total is known', async () => {
    const { actors } = await tested('Bare', { tan: 1 })
    expect((await todayPage(actors.office)).concerns).toMatchObject([
      { kind: 'tan', band: 'act', nh3MgL: null, missing: ['ph', 'waterTemp'] },
    ])
  })
})
