import type { Season } from '@/core/season/windows'
import { addDays } from '@/core/numeric/calendar'
import { closeDatabase, database } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findCalibration, findLiveSeason } from '@/server/season/season-repository'
import { listWeatherDays } from '@/server/season/weather-repository'
import { closeQueue } from '@/server/platform/queue/queue'
import { windowsOfPonds } from '@/server/season/windows-of-ponds'
import { importWeather } from '@/server/exchange/weather-file'
import { addPond } from '@/server/ponds/ponds'
import { logReadings } from '@/server/water/readings'
import { fetchWeatherNews, weather, weatherStatus } from '@/server/season/weather'
import { readWeatherCsv } from '@/domain/season/weather-csv'
import { nextWindow } from '@/domain/season/season-dates'
import { pondOnFile } from '../fixtures/pond-on-file'
import { makeFirm, newPond } from '../fixtures/firm'
import { problemOf } from '../fixtures/problem-of'

const desk = process.env.WEATHER_DESK_URL!
const today = new Date().toISOString().slice(0, 10)
const outage = (seconds: number) => fetch(new URL(`/outage?seconds=${seconds}`, desk), { method: 'POST' })

// stations are known before the desk is cut off: on a new database nobody has asked for them yet
beforeAll(async () => {
  expect((await weather()).stations.length).toBeGreaterThan(0)
})
afterAll(async () => {
  await outage(0)
  await closeQueue()
  await closeDatabase()
})

describe('the weather desk', () => {
  const ask = async (path: string) => {
    const response = await fetch(new URL(path, desk))
    return { status: response.status, body: await response.json() }
  }
  it('tells observed days, the same whenever they are asked for, and none that is not over', async () => {
    const [once, again] = [
      await ask('/stations/ferrygate/days?from=2026-01-01&to=2026-01-31'),
      await ask('/stations/ferrygate/days?from=2026-01-01&to=2026-01-31'),
    ]
    expect(once.body.days).toHaveLength(31)
    expect(again.body).toEqual(once.body)
    expect((await ask(`/stations/ferrygate/days?from=${today}&to=${today}`)).body.days).toEqual([])
  })
  it('tells hours within their day’s coldest and warmest', async () => {
    const [{ body: days }, { body: hours }] = [
      await ask('/stations/ferrygate/days?from=2026-03-01&to=2026-03-05'),
      await ask('/stations/ferrygate/hours?from=2026-03-01&to=2026-03-05'),
    ]
    expect(hours.hours).toHaveLength(5 * 24)
    for (const day of days.days) {
      const temperatures = hours.hours
        .filter((h: { at: string }) => h.at.startsWith(day.date))
        .map((h: { airC: number }) => h.airC)
      expect(Math.max(...temperatures)).toBeCloseTo(day.maxAirC, 0)
    }
  })
  it('foretells ten days that miss by more the further they lie', async () => {
    const miss = [0, 0]
    for (let i = 20; i < 60; i++) {
      const issued = addDays(today, -i)
      const { body: told } = await ask(`/stations/plover-green/forecast?issued=${issued}`)
      expect(told.days).toHaveLength(10)
      const { body: came } = await ask(`/stations/plover-green/days?from=${issued}&to=${addDays(issued, 9)}`)
      ;[0, 9].forEach((lead, n) => (miss[n]! += Math.abs(told.days[lead].maxAirC - came.days[lead].maxAirC)))
    }
    expect(miss[1]).toBeGreaterThan(miss[0]! * 2)
  })
  it('gives synthetic years by their seed, and refuses what it cannot read', async () => {
    expect((await ask('/stations/ferrygate/synthetic-year?seed=4')).body.days).toHaveLength(365)
    expect((await ask('/stations/ferrygate/days?from=x&to=y')).status).toBe(400)
    expect((await ask('/stations/nowhere/days')).status).toBe(404)
  })
})

describe('this year’s windows', () => {
  it('stand on the weather so far, and on normals before it was read', async () => {
    const { actors, firmId } = await makeFirm('Teal')
    const pondId = await addPond(actors.owner, newPond())
    expect((await pondOnFile(actors.office, pondId)).live).toBeNull()
    await fetchWeatherNews()
    await windowsOfPonds(firmId)
    const page = await pondOnFile(actors.office, pondId)
    expect(page.live!.year).toBe(Number(today.slice(0, 4)))
    // of days that are over only the pond itself is not known
    const past = Math.max(
      0,
      Math.round((Date.parse(today) - Date.parse(`${today.slice(0, 4)}-01-01`)) / 86_400_000) - 3,
    )
    const width = ({ waterC }: Season) => waterC[past]!.p90 - waterC[past]!.p10
    expect(width(page.live!.season)).toBeGreaterThan(0)
    expect(width(page.live!.season)).toBeLessThan(width(page.season!))
    const next = nextWindow(
      { anyYear: page.season!.windows, live: { year: page.live!.year, windows: page.live!.season.windows } },
      'netting',
      today,
    )
    expect(next!.latest >= today).toBe(true)
  }, 60_000)
  it('are left alone while nothing has changed, and follow a firm’s own weather', async () => {
    const { actors, firmId } = await makeFirm('Wigeon')
    const pondId = await addPond(actors.owner, newPond())
    await fetchWeatherNews()
    await windowsOfPonds(firmId)
    const at = async () => (await inFirm(firmId, (trx) => findLiveSeason(trx, pondId)))!
    const first = await at()
    await windowsOfPonds(firmId)
    expect((await at()).at).toBe(first.at)
    const rows = Array.from({ length: 40 }, (_, i) => `${addDays(today, -40 + i)},18,26,0,2,60,10`)
    expect(
      await importWeather(actors.office, 'marrow-quay', `date,min,max,rain,wind,humidity,sun\n${rows.join('\n')}`),
    ).toEqual({ days: 40, problems: [] })
    await windowsOfPonds(firmId)
    expect((await at()).hash).not.toBe(first.hash)
    // another firm goes by the desk
    const stranger = await makeFirm('Pintail')
    const days = await inFirm(stranger.firmId, (trx) => listWeatherDays(trx, 'marrow-quay', addDays(today, -5)))
    expect(days.every((d) => d.minAirC !== 18 || d.maxAirC !== 26)).toBe(true)
  }, 60_000)
  it('learn from readings, and say by how much', async () => {
    const { actors, firmId } = await makeFirm('Shoveler')
    const pondId = await addPond(actors.owner, newPond())
    for (let i = 12; i > 0; i--)
      await logReadings(actors.office, pondId, {
        readings: { waterTemp: { value: 30, belowStep: false } },
        method: 'meter',
        at: `${addDays(today, -i * 20)}T10:00:00Z`,
        confirmedUnlikely: true,
      })
    await fetchWeatherNews()
    await windowsOfPonds(firmId)
    const calibration = await inFirm(firmId, (trx) => findCalibration(trx, pondId))
    // a pond said to be warm all winter is beyond the survey: much is learnt, and the error is still told
    expect(calibration).toMatchObject({ status: 'used', readings: 12 })
    expect(calibration!.heldOut!.fitErrorC).toBeLessThan(calibration!.heldOut!.surveyErrorC)
  }, 60_000)
})

describe('weather that does not come', () => {
  it('leaves everything standing on what is kept, and says so', async () => {
    const { actors, firmId } = await makeFirm('Garganey')
    const pondId = await addPond(actors.owner, newPond())
    await fetchWeatherNews()
    await outage(60)
    const later = new Date(Date.now() + 3 * 3_600_000)
    await expect(fetchWeatherNews(later)).rejects.toThrow('503')
    await windowsOfPonds(firmId)
    expect((await pondOnFile(actors.office, pondId)).season!.windows.length).toBeGreaterThan(5)
    expect((await weatherStatus(later)).reachable).toBe(false)
    await outage(0)
    expect(await fetchWeatherNews(later)).toBe(true)
    expect((await weatherStatus(later)).reachable).toBe(true)
    // the next test begins with fresh news
    await database()('weather_stations').update({ asked_at: new Date() })
  }, 60_000)
})

describe('weather as CSV', () => {
  it('names each row that does not read and keeps the others', () => {
    const { days, problems } = readWeatherCsv(
      'date,min,max\n2026-01-01,1,5\n2026-13-01,1,5\n2026-01-03,9,2\n2026-01-04,x,5\n2999-01-01,1,2',
      '2026-02-01',
    )
    expect(days).toMatchObject([{ date: '2026-01-01', minAirC: 1, maxAirC: 5, rainMm: 0 }])
    expect(problems.map((p) => p.line)).toEqual([3, 4, 5, 6])
  })
  it('asks for its columns', () =>
    expect(readWeatherCsv('day,low\n1,2', '2026-02-01').problems[0]!.message).toContain('date, min, max'))
  it('refuses a station that is not there', async () => {
    const { actors } = await makeFirm('Gadwall')
    expect((await problemOf(importWeather(actors.office, 'nowhere', 'date,min,max\n2026-01-01,1,5'))).kind).toBe(
      'bad-input',
    )
  })
})
