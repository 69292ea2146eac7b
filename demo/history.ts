import { randomUUID } from 'node:crypto'
import { addDays, dayOfYear, daysBetween, isoWeekday } from '../src/core/numeric/calendar'
import { normalDeviate, type Random } from '../src/core/numeric/random'
import type { JobStep } from '../src/core/jobs/step'
import type { ReadingKindName } from '../src/core/water/readings'
import type { CrewId, EntryId, PhotoId, PondId } from '../src/domain/ids'
import type { EntryInput, StepAnswer } from '../src/domain/visit'
import type { Actor } from '../src/server/auth/actor'
import { addPhoto } from '../src/server/use-cases/photos'
import { logEntry } from '../src/server/use-cases/field/log'
import { fieldVisit } from '../src/server/use-cases/field/pack'
import { logReadings } from '../src/server/use-cases/readings'
import { planVisit } from '../src/server/use-cases/visit-planning'
import { pondPage } from '../src/server/use-cases/ponds'
import { thermalPond } from '../src/server/use-cases/season'
import type { ThermalFit } from '../src/core/season/calibrate'
import { waterTemperatures } from '../src/core/season/water-temperature'
import { plainDayOfYear, weatherAtHeight } from '../src/core/season/weather-ahead'
import { actualDays } from '../stand-ins/weather-desk/actual'
import { STATIONS } from '../stand-ins/weather-desk/stations'
import { SITES } from './all-sites'
import { paintPond } from './pictures'

/** How a pond's water has been; the stories of the scenario. */
export interface WaterStory {
  readonly tan: number
  readonly nitrite: number
  readonly nitrate: number
  readonly ph: number
  readonly kh: number
  readonly clarityM: number
  /** How this pond's water truly answers to the weather; its survey guesses otherwise. */
  readonly thermal: ThermalFit
  /** Share by which figures worsen over the two years. */
  readonly trend: number
}

export const STORIES: Readonly<Record<string, WaterStory>> = {
  lanternhouse: {
    tan: 0.08,
    nitrite: 0.03,
    nitrate: 9,
    ph: 7.6,
    kh: 6,
    clarityM: 0.95,
    thermal: { shade: 0.5, windShare: 0.3, airOffsetC: 0.9, depthShare: 1.2 },
    trend: 0,
  },
  brewery: {
    tan: 0.35,
    nitrite: 0.16,
    nitrate: 38,
    ph: 7.9,
    kh: 5,
    clarityM: 0.45,
    thermal: { shade: 0.12, windShare: 0.35, airOffsetC: 1.6, depthShare: 0.8 },
    trend: 0.6,
  },
  highcairn: {
    tan: 0.12,
    nitrite: 0.05,
    nitrate: 22,
    ph: 7.8,
    kh: 6.5,
    clarityM: 1.3,
    thermal: { shade: 0.2, windShare: 0.9, airOffsetC: -0.6, depthShare: 1.1 },
    trend: 0.1,
  },
}

/** The water a pond truly had, by the weather that truly came and what the story says of the pond. */
async function trueWater(actor: Actor, pondId: PondId, thermal: ThermalFit, today: string): Promise<(day: string) => number> {
  const { pond } = await pondPage(actor, pondId)
  const station = STATIONS.find((s) => s.id === SITES.find((site) => site.site === pond.siteName)!.stationId)!
  const from = addDays(today, -HISTORY_DAYS - 60)
  const weather = weatherAtHeight(actualDays(station.id, from, today), station.normals.altitudeM, pond.altitudeM)
  const water = waterTemperatures(
    weather,
    { ...thermalPond(pond), ...thermal, latitudeDeg: station.normals.latitudeDeg },
    { waterC: 5, iceM: 0 },
    plainDayOfYear(from),
  )
  return (day) => water[daysBetween(from, day)].waterC
}

const TEST_EVERY_DAYS = 21
const HISTORY_DAYS = 730
const round = (value: number, digits: number) => Number(value.toFixed(digits))
const at = (day: string, clock: string) => `${day}T${clock}:00-03:00`

/** Tests every three weeks for two years, season and story in them. */
export async function logTwoYears(actor: Actor, pondId: PondId, story: WaterStory, today: string, random: Random): Promise<void> {
  const water = await trueWater(actor, pondId, story.thermal, today)
  for (let day = addDays(today, -HISTORY_DAYS); day < today; day = addDays(day, TEST_EVERY_DAYS)) {
    const season = (1 - Math.cos((2 * Math.PI * (dayOfYear(day) - 30)) / 365)) / 2
    const worse = 1 + story.trend * (1 - daysBetween(day, today) / HISTORY_DAYS)
    const about = (value: number, spread: number) => Math.max(0, value * (1 + spread * normalDeviate(random)))
    const values: Partial<Record<ReadingKindName, number>> = {
      waterTemp: round(Math.max(0, water(day) + 0.5 * normalDeviate(random)), 1),
      ph: round(story.ph + 0.25 * season + 0.1 * normalDeviate(random), 1),
      tan: round(about(story.tan * worse * (0.5 + season), 0.25), 2),
      nitrite: round(about(story.nitrite * worse * (0.4 + season), 0.3), 2),
      nitrate: round(about(story.nitrate * worse, 0.15), 0),
      kh: round(about(story.kh, 0.08), 1),
      clarityDepth: round(about((story.clarityM / worse) * (1.25 - 0.5 * season), 0.12), 2),
      dissolvedOxygen: round(about(11.5 - 4.2 * season, 0.06), 1),
    }
    await logReadings(actor, pondId, {
      readings: Object.fromEntries(Object.entries(values).map(([kind, value]) => [kind, { value: value!, belowStep: false }])),
      method: 'drops',
      at: at(day, '10:15'),
      confirmedUnlikely: true,
    })
  }
}

/** A working day near the wanted one. */
const workday = (day: string): string => (isoWeekday(day) > 5 ? addDays(day, 8 - isoWeekday(day)) : day)

const clockAt = (minutes: number) => `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`

/** A whole cleanout on a past day, step by step through the same door as the field sheet. */
export async function pastCleanout(
  office: Actor,
  lead: Actor,
  pondId: PondId,
  crewId: CrewId,
  wantedDay: string,
  waterC: number,
  random: Random,
): Promise<void> {
  const day = workday(wantedDay)
  const morning = new Date(at(day, '07:30'))
  const id = await planVisit(office, { pondId, jobType: 'spring-cleanout', day, startTime: '08:00', crewId, note: '' }, morning)
  const begun = new Date(at(day, '08:04'))
  await logEntry(lead, id, { kind: 'started', id: randomUUID() as EntryId, at: begun.toISOString() }, begun)
  const { visit, pond } = await fieldVisit(lead, id)
  const counted = pond.fish.map((line) => ({ species: line.species, count: line.count }))
  let minutes = 8 * 60 + 5
  for (const step of visit.job.steps) {
    minutes += 9
    const time = at(day, clockAt(minutes))
    if (step.kind === 'photo') {
      const photo = { id: randomUUID() as PhotoId, stepKey: step.key, takenAt: new Date(time).toISOString(), pairOf: null, sketchOf: null }
      await addPhoto(lead, id, photo, await paintPond(step.key === 'arrive-photos' ? 'murky' : 'clear', random))
    }
    const line = { id: randomUUID() as EntryId, stepKey: step.key, at: time, replaces: null }
    const entry: EntryInput =
      step.key === 'flush'
        ? { kind: 'skipped', ...line, reason: 'Flushed in autumn, not due yet' }
        : { kind: 'done', ...line, answer: answerFor(step, counted, waterC, random), confirmedUnlikely: true }
    await logEntry(lead, id, entry)
  }
  const over = new Date(at(day, clockAt(minutes + 12)))
  await logEntry(lead, id, { kind: 'finished', id: randomUUID() as EntryId, at: over.toISOString(), ending: 'done', reason: '' }, over)
}

function answerFor(step: JobStep, counted: NonNullable<StepAnswer['fish']>, waterC: number, random: Random): StepAnswer {
  const near = (value: number, spread: number, digits = 2) => ({ value: round(Math.max(0, value + spread * normalDeviate(random)), digits), belowStep: false })
  switch (step.key) {
    case 'test-before':
      return {
        readings: {
          waterTemp: near(waterC, 0.2, 1),
          ph: near(7.5, 0.1, 1),
          tan: near(0.15, 0.05),
          kh: near(5, 0.4, 1),
          nitrite: near(0.05, 0.02),
          dissolvedOxygen: near(10.4, 0.4, 1),
        },
        method: 'drops',
        note: '',
      }
    case 'test-tap':
      return { readings: { tapTemp: near(8.5, 0.5, 1), tapChlorine: near(0.5, 0.08) }, method: 'drops', note: '' }
    case 'tank-watch':
      return { readings: { tankTemp: near(waterC, 0.3, 1), tankOxygen: near(9.4, 0.4, 1) }, method: 'meter', note: '' }
    case 'test-refilled':
      return {
        readings: {
          waterTemp: near(waterC + 0.8, 0.2, 1),
          tankTemp: near(waterC + 0.2, 0.2, 1),
          ph: near(7.4, 0.05, 1),
          tan: near(0.08, 0.03),
          freeChlorine: { value: 0, belowStep: true },
        },
        method: 'drops',
        note: '',
      }
    case 'media':
      return { note: 'Top pad thin, replace next spring', choice: step.choices![0], figures: { mediaShare: 1, padThicknessM: 0.02 } }
    default:
      return {
        note: '',
        ...(step.kind === 'decide' ? { choice: step.choices![0] } : {}),
        ...(step.kind === 'count-fish' ? { fish: counted } : {}),
        ...(step.kind === 'sign' ? { signedBy: 'the customer' } : {}),
      }
  }
}
