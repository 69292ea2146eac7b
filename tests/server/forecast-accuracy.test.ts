import { addDays } from '@/core/numeric/calendar'
import { recordOf } from '@/core/numeric/record-of'
import { HAZARD_KEYS, OUTLOOK_OUTPUTS } from '@/core/assimilation/hazards'
import type { Issued } from '@/core/assimilation/issued'
import { closeDatabase } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { forecastsPage, pondOutlook } from '@/server/forecasts/forecasts'
import { storeForecast } from '@/server/forecasts/forecast-repository'
import { listPastScores } from '@/server/forecasts/accuracy-repository'
import { holdToAccount } from '@/server/forecasts/hold-to-account'
import { addPond } from '@/server/ponds/ponds'
import { logReadings } from '@/server/water/readings'
import { makeFirm, newPond } from '../fixtures/firm'

afterAll(closeDatabase)

const TODAY = new Date().toISOString().slice(0, 10)
/** A forecast that says nitrite 0.1 to 0.4 on every day, and past the line in so many of the runs. */
const said = (on: string, past: number): Issued => ({
  on,
  from: on,
  bands: recordOf(OUTLOOK_OUTPUTS, () => ({
    p10: Array.from({ length: 21 }, () => 0.1),
    p50: Array.from({ length: 21 }, () => 0.2),
    p90: Array.from({ length: 21 }, () => 0.4),
  })),
  past: recordOf(HAZARD_KEYS, () => Array.from({ length: 21 }, () => past)),
})

async function pondOfFirm(name: string) {
  const { actors, firmId } = await makeFirm(name)
  const pondId = await addPond(actors.owner, newPond())
  const test = (nitrite: number, day: string) =>
    logReadings(actors.owner, pondId, {
      at: day === TODAY ? new Date(Date.now() - 1000).toISOString() : `${day}T12:00:00Z`,
      method: 'drops',
      readings: { nitrite: { value: nitrite, belowStep: false } },
      confirmedUnlikely: true,
    })
  const night = (today: string, epoch: string, issued: Issued, lookedBack: readonly Issued[] = []) =>
    inFirm(firmId, (trx) =>
      holdToAccount(trx, { firmId, pondId, epoch, today, timeZone: 'Etc/UTC', deepestM: 1.2 }, { issued, lookedBack }),
    )
  const scores = () => inFirm(firmId, (trx) => trx('forecast_scores').orderBy('lead'))
  return { actors, firmId, pondId, test, night, scores }
}

describe('forecasts are held to what they said on their day', () => {
  it('a test is held against the forecast given out before it; a change of fish keeps the old scores', async () => {
    const { actors, firmId, pondId, test, night, scores } = await pondOfFirm('Curlew')
    const [far, middle, near] = [addDays(TODAY, -16), addDays(TODAY, -7), addDays(TODAY, -2)]
    await test(0.3, addDays(TODAY, -20))
    await night(far, 'few fish', said(far, 0.9))
    await night(middle, 'few fish', said(middle, 0.6))
    await night(near, 'few fish', said(near, 0.1))
    expect(await scores()).toEqual([])
    await test(0.6, TODAY)
    // fish have come since: another pond to the model, the same one to whoever was told
    await night(TODAY, 'many fish', said(TODAY, 0))
    expect(await scores()).toMatchObject([
      { lead: 'far', kind: 'nitrite', issued_on: far, lead_days: 16, read: 0.6, last: 0.3, past: 0.9, crossed: true },
      { lead: 'middle', issued_on: middle, past: 0.6 },
      { lead: 'near', issued_on: near, epoch: 'few fish', middle: 0.2, looked_back: false },
    ])
    const { accuracy } = await forecastsPage(actors.owner)
    expect(accuracy.counts).toEqual({ tests: 1, lookedBack: 0, earlier: 0 })
    expect(accuracy.kinds.map((k) => [k.kind, k.lead, k.tests, k.ponds, k.inside.value])).toEqual([
      ['nitrite', 'near', 1, 1, 0],
      ['nitrite', 'middle', 1, 1, 0],
      ['nitrite', 'far', 1, 1, 0],
    ])
    // one test counts once, by what was said a week before
    expect(accuracy.said.map((s) => [s.from, s.tests, s.crossed])).toEqual([
      [0, 0, 0],
      [0.2, 0, 0],
      [0.5, 1, 1],
      [0.8, 0, 0],
    ])
    await inFirm(firmId, (trx) =>
      storeForecast(trx, firmId, {
        pondId,
        pondHash: 'many fish',
        filter: {},
        outlook: { from: TODAY, bands: said(TODAY, 0).bands, risks: {} as never },
        risks: [],
        risk: 0,
      }),
    )
    expect((await pondOutlook(actors.owner, pondId)).accuracy.counts).toEqual({ tests: 1, lookedBack: 0, earlier: 1 })
  })

  it('what is only looked back on never takes the place of what was said; a mended reading is held anew', async () => {
    const { test, night, scores, firmId, pondId } = await pondOfFirm('Whimbrel')
    const near = addDays(TODAY, -2)
    await night(near, 'e', said(near, 0.7))
    await test(0.35, TODAY)
    await night(TODAY, 'f', said(TODAY, 0), [said(addDays(TODAY, -16), 0.1), said(near, 0.1)])
    expect(await scores()).toMatchObject([
      { lead: 'far', looked_back: true, epoch: 'f' },
      { lead: 'near', looked_back: false, epoch: 'e', past: 0.7 },
    ])
    // what later bands learn from: the test as the range that its card tells, beside the band as the model had it
    const [past] = await inFirm(firmId, (trx) => listPastScores(trx, pondId, 'e'))
    expect(past).toMatchObject({ kind: 'nitrite', lead: 'near', day: TODAY, scatter: 0.15 })
    expect(Math.exp(past!.low) - 0.05).toBeCloseTo(0.3, 6)
    expect(Math.exp(past!.high) - 0.05).toBeCloseTo(0.425, 6)
    expect(await inFirm(firmId, (trx) => listPastScores(trx, pondId, 'another pond'))).toEqual([])
    await inFirm(firmId, (trx) => trx('readings').update({ value: 0.05 }))
    await night(TODAY, 'f', said(TODAY, 0))
    expect((await scores()).find((s) => s.lead === 'near')).toMatchObject({ read: 0.05, crossed: false })
  })

  it('forecasts that no test can meet any more go; another firm sees none of it', async () => {
    const { test, night, firmId } = await pondOfFirm('Godwit')
    await night(addDays(TODAY, -100), 'e', said(addDays(TODAY, -100), 0))
    await night(TODAY, 'e', said(TODAY, 0))
    expect(await inFirm(firmId, (trx) => trx('issued_forecasts').pluck('issued_on'))).toEqual([TODAY])
    await test(0.2, TODAY)
    const other = await makeFirm('Sanderling')
    expect(await inFirm(other.firmId, (trx) => trx('issued_forecasts').select())).toEqual([])
    expect((await forecastsPage(other.actors.owner)).accuracy.counts.tests).toBe(0)
  })
})
