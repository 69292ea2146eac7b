import { z } from 'zod'
import { openWaterEvaporationMmPerD } from '../core/season/evaporation'
import { DEFAULT_SEASON_RULES, WINDOW_JOBS, type SeasonRules } from '../core/season/house-rules'
import { daylightHours, LATITUDE_RANGE } from '../core/season/sun'
import { SURVEY_SPREAD } from '../core/season/thermal-spread'
import { DEFAULT_WEATHER_YEARS, pondSeason } from '../core/season/windows'
import { defineCalculation, isoDay, numberIn } from './define'

const temp = numberIn([-1, 40])
const days = numberIn([0, 120])

/** Keys of the rules as the contract has them, with where each goes. */
const rules = z
  .strictObject({
    spring: z.enum(['full-yearly', 'when-needed', 'never-drain']),
    winter: z.enum(['shutdown', 'run-on']),
    bacteria: z.enum(['regular', 'after-disturbance', 'none']),
    cleanoutWater_C: z.tuple([temp, temp]),
    hardFrostAir_C: numberIn([-40, 10]),
    leafOutDegreeDays: numberIn([0, 3000]),
    startupWater_C: temp,
    coldBacteriaFrom_C: temp,
    bacteriaWater_C: temp,
    feedingStartWater_C: temp,
    feedingNormalWater_C: temp,
    feedingStopWater_C: temp,
    tenderPlantsWater_C: temp,
    highSummerWater_C: temp,
    shadeDownWater_C: temp,
    flushWater_C: temp,
    spawningWater_C: z.tuple([temp, temp]),
    killingFrostAir_C: numberIn([-40, 10]),
    nettingLead_d: z.tuple([days, days]),
    nettingOff_d: z.tuple([days, days]),
    shutdownWater_C: temp,
    deicerLead_d: z.tuple([days, days]),
    leafFallChill: numberIn([0, 50_000]),
  })
  .partial()

const asSeasonRules = (p: z.output<typeof rules>): SeasonRules => {
  const given: Partial<SeasonRules> = {
    spring: p.spring,
    winter: p.winter,
    bacteria: p.bacteria,
    cleanoutWaterC: p.cleanoutWater_C,
    hardFrostAirC: p.hardFrostAir_C,
    leafOutDegreeDays: p.leafOutDegreeDays,
    startupWaterC: p.startupWater_C,
    coldBacteriaFromC: p.coldBacteriaFrom_C,
    bacteriaWaterC: p.bacteriaWater_C,
    feedingStartWaterC: p.feedingStartWater_C,
    feedingNormalWaterC: p.feedingNormalWater_C,
    feedingStopWaterC: p.feedingStopWater_C,
    tenderPlantsWaterC: p.tenderPlantsWater_C,
    highSummerWaterC: p.highSummerWater_C,
    shadeDownWaterC: p.shadeDownWater_C,
    flushWaterC: p.flushWater_C,
    spawningWaterC: p.spawningWater_C,
    killingFrostAirC: p.killingFrostAir_C,
    nettingLeadDays: p.nettingLead_d,
    nettingOffDays: p.nettingOff_d,
    shutdownWaterC: p.shutdownWater_C,
    deicerLeadDays: p.deicerLead_d,
    leafFallChill: p.leafFallChill,
  }
  return {
    ...DEFAULT_SEASON_RULES,
    ...Object.fromEntries(Object.entries(given).filter(([, value]) => value !== undefined)),
  }
}

const month = z
  .strictObject({
    min_C: numberIn([-50, 45]),
    max_C: numberIn([-50, 55]),
    sd_C: numberIn([0, 15]),
    humidity_percent: numberIn([1, 100]),
    wind_m_s: numberIn([0, 40]),
    sunshine_h: numberIn([0, 24]),
    rain_mm: numberIn([0, 2000]).default(0),
  })
  .refine((m) => m.max_C >= m.min_C, { path: ['max_C'], error: 'must be at least min_C' })

export const SEASON_CALCULATIONS = [
  defineCalculation({
    name: 'season.daylight',
    summary: 'Hours from sunrise to sunset',
    input: z.strictObject({ latitude_deg: numberIn([-90, 90]), date: isoDay }),
    output: z.object({ hours: z.number() }),
    run: ({ latitude_deg, date }) => ({ hours: daylightHours(latitude_deg, date) }),
  }),
  defineCalculation({
    name: 'season.openWaterEvaporation',
    summary: 'Evaporation from open water (Penman)',
    input: z
      .strictObject({
        date: isoDay,
        latitude_deg: numberIn([-90, 90]),
        tmin_C: numberIn([-50, 50]),
        tmax_C: numberIn([-50, 60]),
        rh_percent: numberIn([1, 100]),
        wind_m_s: numberIn([0, 40]),
        sunshine_h: numberIn([0, 24]).optional(),
        solar_MJ_m2: numberIn([0, 45]).optional(),
        altitude_m: numberIn([-400, 5000]),
      })
      .refine((v) => (v.sunshine_h === undefined) !== (v.solar_MJ_m2 === undefined), {
        path: ['sunshine_h'],
        error: 'give either sunshine_h or solar_MJ_m2',
      })
      .refine((v) => v.tmax_C >= v.tmin_C, { path: ['tmax_C'], error: 'must be at least tmin_C' }),
    output: z.object({ mm_d: z.number() }),
    run: (d) => ({
      mm_d: openWaterEvaporationMmPerD({
        date: d.date,
        latitudeDeg: d.latitude_deg,
        minAirC: d.tmin_C,
        maxAirC: d.tmax_C,
        humidityPercent: d.rh_percent,
        windMPerS: d.wind_m_s,
        sunshineH: d.sunshine_h,
        solarMJPerM2: d.solar_MJ_m2,
        altitudeM: d.altitude_m,
      }),
    }),
  }),
  defineCalculation({
    name: 'season.windows',
    summary: "A pond's windows of the year with its water temperature band, from a station's normals",
    input: z.strictObject({
      pond: z.strictObject({
        meanDepth_m: numberIn([0.02, 20]),
        shade: numberIn([0, 0.95]).default(0.2),
        windShare: numberIn([0.05, 1.5]).default(0.5),
        altitude_m: numberIn([-400, 5000]).default(0),
      }),
      station: z.strictObject({
        latitude_deg: numberIn(LATITUDE_RANGE),
        altitude_m: numberIn([-400, 5000]),
        months: z.array(month).length(12),
      }),
      practice: rules.default({}),
      year: z.int().min(1900).max(2200),
      weatherYears: z.int().min(5).max(200).default(DEFAULT_WEATHER_YEARS),
      seed: z
        .int()
        .min(0)
        .max(2 ** 32 - 1)
        .default(1),
    }),
    output: z.object({
      windows: z.array(
        z.object({
          job: z.enum(WINDOW_JOBS),
          kind: z.enum(['span', 'turn']),
          earliest: z.string(),
          best: z.string(),
          latest: z.string(),
          likelihoodAtBest: z.number(),
        }),
      ),
      water_C: z.array(z.object({ p10: z.number(), p50: z.number(), p90: z.number() })),
    }),
    run: (input) => {
      const season = pondSeason({
        pond: {
          meanDepthM: input.pond.meanDepth_m,
          shade: input.pond.shade,
          windShare: input.pond.windShare,
          altitudeM: input.pond.altitude_m,
        },
        station: {
          latitudeDeg: input.station.latitude_deg,
          altitudeM: input.station.altitude_m,
          months: input.station.months.map((m) => ({
            minAirC: m.min_C,
            maxAirC: m.max_C,
            sdC: m.sd_C,
            humidityPercent: m.humidity_percent,
            windMPerS: m.wind_m_s,
            sunshineH: m.sunshine_h,
            rainMm: m.rain_mm,
          })),
        },
        rules: asSeasonRules(input.practice),
        // shade and wind are judged by eye
        spread: SURVEY_SPREAD,
        year: input.year,
        weatherYears: input.weatherYears,
        seed: input.seed,
      })
      return {
        windows: season.windows.map((w) => ({
          job: w.job,
          kind: w.kind,
          earliest: w.earliest,
          best: w.best,
          latest: w.latest,
          likelihoodAtBest: w.why.likelihood,
        })),
        water_C: [...season.waterC],
      }
    },
  }),
]
