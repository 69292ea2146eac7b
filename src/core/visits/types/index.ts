import type { JobPlanning } from '../planning-facts'
import type { UsualVisitType } from '../step'
import { CLEANOUT_SECOND_DAY, CLEANOUT_SECOND_DAY_PLANNING, OVERNIGHT } from './cleanout-legs'
import { COMMISSIONING, COMMISSIONING_PLANNING } from './commissioning'
import { FILTER_BUILD, FILTER_BUILD_PLANNING } from './filter-build'
import { AUTUMN_NETTING, AUTUMN_NETTING_PLANNING } from './netting'
import { PLANT_CARE, PLANT_CARE_PLANNING } from './plant-care'
import { RESCUE_OPEN_FLOOR, RESCUE_OPEN_FLOOR_PLANNING } from './rescue-floor'
import { RESCUE_HALF_MEDIA, RESCUE_HALF_MEDIA_PLANNING } from './rescue-media'
import { RESCUE_ROCKS, RESCUE_ROCKS_PLANNING } from './rescue-rocks'
import { RESCUE_STRAINERS, RESCUE_STRAINERS_PLANNING } from './rescue-strainers'
import { ROUTINE_VISIT, ROUTINE_VISIT_PLANNING } from './routine'
import { SPRING_CLEANOUT, SPRING_CLEANOUT_PLANNING } from './spring-cleanout'
import { SPRING_STARTUP, SPRING_STARTUP_PLANNING } from './spring-startup'
import { TUB_CARE, TUB_CARE_PLANNING } from './tub-care'
import { WETLAND_FLUSH, WETLAND_FLUSH_PLANNING } from './wetland-flush'
import { WINTER_CHECK, WINTER_CHECK_PLANNING } from './winter-check'
import { WINTER_SETUP, WINTER_SETUP_PLANNING } from './winter-running'
import { WINTER_SHUTDOWN, WINTER_SHUTDOWN_PLANNING } from './winter-shutdown'
import type { VisitTypeKey } from '../visit-type-keys'

interface WholeVisitType {
  readonly type: UsualVisitType
  readonly planning: JobPlanning
}

/** Each visit type with its steps and what planning needs to know, in the order in which they are offered. */
export const WHOLE_VISIT_TYPES = {
  'spring-cleanout': { type: SPRING_CLEANOUT, planning: SPRING_CLEANOUT_PLANNING },
  'spring-startup': { type: SPRING_STARTUP, planning: SPRING_STARTUP_PLANNING },
  routine: { type: ROUTINE_VISIT, planning: ROUTINE_VISIT_PLANNING },
  'plant-care': { type: PLANT_CARE, planning: PLANT_CARE_PLANNING },
  'wetland-flush': { type: WETLAND_FLUSH, planning: WETLAND_FLUSH_PLANNING },
  netting: { type: AUTUMN_NETTING, planning: AUTUMN_NETTING_PLANNING },
  'winter-shutdown': { type: WINTER_SHUTDOWN, planning: WINTER_SHUTDOWN_PLANNING },
  'winter-running': { type: WINTER_SETUP, planning: WINTER_SETUP_PLANNING },
  'winter-check': { type: WINTER_CHECK, planning: WINTER_CHECK_PLANNING },
  'tub-care': { type: TUB_CARE, planning: TUB_CARE_PLANNING },
  'rescue-floor': { type: RESCUE_OPEN_FLOOR, planning: RESCUE_OPEN_FLOOR_PLANNING },
  'rescue-strainers': { type: RESCUE_STRAINERS, planning: RESCUE_STRAINERS_PLANNING },
  'rescue-media': { type: RESCUE_HALF_MEDIA, planning: RESCUE_HALF_MEDIA_PLANNING },
  'rescue-rocks': { type: RESCUE_ROCKS, planning: RESCUE_ROCKS_PLANNING },
  'filter-build': { type: FILTER_BUILD, planning: FILTER_BUILD_PLANNING },
  commissioning: { type: COMMISSIONING, planning: COMMISSIONING_PLANNING },
  'cleanout-second-day': { type: CLEANOUT_SECOND_DAY, planning: CLEANOUT_SECOND_DAY_PLANNING },
} as const satisfies Readonly<Record<VisitTypeKey, WholeVisitType>>

/** Under which words a step stands in the catalogue. */
export type StepWords =
  (typeof WHOLE_VISIT_TYPES)[VisitTypeKey]['type']['steps'][number]['words'] | typeof OVERNIGHT.words

/** What planning needs to know of each visit type; undefined for a key that is none. */
export const VISIT_PLANNING: Readonly<Record<string, JobPlanning>> = Object.fromEntries(
  Object.entries(WHOLE_VISIT_TYPES).map(([key, { planning }]) => [key, planning]),
)
