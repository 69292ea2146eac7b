import { z } from 'zod'
import {
  CARE_ACTIONS,
  careTasks,
  PLANT_CONDITIONS,
  type CareAction,
  type CareTask,
  type CareYear,
  type GrowingPatch,
} from '../../core/plants/care-rules'
import { PATCH_RANGE } from '../../core/plants/planting'
import type { PatchToFill } from '../../core/plants/replant'
import { plantSpecies } from '../../core/plants/species'
import type { IsoDate } from '../../core/numeric/calendar'
import { dayIn } from '../shared/dates'
import { calendarDay, numberWithin, optionalText } from '../shared/fields'
import type { PondId } from '../shared/ids'
import { seasonBegins, seasonEnds, seasonYearOf, type SeasonFrom } from '../../core/season/season-year'
import { windowsBetween, type PondWindows } from '../season/season-dates'
import { inOrder } from '../visits/visit-progress'
import { said } from '../shared/said'

export const PATCH_PLACES = ['bed', 'pond'] as const
export type PatchPlace = (typeof PATCH_PLACES)[number]

/** What can be written down of a group of plants: a look, a plant set, or one of the year's tasks. */
export const PLANT_ACTIONS = ['look', 'planted', ...CARE_ACTIONS] as const
export type PlantAction = (typeof PLANT_ACTIONS)[number]

export const speciesKey = z
  .string()
  .refine((key) => plantSpecies(key) !== undefined, { error: said('plants.problems.choosePlantList') })
const count = z
  .int({ error: said('plants.problems.wholePlantsOnly') })
  .min(0, { error: said('plants.problems.plantsBetween', { most: PATCH_RANGE.count[1] }) })
  .max(PATCH_RANGE.count[1], { error: said('plants.problems.plantsBetween', { most: PATCH_RANGE.count[1] }) })
const position = numberWithin(
  [-PATCH_RANGE.positionM[1], PATCH_RANGE.positionM[1]],
  'plants.fields.place',
  'm',
).nullable()

/** One thing that was seen or done at a group of plants. */
export const PlantLine = z.strictObject({
  action: z.enum(PLANT_ACTIONS, { error: said('plants.problems.chooseWhatDone') }),
  condition: z.enum(PLANT_CONDITIONS).nullable().default(null),
  /** Plants that stand here now; of 'planted' the plants that were set. Null: not counted. */
  count: count.nullable().default(null),
  /** Rooted pieces kept for planting elsewhere. */
  kept: count.default(0),
  note: optionalText('plants.fields.note', 160),
})
export type PlantLine = z.infer<typeof PlantLine>

export const PatchInput = z.strictObject({
  place: z.enum(PATCH_PLACES),
  species: speciesKey,
  xM: position,
  yM: position,
  plantedOn: calendarDay.nullable().default(null),
})
export type PatchInput = z.infer<typeof PatchInput>

export const NewPatchInput = z.strictObject({
  patch: PatchInput,
  count: count.min(1, { error: said('plants.problems.leastOnePlant') }),
})
export const LogPlantInput = z.strictObject({ line: PlantLine, on: calendarDay })

/** A group of plants as it was written down, before what has happened to it since. */
export interface Patch extends PatchInput {
  readonly id: string
  readonly pondId: PondId
  readonly version: number
}

export interface PlantEvent extends PlantLine {
  readonly id: string
  readonly patchId: string
  readonly at: string
  readonly byName: string
  /** The visit on which it was written down; null at the desk. */
  readonly visitId: string | null
}

interface DatedEvent extends PlantEvent {
  /** In the firm's time zone. */
  readonly day: IsoDate
}

/** A group of plants as it stands, with its history, the newest line first. */
export interface PatchNow extends Patch, Omit<GrowingPatch, 'species' | 'plantedOn'> {
  readonly planned: number
  readonly history: readonly DatedEvent[]
}

/** A group of which nothing is written down yet. */
const UNSEEN = {
  count: 0,
  planned: 0,
  condition: 'good',
  conditionOn: null,
  stored: false,
  lastDone: {},
  history: [],
} as const

/**
 * How groups of plants stand after all that has been written down, in the order in which it happened, whatever came
 * in first.
 */
export const patchesNow = (patches: readonly Patch[], events: readonly PlantEvent[], timeZone: string): PatchNow[] =>
  withLines(
    patches.map((patch) => ({ ...patch, ...UNSEEN })),
    events,
    timeZone,
  )

/** Groups that stand as they do, and what has been written down since. */
export function withLines(patches: readonly PatchNow[], events: readonly PlantEvent[], timeZone: string): PatchNow[] {
  const of = new Map<string, DatedEvent[]>(patches.map((p) => [p.id, []]))
  for (const event of inOrder(events)) of.get(event.patchId)?.push({ ...event, day: dayIn(event.at, timeZone) })
  return patches.map((patch) => patchAfter(patch, of.get(patch.id)!))
}

/** Work after which a group no longer looks so; pale plants stay pale for a while. */
const ANSWERED: Readonly<Partial<Record<PlantAction, PatchNow['condition']>>> = {
  divide: 'crowded',
  'pull-back': 'rampant',
  tidy: 'yellow',
}

/** Work that takes plants away on purpose: what is left of them is what is wanted, not a gap to fill. */
const WANTED_LESS: readonly PlantAction[] = ['thin', 'pull-back']

function patchAfter(start: PatchNow, lines: readonly DatedEvent[]): PatchNow {
  let { count: plants, planned, stored, condition, conditionOn } = start
  const lastDone: Partial<Record<CareAction, IsoDate>> = { ...start.lastDone }
  for (const { action, condition: seen, count: counted, day } of lines) {
    if (action === 'planted') plants += counted ?? 0
    else if (counted !== null) plants = counted
    planned = WANTED_LESS.includes(action) && counted !== null ? plants : Math.max(planned, plants)
    if (action === 'lift') stored = true
    if (action === 'plant-out' || action === 'planted') stored = false
    if (action !== 'look' && action !== 'planted') lastDone[action] = day
    // what was done answers how it looked, unless somebody looked again
    if (seen) [condition, conditionOn] = [seen, day]
    else if (ANSWERED[action] === condition) [condition, conditionOn] = ['good', day]
  }
  return {
    ...start,
    count: plants,
    planned,
    condition,
    conditionOn,
    stored,
    lastDone,
    history: [...[...lines].reverse(), ...start.history],
  }
}

/** A group as a device takes it along: as it stands, with its newest lines and those of one visit. */
export const forVisit = (patch: PatchNow, visitId: string): PatchNow => ({
  ...patch,
  history: patch.history.filter((line, i) => i < LINES_TAKEN_ALONG || line.visitId === visitId),
})
const LINES_TAKEN_ALONG = 5

/** The plants' year of a pond, from its expected water and its windows. */
export function careYear(
  today: IsoDate,
  weeklyWaterC: readonly number[],
  windows: PondWindows<{ job: string; earliest: string; best: string; latest: string }>,
  seasonFrom: SeasonFrom,
): CareYear {
  const year = seasonYearOf(today, seasonFrom)
  const here = windowsBetween(windows, seasonBegins(year, seasonFrom), seasonEnds(year, seasonFrom))
  const of = (job: string) => here.find((w) => w.job === job) ?? null
  return {
    today,
    seasonFrom,
    weeklyWaterC,
    dividing: of('dividing'),
    tenderOut: of('tender-planting'),
    frost: of('cut-back'),
  }
}

/** What all groups of a pond ask for, the earliest first. */
export const careOf = (patches: readonly PatchNow[], year: CareYear): CareTask[] =>
  patches
    .flatMap((patch) => careTasks(patch, year))
    .sort((a, b) => {
      if (a.due < b.due) return -1
      if (a.due > b.due) return 1
      return 0
    })

/** Tasks that a visit on a day may as well do. @source house default */
export const CARE_AHEAD_DAYS = 7

/** For the gaps of one place. */
export const toFill = (patches: readonly PatchNow[], place: PatchPlace): PatchToFill[] =>
  patches.filter((p) => p.place === place)
