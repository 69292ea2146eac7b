import { assertPositive } from '../errors'
import { addDays, type IsoDate } from '../numeric/calendar'
import { khDoseG } from '../water/dosing/doses'
import { phAfterKhRise, RAISE_KH_LIMITS, raiseKhGate } from './gates/raise-kh'
import { WATER_CHANGE_LIMITS } from '../water/water-change-gate'
import { KH_TARGET_DH } from './visit-amounts'

/** What is known of a neglected pond before the first hand is put to it. */
export interface NeglectedPond {
  /** Pond, streams, boxes and the filter's voids, m³. */
  readonly systemM3: number
  readonly tan: number | null
  readonly nitrite: number | null
  readonly ph: number | null
  readonly khDH: number | null
  readonly oxygenMgL: number | null
  readonly hasFish: boolean
  readonly hasMedia: boolean
  /** Sections that rock piles are worked in, none where there are no piles. */
  readonly rockSections: number
}

/** Days from the first visit on. Media halves are a week or more apart. @source house default */
const RESCUE_RULES = {
  strainersAfter: 4,
  mediaAfter: 11,
  betweenHalves: 8,
  rocksAfter: 8,
  maxRockVisits: 2,
  binderAboveTan: 0.5,
  binderAboveNitrite: 0.2,
  stopOxygen: 5,
  stopNitrite: 1,
  waitTan: 1,
  cleanTan: 0.25,
  cleanNitrite: 0.1,
  /**
   * Below it nitrifiers hardly grow: media that were rinsed do not come back, °C.
   * @source nitrification is slight below 8 to 10 °C
   */
  minMediaC: 8,
  finalTestsDays: [7, 14],
  /** Toxic ammonia is forecast for water this warm, °C: the tests of the day decide. */
  warmestC: 24,
} as const

export type StopRule =
  | { readonly code: 'low-oxygen'; readonly mgL: number }
  | { readonly code: 'sludge-smell' }
  | { readonly code: 'gasping' }
  | { readonly code: 'ammonia-waits'; readonly mgL: number }
  | { readonly code: 'cold-water'; readonly waterC: number; readonly leastC: number }
  | { readonly code: 'nitrite-waits'; readonly mgL: number }

export interface RescueStage {
  readonly jobKey: 'rescue-floor' | 'rescue-strainers' | 'rescue-media' | 'rescue-rocks'
  readonly day: IsoDate
  /** The most of the water that is changed on it, m³. */
  readonly changeM3: number
  readonly binder: boolean
  /**
   * Rise of carbonate hardness and the bicarbonate for it, by what the gate is expected to say on the day; null where
   * it stands well or is not known.
   */
  readonly kh: {
    readonly riseDH: number
    readonly bicarbonateG: number
    readonly waitsFor: 'tests' | 'ammonia' | null
  } | null
  /** What the change alone leaves, with clean water in, mg/L; null where it was not tested. */
  readonly expected: { readonly tan: number | null; readonly nitrite: number | null }
  readonly stopRules: readonly StopRule[]
}

export interface RescuePlan {
  readonly stages: readonly RescueStage[]
  /** Days for the tests that end it: two clean ones, a week apart. */
  readonly finalTests: readonly IsoDate[]
  /** Air and no food come before everything else. */
  readonly airFirst: boolean
  readonly missing: readonly ('tan' | 'nitrite' | 'ph' | 'kh' | 'oxygen')[]
}

/**
 * Mends a neglected pond in three to five visits, never everything at once: loose dirt and part of the water, then
 * strainers, then half the
 * living media, the other half, and stones a section at a time.
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
  const days: [RescueStage['jobKey'], number][] = [
    ['rescue-floor', 0],
    ['rescue-strainers', rules.strainersAfter],
  ]
  if (pond.hasMedia)
    days.push(['rescue-media', rules.mediaAfter], ['rescue-media', rules.mediaAfter + rules.betweenHalves])
  const rocks = Math.min(pond.rockSections, pond.hasMedia ? 1 : rules.maxRockVisits)
  const last = days[days.length - 1]![1]
  for (let i = 0; i < rocks; i++) days.push(['rescue-rocks', last + (i + 1) * rules.rocksAfter])
  // at least three visits: a pond without media or stones is changed once more
  if (days.length < 3) days.push(['rescue-strainers', last + rules.rocksAfter])

  let { tan, nitrite, khDH, ph } = pond
  let before: IsoDate | null = null
  const stages = days.map(([jobKey, after]): RescueStage => {
    let day = onWorkingDay(addDays(first, after))
    while (before !== null && day <= before) day = onWorkingDay(addDays(day, 1))
    before = day
    const binder = pond.hasFish && ((tan ?? 0) >= rules.binderAboveTan || (nitrite ?? 0) >= rules.binderAboveNitrite)
    tan = tan === null ? null : tan * (1 - WATER_CHANGE_LIMITS.share)
    nitrite = nitrite === null ? null : nitrite * (1 - WATER_CHANGE_LIMITS.share)
    const kh = khStep(pond.systemM3, { khDH, ph, tan }, jobKey)
    if (kh && kh.waitsFor === null && khDH !== null) {
      ph = ph === null ? null : Math.min(12, phAfterKhRise(ph, khDH, kh.riseDH))
      khDH += kh.riseDH
    }
    return {
      jobKey,
      day,
      changeM3: pond.systemM3 * WATER_CHANGE_LIMITS.share,
      binder,
      kh,
      expected: { tan, nitrite },
      stopRules: [...stopRules(jobKey, pond.hasFish), ...coldRule(jobKey, expectedC(day))],
    }
  })
  const end = stages[stages.length - 1]!.day
  return {
    stages,
    finalTests: rules.finalTestsDays.map((d) => onWorkingDay(addDays(end, d))),
    airFirst: pond.hasFish && (pond.oxygenMgL === null || pond.oxygenMgL < rules.stopOxygen + 1),
    missing: (['tan', 'nitrite', 'ph', 'kh', 'oxygen'] as const).filter(
      (k) => ({ tan: pond.tan, nitrite: pond.nitrite, ph: pond.ph, kh: pond.khDH, oxygen: pond.oxygenMgL })[k] === null,
    ),
  }
}

/** Only stages whose steps raise it do: the floor and the strainers. */
function khStep(
  systemM3: number,
  { khDH, ph, tan }: Readonly<Record<'khDH' | 'ph' | 'tan', number | null>>,
  jobKey: RescueStage['jobKey'],
): RescueStage['kh'] {
  if (khDH === null || khDH >= KH_TARGET_DH || (jobKey !== 'rescue-floor' && jobKey !== 'rescue-strainers')) return null
  const steep = ph === null || phAfterKhRise(ph, khDH, RAISE_KH_LIMITS.riseDH) - ph > RAISE_KH_LIMITS.risePh
  const riseDH = Math.min(steep ? 1 : RAISE_KH_LIMITS.riseDH, KH_TARGET_DH - khDH)
  const dose = { riseDH, bicarbonateG: khDoseG(systemM3, khDH, khDH + riseDH) }
  if (tan === null || ph === null) return { ...dose, waitsFor: 'tests' }
  const gate = raiseKhGate({
    readings: { tan, ph, kh: khDH, waterTemp: RESCUE_RULES.warmestC },
    figures: { khRiseDH: riseDH },
  })
  return { ...dose, waitsFor: gate.status === 'stop' ? 'ammonia' : null }
}

const coldRule = (jobKey: RescueStage['jobKey'], waterC: number | null): StopRule[] =>
  jobKey === 'rescue-media' && waterC !== null && waterC < RESCUE_RULES.minMediaC
    ? [{ code: 'cold-water', waterC, leastC: RESCUE_RULES.minMediaC }]
    : []

function stopRules(jobKey: RescueStage['jobKey'], hasFish: boolean): StopRule[] {
  const rules: StopRule[] = []
  if (hasFish) rules.push({ code: 'low-oxygen', mgL: RESCUE_RULES.stopOxygen }, { code: 'gasping' })
  if (jobKey === 'rescue-floor' || jobKey === 'rescue-rocks') rules.push({ code: 'sludge-smell' })
  if (jobKey === 'rescue-media' || jobKey === 'rescue-rocks')
    rules.push(
      { code: 'ammonia-waits', mgL: RESCUE_RULES.waitTan },
      { code: 'nitrite-waits', mgL: RESCUE_RULES.stopNitrite },
    )
  return rules
}
