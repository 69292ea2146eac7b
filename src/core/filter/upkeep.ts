import { COMPANION_FACTS, companionPowerW, washWaterM3PerD } from './companions'
import type { FilterDesign } from './design-input'

/** Hours that each recurring task takes. @source house defaults; logged times will correct them */
const UPKEEP_HOURS = {
  flush: 1.5,
  flushPerM2: 0.1,
  /** Plants of a bed: spring cut, thinning, autumn. */
  plantsPerM2: 0.4,
  pumpService: 0.5,
  companionService: 0.5,
  exchange: 0.25,
} as const
const PUMP_SERVICES_A_YEAR = 2
const HOURS_PER_YEAR = 8760
/** Water is changed by hand in the season only. */
const EXCHANGE_WEEKS = 26

/** What a design asks for each year. */
export interface DesignUpkeep {
  readonly hoursPerYear: number
  readonly waterM3PerYear: number
  readonly energyKWhPerYear: number
}

/** Work, water and energy of a design in a year. @param flushDays Infinity where nothing is flushed */
export function designUpkeep(of: {
  readonly design: FilterDesign
  readonly pondVolumeM3: number
  readonly areaM2: number
  readonly bedVoidsM3: number
  readonly flushDays: number
  readonly pumpKWhPerYear: number
  readonly heatKWhPerYear: number
}): DesignUpkeep {
  const { companions, pumpId, weeklyExchange } = of.design
  const flushes = of.flushDays === Infinity ? 0 : 365 / of.flushDays
  const services = companions.reduce((sum, c) => sum + 12 / COMPANION_FACTS[c.kind].serviceMonths, 0)
  const exchanges = weeklyExchange > 0 ? EXCHANGE_WEEKS : 0
  return {
    hoursPerYear:
      flushes * (UPKEEP_HOURS.flush + UPKEEP_HOURS.flushPerM2 * of.areaM2) +
      UPKEEP_HOURS.plantsPerM2 * of.areaM2 +
      (pumpId === null ? 0 : PUMP_SERVICES_A_YEAR * UPKEEP_HOURS.pumpService) +
      services * UPKEEP_HOURS.companionService +
      exchanges * UPKEEP_HOURS.exchange,
    // a flush lets the bed's water go with its sludge
    waterM3PerYear:
      flushes * of.bedVoidsM3 + 365 * washWaterM3PerD(companions) + exchanges * weeklyExchange * of.pondVolumeM3,
    energyKWhPerYear: of.pumpKWhPerYear + (companionPowerW(companions) / 1000) * HOURS_PER_YEAR + of.heatKWhPerYear,
  }
}
