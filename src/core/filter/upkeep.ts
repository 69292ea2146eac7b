import type { TrainResult } from './train/evaluate-train'
import { UNIT_FACTS } from './train/unit-facts'
import type { FilterDesign } from './design-input'

/** Hours that each recurring task takes. @source house defaults; logged times will correct them */
const UPKEEP_HOURS = {
  flush: 1.5,
  flushPerM2: 0.1,
  /** Plants of a bed: spring cut, thinning, autumn. */
  plantsPerM2: 0.4,
  pumpService: 0.5,
  unitService: 0.5,
  exchange: 0.25,
} as const
const PUMP_SERVICES_A_YEAR = 2
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
  readonly train: Pick<TrainResult, 'washM3PerD' | 'energyKWhPerYear'>
  readonly pumpKWhPerYear: number
  readonly heatKWhPerYear: number
}): DesignUpkeep {
  const { train, pumpId, weeklyExchange } = of.design
  const flushes = of.flushDays === Infinity ? 0 : 365 / of.flushDays
  const services = train.reduce((sum, c) => sum + 12 / UNIT_FACTS[c.kind].serviceMonths, 0)
  const exchanges = weeklyExchange > 0 ? EXCHANGE_WEEKS : 0
  return {
    hoursPerYear:
      flushes * (UPKEEP_HOURS.flush + UPKEEP_HOURS.flushPerM2 * of.areaM2) +
      UPKEEP_HOURS.plantsPerM2 * of.areaM2 +
      (pumpId === null ? 0 : PUMP_SERVICES_A_YEAR * UPKEEP_HOURS.pumpService) +
      services * UPKEEP_HOURS.unitService +
      exchanges * UPKEEP_HOURS.exchange,
    // a flush lets the bed's water go with its sludge
    waterM3PerYear: flushes * of.bedVoidsM3 + 365 * of.train.washM3PerD + exchanges * weeklyExchange * of.pondVolumeM3,
    energyKWhPerYear: of.pumpKWhPerYear + of.train.energyKWhPerYear + of.heatKWhPerYear,
  }
}
