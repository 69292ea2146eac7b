import type { FindingKey } from './findings'

/** What a remedy's step is. */
export type RemedyCode =
  | 'sizeFilterCarriesPond'
  | 'flushBed'
  | 'lookTestAgain'
  | 'waitFeedLittleSeed'
  | 'seedBacteriaFeedLittle'
  | 'testAmmoniaNitrite'
  | 'halveFeedFindHomes'
  | 'changeQuarterWater'
  | 'plantBedEdgesFloating'
  | 'lookAgain'
  | 'newLampCleanSleeve'
  | 'pullWhereHidesLook'
  | 'shadePlantsLessFeed'
  | 'cleanChangeProbeSet'
  | 'leavesOutNetActivated'
  | 'leaveHarmsNothing'
  | 'feedLessChangeQuarter'
  | 'coverSoilLooseFloor'
  | 'bogDoesNotClear'
  | 'raiseEdgeLeadWater'
  | 'flocculantOnceLabel'
  | 'letSettleTwoDays'
  | 'airFeedNothingSome'
  | 'testOxygenAmmonia'
  | 'feedLessChangeQuarterWater'
  | 'skimmerSurfaceFlow'
  | 'absorbentSheetsFindSource'
  | 'takeOffNetAgain'
  | 'moreSurfaceFlow'
  | 'raiseWaterSplitFlow'
  | 'tabletsSoilLiliesOtherwise'
  | 'waitFor15C'
  | 'chelatedIronSoilLess'
  | 'pullBackFromScreens'
  | 'airFallsRunningDay'
  | 'testDawn'
  | 'changeUpThirdWater'
  | 'testEverySecondDay'
  | 'changeUpThirdWaterNo'
  | 'testEveryDay'
  | 'leaveFloorAloneAir'
  | 'sectionTimeStages'
  | 'vetFishHealthSpecialist'
  | 'vetFishHealthSpecialistKeep'
  | 'netLinesSomeWeeks'
  | 'topUpDechlorinatedNothing'
  | 'letFallStopsMark'
  | 'walkFallsStreamEdge'
  | 'raiseEdgeBedLip'
  | 'emptyWeeklyWhileLeaves'
  | 'isolateProveDeadClean'
  | 'flushBedRunsLight'
  | 'fillUpSkimmersLine'
  | 'noFeedAmmoniaNitrite'
  | 'halveFeedFindHomesFish'
  | 'testKhPhTemperature'
  | 'raiseKhDhDay'
  | 'testEveryDayKh'
  | 'feedLittleSeedBacteria'
  | 'testEveryThirdDay'
  | 'airBinderNoFeed'
  | 'closeTapDechlorinate'
  | 'testChlorineAgain'
  | 'smallChangesOldPond'
  | 'khOnlyAfterAmmonia'
  | 'keepOutOfScum'
  | 'laboratoryScum'
  | 'airNoFeedDeadAlgae'
  | 'changeWhenOxygenHolds'
  | 'stopWorkAir'
  | 'goOnBySections'
  | 'findHomesOrLargerFilter'
  | 'feedByRation'
  | 'raiseGhSlowly'
  | 'findSourceOfNutrients'
  | 'harvestPlants'
  | 'thinSaltByChanges'

/** Steps of a remedy that the app can plan or dose. */
export interface Remedy {
  readonly code: RemedyCode
  /** Visit type that does it. */
  readonly jobKey?: string
  /** Days after the diagnosis. */
  readonly afterDays: number
  /** What is given with it, worked out for the pond by the firm's own products. */
  readonly dose?: RemedyDose
  /** Done so many times, so many days apart; left out: once. */
  readonly course?: RemedyCourse
}
interface RemedyCourse {
  readonly times: number
  readonly everyDays: number
}

export const REMEDY_DOSES = ['bacteria', 'binder', 'carbon', 'flocculant', 'kh', 'salt'] as const
export type RemedyDose = (typeof REMEDY_DOSES)[number]

export interface Cause {
  /** Share of the ponds that are asked about at which it is at work. */
  readonly prior: number
  /**
   * Of a sign: how often this cause brings it forth. Of a circumstance: how often it is so where this cause is at
   * work. What is not named has nothing to do with it.
   */
  readonly shows: Readonly<Partial<Record<FindingKey, number>>>
  readonly remedies: readonly Remedy[]
  /** Days until it should look better: soonest, latest; null: it does not by itself. */
  readonly betterDays: readonly [number, number] | null
  /** Bacteria must grow first: the days are of water of 20 °C, and become more as it is colder. */
  readonly byWarmth?: true
  /** Who else must look. */
  readonly specialist?: 'vet' | 'electrician'
  /** Said first, where something can die or hurt. */
  readonly urgent?: true
  /** Tests that are made at once where this is suspected, in their order: they say how near the danger is. */
  readonly testAtOnce?: readonly FindingKey[]
}

export const step = (code: RemedyCode, afterDays = 0, jobKey?: string): Remedy => ({
  code,
  afterDays,
  ...(jobKey ? { jobKey } : {}),
})
export const dosed = (dose: RemedyDose, remedy: Remedy): Remedy => ({ ...remedy, dose })
/** A step that is done again and again. */
export const again = (times: number, everyDays: number, remedy: Remedy): Remedy => ({
  ...remedy,
  course: { times, everyDays },
})
