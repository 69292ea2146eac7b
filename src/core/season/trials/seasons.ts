import { SAMPLE_STATION } from '../../ecosystem/trials/sample-pond'
import { addDays } from '../../numeric/calendar'
import { normalDeviate, seededRandom, type Random } from '../../numeric/random'
import { calibrate, type WaterReading } from '../calibrate'
import { DEFAULT_SEASON_RULES } from '../house-rules'
import { normalsAtHeight } from '../station'
import { drawThermalPond, SURVEY_SPREAD } from '../thermal-spread'
import { waterTemperatures, type ThermalPond } from '../water-temperature'
import { weatherYear } from '../weather-year'
import { pondSeason, type Season } from '../windows'

/** Ponds as they may be about their survey, measured or not. */
export interface SeasonTrial {
  /** Readings of the last two summers; 0: never calibrated. */
  readonly readings: number
  /** How far the thermometer is off, °C. */
  readonly probeC: number
}

export const SEASON_CASES: Readonly<Record<string, SeasonTrial>> = {
  'never calibrated': { readings: 0, probeC: 0 },
  '12 readings': { readings: 12, probeC: 0 },
  '40 readings': { readings: 40, probeC: 0 },
  '24 readings, the probe 1.5 °C high': { readings: 24, probeC: 1.5 },
  '24 readings, the probe 3 °C low': { readings: 24, probeC: -3 },
}

const SURVEYED: ThermalPond = { latitudeDeg: SAMPLE_STATION.latitudeDeg, meanDepthM: 0.8, shade: 0.35, windShare: 0.5 }
const ALTITUDE_M = SAMPLE_STATION.altitudeM
const FROM = '2025-01-01'
const LEARN_YEARS = 2
const READING_SD_C = 0.8
const HELD_YEARS = 12
/** Weather years of a season in a trial: bands need fewer than turns do. */
const BAND_YEARS = 80
/** Days of each month that are held to the band. */
const EVERY_DAYS = 5

export interface SeasonRates {
  /** Share of days in held-out years inside the band of 80 %, January first. */
  readonly byMonth: readonly number[]
  readonly all: number
  /** Share of the ponds whose fit was used. */
  readonly used: number
  /** Mean of what the thermometer was found to be off, °C. */
  readonly probeC: number
}

/** Season bands of ponds whose truth is known, held to years that nobody had seen. */
export function seasonRates({ readings, probeC }: SeasonTrial, ponds: number): SeasonRates {
  const station = normalsAtHeight(SAMPLE_STATION, ALTITUDE_M)
  const months = Array.from({ length: 12 }, () => ({ cases: 0, held: 0 }))
  let [used, found] = [0, 0]
  for (let seed = 0; seed < ponds; seed++) {
    const random = seededRandom(30_011 + 53 * seed)
    const truth = drawThermalPond(SURVEYED, SURVEY_SPREAD, random)
    const seen = Array.from({ length: LEARN_YEARS }, () => weatherYear(station, random)).flat()
    const weather = seen.map((day, i) => ({ ...day, date: addDays(FROM, i) }))
    const learnt = calibrate(SURVEYED, weather, readAt(truth, weather, readings, probeC, random))
    used += Number(learnt.status === 'used')
    found += learnt.probeOffsetC
    const season = pondSeason({
      pond: { ...SURVEYED, ...learnt.fit, altitudeM: ALTITUDE_M },
      station: SAMPLE_STATION,
      rules: DEFAULT_SEASON_RULES,
      year: 2027,
      weatherYears: BAND_YEARS,
      seed,
      spread: learnt.spread ?? SURVEY_SPREAD,
    })
    for (let y = 0; y < HELD_YEARS; y++) hold(season, yearOf(truth, weatherYear(station, random)), months)
  }
  const share = (of: readonly { cases: number; held: number }[]) =>
    of.reduce((sum, m) => sum + m.held, 0) / of.reduce((sum, m) => sum + m.cases, 0)
  return { byMonth: months.map((m) => share([m])), all: share(months), used: used / ponds, probeC: found / ponds }
}

/** Readings from April to October, by a thermometer that may be off. */
function readAt(
  truth: ThermalPond,
  weather: readonly { readonly date: string }[] & Parameters<typeof waterTemperatures>[0],
  count: number,
  probeC: number,
  random: Random,
): WaterReading[] {
  const water = waterTemperatures(weather, truth, { waterC: 4, iceM: 0 })
  return Array.from({ length: count }, () => {
    const day = 365 * Math.floor(LEARN_YEARS * random()) + 95 + Math.floor(205 * random())
    return {
      date: weather[day]!.date,
      waterC: water[day]!.waterC + probeC + READING_SD_C * normalDeviate(random),
    }
  })
}

function yearOf(pond: ThermalPond, weather: Parameters<typeof waterTemperatures>[0]): number[] {
  const before = waterTemperatures(weather, pond, { waterC: 4, iceM: 0 })
  return waterTemperatures(weather, pond, before.at(-1)!).map(({ waterC }) => waterC)
}

function hold({ waterC }: Season, came: readonly number[], months: { cases: number; held: number }[]): void {
  for (let i = 0; i < came.length; i += EVERY_DAYS) {
    const month = months[Math.min(11, Math.floor(i / 30.42))]!
    month.cases++
    // water that freezes has one temperature in band and truth alike
    month.held += Number(came[i]! >= waterC[i]!.p10 - 0.05 && came[i]! <= waterC[i]!.p90 + 0.05)
  }
}
