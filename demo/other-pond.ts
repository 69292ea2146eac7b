import type { ObservedKind } from '../src/core/assimilation/observed'
import type { PondEvent } from '../src/core/ecosystem/events'
import type { EcoPond } from '../src/core/ecosystem/pond'
import { seededRandom } from '../src/core/numeric/random'
import { oxygenSaturationMgL } from '../src/core/water/dissolved-oxygen'
import type { WeatherDay } from '../src/core/season/weather-year'

/**
 * A pond that works otherwise than the simulator has it, so that forecasts of the demo are not checked against their
 * own equations: warmth by an equilibrium and a lag; biofilms whose uptake follows the square root of what they eat;
 * algae that grow toward what the nutrients of the day carry. It knows of things that nobody logged: a neighbour
 * feeds, a hose runs over, fertiliser blows in.
 */
export interface OtherPond {
  readonly pond: EcoPond
  readonly weather: readonly WeatherDay[]
  /** Days counted from the first of the weather. */
  readonly events: readonly PondEvent[]
  readonly startDay: number
  readonly seed: number
  /** How murky and how used its beds are at the beginning. */
  readonly start: 'settled' | 'green'
}

/** Water in the middle of the morning of a day, as far as tests tell. */
export type OtherWater = Readonly<Partial<Record<ObservedKind, number>>>

/** @source half-order biofilm kinetics (Harremoës 1978); rates as in trickling filters, per m² of stone and √(g/m³) */
const BIOFILM = { tan: 0.04, nitrite: 0.06, theta: 1.09, ripensPerD: 0.08, fadesPerD: 0.02 } as const
const RATION = { fromC: 7, fullC: 22, most: 0.014 } as const
const N_OF_PROTEIN = 0.092
const P_OF_FEED = 0.006
/** Chlorophyll that a gram of nitrogen and of phosphorus carries, µg per mg. */
const CARRIED = { nitrogen: 90, phosphorus: 500 } as const
/** Bicarbonate that nitrification takes, °dH per mg/L; denitrification in the floor gives half of it back. */
const KH_PER_N = 7.14 / 17.848 / 2

interface Now {
  waterC: number
  tan: number
  nitrite: number
  nitrate: number
  phosphate: number
  kh: number
  algae: number
  silt: number
  /** How far the two films have grown, 0–1. */
  films: [number, number]
  feed: number
}

/** The pond's water day by day. @returns one for each day of the weather */
export function otherPond(of: OtherPond): OtherWater[] {
  const random = seededRandom(of.seed)
  const { pond } = of
  const now: Now = {
    waterC: 6,
    tan: 0.1,
    nitrite: 0.03,
    nitrate: 3,
    phosphate: 0.15,
    kh: pond.source.alkalinityMgL / 17.848,
    algae: of.start === 'green' ? 90 : 8,
    silt: 1,
    films: [0.6, 0.6],
    feed: pond.fish.feedFactor,
  }
  return of.weather.map((weather, day) => {
    const season = Math.max(0, -Math.cos((2 * Math.PI * (of.startDay + day + 10)) / 365.25))
    for (const event of of.events) if (Math.floor(event.day) === day) happens(now, event, pond)
    unlogged(now, random, pond, season)
    warm(now, weather, season, pond)
    eatAndExcrete(now, pond)
    films(now, pond)
    grow(now, weather, season, pond)
    return tested(now, weather, season, pond)
  })
}

function happens(now: Now, event: PondEvent, { source, fish, volumeM3 }: EcoPond): void {
  switch (event.kind) {
    case 'feed':
      now.feed = event.factor ?? now.feed
      return
    case 'rinse-media':
      now.films = [now.films[0] * (1 - 0.35 * event.share), now.films[1] * (1 - 0.45 * event.share)]
      return
    case 'vacuum':
      now.silt += 3
      now.tan += (0.4 * fish.massKg) / volumeM3 / 3
      return
    case 'water-change':
      replace(now, event.fraction, source)
  }
}

function replace(now: Now, share: number, source: EcoPond['source']): void {
  const mix = (was: number, brought: number) => was * (1 - share) + brought * share
  now.tan = mix(now.tan, source.tanMgL)
  now.nitrite = mix(now.nitrite, 0)
  now.nitrate = mix(now.nitrate, source.nitrateMgL)
  now.phosphate = mix(now.phosphate, source.phosphateMgL)
  now.kh = mix(now.kh, source.alkalinityMgL / 17.848)
  now.algae = mix(now.algae, 0)
  now.silt = mix(now.silt, 0)
}

/** A few times a year something happens that nobody writes down. */
function unlogged(now: Now, random: () => number, { source, fish, volumeM3 }: EcoPond, season: number): void {
  const [guests, hose, blown] = [random(), random(), random()]
  if (guests < 0.012 * season) now.tan += (1.2 * fish.massKg) / volumeM3
  if (hose < 0.004) replace(now, 0.12, source)
  if (blown < 0.006 * season) {
    now.nitrate += 2
    now.phosphate += 0.08
  }
}

/** Water follows an equilibrium of air and sun, the slower the deeper it is. */
function warm(now: Now, { minAirC, maxAirC, windMPerS }: WeatherDay, season: number, pond: EcoPond): void {
  const sun = 4.5 * season * (1 - pond.shade) - 0.15 * windMPerS * pond.windShare
  const toward = (minAirC + maxAirC) / 2 + (pond.airOffsetC ?? 0) + sun
  const lagD = 2.2 + 3.2 * pond.meanDepthM * (pond.depthShare ?? 1)
  now.waterC = Math.max(0.8, now.waterC + (toward - now.waterC) / lagD)
}

const warmth = (c: number): number => BIOFILM.theta ** (c - 20)

function eatAndExcrete(now: Now, { fish, volumeM3 }: EcoPond): void {
  const appetite = Math.min(1, Math.max(0, (now.waterC - RATION.fromC) / (RATION.fullC - RATION.fromC)))
  const feedG = fish.massKg * 1000 * RATION.most * appetite * now.feed
  now.tan += (feedG * fish.protein * N_OF_PROTEIN + fish.massKg * 0.05 * warmth(now.waterC)) / volumeM3
  // mud gives off a little, fish or none
  now.tan += 0.02 * warmth(now.waterC)
  now.phosphate += (feedG * P_OF_FEED) / volumeM3
  now.silt += (0.02 * feedG) / volumeM3
}

/** Two films, each after the other: what they take follows the square root of what is there. */
function films(now: Now, { filter, wallAreaM2, volumeM3 }: EcoPond): void {
  const areaM2 = filter.stoneM3 * filter.surfaceM2PerM3 * 0.5 + wallAreaM2
  const takes = (rate: number, film: number, mgL: number) =>
    Math.min(0.9 * mgL, (rate * areaM2 * film * Math.sqrt(mgL) * warmth(now.waterC)) / volumeM3)
  const oxidised = takes(BIOFILM.tan, now.films[0], now.tan)
  now.tan -= oxidised
  now.nitrite += oxidised
  const further = takes(BIOFILM.nitrite, now.films[1], now.nitrite)
  now.nitrite -= further
  now.nitrate += further
  now.kh = Math.max(0.4, now.kh - oxidised * KH_PER_N)
  const fed = (film: number, mgL: number) => {
    const target = mgL / (mgL + 0.05)
    const rate = (target > film ? BIOFILM.ripensPerD : BIOFILM.fadesPerD) * warmth(now.waterC)
    return Math.min(1, Math.max(0.05, film + rate * (target - film)))
  }
  now.films = [fed(now.films[0], now.tan), fed(now.films[1], now.nitrite)]
}

/** Algae grow toward what the day's nutrients carry; the bed takes its share; rain stirs, and tops the pond up. */
function grow(now: Now, { rainMm }: WeatherDay, season: number, { plants, filter, areaM2, volumeM3, source }: EcoPond) {
  const inorganic = now.tan + now.nitrate
  const shaded = 1 - 0.8 * Math.min(1, plants.lilyShare + plants.floatingShare)
  const carried = Math.min(CARRIED.nitrogen * inorganic, CARRIED.phosphorus * now.phosphate) * season * shaded
  const grows = 0.55 * 1.06 ** (now.waterC - 20) * now.algae * (1 - now.algae / (carried + 4))
  const turnovers = Math.min(6, (filter.flowM3PerH * 24) / volumeM3)
  now.algae = Math.max(0.5, now.algae + Math.max(-0.4 * now.algae, grows) - 0.045 * turnovers * now.algae)
  const grown = Math.max(0, grows) / 1000
  const planted = plants.marginalShare * filter.areaM2 + plants.submergedShare * areaM2
  const drawn = (0.12 * planted * season * warmth(now.waterC)) / volumeM3 + 7 * grown
  now.nitrate = Math.max(0.2, now.nitrate - drawn - 0.008 * warmth(now.waterC) * now.nitrate)
  now.phosphate = Math.max(0.01, now.phosphate - drawn / 9 - 0.01 * now.phosphate)
  now.silt = Math.max(0.5, 0.8 * now.silt + (rainMm > 12 ? 1.5 : 0) + 0.1)
  now.kh += 0.012 * (source.alkalinityMgL / 17.848 - now.kh)
}

function tested(now: Now, weather: WeatherDay, season: number, { altitudeM }: EcoPond): OtherWater {
  const breath = now.algae / (now.algae + 80)
  return {
    waterTemp: now.waterC,
    tan: now.tan,
    nitrite: now.nitrite,
    nitrate: now.nitrate,
    kh: now.kh,
    ph: Math.min(9.6, 7.35 + 0.5 * Math.log10(now.kh / 4) + 1.1 * breath * season),
    clarityDepth: 1.7 / (0.45 + 0.022 * now.algae + 0.12 * now.silt),
    dissolvedOxygen:
      oxygenSaturationMgL(now.waterC, altitudeM) * (0.9 + 0.15 * breath - 0.04 * now.tan) -
      0.004 * weather.humidityPercent,
  }
}
