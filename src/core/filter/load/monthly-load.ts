import { fishLoad, TAN_PER_FEED_PROTEIN, type FishGroup } from '../../fish/load'
import type { DesignPond } from '../design-input'
import type { FilterRules } from '../house-rules'
import { BATHING_FROM_C, TOP_UP_M_PER_YEAR } from './guests'

/** Who brings ammonia; for words and for the sum. */
export const LOAD_SOURCES = ['fish', 'publicFeed', 'animals', 'leaves', 'bathers'] as const
export type LoadSource = (typeof LOAD_SOURCES)[number]

export interface MonthLoad {
  /** Water that the month is worked with, °C: never below 0. */
  readonly tempC: number
  /** The fish's own ration and what visitors throw. */
  readonly feedKgPerD: number
  /** TAN by who brings it, g N a day. */
  readonly tanGPerD: Readonly<Record<LoadSource, number>>
  readonly tanTotalGPerD: number
  /** Dissolved phosphorus, g P a day. */
  readonly phosphorusGPerD: number
}

/** Water under ice is about this warm; colder surface means tell the same thing to feed and bacteria, °C. */
const COLDEST_WATER_C = 0
/** Litter rots faster in warm water. @source usual theta of decay */
const DECAY_THETA = 1.07

type LoadedPond = Pick<DesignPond, 'areaM2' | 'monthlyTempC' | 'leafKgPerYear' | 'guests' | 'fillPhosphateMgL'>

/**
 * The one load of a pond, month by month: fish and what visitors feed, animals, leaves, bathers, top-up water, dust.
 * Every part of a design goes by it.
 * @param fish the stock to reckon with (today's or grown)
 * @param litterShare share of the leaf litter that stays in the water: what skimmers leave
 * @source Timmons & Ebeling for feed; GUEST_LOADS for the rest
 */
export function monthlyLoad(
  pond: LoadedPond,
  fish: readonly FishGroup[],
  { feedProtein, guestLoads }: Pick<FilterRules, 'feedProtein' | 'guestLoads'>,
  litterShare = 1,
): MonthLoad[] {
  const temps = pond.monthlyTempC.map((tempC) => Math.max(COLDEST_WATER_C, tempC))
  const decay = sharesOf(temps.map((tempC) => DECAY_THETA ** tempC))
  // evaporation follows warmth closely enough for a month's phosphorus
  const topUp = sharesOf(temps.map((tempC) => Math.max(0.1, tempC)))
  const warmest = Math.max(...temps)
  const { publicFeedGPerD, bathersPerD, ducks, turtles } = pond.guests
  return temps.map((tempC, month) => {
    const feedGPerD = fishLoad(fish, tempC, feedProtein).feedGPerD
    const leafKgPerD = ((pond.leafKgPerYear * litterShare) / 365) * decay[month]!
    const bathers = tempC >= Math.min(BATHING_FROM_C, warmest) ? bathersPerD : 0
    const fromFeed = (grams: number) => grams * feedProtein * TAN_PER_FEED_PROTEIN
    const tanGPerD = {
      fish: fromFeed(feedGPerD),
      publicFeed: fromFeed(publicFeedGPerD),
      animals: ducks * guestLoads.duck.nitrogenG + turtles * guestLoads.turtle.nitrogenG,
      leaves: leafKgPerD * guestLoads.leafKg.nitrogenG,
      bathers: bathers * guestLoads.bather.nitrogenG,
    }
    const feedKgPerD = (feedGPerD + publicFeedGPerD) / 1000
    return {
      tempC,
      feedKgPerD,
      tanGPerD,
      tanTotalGPerD: LOAD_SOURCES.reduce((sum, source) => sum + tanGPerD[source], 0),
      phosphorusGPerD:
        feedKgPerD * guestLoads.feedKg.phosphorusG +
        ducks * guestLoads.duck.phosphorusG +
        turtles * guestLoads.turtle.phosphorusG +
        leafKgPerD * guestLoads.leafKg.phosphorusG +
        bathers * guestLoads.bather.phosphorusG +
        pond.areaM2 * guestLoads.surfaceM2.phosphorusG +
        (TOP_UP_M_PER_YEAR / 365) * topUp[month]! * pond.areaM2 * pond.fillPhosphateMgL,
    }
  })
}

/** Weights whose mean is 1. */
function sharesOf(weights: readonly number[]): number[] {
  const mean = weights.reduce((a, b) => a + b, 0) / weights.length
  return weights.map((weight) => weight / mean)
}
