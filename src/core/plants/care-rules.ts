import { addDays, daysBetween, weekOf, type IsoDate } from '../numeric/calendar'
import { seasonBegins, seasonEnds, seasonYearOf, type SeasonFrom } from '../season/season-year'
import { CARE_CADENCE } from './care-cadence'
import { plantSpecies, type PlantSpecies } from './species'
import { dayOfDegreeDays, degreeDaysOf } from './degree-days'

/** What is done to plants through the year, in the order it usually comes. */
export const CARE_ACTIONS = [
  'divide',
  'plant-out',
  'deadhead',
  'pull-back',
  'thin',
  'feed',
  'tidy',
  'look-at-roots',
  'lift',
  'cut-back',
] as const
export type CareAction = (typeof CARE_ACTIONS)[number]

/** How a group of plants looks. */
export const PLANT_CONDITIONS = ['good', 'thin', 'bare', 'crowded', 'rampant', 'pale', 'yellow'] as const
export type PlantCondition = (typeof PLANT_CONDITIONS)[number]

/** A group of plants as it stands today. */
export interface GrowingPatch {
  readonly id: string
  readonly species: string
  readonly count: number
  readonly condition: PlantCondition
  /** Day of the newest look at it that gave the condition. */
  readonly conditionOn: IsoDate | null
  readonly stored: boolean
  readonly plantedOn: IsoDate | null
  readonly lastDone: Readonly<Partial<Record<CareAction, IsoDate>>>
}

/** A window of this year in which a job on plants falls. */
interface CareWindow {
  readonly earliest: IsoDate
  readonly best: IsoDate
  readonly latest: IsoDate
}

export interface CareYear {
  readonly today: IsoDate
  /** Month with whose first the season year begins. */
  readonly seasonFrom: SeasonFrom
  /** Expected water of 52 weeks, °C. */
  readonly weeklyWaterC: readonly number[]
  /** When crowns are divided; null where no season is known. */
  readonly dividing: CareWindow | null
  /** From when tender plants stand outside. */
  readonly tenderOut: CareWindow | null
  /** The killing frost. */
  readonly frost: CareWindow | null
}

type CareReason = 'warmth' | 'condition' | 'interval' | 'warm-water' | 'frost-comes' | 'frost-came' | 'frost-over'

export interface CareTask {
  readonly patchId: string
  readonly action: CareAction
  readonly due: IsoDate
  /** After this day it has done its harm, or the window is over. */
  readonly latest: IsoDate
  readonly why: CareReason
}

/**
 * Rules of the year for plants.
 * @source trade practice; degree-days over the base of the care cadence, from New Year
 */
export const CARE_RULES = {
  /** Sedges and irises have flowered and set seed after so much warmth; deadheading begins before. */
  seedSetsDegreeDays: 260,
  /** Growth that spreads begins with so much warmth. */
  growthDegreeDays: 60,
  feedAboveC: 18,
  feedEveryDays: 30,
  /** Years between divisions: spreaders soon, others later. */
  divideYears: { aggressive: 2, others: 4 },
  /** Tender plants come in this many days before the frost that kills is first to be expected. */
  liftLeadDays: 10,
  /** Dead growth stands no longer than this after the frost, before it rots in the water. */
  cutBackWithinDays: 28,
  /** Stored plants go out within so many days of the last day on which it usually is safe. */
  plantOutWithinDays: 28,
  /** What a condition asks for is done within so many days. */
  conditionWithinDays: 14,
} as const

/** Conditions that ask for something at once. */
const ASKS: Readonly<Partial<Record<PlantCondition, CareAction>>> = {
  rampant: 'pull-back',
  pale: 'look-at-roots',
  yellow: 'tidy',
}

const YEAR_DAYS = 365.25

/**
 * What a group of plants asks for this year: by its kind, by the warmth of the water since the last time, and by how
 * it looks.
 * @param patch the group as it stands
 * @param year this year's expected water and windows
 * @returns at most one task per action, the earliest due first; unknown species ask for nothing
 * @throws {DomainError} when there are not 52 weeks of water
 */
export function careTasks(patch: GrowingPatch, year: CareYear): CareTask[] {
  const species = plantSpecies(patch.species)
  if (!species || patch.count === 0) return []
  const tasks = patch.stored
    ? outAgain(patch, year)
    : [...byCondition(patch, year), ...byWarmth(patch, species, year), ...byWindow(patch, species, year)]
  const first = new Map<CareAction, CareTask>()
  for (const task of tasks.sort((a, b) => {
    if (a.due < b.due) return -1
    if (a.due > b.due) return 1
    return 0
  }))
    if (!first.has(task.action)) first.set(task.action, task)
  return [...first.values()]
}

const task = (patch: GrowingPatch, action: CareAction, due: IsoDate, latest: IsoDate, why: CareReason): CareTask => ({
  patchId: patch.id,
  action,
  due,
  latest: latest < due ? due : latest,
  why,
})

/** First and last day of the season year in which today lies. */
function seasonOf({ today, seasonFrom }: CareYear): { begins: IsoDate; ends: IsoDate } {
  const year = seasonYearOf(today, seasonFrom)
  return { begins: seasonBegins(year, seasonFrom), ends: seasonEnds(year, seasonFrom) }
}

function byCondition(patch: GrowingPatch, { today }: CareYear): CareTask[] {
  const action = ASKS[patch.condition]
  if (!action) return []
  const seen = patch.conditionOn ?? today
  // what was done on the day it was seen answers it
  if ((patch.lastDone[action] ?? '') >= seen) return []
  return [task(patch, action, seen, addDays(seen, CARE_RULES.conditionWithinDays), 'condition')]
}

function byWarmth(patch: GrowingPatch, species: PlantSpecies, year: CareYear): CareTask[] {
  const { today, weeklyWaterC } = year
  const { begins, ends } = seasonOf(year)
  const cadence = species.aggressiveness >= 2 ? CARE_CADENCE.aggressive : CARE_CADENCE.others
  const due = (action: CareAction, first: number, gap: { degreeDays: number; minDays: number }): CareTask[] => {
    const last = patch.lastDone[action]
    const thisYear = last !== undefined && last >= begins
    const day = thisYear
      ? dayOfDegreeDays(weeklyWaterC, last, gap, ends)
      : dayOfDegreeDays(weeklyWaterC, begins, { degreeDays: first, minDays: 0 }, ends)
    // what was due while it grew is over once the water is cold
    return day && (day > today || degreeDaysOf(weeklyWaterC[weekOf(today)]!) > 0)
      ? [task(patch, action, day, addDays(day, gap.minDays), 'warmth')]
      : []
  }
  const tasks: CareTask[] = []
  // seeders drop fast: the quicker cadence, whatever else they do
  if (species.deadhead) tasks.push(...due('deadhead', CARE_RULES.seedSetsDegreeDays, CARE_CADENCE.aggressive))
  if (species.role === 'cover' || species.aggressiveness >= 2)
    tasks.push(...due('pull-back', CARE_RULES.growthDegreeDays, cadence))
  if (species.role === 'floating') tasks.push(...due('thin', CARE_RULES.growthDegreeDays, CARE_CADENCE.others))
  if (species.role === 'lily') tasks.push(...feeding(patch, year))
  return tasks
}

/** Lilies and lotus, monthly while the water is warm. */
function feeding(patch: GrowingPatch, year: CareYear): CareTask[] {
  const { today, weeklyWaterC } = year
  const { begins, ends } = seasonOf(year)
  const last = patch.lastDone.feed
  const from = last !== undefined && last >= begins ? addDays(last, CARE_RULES.feedEveryDays) : begins
  const warm = (day: IsoDate) => weeklyWaterC[weekOf(day)]! > CARE_RULES.feedAboveC
  // what was missed while it was warm is not made up for in cold water
  for (let day = from; day <= ends; day = addDays(day, 1))
    if (warm(day) && (day >= today || warm(today)))
      return [task(patch, 'feed', day, addDays(day, CARE_RULES.conditionWithinDays), 'warm-water')]
  return []
}

function byWindow(patch: GrowingPatch, species: PlantSpecies, year: CareYear): CareTask[] {
  const { today, dividing, frost } = year
  const tasks: CareTask[] = []
  const since = patch.lastDone.divide ?? patch.plantedOn
  const years = species.aggressiveness >= 2 ? CARE_RULES.divideYears.aggressive : CARE_RULES.divideYears.others
  const rooted = species.role !== 'floating' && species.role !== 'oxygenator'
  const dividedThisSpring = dividing !== null && (patch.lastDone.divide ?? '') >= dividing.earliest
  if (dividing && dividing.latest >= today && rooted && species.winter !== 'annual' && !dividedThisSpring) {
    const crowded = patch.condition === 'crowded'
    const old = since !== null && daysBetween(since, dividing.latest) >= years * YEAR_DAYS
    if (crowded || old)
      tasks.push(task(patch, 'divide', dividing.earliest, dividing.latest, crowded ? 'condition' : 'interval'))
  }
  if (!frost) return tasks
  const doneSince = (action: CareAction, day: IsoDate) => (patch.lastDone[action] ?? '') >= day
  const lift = addDays(frost.earliest, -CARE_RULES.liftLeadDays)
  if (species.winter === 'lift' && !doneSince('lift', addDays(lift, -2 * CARE_RULES.conditionWithinDays)))
    tasks.push(task(patch, 'lift', lift, frost.best, 'frost-comes'))
  if ((species.winter === 'cut' || species.winter === 'annual') && !doneSince('cut-back', frost.earliest))
    tasks.push(task(patch, 'cut-back', frost.best, addDays(frost.best, CARE_RULES.cutBackWithinDays), 'frost-came'))
  const { begins, ends } = seasonOf(year)
  return tasks.filter(({ due }) => due >= begins && due <= ends)
}

/** Stored plants go out once frost is over and the water is warm. */
function outAgain(patch: GrowingPatch, year: CareYear): CareTask[] {
  const { tenderOut } = year
  if (!tenderOut) return []
  // stored this autumn: the coming spring's window is another year's
  const { begins, ends } = seasonOf(year)
  const lifted = patch.lastDone.lift ?? ''
  if (lifted > tenderOut.latest && lifted >= begins && lifted <= ends) return []
  return [
    task(patch, 'plant-out', tenderOut.best, addDays(tenderOut.latest, CARE_RULES.plantOutWithinDays), 'frost-over'),
  ]
}
