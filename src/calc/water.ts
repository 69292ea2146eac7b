import { z } from 'zod'
import {
  AMMONIA_RANGE,
  DOSE_RANGE,
  ghDoseG,
  khDoseG,
  judgeWaterChange,
  measuredDose,
  MEASURED_DOSE_RANGE,
  MIXING_RANGE,
  portions,
  PORTION_RANGE,
  type MeasuringUnit,
  OXYGEN_RANGE,
  oxygenSaturationMgL,
  saltDoseKg,
  thiosulfateDoseG,
  unionisedAmmonia,
  waterChanges,
  waterVerdict,
  type ReadingKindName,
  type WaterBand,
} from '../core/water'
import { CARBONATE_RANGE } from '../core/water/carbonate'
import { defineCalculation, numberIn } from './define'
import { KEY_OF, SAMPLE_INPUT, sampleOf } from './sample'

const volume = numberIn(DOSE_RANGE.volumeM3)
const degrees = numberIn(DOSE_RANGE.degrees)
const percent = numberIn(DOSE_RANGE.percent)
const level = numberIn([0, 1e6])

/** A dose only raises: the target may not be below the start. */
const rising = (from: string, to: string) =>
  [
    (v: Record<string, unknown>) => (v[to] as number) >= (v[from] as number),
    {
      path: [to] as PropertyKey[],
      error: `must be at least ${from}: chemicals only raise it, a water change lowers it`,
    },
  ] as const

const BAND = z.enum(['fine', 'watch', 'act', 'emergency'])

const measuringUnit = z.strictObject({
  name: z.string().min(1).max(60),
  weight_g: numberIn(MEASURED_DOSE_RANGE.weightG),
  smallestShare: numberIn(MEASURED_DOSE_RANGE.smallestShare),
})
const unitOf = ({ name, weight_g, smallestShare }: z.output<typeof measuringUnit>): MeasuringUnit => ({
  name,
  weightG: weight_g,
  smallestShare,
})
const poured = { ph: numberIn(CARBONATE_RANGE.ph), kh_dKH: numberIn(MIXING_RANGE.khDH), temp_C: numberIn([0, 45]) }

export const WATER_CALCULATIONS = [
  defineCalculation({
    name: 'water.measuredDose',
    summary:
      'An amount as a hand can measure it: in the largest measure within the tolerance, else weighed to the gram',
    input: z.strictObject({
      wanted_g: numberIn(MEASURED_DOSE_RANGE.wantedG),
      units: z.array(measuringUnit).max(50),
      tolerance: numberIn(MEASURED_DOSE_RANGE.tolerance).default(0.05),
      roundUpOnly: z.boolean().default(false),
    }),
    output: z.object({ given_g: z.number(), unit: z.string(), count: z.number() }),
    run: ({ wanted_g, units, tolerance, roundUpOnly }) => {
      const { givenG, unit, count } = measuredDose(wanted_g, units.map(unitOf), { tolerance, roundUpOnly })
      return { given_g: givenG, unit, count }
    },
  }),
  defineCalculation({
    name: 'water.portions',
    summary: 'A dose for water that runs in, split so that each portion is ahead of the water it treats',
    input: z.strictObject({
      dose_g: numberIn(PORTION_RANGE.doseG),
      rise_mm: numberIn(PORTION_RANGE.riseMm),
      fill_min: numberIn(PORTION_RANGE.fillMin),
      unit: measuringUnit.optional(),
    }),
    output: z.object({
      portions: z.array(z.object({ after_mm: z.number(), after_min: z.number(), amount_g: z.number() })),
    }),
    run: ({ dose_g, rise_mm, fill_min, unit }) => ({
      portions: portions(dose_g, rise_mm, fill_min, unit && unitOf(unit)).map((p) => ({
        after_mm: p.afterMm,
        after_min: p.afterMin,
        amount_g: p.amountG,
      })),
    }),
  }),
  defineCalculation({
    name: 'water.waterChangeGate',
    summary:
      'Whether a part of the water may be changed: share, inlet temperature, chlorine, and what ammonia becomes of it',
    input: z.strictObject({
      pond: z.strictObject({ ...poured, tan_mg_L: numberIn(AMMONIA_RANGE.tanMgL) }),
      fill: z.strictObject({ ...poured, chlorine_mg_L: numberIn(DOSE_RANGE.freeChlorineMgL).optional() }),
      fraction: numberIn(MIXING_RANGE.fraction),
    }),
    output: z.object({ passes: z.boolean(), reasons: z.array(z.string()), nh3After_mg_L: z.number() }),
    run: ({ pond, fill, fraction }) => {
      const { reasons, nh3AfterMgL } = judgeWaterChange(
        { ph: pond.ph, tanMgL: pond.tan_mg_L, khDH: pond.kh_dKH, tempC: pond.temp_C },
        { ph: fill.ph, khDH: fill.kh_dKH, tempC: fill.temp_C, chlorineMgL: fill.chlorine_mg_L },
        fraction,
      )
      return { passes: reasons.length === 0, reasons: reasons.map((r) => r.code), nh3After_mg_L: nh3AfterMgL }
    },
  }),
  defineCalculation({
    name: 'water.verdict',
    summary: 'What water tests mean: ammonia by NH3, every reading in its band, and what is missing to judge',
    input: z.strictObject({ readings: SAMPLE_INPUT, altitude_m: numberIn(OXYGEN_RANGE.altitudeM).default(0) }),
    output: z.object({
      nh3_mg_L: z.number().optional(),
      co2_mg_L: z.number().optional(),
      doSaturation_percent: z.number().optional(),
      ammoniaBasis: z.enum(['nh3', 'tan-alone']).optional(),
      verdicts: z.record(z.string(), BAND),
      missing: z.array(z.string()),
    }),
    run: ({ readings, altitude_m }) => {
      const { bands, nh3MgL, co2MgL, oxygenSaturation, ammoniaBasis, missing } = waterVerdict(
        sampleOf(readings),
        altitude_m,
      )
      const verdicts = Object.fromEntries(
        (Object.entries(bands) as [ReadingKindName, WaterBand][]).map(([kind, band]) => [KEY_OF.get(kind)!, band]),
      )
      return {
        ...(nh3MgL === null ? {} : { nh3_mg_L: nh3MgL }),
        ...(co2MgL === null ? {} : { co2_mg_L: co2MgL }),
        ...(oxygenSaturation === null ? {} : { doSaturation_percent: oxygenSaturation * 100 }),
        ...(ammoniaBasis === null ? {} : { ammoniaBasis }),
        verdicts: { ...verdicts, ...(bands.tan ? { ammonia: bands.tan } : {}) },
        missing: missing.map((kind) => KEY_OF.get(kind)!),
      }
    },
  }),
  defineCalculation({
    name: 'water.ammonia',
    summary: 'Un-ionised ammonia from total ammonia, pH and temperature, with its band',
    input: z.strictObject({
      tan_mg_L: numberIn(AMMONIA_RANGE.tanMgL),
      ph: numberIn(AMMONIA_RANGE.ph),
      temp_C: numberIn(AMMONIA_RANGE.tempC),
    }),
    output: z.object({
      fraction: z.number(),
      nh3_mg_L: z.number(),
      band: z.enum(['fine', 'watch', 'act', 'emergency']),
    }),
    run: ({ tan_mg_L, ph, temp_C }) => {
      const { fraction, nh3MgL, band } = unionisedAmmonia(tan_mg_L, ph, temp_C)
      return { fraction, nh3_mg_L: nh3MgL, band }
    },
  }),
  defineCalculation({
    name: 'water.doSaturation',
    summary: 'Oxygen that fresh water holds at a temperature and height',
    input: z.strictObject({
      temp_C: numberIn(OXYGEN_RANGE.tempC),
      altitude_m: numberIn(OXYGEN_RANGE.altitudeM).default(0),
    }),
    output: z.object({ do_sat_mg_L: z.number() }),
    run: ({ temp_C, altitude_m }) => ({ do_sat_mg_L: oxygenSaturationMgL(temp_C, altitude_m) }),
  }),
  defineCalculation({
    name: 'water.khDose',
    summary: 'Sodium bicarbonate to raise carbonate hardness',
    input: z
      .strictObject({ volume_m3: volume, from_dKH: degrees, to_dKH: degrees })
      .refine(...rising('from_dKH', 'to_dKH')),
    output: z.object({ sodiumBicarbonate_g: z.number() }),
    run: ({ volume_m3, from_dKH, to_dKH }) => ({ sodiumBicarbonate_g: khDoseG(volume_m3, from_dKH, to_dKH) }),
  }),
  defineCalculation({
    name: 'water.ghDose',
    summary: 'Calcium chloride and magnesium sulfate to raise general hardness',
    input: z
      .strictObject({
        volume_m3: volume,
        from_dGH: degrees,
        to_dGH: degrees,
        calciumShare: numberIn(DOSE_RANGE.calciumShare).default(1),
      })
      .refine(...rising('from_dGH', 'to_dGH')),
    output: z.object({ calciumChlorideDihydrate_g: z.number(), magnesiumSulfateHeptahydrate_g: z.number() }),
    run: ({ volume_m3, from_dGH, to_dGH, calciumShare }) => {
      const dose = ghDoseG(volume_m3, from_dGH, to_dGH, calciumShare)
      return {
        calciumChlorideDihydrate_g: dose.calciumChlorideDihydrateG,
        magnesiumSulfateHeptahydrate_g: dose.magnesiumSulfateHeptahydrateG,
      }
    },
  }),
  defineCalculation({
    name: 'water.saltDose',
    summary: 'Salt to raise salinity by percent of weight',
    input: z
      .strictObject({ volume_m3: volume, from_percent: percent, to_percent: percent })
      .refine(...rising('from_percent', 'to_percent')),
    output: z.object({ salt_kg: z.number() }),
    run: ({ volume_m3, from_percent, to_percent }) => ({ salt_kg: saltDoseKg(volume_m3, from_percent, to_percent) }),
  }),
  defineCalculation({
    name: 'water.chlorineDose',
    summary: 'Sodium thiosulfate to neutralise free chlorine',
    input: z.strictObject({ volume_m3: volume, freeChlorine_mg_L: numberIn(DOSE_RANGE.freeChlorineMgL) }),
    output: z.object({ sodiumThiosulfatePentahydrate_g: z.number() }),
    run: ({ volume_m3, freeChlorine_mg_L }) => ({
      sodiumThiosulfatePentahydrate_g: thiosulfateDoseG(volume_m3, freeChlorine_mg_L),
    }),
  }),
  defineCalculation({
    name: 'water.changes',
    summary: 'How many part water changes bring a concentration to its target',
    input: z.strictObject({ current: level, source: level, target: level, maxFraction: numberIn([0.01, 1]) }),
    output: z.object({ count: z.number(), afterEach: z.array(z.number()) }),
    run: ({ current, source, target, maxFraction }) => waterChanges(current, source, target, maxFraction),
  }),
]
