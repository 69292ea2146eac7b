import { cleanoutLegs } from './cleanout-legs'
import { commissioning } from './commissioning'
import { filterBuild } from './filter-build'
import { netting } from './netting'
import { plantCare } from './plant-care'
import { rescueFloor } from './rescue-floor'
import { rescueRocks } from './rescue-rocks'
import { rescueSteps } from './rescue-steps'
import { rescueStrainers } from './rescue-strainers'
import { routine } from './routine'
import { sharedSteps } from './shared-steps'
import { springCleanout } from './spring-cleanout'
import { springStartup } from './spring-startup'
import { tubCare } from './tub-care'
import { wetlandFlush } from './wetland-flush'
import { winterCheck } from './winter-check'
import { winterRunning } from './winter-running'
import { winterShutdown } from './winter-shutdown'

/** Words of the steps of visits, by the step’s `words`: title, detail, the note on what can hurt, and its answers. */
export const visitSteps = {
  ...cleanoutLegs,
  ...commissioning,
  ...filterBuild,
  ...netting,
  ...plantCare,
  ...rescueFloor,
  ...rescueRocks,
  ...rescueSteps,
  ...rescueStrainers,
  ...routine,
  ...sharedSteps,
  ...springCleanout,
  ...springStartup,
  ...tubCare,
  ...wetlandFlush,
  ...winterCheck,
  ...winterRunning,
  ...winterShutdown,
}
