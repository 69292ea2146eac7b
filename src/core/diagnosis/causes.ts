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

/** Steps of a remedy that the app can plan or dose. */
export interface Remedy {
  readonly code: RemedyCode
  /** Visit type that does it. */
  readonly jobKey?: string
  /** Days after the diagnosis. */
  readonly afterDays: number
  /** What is given with it, worked out for the pond by the firm's own products. */
  readonly dose?: RemedyDose
}

export const REMEDY_DOSES = ['bacteria', 'flocculant', 'salt'] as const
export type RemedyDose = (typeof REMEDY_DOSES)[number]

export interface Cause {
  /** How often it is behind a call, relative to the others. */
  readonly weight: number
  /** How often each finding is so when this is the cause; what is not named is as usual. */
  readonly shows: Readonly<Partial<Record<FindingKey, number>>>
  readonly remedies: readonly Remedy[]
  /** Days until it should look better: soonest, latest; null: it does not by itself. */
  readonly betterDays: readonly [number, number] | null
  /** Who else must look. */
  readonly specialist?: 'vet' | 'electrician'
  /** Said first, where something can die or hurt. */
  readonly urgent?: true
}

const step = (code: RemedyCode, afterDays = 0, jobKey?: string): Remedy => ({
  code,
  afterDays,
  ...(jobKey ? { jobKey } : {}),
})
const dosed = (dose: RemedyDose, remedy: Remedy): Remedy => ({ ...remedy, dose })
const GREEN = { 'water-green': 0.97, 'glass-stays-green': 0.97, 'water-muddy': 0.05, 'glass-settles': 0.05 } as const
const FISH_CALM = { 'fish-gasp': 0.03 } as const

/**
 * Causes of what goes wrong at ponds, with what each shows, what helps and how long it takes.
 * @source trade experience as reviewed for this product; timelines are the house defaults
 */
export const CAUSES = {
  'green-filter-small': {
    weight: 3,
    shows: { ...GREEN, 'filter-small': 0.95, 'filter-new': 0.04, 'cleaned-lately': 0.04, 'fish-many': 0.45 },
    remedies: [
      step('sizeFilterCarriesPond', 0),
      step('flushBed', 3, 'wetland-flush'),
      step('lookTestAgain', 14, 'routine'),
    ],
    betterDays: [7, 21],
  },
  'green-filter-young': {
    weight: 2.5,
    shows: { ...GREEN, 'filter-new': 0.96, 'filter-small': 0.1, 'cleaned-lately': 0.1 },
    remedies: [step('waitFeedLittleSeed', 0, 'routine'), step('lookTestAgain', 21, 'routine')],
    betterDays: [21, 70],
  },
  'green-cleaned': {
    weight: 2,
    shows: { ...GREEN, 'cleaned-lately': 0.96, 'filter-new': 0.04, 'filter-small': 0.12, 'water-milky': 0.1 },
    remedies: [
      dosed('bacteria', step('seedBacteriaFeedLittle', 0, 'routine')),
      step('testAmmoniaNitrite', 7, 'routine'),
    ],
    betterDays: [21, 42],
  },
  'green-overfed': {
    weight: 2.5,
    shows: {
      ...GREEN,
      'fed-much': 0.9,
      'fish-many': 0.8,
      'filter-small': 0.12,
      'filter-new': 0.04,
      'cleaned-lately': 0.04,
    },
    remedies: [
      step('halveFeedFindHomes', 0),
      step('changeQuarterWater', 1, 'routine'),
      step('lookTestAgain', 14, 'routine'),
    ],
    betterDays: [14, 42],
  },
  'green-few-plants': {
    weight: 1.5,
    shows: {
      ...GREEN,
      'plants-few': 0.97,
      'fed-much': 0.06,
      'fish-many': 0.08,
      'filter-small': 0.1,
      'filter-new': 0.04,
      'cleaned-lately': 0.04,
    },
    remedies: [step('plantBedEdgesFloating', 2, 'plant-care'), step('lookAgain', 28, 'routine')],
    betterDays: [21, 60],
  },
  'lamp-aged': {
    weight: 1.5,
    shows: {
      ...GREEN,
      'lamp-fitted': 0.99,
      'lamp-old': 0.96,
      'filter-small': 0.2,
      'filter-new': 0.05,
      'cleaned-lately': 0.05,
    },
    remedies: [step('newLampCleanSleeve', 1, 'routine'), step('lookAgain', 7, 'routine')],
    betterDays: [3, 10],
    specialist: 'electrician',
  },
  'string-algae': {
    weight: 3,
    shows: { 'string-algae': 0.97, 'water-green': 0.08, 'plants-few': 0.4, 'leaves-in': 0.3, 'ioniser-low': 0.08 },
    remedies: [step('pullWhereHidesLook', 1, 'routine'), step('shadePlantsLessFeed', 14, 'plant-care')],
    betterDays: [30, 120],
  },
  'ioniser-worn': {
    weight: 1,
    shows: { 'string-algae': 0.95, 'ioniser-fitted': 0.99, 'ioniser-low': 0.95, 'water-green': 0.08 },
    remedies: [step('cleanChangeProbeSet', 1, 'routine')],
    betterDays: [10, 30],
  },
  tannin: {
    weight: 2,
    shows: {
      'water-brown': 0.97,
      'leaves-in': 0.85,
      'wood-in': 0.35,
      'glass-settles': 0.03,
      'glass-stays-green': 0.03,
      'water-muddy': 0.04,
    },
    remedies: [step('leavesOutNetActivated', 2, 'routine'), step('leaveHarmsNothing')],
    betterDays: [7, 30],
  },
  'brown-overfed': {
    weight: 0.8,
    shows: {
      'water-brown': 0.95,
      'fed-much': 0.93,
      'leaves-in': 0.08,
      'wood-in': 0.02,
      foam: 0.4,
      'glass-settles': 0.05,
    },
    remedies: [step('feedLessChangeQuarter', 1, 'routine')],
    betterDays: [7, 30],
  },
  'mud-fish': {
    weight: 1.2,
    shows: {
      'water-muddy': 0.96,
      'fish-dig': 0.95,
      'glass-settles': 0.9,
      'rain-lately': 0.15,
      'stone-new': 0.03,
      'bank-washes-in': 0.04,
    },
    remedies: [step('coverSoilLooseFloor', 3, 'routine'), dosed('flocculant', step('bogDoesNotClear', 1, 'routine'))],
    betterDays: [2, 7],
  },
  'mud-runoff': {
    weight: 1.2,
    shows: {
      'water-muddy': 0.96,
      'rain-lately': 0.93,
      'bank-washes-in': 0.85,
      'glass-settles': 0.9,
      'fish-dig': 0.08,
      'stone-new': 0.04,
    },
    remedies: [step('raiseEdgeLeadWater', 3), dosed('flocculant', step('flocculantOnceLabel', 1, 'routine'))],
    betterDays: [1, 4],
  },
  'mud-stone': {
    weight: 1,
    shows: {
      'water-muddy': 0.85,
      'water-milky': 0.2,
      'stone-new': 0.97,
      'glass-settles': 0.9,
      'fish-dig': 0.05,
      'rain-lately': 0.15,
    },
    remedies: [dosed('flocculant', step('letSettleTwoDays', 2, 'routine'))],
    betterDays: [1, 4],
  },
  'milky-bloom': {
    weight: 1.3,
    shows: {
      'water-milky': 0.95,
      'treated-lately': 0.8,
      'cleaned-lately': 0.35,
      'glass-settles': 0.06,
      'water-muddy': 0.05,
    },
    remedies: [step('airFeedNothingSome', 0), step('testOxygenAmmonia', 1, 'routine')],
    betterDays: [2, 7],
    urgent: true,
  },
  'foam-protein': {
    weight: 1.2,
    shows: { foam: 0.97, 'fed-much': 0.6, 'fish-many': 0.5, 'water-green': 0.15 },
    remedies: [step('feedLessChangeQuarterWater', 1, 'routine')],
    betterDays: [2, 10],
  },
  'film-bacterial': {
    weight: 1,
    shows: { film: 0.97, 'film-breaks': 0.95, 'flow-less': 0.3 },
    remedies: [step('skimmerSurfaceFlow', 1, 'routine')],
    betterDays: [1, 7],
  },
  'film-oil': {
    weight: 0.5,
    shows: { film: 0.97, 'film-breaks': 0.04, 'pump-noisy': 0.2 },
    remedies: [step('absorbentSheetsFindSource', 0, 'routine')],
    betterDays: [1, 5],
    urgent: true,
  },
  duckweed: {
    weight: 0.9,
    shows: { duckweed: 0.98, 'fed-much': 0.3, 'leaves-in': 0.35 },
    remedies: [step('takeOffNetAgain', 2, 'routine'), step('moreSurfaceFlow', 2)],
    betterDays: [14, 60],
  },
  'plants-bypassed': {
    weight: 1.2,
    shows: { 'plants-pale': 0.96, 'pale-in-a-row': 0.7, 'roots-dry': 0.85, 'nitrate-low': 0.15, 'water-cold': 0.1 },
    remedies: [step('raiseWaterSplitFlow', 3, 'plant-care')],
    betterDays: [21, 60],
  },
  'plants-hungry': {
    weight: 1,
    shows: {
      'plants-pale': 0.96,
      'nitrate-low': 0.95,
      'pale-in-a-row': 0.05,
      'roots-dry': 0.04,
      'fish-many': 0.03,
      'water-cold': 0.1,
    },
    remedies: [step('tabletsSoilLiliesOtherwise', 2, 'plant-care')],
    betterDays: [14, 45],
  },
  'plants-cold': {
    weight: 0.9,
    shows: { 'plants-pale': 0.93, 'water-cold': 0.97, 'roots-dry': 0.05, 'pale-in-a-row': 0.04, 'nitrate-low': 0.15 },
    remedies: [step('waitFor15C', 14)],
    betterDays: [14, 45],
  },
  'plants-ph': {
    weight: 0.5,
    shows: {
      'plants-pale': 0.95,
      'ph-high': 0.95,
      'roots-dry': 0.05,
      'pale-in-a-row': 0.05,
      'nitrate-low': 0.12,
      'water-cold': 0.08,
    },
    remedies: [step('chelatedIronSoilLess', 2, 'plant-care')],
    betterDays: [14, 45],
  },
  'plants-rampant': {
    weight: 1.1,
    shows: { 'plants-rampant': 0.97, 'flow-less': 0.4, 'basket-full': 0.1 },
    remedies: [step('pullBackFromScreens', 2, 'plant-care')],
    betterDays: [0, 1],
  },
  'low-oxygen': {
    weight: 1.6,
    shows: {
      'fish-gasp': 0.92,
      'gasp-at-dawn': 0.75,
      'oxygen-low': 0.95,
      'hot-days': 0.7,
      'water-green': 0.35,
      'nitrite-high': 0.06,
      'ammonia-high': 0.08,
      'smell-eggs': 0.04,
      'cloudy-skin': 0.03,
    },
    remedies: [step('airFallsRunningDay', 0), step('testDawn', 1, 'routine')],
    betterDays: [0, 2],
    urgent: true,
  },
  'nitrite-poisoning': {
    weight: 1,
    shows: {
      'fish-gasp': 0.8,
      'gasp-at-dawn': 0.1,
      'nitrite-high': 0.97,
      'oxygen-low': 0.08,
      'filter-new': 0.4,
      'cleaned-lately': 0.4,
      'outage-lately': 0.25,
    },
    remedies: [dosed('salt', step('changeUpThirdWater', 0, 'routine')), step('testEverySecondDay', 2, 'routine')],
    betterDays: [1, 21],
    urgent: true,
  },
  'ammonia-poisoning': {
    weight: 1,
    shows: {
      'fish-gasp': 0.55,
      'gasp-at-dawn': 0.08,
      'fins-clamped': 0.6,
      'fish-flash': 0.4,
      'red-streaks': 0.35,
      'ammonia-high': 0.97,
      'oxygen-low': 0.08,
      'filter-new': 0.35,
      'cleaned-lately': 0.4,
      'outage-lately': 0.3,
      'one-fish-only': 0.02,
    },
    remedies: [dosed('bacteria', step('changeUpThirdWaterNo', 0, 'routine')), step('testEveryDay', 1, 'routine')],
    betterDays: [1, 42],
    urgent: true,
  },
  'hydrogen-sulfide': {
    weight: 0.7,
    shows: { 'smell-eggs': 0.96, 'sludge-deep': 0.95, 'fish-gasp': 0.4, 'leaves-in': 0.6, 'oxygen-low': 0.3 },
    remedies: [step('leaveFloorAloneAir', 0), step('sectionTimeStages', 3, 'rescue-floor')],
    betterDays: [7, 60],
    urgent: true,
  },
  'gill-disease': {
    weight: 0.6,
    shows: {
      'fish-gasp': 0.85,
      'gasp-at-dawn': 0.08,
      'oxygen-low': 0.03,
      'nitrite-high': 0.03,
      'ammonia-high': 0.03,
      'fish-flash': 0.6,
      'cloudy-skin': 0.35,
    },
    remedies: [step('vetFishHealthSpecialist', 0)],
    betterDays: null,
    specialist: 'vet',
  },
  infection: {
    weight: 0.9,
    shows: {
      'raised-scales': 0.5,
      'cloudy-skin': 0.6,
      'red-streaks': 0.6,
      'fins-clamped': 0.6,
      'one-fish-only': 0.5,
      'fish-flash': 0.5,
      'ammonia-high': 0.06,
      'nitrite-high': 0.05,
      'fish-gasp': 0.06,
    },
    remedies: [step('vetFishHealthSpecialistKeep', 0)],
    betterDays: null,
    specialist: 'vet',
  },
  heron: {
    weight: 0.9,
    shows: {
      'fish-hide': 0.92,
      'fish-missing': 0.75,
      'bird-seen': 0.6,
      'ammonia-high': 0.05,
      'oxygen-low': 0.04,
      ...FISH_CALM,
    },
    remedies: [step('netLinesSomeWeeks', 1, 'routine')],
    betterDays: [7, 28],
  },
  evaporation: {
    weight: 1.4,
    shows: { 'level-falls': 0.85, 'bucket-falls': 0.95, 'falls-pump-off': 0.35, 'hot-days': 0.85, 'wet-ground': 0.02 },
    remedies: [step('topUpDechlorinatedNothing', 0)],
    betterDays: [0, 1],
  },
  'leak-shell': {
    weight: 1,
    shows: { 'level-falls': 0.97, 'falls-pump-off': 0.95, 'bucket-falls': 0.04, 'wet-ground': 0.15, 'hot-days': 0.2 },
    remedies: [step('letFallStopsMark', 2, 'routine')],
    betterDays: null,
  },
  'leak-moving-water': {
    weight: 1.4,
    shows: {
      'level-falls': 0.97,
      'falls-pump-off': 0.04,
      'bucket-falls': 0.05,
      'wet-ground': 0.75,
      'edge-low': 0.3,
      'hot-days': 0.2,
    },
    remedies: [step('walkFallsStreamEdge', 2, 'routine')],
    betterDays: [0, 2],
  },
  'falls-wrong-way': {
    weight: 0.6,
    shows: { 'wet-ground': 0.9, 'edge-low': 0.95, 'level-falls': 0.5, 'falls-pump-off': 0.03, 'bucket-falls': 0.08 },
    remedies: [step('raiseEdgeBedLip', 3, 'routine')],
    betterDays: [0, 2],
  },
  'basket-full': {
    weight: 2,
    shows: {
      'flow-less': 0.97,
      'basket-full': 0.95,
      'leaves-in': 0.5,
      'bed-stands-high': 0.04,
      'pump-weak': 0.05,
      'pump-noisy': 0.1,
    },
    remedies: [step('emptyWeeklyWhileLeaves', 0, 'routine')],
    betterDays: [0, 1],
  },
  'pump-worn': {
    weight: 1,
    shows: { 'flow-less': 0.97, 'pump-weak': 0.95, 'pump-noisy': 0.6, 'basket-full': 0.06, 'bed-stands-high': 0.03 },
    remedies: [step('isolateProveDeadClean', 1, 'routine')],
    betterDays: [0, 2],
    specialist: 'electrician',
  },
  'bed-clogged': {
    weight: 1.2,
    shows: { 'flow-less': 0.93, 'bed-stands-high': 0.93, 'basket-full': 0.06, 'pump-weak': 0.04, 'sludge-deep': 0.4 },
    remedies: [step('flushBedRunsLight', 2, 'wetland-flush')],
    betterDays: [0, 2],
  },
  'air-lock': {
    weight: 0.7,
    shows: {
      'flow-less': 0.95,
      'air-in-pipe': 0.93,
      'pump-noisy': 0.5,
      'basket-full': 0.06,
      'bed-stands-high': 0.03,
      'level-falls': 0.3,
    },
    remedies: [step('fillUpSkimmersLine', 0, 'routine')],
    betterDays: [0, 1],
  },
  'ammonia-overload': {
    weight: 0.8,
    shows: {
      'ammonia-high': 0.8,
      'nitrite-high': 0.55,
      'fed-much': 0.6,
      'fish-many': 0.6,
      'filter-small': 0.45,
      'filter-new': 0.04,
      'cleaned-lately': 0.03,
      'outage-lately': 0.03,
      'fish-gasp': 0.15,
      'fins-clamped': 0.2,
    },
    remedies: [
      step('noFeedAmmoniaNitrite', 0, 'routine'),
      step('testEveryDay', 1, 'routine'),
      step('halveFeedFindHomesFish', 7),
    ],
    betterDays: [2, 21],
    urgent: true,
  },
  'ph-crash': {
    weight: 0.7,
    shows: {
      'kh-low': 0.96,
      'ph-low': 0.55,
      'ph-high': 0.12,
      'rain-lately': 0.35,
      'sludge-deep': 0.35,
      'fins-clamped': 0.3,
      'fish-gasp': 0.15,
      'gasp-at-dawn': 0.03,
      'oxygen-low': 0.06,
    },
    remedies: [
      step('testKhPhTemperature', 0, 'routine'),
      step('raiseKhDhDay', 0, 'routine'),
      step('testEveryDayKh', 1, 'routine'),
    ],
    betterDays: [1, 7],
    urgent: true,
  },
  'settling-in': {
    weight: 0.8,
    shows: {
      'ammonia-high': 0.7,
      'nitrite-high': 0.6,
      'filter-new': 0.45,
      'cleaned-lately': 0.45,
      'outage-lately': 0.45,
      'fish-gasp': 0.08,
      'fins-clamped': 0.12,
      'water-green': 0.15,
    },
    remedies: [
      dosed('bacteria', step('feedLittleSeedBacteria', 0, 'routine')),
      step('testEveryThirdDay', 3, 'routine'),
    ],
    betterDays: [21, 42],
  },
} as const satisfies Record<string, Cause>

export type CauseKey = keyof typeof CAUSES
export const CAUSE_KEYS = Object.keys(CAUSES) as CauseKey[]
export const causeOf = (key: CauseKey): Cause => CAUSES[key]

type UrgentCause = { [K in CauseKey]: (typeof CAUSES)[K] extends { urgent: true } ? K : never }[CauseKey]
/** Whether something must be said first, since something can die or hurt. */
export const isUrgent = (key: CauseKey): key is UrgentCause => causeOf(key).urgent === true
