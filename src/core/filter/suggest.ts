import { checkDesign } from './checks'
import { evaluateDesign } from './design'
import type { DesignPond, DesignProblemInput, FilterDesign } from './design-input'
import { targetDesign, type Site } from './first-design'
import type { CataloguePump } from './flow/pump-catalogue'
import type { FilterRules, SizingMethod } from './house-rules'
import { remedied } from './remedies'
import type { FilterType } from './types'

/** More rounds than there are checks to mend one after another; a design that still stops has no remedy. */
const MOST_ROUNDS = 40

/**
 * A filter to begin with: the sizing method's design, with every stop mended that a remedy mends.
 * What stops all the same is for the designer: fewer fish, another type, another place.
 */
export function suggestDesign(
  pond: DesignPond,
  sizingMethod: SizingMethod,
  rules: FilterRules,
  pumps: readonly CataloguePump[],
  type: FilterType = 'lined-wetland',
  site: Site = {},
): FilterDesign {
  const given = { pond, rules, pumps, houseMethod: sizingMethod }
  return withoutStops(given, targetDesign({ pond, sizingMethod, rules, pumps, type, site }))
}

/** A design with every stop mended that a remedy mends, one after the other. */
export function withoutStops(given: Omit<DesignProblemInput, 'design'>, drawn: FilterDesign): FilterDesign {
  let design = drawn
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const mended = mendOne({ ...given, design })
    if (!mended) break
    design = mended
  }
  return design
}

/** The design with its first stop mended that can be; null when none can. */
function mendOne(problem: Parameters<typeof evaluateDesign>[0]): FilterDesign | null {
  const result = evaluateDesign(problem)
  const stops = checkDesign({ ...problem, result }).filter((c) => c.verdict === 'stop')
  for (const { id } of stops) {
    const mended = remedied(id, { ...problem, result })
    if (mended && JSON.stringify(mended) !== JSON.stringify(problem.design)) return mended
  }
  return null
}
