import type { DesignBands } from '../../core/filter/bands'
import type { DesignResult } from '../../core/filter/design'
import { foundFacts, optionFacts } from './proposal-facts'
import type { ProposalContent } from './proposal'

export const BEFORE_AFTER_ROWS = ['ammonia', 'bedFlow', 'electricity', 'care', 'flush'] as const
export type BeforeAfterRow = (typeof BEFORE_AFTER_ROWS)[number]

/** Figures of one filter that a customer can set beside those of another. */
export interface ComparedFilter {
  /** Which option it is; null for the filter that was found. */
  readonly option: number | null
  /** Worst month, lower and upper end, mg/L. */
  readonly ammoniaMgL: readonly [number, number]
  readonly bedFlowM3PerH: number
  /** All current of a year, kWh. */
  readonly electricityKWh: number
  readonly careHours: number
  /** null where it needs none. */
  readonly flushDays: number | null
}

const compared = (option: number | null, result: DesignResult, { worstTanMgL }: DesignBands): ComparedFilter => ({
  option,
  ammoniaMgL: worstTanMgL,
  bedFlowM3PerH: result.bedFlowM3PerH,
  electricityKWh: result.upkeep.energyKWhPerYear,
  careHours: result.upkeep.hoursPerYear,
  flushDays: Number.isFinite(result.flushDays) ? result.flushDays : null,
})

/** The filter that was found first, then each option; null where none was found. */
export function beforeAfter(content: ProposalContent): readonly ComparedFilter[] | null {
  const found = foundFacts(content)
  if (!found) return null
  return [
    compared(null, found.result, found.bands),
    ...content.options.map((_, i) => {
      const { result, bands } = optionFacts(content, i)
      return compared(i, result, bands)
    }),
  ]
}
