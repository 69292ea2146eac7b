import { z } from 'zod'
import {
  AMMONIA_RANGE,
  DOSE_RANGE,
  ghDoseG,
  khDoseG,
  OXYGEN_RANGE,
  oxygenSaturationMgL,
  saltDoseKg,
  thiosulfateDoseG,
  unionisedAmmonia,
  waterChanges,
} from '../core/water'
import { defineCalculation, numberIn } from './define'

const volume = numberIn(DOSE_RANGE.volumeM3)
const degrees = numberIn(DOSE_RANGE.degrees)
const percent = numberIn(DOSE_RANGE.percent)
const level = numberIn([0, 1e6])

/** A dose only raises: the target may not be below the start. */
const rising = (from: string, to: string) =>
  [
    (v: Record<string, unknown>) => (v[to] as number) >= (v[from] as number),
    { path: [to] as PropertyKey[], error: `must be at least ${from}: chemicals only raise it, a water change lowers it` },
  ] as const

export const WATER_CALCULATIONS = [
  defineCalculation({
    name: 'water.ammonia',
    summary: 'Un-ionised ammonia from total ammonia, pH and temperature, with its band',
    input: z.strictObject({ tan_mg_L: numberIn(AMMONIA_RANGE.tanMgL), ph: numberIn(AMMONIA_RANGE.ph), temp_C: numberIn(AMMONIA_RANGE.tempC) }),
    output: z.object({ fraction: z.number(), nh3_mg_L: z.number(), band: z.enum(['fine', 'watch', 'act', 'emergency']) }),
    run: ({ tan_mg_L, ph, temp_C }) => {
      const { fraction, nh3MgL, band } = unionisedAmmonia(tan_mg_L, ph, temp_C)
      return { fraction, nh3_mg_L: nh3MgL, band }
    },
  }),
  defineCalculation({
    name: 'water.doSaturation',
    summary: 'Oxygen that fresh water holds at a temperature and height',
    input: z.strictObject({ temp_C: numberIn(OXYGEN_RANGE.tempC), altitude_m: numberIn(OXYGEN_RANGE.altitudeM).default(0) }),
    output: z.object({ do_sat_mg_L: z.number() }),
    run: ({ temp_C, altitude_m }) => ({ do_sat_mg_L: oxygenSaturationMgL(temp_C, altitude_m) }),
  }),
  defineCalculation({
    name: 'water.khDose',
    summary: 'Sodium bicarbonate to raise carbonate hardness',
    input: z.strictObject({ volume_m3: volume, from_dKH: degrees, to_dKH: degrees }).refine(...rising('from_dKH', 'to_dKH')),
    output: z.object({ sodiumBicarbonate_g: z.number() }),
    run: ({ volume_m3, from_dKH, to_dKH }) => ({ sodiumBicarbonate_g: khDoseG(volume_m3, from_dKH, to_dKH) }),
  }),
  defineCalculation({
    name: 'water.ghDose',
    summary: 'Calcium chloride and magnesium sulfate to raise general hardness',
    input: z
      .strictObject({ volume_m3: volume, from_dGH: degrees, to_dGH: degrees, calciumShare: numberIn(DOSE_RANGE.calciumShare).default(1) })
      .refine(...rising('from_dGH', 'to_dGH')),
    output: z.object({ calciumChlorideDihydrate_g: z.number(), magnesiumSulfateHeptahydrate_g: z.number() }),
    run: ({ volume_m3, from_dGH, to_dGH, calciumShare }) => {
      const dose = ghDoseG(volume_m3, from_dGH, to_dGH, calciumShare)
      return { calciumChlorideDihydrate_g: dose.calciumChlorideDihydrateG, magnesiumSulfateHeptahydrate_g: dose.magnesiumSulfateHeptahydrateG }
    },
  }),
  defineCalculation({
    name: 'water.saltDose',
    summary: 'Salt to raise salinity by percent of weight',
    input: z.strictObject({ volume_m3: volume, from_percent: percent, to_percent: percent }).refine(...rising('from_percent', 'to_percent')),
    output: z.object({ salt_kg: z.number() }),
    run: ({ volume_m3, from_percent, to_percent }) => ({ salt_kg: saltDoseKg(volume_m3, from_percent, to_percent) }),
  }),
  defineCalculation({
    name: 'water.chlorineDose',
    summary: 'Sodium thiosulfate to neutralise free chlorine',
    input: z.strictObject({ volume_m3: volume, freeChlorine_mg_L: numberIn(DOSE_RANGE.freeChlorineMgL) }),
    output: z.object({ sodiumThiosulfatePentahydrate_g: z.number() }),
    run: ({ volume_m3, freeChlorine_mg_L }) => ({ sodiumThiosulfatePentahydrate_g: thiosulfateDoseG(volume_m3, freeChlorine_mg_L) }),
  }),
  defineCalculation({
    name: 'water.changes',
    summary: 'How many part water changes bring a concentration to its target',
    input: z.strictObject({ current: level, source: level, target: level, maxFraction: numberIn([0.01, 1]) }),
    output: z.object({ count: z.number(), afterEach: z.array(z.number()) }),
    run: ({ current, source, target, maxFraction }) => waterChanges(current, source, target, maxFraction),
  }),
]
