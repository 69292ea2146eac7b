import { grownFish } from '../fish/load'
import { normalDeviate, seededRandom, type Random } from '../numeric/random'
import { quantileOfSorted } from '../statistics/quantile'
import { treatingGravel, DEFAULT_LAYERS } from './bed/layers'
import type { DesignResult } from './design'
import type { DesignProblemInput } from './design-input'
import { monthlyTanMgL, tanWithoutBed } from './sizing/treatment'
import { flowSigmaShare } from './flow/flow-spread'
import { sizeThroughYear } from './sizing/yearly-sizing'

/**
 * How far what a design stands on may turn out otherwise, as a share (1σ).
 * @source usual spread of figures in the literature that each constant is taken from; counts of fish by eye
 */
export const SPREAD = {
  fishCount: 0.12,
  fishLength: 0.07,
  ration: 0.15,
  protein: 0.08,
  /** Areal rate times the share of stone that is reached. */
  nitrification: 0.25,
  /** Degrees, not a share. */
  waterC: 1,
  /** How much of what falls is solids, and how much of it the bed keeps. */
  solids: 0.3,
} as const

const DRAWS = 200
const SEED = 20_270_401
const LOW = 0.05
const HIGH = 0.95

/** 90 % of what may turn out, low to high. */
export type Band = readonly [number, number]

export interface DesignBands {
  readonly neededAreaM2: Band
  readonly worstTanMgL: Band
  readonly flowM3PerH: Band
  /** null where nothing is flushed. */
  readonly flushDays: Band | null
}

type Drawn = Pick<DesignProblemInput, 'pond' | 'design' | 'rules'>

/**
 * Bands about a design's figures: survey, stock and constants drawn by chance, the figures worked out anew each time.
 * @returns 5 % to 95 %; the same for the same design
 */
export function designBands(problem: Drawn, result: DesignResult): DesignBands {
  const random = seededRandom(SEED)
  const flowSigma = flowSigmaShare(result)
  const draws = Array.from({ length: DRAWS }, () => drawOnce(problem, result, flowSigma, random))
  const band = (of: (draw: ReturnType<typeof drawOnce>) => number): Band => {
    const sorted = draws.map(of).sort((a, b) => (a === b ? 0 : a - b))
    // between two draws that rise without end there is nothing to interpolate
    const at = (share: number) => {
      const value = quantileOfSorted(sorted, share)
      return Number.isNaN(value) ? Infinity : value
    }
    return [at(LOW), at(HIGH)]
  }
  return {
    neededAreaM2: band((draw) => draw.area),
    worstTanMgL: band((draw) => draw.tan),
    flowM3PerH: band((draw) => draw.flow),
    flushDays: Number.isFinite(result.flushDays) ? band((draw) => draw.flush) : null,
  }
}

/** A design's figures as they may turn out once. */
function drawOnce({ pond, design, rules }: Drawn, result: DesignResult, flowSigma: number, random: Random) {
  const own = treatingGravel(design.layers, rules.materials)
  const bed = own.depthM === 0 ? treatingGravel(DEFAULT_LAYERS, rules.materials) : own
  /** A factor about 1, never below 0. */
  const about = (sigma: number) => Math.exp(sigma * normalDeviate(random) - sigma ** 2 / 2)
  const [count, length] = [about(SPREAD.fishCount), about(SPREAD.fishLength)]
  const warmer = SPREAD.waterC * normalDeviate(random)
  const [ration, protein, nitrification] = [about(SPREAD.ration), about(SPREAD.protein), about(SPREAD.nitrification)]
  const flow = about(flowSigma)
  const fish = grownFish(pond.fish, rules.growthYears).map((f) => ({
    ...f,
    // feed goes with mass: what is given more or less is as if there were more or fewer of them
    count: f.count * count * ration,
    lengthM: Math.min(2, f.lengthM * length),
  }))
  const sizing = sizeThroughYear(
    {
      ...pond,
      volumeM3: pond.volumeM3 * about(pond.volumeSigmaShare),
      monthlyTempC: result.monthlyTempC.map((tempC) => Math.min(40, tempC + warmer)),
    },
    fish,
    bed,
    { ...rules, feedProtein: Math.min(0.7, rules.feedProtein * protein) },
    undefined,
    result.train.litterPast,
  )
  const asked = sizing.sizingMethods.find((s) => s.sizingMethod === design.sizingMethod)!
  const byLoad = asked.sizingMethod === 'nitrogen' || asked.sizingMethod === 'closedLoop'
  const treated = {
    pumpM3PerH: result.flowM3PerH,
    bedM3PerH: result.bedFlowM3PerH,
    stoneM3: result.treatment.stoneM3,
    bed,
    units: result.train.units,
    nitrification: rules.nitrification,
  }
  const factors = { rate: nitrification, flow }
  const tan =
    design.type === 'none'
      ? tanWithoutBed(sizing, result.still, (pond.volumeM3 * design.weeklyExchange) / 7, treated, factors)
      : monthlyTanMgL(sizing, treated, factors)
  const fed = sizing.feedKgPerYear / Math.max(1e-9, result.grown.feedKgPerYear)
  const feedSolids = result.grown.feedKgPerYear * result.train.solidsPast * rules.clogging.solidsPerFeed
  const fromFeed = feedSolids / Math.max(1e-9, feedSolids + pond.leafKgPerYear * result.train.litterPast)
  return {
    area: asked.areaM2 / (byLoad ? nitrification : 1),
    tan: Math.max(...tan),
    flow: result.flowM3PerH * flow,
    // leaves fall whatever the fish eat
    flush: result.flushDays / ((1 + fromFeed * (Math.max(0.1, fed) - 1)) * about(SPREAD.solids)),
  }
}
