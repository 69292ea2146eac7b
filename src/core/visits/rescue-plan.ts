import { assertPositive } from '../errors'
import { addDays, daysBetween, type IsoDate } from '../numeric/calendar'
import {
  afterFasting,
  afterGhStep,
  afterKhStep,
  ghStep,
  khStep,
  safeChange,
  type ChangeLimit,
  type GhStep,
  type KhStep,
  type RescueFill,
  type RescueWater,
  type Span,
} from './rescue-water'

/** What is known of a neglected pond before the first hand is put to it. */
export interface NeglectedPond {
  /** Pond, streams, boxes and the filter's voids, m³. */
  readonly systemM3: number
  readonly tan: number | null
  readonly nitrite: number | null
  readonly ph: number | null
  readonly khDH: number | null
  readonly ghDH: number | null
  readonly oxygenMgL: number | null
  readonly fill: RescueFill
  /** Mass of the fish, 0 where there are none. */
  readonly fishKg: number
  readonly hasMedia: boolean
  /** Sections that rock piles are worked in, none where there are no piles. */
  readonly rockSections: number
}

/** Days from one visit to the next; media halves and rock sections are a week or more apart. @source house default */
const RESCUE_RULES = {
  strainersAfter: 4,
  mediaAfter: 7,
  betweenHalves: 8,
  rocksAfter: 8,
  binderAboveTan: 0.5,
  binderAboveNitrite: 0.2,
  stopOxygen: 5,
  /** Bacteria are only halved, and the floor only opened, in water that can bear it, mg/L. */
  waitTan: 0.5,
  waitNitrite: 0.5,
  /**
   * Below it nitrifiers hardly grow: media that were rinsed do not come back, °C.
   * @source nitrification is slight below 8 to 10 °C
   */
  minMediaC: 8,
  finalTestsDays: [7, 14],
  /** Water where none is expected on file, °C. */
  usualC: 18,
} as const
/** After so many days without a visit what was tested says nothing any more. @source house default */
const PAUSE_DAYS = 21
/** A day warm enough for the media is looked for so far ahead. */
const WARM_WITHIN_DAYS = 300

export type StopRule =
  | { readonly code: 'low-oxygen'; readonly mgL: number }
  | { readonly code: 'sludge-smell' }
  | { readonly code: 'gasping' }
  | { readonly code: 'ammonia-waits'; readonly mgL: number }
  | { readonly code: 'cold-water'; readonly leastC: number }
  | { readonly code: 'nitrite-waits'; readonly mgL: number }

export type RescueJob = 'rescue-floor' | 'rescue-strainers' | 'rescue-media' | 'rescue-rocks'

export interface RescueStage {
  readonly jobKey: RescueJob
  readonly day: IsoDate
  /** Days that it was put off until the water is warm enough for living media. */
  readonly waitsForWarmthDays: number
  /** So long after the visit before it that everything is tested anew. */
  readonly afterPause: boolean
  /** The section of the rock piles that it is, of how many; null where it is something else. */
  readonly section: readonly [number, number] | null
  /** The most of the water that is changed on it, m³, and why it is less than a third. */
  readonly changeM3: number
  readonly changeLimit: ChangeLimit | null
  readonly binder: boolean
  readonly noFeed: boolean
  readonly kh: KhStep | null
  readonly gh: GhStep | null
  /** What is to be expected after the change, mg/L; null where it was not tested. */
  readonly expected: { readonly tan: Span | null; readonly nitrite: Span | null }
  readonly stopRules: readonly StopRule[]
}

export interface RescuePlan {
  readonly stages: readonly RescueStage[]
  /** Days for two tests in a pause until the water is warm: clean ones end the food stop until the next visit. */
  readonly pauseTests: readonly IsoDate[]
  /** Days for the tests that end it: two clean ones, a week apart, once every stage is done. */
  readonly finalTests: readonly IsoDate[]
  /** Air and no food come before everything else. */
  readonly airFirst: boolean
  readonly missing: readonly ('tan' | 'nitrite' | 'ph' | 'kh' | 'gh' | 'oxygen' | 'fillPh' | 'fillKh')[]
}

/** Its stages in order, each with the days after the one before. */
function stagesOf({ hasMedia, rockSections }: NeglectedPond): {
  readonly jobKey: RescueJob
  readonly after: number
  readonly section: RescueStage['section']
}[] {
  const { strainersAfter, mediaAfter, betweenHalves, rocksAfter } = RESCUE_RULES
  const stages = [
    { jobKey: 'rescue-floor' as RescueJob, after: 0, section: null as RescueStage['section'] },
    { jobKey: 'rescue-strainers' as RescueJob, after: strainersAfter, section: null },
    ...(hasMedia ? [mediaAfter, betweenHalves] : []).map((after) => ({
      jobKey: 'rescue-media' as RescueJob,
      after,
      section: null,
    })),
    ...Array.from({ length: rockSections }, (_, i) => ({
      jobKey: 'rescue-rocks' as RescueJob,
      after: rocksAfter,
      section: [i + 1, rockSections] as const,
    })),
  ]
  // at least three visits: a pond without media or stones is changed once more
  return stages.length < 3 ? [...stages, { jobKey: 'rescue-strainers', after: rocksAfter, section: null }] : stages
}

/**
 * Mends a neglected pond in stages, never everything at once: loose dirt and part of the water, then strainers, then
 * half the living media, the other half, and stones, every section on a visit of its own.
 * @param onWorkingDay moves a day to the next one on which the firm works
 * @param expectedC the water that is to be expected on a day, °C, or null
 * @throws {DomainError} systemM3 not above 0
 */
export function planRescue(
  pond: NeglectedPond,
  first: IsoDate,
  onWorkingDay: (day: IsoDate) => IsoDate = (day) => day,
  expectedC: (day: IsoDate) => number | null = () => null,
): RescuePlan {
  assertPositive('systemM3', pond.systemM3)
  const rules = RESCUE_RULES
  const hasFish = pond.fishKg > 0
  let water = waterOf(pond)
  let before: IsoDate | null = null
  const stages = stagesOf(pond).map(({ jobKey, after, section }): RescueStage => {
    const wanted = onWorkingDay(before === null ? first : addDays(before, after))
    const day = jobKey === 'rescue-media' ? warmDay(wanted, onWorkingDay, expectedC) : wanted
    const since = before === null ? 0 : daysBetween(before, day)
    const afterPause = since > PAUSE_DAYS
    water = afterPause
      ? UNTESTED
      : afterFasting(water, pond.fishKg, pond.systemM3, since, expectedC(day) ?? rules.usualC)
    before = day
    const binder =
      hasFish &&
      ((water.tan?.[1] ?? 0) >= rules.binderAboveTan || (water.nitrite?.[1] ?? 0) >= rules.binderAboveNitrite)
    const change = safeChange(water, pond.fill)
    const kh = khStep(change.after, pond.systemM3)
    const gh = ghStep(change.after, pond.systemM3)
    water = afterGhStep(afterKhStep(change.after, kh), gh)
    return {
      jobKey,
      day,
      waitsForWarmthDays: daysBetween(wanted, day),
      afterPause,
      section,
      changeM3: pond.systemM3 * change.share,
      changeLimit: change.limit,
      binder,
      noFeed: hasFish,
      kh,
      gh,
      expected: { tan: change.after.tan, nitrite: change.after.nitrite },
      stopRules: stopRules(jobKey, hasFish),
    }
  })
  const testsAfter = (day: IsoDate) => rules.finalTestsDays.map((d) => onWorkingDay(addDays(day, d)))
  const end = stages[stages.length - 1]!.day
  return {
    stages,
    pauseTests: stages.flatMap(({ day }, i) => (stages[i + 1]?.afterPause ? testsAfter(day) : [])),
    finalTests: testsAfter(end),
    airFirst: hasFish && (pond.oxygenMgL === null || pond.oxygenMgL < rules.stopOxygen + 1),
    missing: missingOf(pond),
  }
}

const UNTESTED: RescueWater = { tan: null, nitrite: null, ph: null, khDH: null, ghDH: null }

function waterOf({ tan, nitrite, ph, khDH, ghDH }: NeglectedPond): RescueWater {
  const span = (value: number | null): Span | null => (value === null ? null : [value, value])
  return { tan: span(tan), nitrite: span(nitrite), ph, khDH, ghDH }
}

function missingOf({ tan, nitrite, ph, khDH, ghDH, oxygenMgL, fill }: NeglectedPond): RescuePlan['missing'] {
  const tested = { tan, nitrite, ph, kh: khDH, gh: ghDH, oxygen: oxygenMgL, fillPh: fill.ph, fillKh: fill.khDH }
  return (Object.keys(tested) as (keyof typeof tested)[]).filter((kind) => tested[kind] === null)
}

/** The first working day from this one on whose water lets rinsed media come back. */
function warmDay(
  from: IsoDate,
  onWorkingDay: (day: IsoDate) => IsoDate,
  expectedC: (day: IsoDate) => number | null,
): IsoDate {
  for (let ahead = 0; ahead < WARM_WITHIN_DAYS; ahead++) {
    const day = onWorkingDay(addDays(from, ahead))
    const waterC = expectedC(day)
    if (waterC === null || waterC >= RESCUE_RULES.minMediaC) return day
  }
  return from
}

function stopRules(jobKey: RescueJob, hasFish: boolean): StopRule[] {
  const rules: StopRule[] = []
  if (hasFish) rules.push({ code: 'low-oxygen', mgL: RESCUE_RULES.stopOxygen }, { code: 'gasping' })
  if (jobKey === 'rescue-floor' || jobKey === 'rescue-rocks') rules.push({ code: 'sludge-smell' })
  if (jobKey === 'rescue-media') rules.push({ code: 'cold-water', leastC: RESCUE_RULES.minMediaC })
  if (jobKey === 'rescue-media' || jobKey === 'rescue-rocks')
    rules.push(
      { code: 'ammonia-waits', mgL: RESCUE_RULES.waitTan },
      { code: 'nitrite-waits', mgL: RESCUE_RULES.waitNitrite },
    )
  return rules
}
