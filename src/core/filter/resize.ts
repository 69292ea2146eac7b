import { shapeShare } from './bed/bed-outline'
import { stepUp } from './first/proportions'
import type { DesignPond, FilterDesign } from './design-input'
import type { CataloguePump } from './flow/pump-catalogue'
import type { FilterRules, SizingMethod } from './house-rules'
import { suggestDesign } from './suggest'

/**
 * A design sized by another method: bed, pipes and pump are that method's, everything else stays as it was decided.
 */
export function sizedBy(
  sizingMethod: SizingMethod,
  design: FilterDesign,
  pond: DesignPond,
  rules: FilterRules,
  pumps: readonly CataloguePump[],
): FilterDesign {
  const suggested = suggestDesign(pond, sizingMethod, rules, pumps, design.type, {
    liftM: design.staticLiftM,
    pipeM: design.delivery.lengthM,
  })
  const share = shapeShare(design)
  const { lengthM, widthM, vessels, round, manifold, pumpId, pumpSet, outlet, bypassShare } = suggested
  return {
    ...design,
    sizingMethod,
    lengthM,
    // a kidney needs a larger box than a rectangle for the same stone
    widthM: share < 1 ? stepUp(widthM / share) : widthM,
    vessels,
    round,
    // a vessel's stone goes with its height
    layers: round ? suggested.layers : design.layers,
    airBreakM: round ? suggested.airBreakM : design.airBreakM,
    manifold,
    delivery: { ...design.delivery, diameterM: suggested.delivery.diameterM },
    pumpId,
    pumpSet,
    outlet,
    bypassShare,
    falls: design.falls && suggested.falls ? { ...design.falls, widthM: suggested.falls.widthM } : design.falls,
  }
}
