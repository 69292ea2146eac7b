import { z } from 'zod'
import { designBands, type Band } from '../core/filter/bands'
import { checkDesign, CHECK_IDS } from '../core/filter/checks'
import { evaluateDesign } from '../core/filter/design'
import { DESIGN_RANGE, type DesignPond, type FilterDesign } from '../core/filter/design-input'
import { PUMP_CATALOGUE } from '../core/filter/flow/pump-catalogue'
import { DEFAULT_FILTER_RULES, POND_USES } from '../core/filter/house-rules'
import { GUEST_RANGE } from '../core/filter/load/guests'
import { usualShoreM } from '../core/filter/load/usual-shore'
import { USUAL_MONTHLY_C } from '../core/filter/load/usual-year'
import { SIZING_RANGE } from '../core/filter/sizing/sizing'
import { USUAL_SIGMA_SHARE } from '../core/survey/volume-evidence'
import { suggestDesign } from '../core/filter/suggest'
import { FILTER_TYPES } from '../core/filter/types'
import { FISH_RANGE } from '../core/fish/load'
import { FISH_SPECIES_KEYS } from '../core/fish/species'
import { defineCalculation, numberIn } from './define'
import { designJson, designOf, designSchema } from './filter-design-schema'

const MONTHS = 12
const HOUSE_METHOD = 'volume'

const pondSchema = z.strictObject({
  volume_m3: numberIn(SIZING_RANGE.volumeM3),
  sigma_m3: numberIn([0, SIZING_RANGE.volumeM3[1]], 'standard deviation of the volume').optional(),
  area_m2: numberIn(SIZING_RANGE.areaM2),
  use: z.enum(POND_USES),
  fish: z
    .array(
      z.strictObject({
        species: z.enum(FISH_SPECIES_KEYS),
        count: numberIn(FISH_RANGE.count),
        length_m: numberIn(FISH_RANGE.lengthM),
      }),
    )
    .max(100)
    .describe('as they are today; a filter is worked out for them some years on'),
  publicFeed_g_d: numberIn(GUEST_RANGE.publicFeedGPerD, 'feed that visitors throw').default(0),
  bathersPerDay: numberIn(GUEST_RANGE.bathersPerD, 'in the bathing season').default(0),
  ducks: numberIn(GUEST_RANGE.animals).default(0),
  turtles: numberIn(GUEST_RANGE.animals).default(0),
  leaf_kg_a: numberIn([0, 100_000], 'dry leaves a year').default(0),
  fillPhosphate_mg_L: numberIn(GUEST_RANGE.fillPhosphateMgL, 'of the top-up water, as P').default(0.02),
  shore_m: numberIn([0.1, 100_000]).optional().describe('left out: of a usual outline with this surface'),
  freeboard_m: numberIn([0.01, 2]).default(0.08),
  altitude_m: numberIn(SIZING_RANGE.altitudeM).default(0),
  monthly_C: z
    .array(numberIn([-5, 40]))
    .length(MONTHS)
    .optional()
    .describe('expected water, January first'),
})

const band = z.tuple([z.number(), z.number()])

const evaluationSchema = z.object({
  bedVoids_m3: z.number(),
  flowNeeded_m3_h: z.number(),
  flowDelivered_m3_h: z.number(),
  flowBed_m3_h: z.number(),
  tanWorst_mg_L: z.number().nullable().describe('null: it rises without end'),
  tanTarget_mg_L: z.number(),
  orthophosphateWorst_mg_L: z.number(),
  head_m: z.number(),
  power_W: z.number(),
  energy_kWh_a: z.number(),
  flush_d: z.number().nullable().describe('null: none'),
  restartDrawdown_mm: z.number(),
  load_gN_d: z.number().describe('TAN in the month that brings most, with grown fish'),
  area_m2: z.number(),
  stops: z.array(z.enum(CHECK_IDS)),
  looks: z.array(z.enum(CHECK_IDS)),
  bands: z
    .object({ neededArea_m2: band, tanWorst_mg_L: band.nullable(), flowDelivered_m3_h: band, flush_d: band.nullable() })
    .describe('5 % and 95 % of what may turn out'),
  upkeep: z.object({ hours_a: z.number(), water_m3_a: z.number(), energy_kWh_a: z.number() }),
})

const pondOf = (p: z.output<typeof pondSchema>): DesignPond => ({
  volumeM3: p.volume_m3,
  volumeSigmaShare: p.sigma_m3 === undefined ? USUAL_SIGMA_SHARE['geometry-free-form'] : p.sigma_m3 / p.volume_m3,
  areaM2: p.area_m2,
  use: p.use,
  fish: p.fish.map((f) => ({ species: f.species, count: f.count, lengthM: f.length_m })),
  guests: {
    publicFeedGPerD: p.publicFeed_g_d,
    bathersPerD: p.bathersPerDay,
    ducks: p.ducks,
    turtles: p.turtles,
  },
  fillPhosphateMgL: p.fillPhosphate_mg_L,
  lining: 'unknown',
  shoreM: p.shore_m ?? usualShoreM(p.area_m2),
  altitudeM: p.altitude_m,
  monthlyTempC: p.monthly_C ?? USUAL_MONTHLY_C,
  leafKgPerYear: p.leaf_kg_a,
  freeboardM: p.freeboard_m,
  ground: null,
})

const finite = ([low, high]: Band): [number, number] | null =>
  Number.isFinite(low) && Number.isFinite(high) ? [low, high] : null

function evaluationOf(pond: DesignPond, design: FilterDesign): z.input<typeof evaluationSchema> {
  const problem = {
    pond,
    design,
    rules: DEFAULT_FILTER_RULES,
    houseMethod: HOUSE_METHOD,
    pumps: PUMP_CATALOGUE,
  } as const
  const result = evaluateDesign(problem)
  const checks = checkDesign({ ...problem, result })
  const saying = (verdict: 'stop' | 'look') => checks.filter((c) => c.verdict === verdict).map((c) => c.id)
  const { upkeep } = result
  const bands = designBands(problem, result)
  return {
    bedVoids_m3: result.quantities.reduce((sum, layer) => sum + layer.voidM3, 0),
    flowNeeded_m3_h: result.demand.neededM3PerH,
    flowDelivered_m3_h: result.flowM3PerH,
    flowBed_m3_h: result.bedFlowM3PerH,
    tanWorst_mg_L: Number.isFinite(result.worstTanMgL) ? result.worstTanMgL : null,
    tanTarget_mg_L: DEFAULT_FILTER_RULES.targetTanMgL,
    orthophosphateWorst_mg_L: result.worstPhosphorusMgL,
    head_m: result.head.totalM,
    power_W: result.powerW + result.train.powerW,
    energy_kWh_a: upkeep.energyKWhPerYear,
    flush_d: Number.isFinite(result.flushDays) ? result.flushDays : null,
    restartDrawdown_mm: result.stop.restartDrawdownMm,
    load_gN_d: Math.max(...result.grown.months.map((month) => month.load.tanTotalGPerD)),
    area_m2: result.areaM2,
    stops: saying('stop'),
    looks: saying('look'),
    bands: {
      neededArea_m2: [...bands.neededAreaM2],
      tanWorst_mg_L: finite(bands.worstTanMgL),
      flowDelivered_m3_h: [...bands.flowM3PerH],
      flush_d: bands.flushDays && [...bands.flushDays],
    },
    upkeep: {
      hours_a: upkeep.hoursPerYear,
      water_m3_a: upkeep.waterM3PerYear,
      energy_kWh_a: upkeep.energyKWhPerYear,
    },
  }
}

export const FILTER_DESIGN_CALCULATIONS = [
  defineCalculation({
    name: 'filter.suggest',
    summary: 'A filter of a type to begin with, worked out: every stop mended that a remedy mends',
    input: z.strictObject({
      pond: pondSchema,
      type: z.enum(FILTER_TYPES),
      lift_m: numberIn(DESIGN_RANGE.staticLiftM).default(1),
      pipe_m: numberIn(DESIGN_RANGE.deliveryLengthM).default(8),
    }),
    output: z.object({ design: designSchema, evaluation: evaluationSchema }),
    run: ({ pond: given, type, lift_m, pipe_m }) => {
      const pond = pondOf(given)
      const design = suggestDesign(pond, HOUSE_METHOD, DEFAULT_FILTER_RULES, PUMP_CATALOGUE, type, {
        liftM: lift_m,
        pipeM: pipe_m,
      })
      return { design: designJson(design), evaluation: evaluationOf(pond, design) }
    },
  }),
  defineCalculation({
    name: 'filter.evaluate',
    summary: 'What a filter design does: flows, water, head, power, flush, loads, checks and a year of upkeep',
    input: z.strictObject({
      pond: pondSchema,
      design: designSchema,
      network: numberIn([0, 1], 'share of the flow past the bed, instead of the design’s own').optional(),
    }),
    output: evaluationSchema,
    run: ({ pond, design, network }) =>
      evaluationOf(pondOf(pond), { ...designOf(design), ...(network === undefined ? {} : { bypassShare: network }) }),
  }),
]
