import { addDays } from '@/core/numeric/calendar'
import { seasonBegins, seasonEnds, seasonYearOf } from '@/core/season/season-year'
import { inSeasonOf, SERVICE_TEMPLATES } from '@/domain/schedule/service-plan'
import { closeDatabase } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { closeQueue } from '@/server/platform/queue/queue'
import { addPond } from '@/server/ponds/ponds'
import { findServicePlan, listPlanningPonds } from '@/server/schedule/planning-repository'
import { setServicePlan } from '@/server/schedule/service-plans'
import { pondWindows } from '@/server/season/pond-windows'
import { seasonPage } from '@/server/season/season-view'
import { fetchWeatherNews } from '@/server/season/weather'
import { windowsOfPonds } from '@/server/season/windows-of-ponds'
import { todayPage } from '@/server/today/today'
import { planVisit, planningPage } from '@/server/visits/visit-planning'
import { pondOnFile } from '../fixtures/pond-on-file'
import { makeFirm, newPond } from '../fixtures/firm'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

const southern = (stationId = 'quill-bay', name = 'Pond') => {
  const pond = newPond({ name })
  if (pond.site.kind !== 'new') throw new Error('the fixture’s site is a new one')
  return { ...pond, site: { ...pond.site, site: { ...pond.site.site, stationId } } }
}
const monthOf = (day: string) => Number(day.slice(5, 7))

describe('a firm where December is high summer', () => {
  it('sees its season from July to June, with spring in August or September and netting in autumn', async () => {
    const { actors } = await makeFirm('Correa')
    const pondId = await addPond(actors.owner, southern())
    const page = await seasonPage(actors.owner, 2026, 'spring-cleanout')
    expect([page.year, page.seasonFrom]).toEqual([2026, 7])
    const { window } = page.rows[0]!
    expect(window!.best > '2026-07-01' && window!.best < '2026-10-15').toBe(true)
    const of = new Map((await pondWindows(actors.owner, pondId, 2026)).windows.map((w) => [w.job, w]))
    for (const { earliest, latest } of of.values())
      expect(earliest >= seasonBegins(2026, 7) && latest <= seasonEnds(2026, 7)).toBe(true)
    expect([4, 5]).toContain(monthOf(of.get('netting')!.best))
    expect(of.get('netting')!.best.slice(0, 4)).toBe('2027')
    expect(of.has('deicer-on')).toBe(false)
  })
  it('stands on this season’s weather, known by the year in which it began', async () => {
    const { actors, firmId } = await makeFirm('Dianella')
    const pondId = await addPond(actors.owner, southern('dusty-ford'))
    await fetchWeatherNews()
    await windowsOfPonds(firmId)
    const { live, season, today } = await pondOnFile(actors.office, pondId)
    expect([live!.year, live!.season.from]).toEqual([seasonYearOf(today, 7), 7])
    // January is high summer in both, the calendar's first days first
    for (const { waterC } of [live!.season, season!]) expect(waterC[10]!.p50).toBeGreaterThan(waterC[190]!.p50 + 8)
    const { water } = await todayPage(actors.office)
    expect(water!.warmest!).toBeGreaterThan(0)
  }, 60_000)
  it('is offered days of its own spring, and keeps what is planned in its season year', async () => {
    const { actors, crewId } = await makeFirm('Epacris')
    const pondId = await addPond(actors.owner, southern('dusty-ford'))
    const { proposals, window } = await planningPage(actors.office, pondId, 'spring-cleanout')
    expect(proposals.length).toBeGreaterThan(0)
    expect(monthOf(window!.best)).toBeGreaterThanOrEqual(7)
    expect(monthOf(window!.best)).toBeLessThanOrEqual(10)
    const { day } = proposals[0]!
    await planVisit(actors.office, { pondId, visitType: 'spring-cleanout', day, startTime: '08:00', crewId, note: '' })
    const { rows } = await seasonPage(actors.office, seasonYearOf(day, 7), 'spring-cleanout')
    expect(rows[0]!.visits.map((v) => v.day)).toEqual([day])
    const other = await seasonPage(actors.office, seasonYearOf(day, 7) + 1, 'spring-cleanout')
    expect(other.rows[0]!.visits).toEqual([])
  })
  it('agrees to routine visits through its own summer, over New Year', async () => {
    const { actors, firmId } = await makeFirm('Grevillea')
    const pondId = await addPond(actors.owner, southern())
    const { seasonFrom, version } = await inFirm(firmId, (trx) => findServicePlan(trx, pondId))
    expect(seasonFrom).toBe(7)
    const template = SERVICE_TEMPLATES.find(({ key }) => key === 'full')!
    await setServicePlan(actors.owner, pondId, version, inSeasonOf(template.lines, seasonFrom))
    const { lines } = await inFirm(firmId, (trx) => findServicePlan(trx, pondId))
    expect(lines.find(({ job }) => job === 'routine')).toMatchObject({ from: '10-20', to: '04-15' })
  })
  it('may have a yard north of the equator too: each pond goes by its own year', async () => {
    const { actors, firmId } = await makeFirm('Banksia')
    await addPond(actors.owner, southern())
    await addPond(actors.owner, southern('dusty-ford', 'Second'))
    await addPond(actors.owner, newPond({ name: 'North' }))
    const ponds = await inFirm(firmId, (trx) => listPlanningPonds(trx))
    expect(ponds.map(({ seasonFrom }) => seasonFrom).sort()).toEqual([1, 7, 7])
    // the page goes by most of them; the northern spring lies in its second half
    const { rows, seasonFrom } = await seasonPage(actors.owner, 2026, 'spring-cleanout')
    expect(seasonFrom).toBe(7)
    const best = new Map(rows.map((row) => [row.name, row.window!.best]))
    expect(best.get('North')! > '2027-01-01' && best.get('North')! < addDays('2027-06-30', 1)).toBe(true)
    expect(best.get('Second')! < '2026-12-31').toBe(true)
  })
})
