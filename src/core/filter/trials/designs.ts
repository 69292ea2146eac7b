import { grownFish } from '../../fish/load'
import { normalDeviate, seededRandom, type Random } from '../../numeric/random'
import { estimate, inStockSteps, type Estimate } from '../../pricing/estimate'
import type { PriceBook } from '../../pricing/price-book'
import { AMOUNT_SPREAD, COST_SPREAD, JOB_SPREAD, priceRange } from '../../pricing/price-range'
import { designBands, SPREAD, type Band } from '../bands'
import { evaluateDesign } from '../design'
import type { DesignPond, FilterDesign } from '../design-input'
import { FLOW_SPREAD } from '../flow/flow-spread'
import { PUMP_CATALOGUE } from '../flow/pump-catalogue'
import { DEFAULT_FILTER_RULES as rules } from '../house-rules'
import { suggestDesign } from '../suggest'

/** A design whose figures are held to what comes of it. */
export interface DesignTrial {
  readonly sizedBy: 'volume' | 'nitrogen'
  /** One sigma of the pond's volume, as a share. */
  readonly volumeSigma: number
}

export const DESIGN_CASES: Readonly<Record<string, DesignTrial>> = {
  'sized by volume, known to 4 %': { sizedBy: 'volume', volumeSigma: 0.04 },
  'sized by volume, known to 12 %': { sizedBy: 'volume', volumeSigma: 0.12 },
  'sized by nitrogen, volume known to 12 %': { sizedBy: 'nitrogen', volumeSigma: 0.12 },
}

/** Bands of 90 % hold so many. */
export const DESIGN_BAR = [0.84, 0.97] as const

/** Figures of a design with a band about them. */
export const DESIGN_FIGURES = ['area', 'tan', 'flow', 'flush', 'price'] as const
export type DesignRates = Record<(typeof DESIGN_FIGURES)[number], number>

/**
 * What share of ponds, built as designed, the bands about the design hold: pond, pump, pipe and job are drawn by
 * other ways than the bands' own, and the whole design is worked out anew.
 * @param pond as surveyed
 * @param runs ponds drawn
 */
export function designRates(trial: DesignTrial, pond: DesignPond, book: PriceBook, runs: number): DesignRates {
  const known = { ...pond, volumeSigmaShare: trial.volumeSigma }
  const design = suggestDesign(known, trial.sizedBy, rules, PUMP_CATALOGUE)
  const given = { pond: known, design, rules, houseMethod: trial.sizedBy, pumps: PUMP_CATALOGUE }
  const result = evaluateDesign(given)
  const bands = designBands(given, result)
  const price = estimate(design, book, { pumps: PUMP_CATALOGUE, rules, pond: known })
  const { chargedMinor } = priceRange(price, book)
  const held: DesignRates = { area: 0, tan: 0, flow: 0, flush: 0, price: 0 }
  const count = (figure: keyof DesignRates, value: number, [low, high]: Band) => {
    if (value >= low && value <= high) held[figure] += 1 / runs
  }
  for (let run = 0; run < runs; run++) {
    const random = seededRandom(1000 + run)
    const built = evaluateDesign({ ...given, ...asItIs(known, trial.volumeSigma, random) })
    count('area', built.neededAreaM2, bands.neededAreaM2)
    count('tan', built.worstTanMgL, bands.worstTanMgL)
    if (bands.flushDays) count('flush', built.flushDays, bands.flushDays)
    const laid = evaluateDesign({ ...given, ...asLaid(design, random) })
    count('flow', laid.flowM3PerH, bands.flowM3PerH)
    count('price', asItCame(price, book, random), chargedMinor)
  }
  return held
}

const aboutOne = (random: Random) => (sigma: number) => Math.exp(sigma * normalDeviate(random) - sigma ** 2 / 2)

/** A pond as it may really be, and constants as they may really be. */
function asItIs(pond: DesignPond, volumeSigma: number, random: Random) {
  const about = aboutOne(random)
  const warmer = SPREAD.waterC * normalDeviate(random)
  const solids = about(SPREAD.solids)
  const [count, length] = [about(SPREAD.fishCount) * about(SPREAD.ration), about(SPREAD.fishLength)]
  const r20GPerM2D = rules.nitrification.r20GPerM2D * about(SPREAD.nitrification)
  return {
    pond: {
      ...pond,
      volumeM3: pond.volumeM3 * about(volumeSigma),
      // how large they will be is what is unsure, not how large they are
      fish: grownFish(pond.fish, rules.growthYears).map((fish) => ({
        ...fish,
        count: fish.count * count,
        lengthM: fish.lengthM * length,
      })),
      leafKgPerYear: pond.leafKgPerYear * solids,
      monthlyTempC: pond.monthlyTempC.map((tempC) => tempC + warmer),
    },
    rules: {
      ...rules,
      growthYears: 0,
      feedProtein: rules.feedProtein * about(SPREAD.protein),
      nitrification: { ...rules.nitrification, r20GPerM2D },
      clogging: { ...rules.clogging, solidsPerFeed: rules.clogging.solidsPerFeed * solids },
    },
  }
}

/** A pump as it comes out of the box, and pipe that loses more or less than the tables have it. */
function asLaid(design: FilterDesign, random: Random) {
  const about = aboutOne(random)
  const flow = about(FLOW_SPREAD.pumpFlow)
  const [head, friction] = [about(FLOW_SPREAD.pumpHead), about(FLOW_SPREAD.friction)]
  const { tables } = rules
  return {
    design: { ...design, delivery: { ...design.delivery, lengthM: design.delivery.lengthM * friction } },
    pumps: PUMP_CATALOGUE.map((pump) => ({
      ...pump,
      curve: pump.curve.map((point) => ({ flowM3PerH: point.flowM3PerH * flow, headM: point.headM * head })),
    })),
    rules: {
      ...rules,
      tables: { ...tables, fittings: tables.fittings.map((fitting) => ({ ...fitting, k: fitting.k * friction })) },
    },
  }
}

/** What a job came to: every line by its own amount, hours of the job together, bought on the day. */
function asItCame(price: Estimate, book: PriceBook, random: Random): number {
  const about = aboutOne(random)
  const job = about(JOB_SPREAD)
  const waste = new Map(book.items.map((item) => [item.key, item]))
  const sum = (lines: Estimate['lines'], of: (line: Estimate['lines'][number]) => number) =>
    lines.reduce((total, line) => total + of(line), 0)
  const hours = sum(
    price.lines.filter(({ group }) => group === 'labour'),
    (line) => Math.ceil(line.exact * about(AMOUNT_SPREAD.labour) * job * 2) * 0.5 * line.costMinor,
  )
  const things = sum(
    price.lines.filter(({ group, costMinor }) => group !== 'labour' && costMinor > 0),
    (line) => {
      const known = waste.get(line.key)
      const taken = line.exact * about(AMOUNT_SPREAD[line.group]) * (1 + (known?.waste ?? 0))
      return (
        inStockSteps(line.unit === 'each' ? Math.round(taken) : taken, known?.step ?? 1) *
        line.costMinor *
        about(COST_SPREAD)
      )
    },
  )
  const small = sum(
    price.lines.filter(({ costMinor }) => costMinor === 0),
    (line) => (line.totalMinor / price.materialsMinor) * things,
  )
  return ((things + small) * (1 + book.markup) + hours) * (1 + book.tax)
}
