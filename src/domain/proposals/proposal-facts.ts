import { checkDesign } from '../../core/filter/checks'
import { evaluateDesign, type DesignResult } from '../../core/filter/design'
import { DEFAULT_FILTER_RULES } from '../../core/filter/house-rules'
import { keptDesign } from '../design/design-file'
import type { ProposalContent } from './proposal'

/** What an offered option does for the pond, worked out from what was frozen in the proposal. */
export interface OptionFacts {
  readonly result: DesignResult
  /** Checks that still want a look or a stop, for the desk's eyes and the cautions. */
  readonly open: readonly string[]
}

export function optionFacts(content: ProposalContent, index: number): OptionFacts {
  const { pond, houseMethod } = content
  // frozen before a rule or a figure existed: the default of it held then
  const rules = { ...DEFAULT_FILTER_RULES, ...content.rules }
  const { pump, morePumps = [] } = content.options[index]!
  const design = keptDesign(content.options[index]!.design)
  const result = evaluateDesign({ pond, design, rules, houseMethod, pumps: [pump, ...morePumps] })
  return {
    result,
    open: checkDesign({ design, pond, result, houseMethod, rules }).flatMap((c) =>
      c.verdict === 'pass' ? [] : [c.id],
    ),
  }
}

/** Said once in each proposal. */
export const PROPOSAL_CAUTIONS = [
  'This proposal rests on measurements and usual figures; local codes and licensed practice decide.',
  'Electrical work beside water is done by a licensed electrician with RCD/GFCI protection; an auto-fill by a licensed plumber with a backflow preventer.',
  'Buried services are marked before digging. Walls above 0.6 m, and anything on a slab or roof, are signed by a licensed engineer.',
  'Open ponds and vaults are a danger to children: they are covered or guarded.',
  'Plants are checked against your state or national list before planting; fish and plants are never released outside.',
] as const
