import { bedChecks } from './bed'
import { CHECK_IDS, type Check, type CheckContext } from './check'
import { pipeChecks } from './pipes'
import { pumpStopChecks } from './pump-stop'
import { siteChecks } from './site'
import { sitePlanChecks } from './site-plan'
import { sizeAndFlowChecks } from './size-and-flow'
import { trainChecks } from './train'
import { upkeepChecks } from './upkeep'

export { CHECK_IDS, type Check, type CheckContext, type CheckId } from './check'

/**
 * Holds a worked-out design to the rules of the trade, in the order of CHECK_IDS; what does not apply to its type is
 * left out.
 */
export function checkDesign(context: CheckContext): Check[] {
  const groups = [
    sizeAndFlowChecks,
    bedChecks,
    pipeChecks,
    pumpStopChecks,
    upkeepChecks,
    trainChecks,
    sitePlanChecks,
    siteChecks,
  ]
  const all = groups.flatMap((group) => group(context))
  return all.sort((a, b) => CHECK_IDS.indexOf(a.id) - CHECK_IDS.indexOf(b.id))
}
