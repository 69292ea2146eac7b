import { type TextId, textId } from '@/ui/kit/texts'
import type { HouseRules } from '@/domain/house-rules/house-rules'

export type Figure =
  | 'growthYears'
  | 'cleanoutMaxWaterC'
  | 'startupWaterC'
  | 'bacteriaWaterC'
  | 'feedingStartWaterC'
  | 'feedingNormalWaterC'
  | 'tenderPlantsWaterC'
  | 'highSummerWaterC'
  | 'feedingStopWaterC'
  | 'shutdownWaterC'
export const FIGURES: readonly { key: Figure; label: TextId; kind: 'temperature' | 'number' }[] = [
  { key: 'growthYears', label: textId('houseRules.switches.sizeFiltersFishYears'), kind: 'number' },
  { key: 'cleanoutMaxWaterC', label: textId('houseRules.switches.springCleanoutUp'), kind: 'temperature' },
  { key: 'startupWaterC', label: textId('houseRules.switches.springStartupFrom'), kind: 'temperature' },
  { key: 'bacteriaWaterC', label: textId('houseRules.switches.ordinaryBacteriaFrom'), kind: 'temperature' },
  { key: 'feedingStartWaterC', label: textId('houseRules.switches.startFeedingFrom'), kind: 'temperature' },
  { key: 'feedingNormalWaterC', label: textId('houseRules.switches.normalFeedFrom'), kind: 'temperature' },
  { key: 'tenderPlantsWaterC', label: textId('houseRules.switches.tenderPlantsFrom'), kind: 'temperature' },
  { key: 'highSummerWaterC', label: textId('houseRules.switches.highSummerWatchFrom'), kind: 'temperature' },
  { key: 'feedingStopWaterC', label: textId('houseRules.switches.stopFeedingBelow'), kind: 'temperature' },
  { key: 'shutdownWaterC', label: textId('houseRules.switches.winterShutdownBelow'), kind: 'temperature' },
]

/** Switches where good contractors disagree, with both arguments. */
export const SWITCHES = [
  {
    key: 'oversizing',
    label: textId('houseRules.switches.oversizing'),
    options: [
      {
        value: 'calculated',
        name: textId('houseRules.switches.calculationGrowth'),
        argument: textId('houseRules.switches.figuresAlreadyHoldGrown'),
      },
      {
        value: 'next-size',
        name: textId('houseRules.switches.nextSizeUpAlways'),
        argument: textId('houseRules.switches.oversizingRarelyHurtsFish'),
      },
    ],
  },
  {
    key: 'plantsCounted',
    label: textId('houseRules.switches.plantsFilter'),
    options: [
      {
        value: false,
        name: textId('houseRules.switches.bonusNotCounted'),
        argument: textId('houseRules.switches.springAutumnPlantsDraw'),
      },
      {
        value: true,
        name: textId('houseRules.switches.countedSeason'),
        argument: textId('houseRules.switches.wellPlantedBedDraws'),
      },
    ],
  },
  {
    key: 'uv',
    label: textId('houseRules.switches.uvClarifier'),
    options: [
      {
        value: 'crutch',
        name: textId('houseRules.switches.onlyWhileFilterMatures'),
        argument: textId('houseRules.switches.bridgesFirstGreenSeasons'),
      },
      {
        value: 'always',
        name: textId('houseRules.switches.alwaysFitted'),
        argument: textId('houseRules.switches.customersBuyClearWater'),
      },
      {
        value: 'never',
        name: textId('houseRules.switches.notBog'),
        argument: textId('houseRules.switches.bedRightSizeClears'),
      },
    ],
  },
  {
    key: 'spring',
    label: textId('houseRules.switches.spring'),
    options: [
      {
        value: 'full-yearly',
        name: textId('houseRules.switches.fullCleanoutEveryYear'),
        argument: textId('houseRules.switches.sludgeOutBeforeFeeds'),
      },
      {
        value: 'when-needed',
        name: textId('houseRules.switches.fullCleanoutWhenSediment'),
        argument: textId('houseRules.switches.settledPondKeepsLife'),
      },
      {
        value: 'never-drain',
        name: textId('houseRules.switches.neverDrainedLightStartup'),
        argument: textId('houseRules.switches.drainingSetsPondBack'),
      },
    ],
  },
  {
    key: 'winter',
    label: textId('houseRules.switches.winter'),
    options: [
      {
        value: 'shutdown',
        name: textId('houseRules.switches.shutDownDrainStore'),
        argument: textId('houseRules.switches.nothingCanFreezeFull'),
      },
      {
        value: 'run-on',
        name: textId('houseRules.switches.runIceWatch'),
        argument: textId('houseRules.switches.runningBedKeepsLife'),
      },
    ],
  },
  {
    key: 'lamp',
    label: textId('houseRules.switches.ageUvLamps'),
    options: [
      {
        value: 'calendar',
        name: textId('houseRules.switches.calendar'),
        argument: textId('houseRules.switches.lampForgottenWorseThan'),
      },
      {
        value: 'running',
        name: textId('houseRules.switches.daysHasRun'),
        argument: textId('houseRules.switches.wherePumpRestsWinter'),
      },
    ],
  },
  {
    key: 'bacteria',
    label: textId('houseRules.switches.bacteriaAdditions'),
    options: [
      {
        value: 'regular',
        name: textId('houseRules.switches.startRegularly'),
        argument: textId('houseRules.switches.theyBringYoungCold'),
      },
      {
        value: 'after-disturbance',
        name: textId('houseRules.switches.onlyAfterDisturbance'),
        argument: textId('houseRules.switches.afterCleanoutPowerCut'),
      },
      {
        value: 'none',
        name: textId('houseRules.switches.none'),
        argument: textId('houseRules.switches.filmGrowsItselfOne'),
      },
    ],
  },
  {
    key: 'rinsing',
    label: textId('houseRules.switches.rinsingStone'),
    options: [
      {
        value: 'hose',
        name: textId('houseRules.switches.hoseOnly'),
        argument: textId('houseRules.switches.filmStonesHalfFilter'),
      },
      {
        value: 'pressure',
        name: textId('houseRules.switches.pressureWasher'),
        argument: textId('houseRules.switches.customersSeeCleanStone'),
      },
    ],
  },
  {
    key: 'mediaRinse',
    label: textId('houseRules.switches.rinsingMedia'),
    options: [
      {
        value: 'pond-water',
        name: textId('houseRules.switches.pondWaterOnly'),
        argument: textId('houseRules.switches.chlorineKillsMinutesWhat'),
      },
      {
        value: 'tap-reset',
        name: textId('houseRules.switches.tapWaterReset'),
        argument: textId('houseRules.switches.mediaCloggedBeyondHope'),
      },
    ],
  },
  {
    key: 'winterSalt',
    label: textId('houseRules.switches.saltWinter'),
    options: [
      {
        value: 'none',
        name: textId('houseRules.switches.none'),
        argument: textId('houseRules.switches.leavesOnlyWaterPlants'),
      },
      {
        value: 'tenth-percent',
        name: textId('houseRules.switches.tenthPercent'),
        argument: textId('houseRules.switches.easesFishThroughCold'),
      },
    ],
  },
  {
    key: 'winterIntake',
    label: textId('houseRules.switches.intakeWinter'),
    options: [
      {
        value: 'upper',
        name: textId('houseRules.switches.raisedUpperMidWater'),
        argument: textId('houseRules.switches.warmerWaterBottomStays'),
      },
      {
        value: 'unchanged',
        name: textId('houseRules.switches.leftWhere'),
        argument: textId('houseRules.switches.lessForgetSpringWhere'),
      },
    ],
  },
  {
    key: 'stringAlgae',
    label: textId('houseRules.switches.stringAlgae'),
    options: [
      {
        value: 'by-place',
        name: textId('houseRules.switches.toleratedPlace'),
        argument: textId('houseRules.switches.wetlandSpillwaySidesThey'),
      },
      {
        value: 'ioniser',
        name: textId('houseRules.switches.ioniser'),
        argument: textId('houseRules.switches.worksItselfLongCopper'),
      },
      {
        value: 'hand',
        name: textId('houseRules.switches.handOnly'),
        argument: textId('houseRules.switches.whatTakenOutTakes'),
      },
      {
        value: 'treat',
        name: textId('houseRules.switches.treatedWhereMust'),
        argument: textId('houseRules.switches.weddingNextWeekLicensed'),
      },
    ],
  },
  {
    key: 'waterChanges',
    label: textId('houseRules.switches.waterChanges'),
    options: [
      {
        value: 'routine',
        name: textId('houseRules.switches.tenthMoreRoutine'),
        argument: textId('houseRules.switches.nitrateSaltsColourLeave'),
      },
      {
        value: 'top-up',
        name: textId('houseRules.switches.topUpOnly'),
        argument: textId('houseRules.switches.wellSizedBogKeeps'),
      },
    ],
  },
] as const satisfies readonly {
  key:
    | 'oversizing'
    | 'plantsCounted'
    | 'uv'
    | 'spring'
    | 'winter'
    | 'lamp'
    | 'bacteria'
    | 'rinsing'
    | 'mediaRinse'
    | 'winterSalt'
    | 'winterIntake'
    | 'stringAlgae'
    | 'waterChanges'
  label: TextId
  options: readonly { value: string | boolean; name: TextId; argument: TextId }[]
}[]

export const choiceName = (rules: HouseRules, key: (typeof SWITCHES)[number]['key']): TextId =>
  SWITCHES.find((s) => s.key === key)!.options.find((o) => o.value === rules[key])!.name

/** Every question of the house rules in a few words. */
export const RULE_LABELS: Readonly<Record<keyof HouseRules, TextId>> = {
  sizingMethod: textId('houseRules.switches.filterSize'),
  ...(Object.fromEntries([...SWITCHES, ...FIGURES].map(({ key, label }) => [key, label])) as Record<
    Exclude<keyof HouseRules, 'sizingMethod'>,
    TextId
  >),
}
