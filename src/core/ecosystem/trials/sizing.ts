import type { EcoPond } from '../pond'
import { chlorophyllOfClarity } from '../start'
import { firstDay, mean, run, type Behaviour } from './kit'
import { SAMPLE_POND } from './sample-pond'
import { steadyWeather } from './steady-weather'
import type { ParameterValues } from '../parameters'

/** What the trade recommends: bed as a share of the pond's volume, by fish, kg/m³, fed at the usual ration or not. */
const RULES = [
  { fish: 0.1, bed: 0.05, fed: false },
  { fish: 0.5, bed: 0.1, fed: true },
  { fish: 1.5, bed: 0.2, fed: true },
  { fish: 3, bed: 0.3, fed: true },
] as const
const VOLUME_M3 = 20
const AREA_M2 = 25
/** Water of 18–22 °C over it. */
const SUMMER = steadyWeather(60, 18)
const BED_DEPTH_M = 0.5
const AIR_G_PER_KG = 20

/** A pond of 20 m³ with so many fish and such a bed. */
export const sizedPond = (fishKgPerM3: number, bedShare: number, fed = true): EcoPond => ({
  ...SAMPLE_POND,
  volumeM3: VOLUME_M3,
  areaM2: AREA_M2,
  meanDepthM: VOLUME_M3 / AREA_M2,
  // whoever keeps many fish keeps an air pump
  aeratorGPerD: fishKgPerM3 >= 1 ? AIR_G_PER_KG * fishKgPerM3 * VOLUME_M3 : 0,
  fish: { ...SAMPLE_POND.fish, massKg: fishKgPerM3 * VOLUME_M3, feedFactor: fed ? 1 : 0 },
  filter: {
    ...SAMPLE_POND.filter,
    stoneM3: bedShare * VOLUME_M3,
    areaM2: (bedShare * VOLUME_M3) / BED_DEPTH_M,
    flowM3PerH: VOLUME_M3 / 2,
  },
})

/** Second season, green to 0.3 m, eight weeks of summer. */
export function greenSummer(p: ParameterValues, pond: EcoPond) {
  const known = { waterC: 19, chlorophyll: chlorophyllOfClarity(0.3, p) }
  const { series } = run(p, { pond, weather: SUMMER, startDay: 152, days: 56, start: { kind: 'settled', known } })
  return {
    clearDay: firstDay(series.clarityM, (m) => m > 1),
    clarityM: mean(series.clarityM, 49, 56),
    chlorophyll: mean(series.chlorophyll, 49, 56),
  }
}

const said = ({ fish, bed, fed }: (typeof RULES)[number]): string =>
  `${100 * bed} % of the volume for ${fish} kg/m³ of ${fed ? 'fed' : 'unfed'} fish`

const clears = (rule: (typeof RULES)[number]): Behaviour => ({
  key: `sizing-${rule.fish}-clears`,
  words: `The trade’s bed, ${said(rule)}, clears a green pond to 1 m in 7–25 days`,
  atLeast: 0.8,
  trial: (p) => {
    const { clearDay, clarityM } = greenSummer(p, sizedPond(rule.fish, rule.bed, rule.fed))
    return { figures: { clearDay, clarityM }, holds: clearDay >= 7 && clearDay <= 25 }
  },
})

const halfStaysGreen = (rule: (typeof RULES)[number]): Behaviour => ({
  key: `sizing-${rule.fish}-half`,
  words: `With half of ${said(rule)} it is still green after eight weeks`,
  atLeast: 0.6,
  trial: (p) => {
    const { clarityM } = greenSummer(p, sizedPond(rule.fish, rule.bed / 2, rule.fed))
    return { figures: { clarityM }, holds: clarityM < 0.6 }
  },
})

const loadedIsWorse = (rule: (typeof RULES)[number]): Behaviour => ({
  key: `sizing-${rule.fish}-double`,
  words: `With ${said(rule)} and twice the fish it takes twice as long, or twice the algae stay`,
  trial: (p) => {
    const [right, loaded] = [1, 2].map((times) => greenSummer(p, sizedPond(times * rule.fish, rule.bed, rule.fed)))
    const figures = {
      clearDay: right!.clearDay,
      loadedClearDay: loaded!.clearDay,
      chlorophyll: right!.chlorophyll,
      loadedChlorophyll: loaded!.chlorophyll,
    }
    return {
      figures,
      holds: figures.loadedClearDay > 2 * figures.clearDay || figures.loadedChlorophyll > 2 * figures.chlorophyll,
    }
  },
})

/** Sizing rules and simulator agree. */
export const SIZING: readonly Behaviour[] = RULES.flatMap((rule) => [
  clears(rule),
  halfStaysGreen(rule),
  loadedIsWorse(rule),
])
