import { randomUUID } from 'node:crypto'
import { addDays, isoWeekday } from '../src/core/numeric/calendar'
import { normalDeviate, type Random } from '../src/core/numeric/random'
import { asRead, type ObservedKind } from '../src/core/assimilation/observed'
import type { VisitStep } from '../src/core/visits/step'
import type { CrewId, EntryId, PhotoId, PondId } from '../src/domain/shared/ids'
import type { EntryInput, StepAnswer } from '../src/domain/visits/visit'
import type { Actor } from '../src/server/platform/auth/actor'
import { addPhoto } from '../src/server/visits/photos'
import { logEntry } from '../src/server/field/log'
import { fieldVisit } from '../src/server/field/pack'
import { logReadings } from '../src/server/water/readings'
import { planVisit } from '../src/server/visits/visit-planning'
import { paintPond } from './pictures'
import { HISTORY_DAYS, trueWater, type PondNature } from './true-water'

/** The stories of the scenario, in what each pond is truly like. */
export const STORIES: Readonly<Record<string, PondNature>> = {
  lanternhouse: {
    seed: 11,
    thermal: { shade: 0.5, windShare: 0.3, airOffsetC: 0.9, depthShare: 1.2 },
    start: 'settled',
    fed: [0.8, 0.8],
    strips: { tan: 0.8, nitrite: 1.2 },
  },
  // koi and sturgeon on a bed that was built for a few goldfish, and guests who feed more every year
  brewery: {
    seed: 23,
    thermal: { shade: 0.12, windShare: 0.35, airOffsetC: 1.6, depthShare: 0.8 },
    start: 'green',
    fed: [0.4, 0.7],
    strips: { tan: 1.25, clarityDepth: 0.9 },
  },
  highcairn: {
    seed: 35,
    thermal: { shade: 0.2, windShare: 0.9, airOffsetC: -0.6, depthShare: 1.1 },
    start: 'settled',
    fed: [0.9, 1],
    strips: { nitrite: 0.8, nitrate: 1.3 },
  },
}

const TEST_EVERY_DAYS = 21
const round = (value: number, digits: number) => Number(value.toFixed(digits))
const at = (day: string, clock: string) => `${day}T${clock}:00-03:00`

/** How a kit, a meter or a disc tells what is in the water: its digits, and how far two tests of one water part. */
const TESTED: Readonly<
  Partial<Record<ObservedKind, { readonly digits: number; readonly off: number; readonly share?: true }>>
> = {
  waterTemp: { digits: 1, off: 0.3 },
  ph: { digits: 1, off: 0.08 },
  tan: { digits: 2, off: 0.12, share: true },
  nitrite: { digits: 2, off: 0.12, share: true },
  nitrate: { digits: 0, off: 0.12, share: true },
  kh: { digits: 1, off: 0.05, share: true },
  clarityDepth: { digits: 2, off: 0.08, share: true },
  dissolvedOxygen: { digits: 1, off: 0.25 },
}

/** Tests every three weeks for two years, of the water that was truly there. */
export async function logTwoYears(
  actor: Actor,
  pondId: PondId,
  nature: PondNature,
  today: string,
  random: Random,
): Promise<void> {
  const water = await trueWater(actor, pondId, nature, today)
  for (let day = addDays(today, -HISTORY_DAYS); day < today; day = addDays(day, TEST_EVERY_DAYS)) {
    const readings = Object.entries(TESTED).map(([kind, { digits, off, share }]) => {
      const truth = water.at(day, kind as ObservedKind)
      const tested = Math.max(0, truth + (share ? truth : 1) * off * normalDeviate(random))
      const value = round(asRead(kind as ObservedKind, tested, water.deepestM), digits)
      return [kind, { value, belowStep: false }]
    })
    await logReadings(actor, pondId, {
      readings: Object.fromEntries(readings),
      method: 'drops',
      at: at(day, '10:15'),
      confirmedUnlikely: true,
    })
  }
}

/** A working day near the wanted one. */
const workday = (day: string): string => (isoWeekday(day) > 5 ? addDays(day, 8 - isoWeekday(day)) : day)

const clockAt = (minutes: number) =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`

/** The longest day that is logged. */
const MAX_MINUTES = 11 * 60

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
  const id = await planVisit(
    office,
    { pondId, visitType: 'spring-cleanout', day, startTime: '08:00', crewId, note: '' },
    morning,
  )
  const begun = new Date(at(day, '08:04'))
  await logEntry(lead, id, { kind: 'started', id: randomUUID() as EntryId, at: begun.toISOString() }, begun)
  const { visit, pond } = await fieldVisit(lead, id)
  const counted = pond.fish.map((line) => ({ species: line.species, count: line.count }))
  let minutes = 8 * 60 + 5
  // about as long as it was planned, so that the hose has time to fill the pond
  const pace = Math.min(
    Math.floor(MAX_MINUTES / visit.job.steps.length),
    Math.max(9, Math.floor((visit.plannedMinutes * 0.97) / visit.job.steps.length)),
  )
  for (const step of visit.job.steps) {
    if (step.waits && step.timerMinutes) {
      await logEntry(lead, id, {
        kind: 'timer-started',
        id: randomUUID() as EntryId,
        stepKey: step.key,
        at: at(day, clockAt(minutes)),
      })
      minutes += step.timerMinutes
    }
    minutes += pace
    const time = at(day, clockAt(minutes))
    if (step.kind === 'photo') {
      const photo = {
        id: randomUUID() as PhotoId,
        stepKey: step.key,
        takenAt: new Date(time).toISOString(),
        pairOf: null,
        sketchOf: null,
      }
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
  await logEntry(
    lead,
    id,
    { kind: 'finished', id: randomUUID() as EntryId, at: over.toISOString(), ending: 'done', reason: '' },
    over,
  )
}

function answerFor(
  step: VisitStep,
  counted: NonNullable<StepAnswer['fish']>,
  waterC: number,
  random: Random,
): StepAnswer {
  const near = (value: number, spread: number, digits = 2) => ({
    value: round(Math.max(0, value + spread * normalDeviate(random)), digits),
    belowStep: false,
  })
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
          nitrite: near(0.04, 0.02),
          dissolvedOxygen: near(9.2, 0.4, 1),
          freeChlorine: { value: 0, belowStep: true },
        },
        method: 'drops',
        note: '',
      }
    case 'media':
      return {
        note: 'Top pad thin, replace next spring',
        choice: step.choices![0]!.code,
        figures: { mediaShare: 1, padThicknessM: 0.02 },
      }
    default:
      return {
        note: '',
        ...(step.kind === 'decide' ? { choice: step.choices![0]!.code } : {}),
        ...(step.kind === 'count-fish' ? { fish: counted } : {}),
        ...(step.kind === 'sign' ? { signedBy: 'the customer' } : {}),
      }
  }
}
