import { nitrogenBedM3 } from '../sizing/treatment'
import { treatingGravel } from '../bed/layers'
import { CHECK_LIMITS } from '../checks/check'
import type { CheckId } from '../checks'
import { sizeFor } from '../first/proportions'
import { FILTER_TYPE_FACTS } from '../types'
import { enlarge, fedAcross, withPump, type Context, type Mend } from './remedy'

/** What a pass through the bed is asked to take at most; past it a larger flow is the way. */
const MOST_REMOVAL = 0.8
const WEEKLY_STEP = 0.1
const MOST_WEEKLY = 0.3
/** A little more than asked, so that rounding does not undo it. */
const WITH_MARGIN = 1.02

const depthOf = ({ design, rules }: Context) => Math.max(treatingGravel(design.layers, rules.materials).depthM, 1e-9)

/** Mends of what is too small. */
export const SIZE_MENDS: Partial<Record<CheckId, Mend>> = {
  'house-size': (context) => enlarge(context, context.result.houseAreaM2),
  'nitrogen-size': (context) => {
    const { result } = context
    const asked = result.grown.sizingMethods.find((s) => s.sizingMethod === 'nitrogen')!.areaM2
    return enlarge(context, asked - result.treatment.mediaAsBedM3 / depthOf(context))
  },
  'tan-target': (context) => {
    const { design, result, rules } = context
    if (design.type === 'none')
      return design.weeklyExchange < MOST_WEEKLY - 1e-9 && Number.isFinite(result.worstTanMgL)
        ? { ...design, weeklyExchange: Number((design.weeklyExchange + WEEKLY_STEP).toFixed(2)) }
        : null
    const asked = nitrogenBedM3(
      result.grown,
      result.bedFlowM3PerH,
      treatingGravel(design.layers, rules.materials),
      rules,
      MOST_REMOVAL,
    )
    if (asked.bedM3 === null) return withPump(context, (asked.flowM3PerH / (1 - design.bypassShare)) * WITH_MARGIN)
    return (
      enlarge(context, ((asked.bedM3 - result.treatment.mediaAsBedM3) / depthOf(context)) * WITH_MARGIN) ??
      withPump(context, result.flowM3PerH * 1.25)
    )
  },
  phosphorus: (context) =>
    context.result.areaM2 < context.pond.areaM2 ? enlarge(context, context.result.areaM2 * 1.25) : null,
  regeneration: (context) => enlarge(context, context.pond.areaM2 * CHECK_LIMITS.regenerationLeast * WITH_MARGIN),
  'fits-shore': ({ pond, design, result }) =>
    FILTER_TYPE_FACTS[design.type].alongShore
      ? fedAcross({ ...design, ...sizeFor(design.type, result.areaM2, pond.shoreM) })
      : null,
}
