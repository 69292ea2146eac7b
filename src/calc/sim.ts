import { z } from 'zod'
import { OUTPUT_NAMES } from '../core/ecosystem/outputs'
import { plainNitrification } from '../core/ecosystem/plain-nitrification'
import { simulate, RUN_RANGE } from '../core/ecosystem/simulate'
import { START_KINDS } from '../core/ecosystem/start'
import { BUDGET_IN, BUDGET_OUT, HELD_IN } from '../core/ecosystem/ledger'
import { DomainError } from '../core/errors'
import { asEvent, asPond, asWeather, event, filter, pond, weatherDay } from './sim-input'
import { defineCalculation, numberIn } from './define'

const share = numberIn([0, 1])
const rate = z.number().min(0).max(1e4)
const theta = z.number().min(0.8).max(1.4)
const half = z.number().min(1e-9).max(1e4)
const mass = z.number().min(0).max(1e6)

const parameters = z.strictObject({
  mu1: rate,
  theta1: theta,
  K1: half,
  KO1: half,
  mu2: rate,
  theta2: theta,
  K2: half,
  KO2: half,
  Y1: z.number().positive().max(10),
  Y2: z.number().positive().max(10),
  b1: rate,
  b2: rate,
  thetab: theta,
  D: rate,
  Sin1: mass,
  Sin3: mass,
  U: rate,
  KU: half,
  DO: numberIn([0, 100]),
  kLa: rate,
  Osat: numberIn([0, 100]),
  R: rate,
  T_mean: numberIn([-20, 60]),
  T_slope: numberIn([-10, 10]),
  T_amp: numberIn([-60, 60]),
  T_period: numberIn([0, 1e5], 'days; above 0 where T_amp is not 0'),
  L0: rate,
  L1: rate,
  t_step: numberIn([0, 1e5]).nullable(),
  S1_0: mass,
  S2_0: mass,
  S3_0: mass,
  X1_0: mass,
  X2_0: mass,
  O_0: numberIn([0, 100]),
  oxygen_mode: z.enum(['fixed', 'dynamic']),
  events: z.array(z.strictObject({ day: numberIn([0, 5000]), fraction: share })).max(1000),
})

/** Names of the series as the contract gives them, with their unit. */
const SERIES = {
  waterC: 'water_C',
  iceM: 'ice_m',
  levelMm: 'level_mm',
  tan: 'tan_mg_L',
  nh3: 'nh3_mg_L',
  nitrite: 'nitrite_mg_L',
  nitrate: 'nitrate_mg_L',
  phosphate: 'phosphate_mg_L',
  oxygen: 'oxygen_mg_L',
  ph: 'ph',
  khDH: 'kh_dKH',
  carbonDioxide: 'carbonDioxide_mg_L',
  clarityM: 'clarity_m',
  chlorophyll: 'chlorophyll_ug_L',
  filamentousGM2: 'stringAlgae_g_m2',
  bacteriaShare: 'ammoniaOxidisers_share',
  nitriteBacteriaShare: 'nitriteOxidisers_share',
  poreLoss: 'poreLoss_share',
  floorGM2: 'floor_g_m2',
  plantsG: 'plants_g',
  leafCover: 'leafCover_share',
  colour: 'colour_mg_Pt_L',
  chlorine: 'chlorine_mg_L',
  fishKg: 'fish_kg',
  fishCondition: 'fishCondition_share',
  fishAlive: 'fishAlive_share',
  carcassesG: 'carcasses_g',
} as const satisfies Record<(typeof OUTPUT_NAMES)[number], string>

const numbers = <Name extends string>(names: readonly Name[]) =>
  z.object(Object.fromEntries(names.map((name) => [name, z.number()])))
const budget = z.object({
  start_g: z.number(),
  in_g: numbers(BUDGET_IN),
  out_g: numbers(BUDGET_OUT),
  held_g: numbers(HELD_IN),
  end_g: z.number(),
})

export const SIM_CALCULATIONS = [
  defineCalculation({
    name: 'sim.nitrification',
    summary: 'The plain two-step nitrification model by the simulator’s own integrator',
    input: z.strictObject({
      parameters,
      days: z
        .array(numberIn([0, 5000]))
        .min(1)
        .max(5000),
    }),
    output: z.object({
      tan: z.array(z.number()),
      nitrite: z.array(z.number()),
      nitrate: z.array(z.number()),
      x1: z.array(z.number()),
      x2: z.array(z.number()),
      oxygen: z.array(z.number()),
    }),
    run: ({ parameters: p, days }) => {
      const { t_step, oxygen_mode, S1_0, S2_0, S3_0, X1_0, X2_0, O_0, ...rest } = p
      const { status, run } = plainNitrification(
        { ...rest, tStep: t_step, oxygenMode: oxygen_mode, start: [S1_0, S2_0, S3_0, X1_0, X2_0, O_0] },
        days,
      )
      if (status !== 'done')
        throw new DomainError('parameters', 'rates too fast to follow', 'rates that a step of a nanosecond can follow')
      return {
        tan: [...run.tan],
        nitrite: [...run.nitrite],
        nitrate: [...run.nitrate],
        x1: [...run.x1],
        x2: [...run.x2],
        oxygen: [...run.oxygen],
      }
    },
  }),
  defineCalculation({
    name: 'sim.run',
    summary:
      'A pond with its filter through days to years: water, algae, bacteria, oxygen, with closed nutrient budgets',
    input: z.strictObject({
      pond,
      filter,
      weather: z.array(weatherDay).min(1).max(RUN_RANGE.days[1]).describe('one row a day from the first day on'),
      startDay: z.int().min(1).max(365).default(1).describe('day of the year of the first day'),
      days: z.int().min(RUN_RANGE.days[0]).max(RUN_RANGE.days[1]),
      events: z.array(event).max(1000).default([]),
      start: z.enum(START_KINDS).default('settled'),
      every: z.enum(['day', 'hour']).default('day'),
    }),
    output: z.object({
      series: z.object(Object.fromEntries(OUTPUT_NAMES.map((name) => [SERIES[name], z.array(z.number())]))),
      budget: z.object({
        nitrogenError: z.number(),
        phosphorusError: z.number(),
        nitrogen: budget,
        phosphorus: budget,
      }),
    }),
    run: (input) => {
      const result = simulate({
        pond: asPond(input.pond, input.filter),
        weather: asWeather(input.weather),
        startDay: input.startDay,
        days: input.days,
        events: input.events.map(asEvent),
        start: { kind: input.start },
        every: input.every,
      })
      if (result.status !== 'done')
        throw new DomainError(
          'pond',
          'rates too fast to follow',
          'a pond whose water can be followed in steps of a second',
        )
      const asBudget = (b: typeof result.nitrogen) => ({
        start_g: b.start,
        in_g: { ...b.in },
        out_g: { ...b.out },
        held_g: { ...b.held },
        end_g: b.end,
      })
      return {
        series: Object.fromEntries(OUTPUT_NAMES.map((name) => [SERIES[name], Array.from(result.series[name])])),
        budget: {
          nitrogenError: result.nitrogen.error,
          phosphorusError: result.phosphorus.error,
          nitrogen: asBudget(result.nitrogen),
          phosphorus: asBudget(result.phosphorus),
        },
      }
    },
  }),
]
