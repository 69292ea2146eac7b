import type { PondDeed } from '../ecosystem/events'
import type { EcoPond } from '../ecosystem/pond'
import type { StartKind } from '../ecosystem/start'
import type { KitTest } from './kit'
import type { WeekChoice } from './play'
import type { ScorePart } from './score'
import type { TaskChoice } from './tasks'
import type { WeekView } from './view'

export type ScenarioKey = 'neglected' | 'first-season' | 'spring-rush' | 'outage' | 'heat' | 'winter'

/** What is told of a surprise. */
export type ToldCode =
  | 'weekHeatLiesOver'
  | 'stormWashedHalfFlower'
  | 'beggedIGaveMore'
  | 'myBrotherMovedHouse'
  | 'neighboursBoyFedWhile'
  | 'powerOutFromWednesday'
  | 'cameUpSunnyDay'
  | 'frostCameBackWeek'
  | 'gutterCameDownStorm'
  | 'breakerTrippedNoHum'
  | 'tenDaysDeepFrost'
  | 'weekWarmAprilFish'
  | 'neighbourFeedingBreadHeap'

/** Why somebody does what they do in a week. */
export type WhyCode =
  | 'waterPastLineNothing'
  | 'fishShortOfAir'
  | 'airFirstMuchSludge'
  | 'thirdFloorThirdWater'
  | 'halfMediaPondWater'
  | 'bedFlushedFromBelow'
  | 'betweenTwoStagesPond'
  | 'doneLookLetSettle'
  | 'oneHardDayDone'
  | 'nothingLivesBedYet'
  | 'bedCarriesPondNow'
  | 'ammoniaNitritePastLine'
  | 'testsSayHowMuch'
  | 'cleanPondHealthyPond'
  | 'firstPumpBacteriaNeed'
  | 'lastYearsStandComes'
  | 'appetiteAheadBacteriaNo'
  | 'thirdFloorTimeBefore'
  | 'greenNearDateHired'
  | 'stringAlgaeTakeWhat'
  | 'nothingWouldSetBacteria'
  | 'lookHungry'
  | 'lastGoodRinseBefore'
  | 'somethingAgainstGreen'
  | 'otherPondsLouder'
  | 'beforeLeavesNotAfter'
  | 'whatGoneYellowCarries'
  | 'leavesDownNetOff'
  | 'pumpCanStopNight'
  | 'waitSeason'
  | 'airBeforeHeatComes'
  | 'hotWaterHoldsLittle'
  | 'lampTakesGreenSlowly'
  | 'foulBedFlushedFirst'
  | 'smellsSoRinseIt'
  | 'lookWaterMovesHole'
  | 'nothingHappensWinter'

/** Something that nobody planned: it may come in one of its weeks, and the player hears of it a week later. */
export interface Surprise {
  readonly key: string
  /** How likely it comes at all. */
  readonly chance: number
  /** First and last week it may come in, 0 the first. */
  readonly weeks: readonly [number, number]
  /** What is told at the next visit. */
  readonly told: ToldCode
  /** Days count from the beginning of its week. */
  readonly deeds: readonly (PondDeed & { readonly day: number })[]
}

/** What somebody does in a week, and why. */
export interface WeekPlan {
  readonly tasks: readonly TaskChoice[]
  /** null where there is nothing to say. */
  readonly why: WhyCode | null
}

/** Decides from what can be seen, and from tests as they are taken. */
export type Policy = (view: WeekView, test: (kind: KitTest) => number, past: readonly WeekChoice[]) => WeekPlan

/** One way to look after the pond that the debrief holds beside the player's. */
interface TrainerOption {
  readonly policy: Policy
}

export interface TrainerScenario {
  readonly key: ScenarioKey
  /** First day, MM-DD. */
  readonly startsOn: string
  readonly weeks: number
  /** Time on site each week. */
  readonly minutesPerWeek: number
  readonly pond: EcoPond
  readonly fish: number
  readonly start: StartKind
  /** Done before the first week, counted back from it: how the pond is handed over. */
  readonly handedOver: readonly (PondDeed & { readonly daysBefore: number })[]
  readonly surprises: readonly Surprise[]
  /** What counts here, summing to 100. */
  readonly weights: Readonly<Partial<Record<ScorePart, number>>>
  /** Day of the run on which the customer wants clear water. */
  readonly clearOn?: { readonly day: number; readonly goal: 'spring-rush' | 'winter' }
  /** As the house does it: what the foreman says when asked. */
  readonly house: TrainerOption
  /** What many would do. */
  readonly temptation: TrainerOption
}
