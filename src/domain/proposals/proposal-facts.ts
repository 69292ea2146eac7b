import { designBands, type DesignBands } from '../../core/filter/bands'
import { checkDesign } from '../../core/filter/checks'
import { evaluateDesign, type DesignResult } from '../../core/filter/design'
import type { FilterDesign } from '../../core/filter/design-input'
import { keptDesignPond } from '../design/design-pond'
import { DEFAULT_FILTER_RULES } from '../../core/filter/house-rules'
import { keptDesign } from '../design/design-file'
import type { FoundFilter, ProposalContent } from './proposal'

/** What an offered option does for the pond, worked out from what was frozen in the proposal. */
export interface OptionFacts {
  /** As it was frozen, in today's form. */
  readonly design: FilterDesign
  readonly result: DesignResult
  /** What its figures may turn out to be: customers are told of these, not of one figure. */
  readonly bands: DesignBands
  /** Checks that still want a look or a stop, for the desk's eyes and the cautions. */
  readonly open: readonly string[]
}

/** A frozen filter worked out with the pond and the rules of its proposal. */
function workedOut(content: ProposalContent, of: FoundFilter): OptionFacts {
  const { houseMethod } = content
  // frozen before a rule or a figure existed: the default of it held then
  const pond = keptDesignPond(content.pond)
  const rules = { ...DEFAULT_FILTER_RULES, ...content.rules }
  const { pump, morePumps = [] } = of
  const design = keptDesign(of.design)
  const result = evaluateDesign({ pond, design, rules, houseMethod, pumps: [...(pump ? [pump] : []), ...morePumps] })
  return {
    design,
    result,
    bands: designBands({ pond, design, rules }, result),
    open: checkDesign({ design, pond, result, houseMethod, rules }).flatMap((c) =>
      c.verdict === 'pass' ? [] : [c.id],
    ),
  }
}

export const optionFacts = (content: ProposalContent, index: number): OptionFacts =>
  workedOut(content, content.options[index]!)

/** The filter that was found at the pond; null where none was recorded. */
export const foundFacts = (content: ProposalContent): OptionFacts | null =>
  content.found ? workedOut(content, content.found) : null

/** Said once in each proposal, in this order. */
export const PROPOSAL_CAUTIONS = ['measurements', 'electrical', 'digging', 'children', 'plants'] as const
