import { dailyNormals } from '../../season/station'
import type { WeatherDay } from '../../season/weather-year'
import type { PondEvent } from '../events'
import type { ParameterValues } from '../parameters'
import type { EcoPond } from '../pond'
import { settledDay } from '../settling'
import { simulate, type EcoResult, type EcoRun } from '../simulate'
import { STATE } from '../states'
import { SAMPLE_POND, SAMPLE_STATION } from './sample-pond'
import { steadyWeather } from './steady-weather'

/**
 * What every pond keeper has seen, as trials of the model: each returns the figures it is judged by and whether it
 * holds.
 * Tests run them at the defaults with margins; the sensitivity report runs them over draws from the priors.
 */
export interface Behaviour {
  readonly key: string
  readonly words: string
  readonly trial: (parameters: ParameterValues) => Trial
}

interface Trial {
  readonly holds: boolean
  readonly figures: Readonly<Record<string, number>>
}

const normals: readonly WeatherDay[] = dailyNormals(SAMPLE_STATION).map((day) => ({ ...day, rainMm: 2 }))
const YEARS: readonly WeatherDay[] = [...normals, ...normals, ...normals]
const FILTER = SAMPLE_POND.filter

const day = (kind: PondEvent['kind'], at: number, more: object = {}): PondEvent =>
  ({ kind, day: at, ...more }) as PondEvent

function run(parameters: ParameterValues, changes: Partial<EcoRun>): EcoResult {
  const startDay = changes.startDay ?? 1
  const base: EcoRun = {
    pond: SAMPLE_POND,
    weather: YEARS.slice(startDay - 1),
    startDay,
    days: 365,
    events: [],
    start: { kind: 'settled' },
    every: 'day',
  }
  return simulate({ ...base, ...changes, parameters })
}

const max = (values: Float64Array, from = 0, to = values.length): number =>
  values.slice(from, to).reduce((a, b) => Math.max(a, b), -Infinity)
const min = (values: Float64Array, from = 0, to = values.length): number =>
  values.slice(from, to).reduce((a, b) => Math.min(a, b), Infinity)
const mean = (values: Float64Array, from = 0, to = values.length): number =>
  values.slice(from, to).reduce((a, b) => a + b, 0) / (to - from)
const dayOfMost = (values: Float64Array): number => values.indexOf(max(values))
/** First day on which a value is past an edge; Infinity when never. */
const firstDay = (values: Float64Array, past: (value: number) => boolean): number => {
  const at = values.findIndex(past)
  return at < 0 ? Infinity : at
}
const settled = ({ series }: EcoResult): number => settledDay(series.tan, series.nitrite)
const withFilter = (share: number, pond: EcoPond = SAMPLE_POND): EcoPond => ({
  ...pond,
  filter: {
    ...FILTER,
    stoneM3: FILTER.stoneM3 * share,
    areaM2: FILTER.areaM2 * share,
    flowM3PerH: FILTER.flowM3PerH * share,
  },
})
const shares = (changes: Partial<EcoPond['plants']>) => ({
  marginalShare: 0.1,
  lilyShare: 0,
  floatingShare: 0,
  submergedShare: 0,
  ...changes,
})
const wakeFrom = (end: EcoResult['end'], changes: Partial<EcoResult['end']['running']>): EcoResult['end'] => ({
  ...end,
  running: { ...end.running, ...changes },
})

const cycling: Behaviour = {
  key: 'cycling',
  words:
    'A new fish pond peaks in ammonia, then nitrite, and settles in 5–10 weeks; mature media shorten it; cold doubles it',
  trial: (p) => {
    const pond = { ...SAMPLE_POND, fish: { ...SAMPLE_POND.fish, feedFromC: 8 } }
    const start = { kind: 'new' as const, known: { waterC: 19 } }
    const warm = run(p, { pond, weather: steadyWeather(200, 15), startDay: 121, days: 110, start })
    const seeded = run(p, {
      pond,
      weather: steadyWeather(200, 15),
      startDay: 121,
      days: 60,
      start,
      events: [day('seed-bacteria', 0, { share: 0.12 })],
    })
    const cold = run(p, {
      pond,
      weather: steadyWeather(200, 5, 5),
      startDay: 121,
      days: 190,
      start: { kind: 'new', known: { waterC: 10 } },
    })
    const figures = {
      tanPeakDay: dayOfMost(warm.series.tan),
      nitritePeakDay: dayOfMost(warm.series.nitrite),
      settledDay: settled(warm),
      seededSettledDay: settled(seeded),
      coldSettledDay: settled(cold),
    }
    return {
      figures,
      holds:
        figures.tanPeakDay >= 6 &&
        figures.tanPeakDay <= 25 &&
        figures.nitritePeakDay > figures.tanPeakDay &&
        figures.nitritePeakDay <= 46 &&
        figures.settledDay >= 28 &&
        figures.settledDay <= 75 &&
        figures.seededSettledDay <= 21 &&
        figures.coldSettledDay >= 1.8 * figures.settledDay,
    }
  },
}

const greenWater: Behaviour = {
  key: 'green-water',
  words:
    'A well-sized bog clears a green pond in 1–4 weeks of summer; half of it does not; a lamp alone clears in 3–10 days and leaves the nutrients',
  trial: (p) => {
    const green = { startDay: 151, days: 40, start: { kind: 'green' as const, known: { waterC: 19 } } }
    const lampOnly = { ...SAMPLE_POND, filter: { ...withFilter(0.1).filter, flowM3PerH: 8, uvFlowM3PerH: 6 } }
    const [well, half, lamp] = [
      run(p, green),
      run(p, { ...green, pond: withFilter(0.5) }),
      run(p, { ...green, pond: lampOnly }),
    ]
    const clear = (r: EcoResult) => firstDay(r.series.clarityM, (m) => m > 0.6)
    const figures = {
      wellClearDay: clear(well),
      halfClarityDay28M: half.series.clarityM[28]!,
      wellClarityDay28M: well.series.clarityM[28]!,
      lampClearDay: clear(lamp),
      lampPhosphateDay20: lamp.series.phosphate[20]!,
    }
    return {
      figures,
      holds:
        figures.wellClearDay >= 4 &&
        figures.wellClearDay <= 30 &&
        figures.halfClarityDay28M < 0.7 &&
        figures.wellClarityDay28M > 1.3 * figures.halfClarityDay28M &&
        figures.lampClearDay >= 3 &&
        figures.lampClearDay <= 10 &&
        figures.lampPhosphateDay20 > 0.1,
    }
  },
}

const load: Behaviour = {
  key: 'load',
  words:
    'Doubling feed raises ammonia and algae, halving fish lowers them; oxygen is least at dawn and falls with an algal crash',
  trial: (p) => {
    // few fish and little filter: where what is fed decides how green it gets
    const lean = { ...withFilter(0.2), fish: { ...SAMPLE_POND.fish, massKg: 2, feedFromC: 8 } }
    const pond = withFilter(0.6)
    const feeding = (of: EcoPond, fish: Partial<EcoPond['fish']>, start: 'new' | 'settled') =>
      run(p, { pond: { ...of, fish: { ...of.fish, ...fish } }, days: 270, start: { kind: start } })
    const [base, fed, fewer] = [
      feeding(pond, {}, 'settled'),
      feeding(pond, { feedFactor: 2 }, 'settled'),
      feeding(pond, { massKg: 6 }, 'settled'),
    ]
    const [leanBase, leanFed, leanFewer] = [
      feeding(lean, {}, 'new'),
      feeding(lean, { feedFactor: 2 }, 'new'),
      feeding(lean, { massKg: 1 }, 'new'),
    ]
    const tan = (r: EcoResult) => mean(r.series.tan, 180, 270)
    const algae = (r: EcoResult) => mean(r.series.filamentousGM2, 180, 270) + mean(r.series.chlorophyll, 180, 270)
    const soup = {
      pond: withFilter(0.15),
      startDay: 171,
      days: 30,
      start: { kind: 'green' as const, known: { waterC: 21 } },
      every: 'hour' as const,
    }
    const crash = run(p, { ...soup, events: [day('kill-algae', 15, { share: 0.9 })] })
    const calm = run(p, soup)
    const dayBefore = calm.series.oxygen.slice(14 * 24, 15 * 24)
    const figures = {
      tanBase: tan(base),
      tanFed: tan(fed),
      tanFewer: tan(fewer),
      algaeBase: algae(leanBase),
      algaeFed: algae(leanFed),
      algaeFewer: algae(leanFewer),
      leastOxygenHour: dayBefore.indexOf(min(dayBefore)),
      calmLeastOxygen: min(calm.series.oxygen, 15 * 24, 22 * 24),
      crashLeastOxygen: min(crash.series.oxygen, 15 * 24, 22 * 24),
    }
    return {
      figures,
      holds:
        figures.tanFed > 1.2 * figures.tanBase &&
        figures.tanFewer < 0.95 * figures.tanBase &&
        figures.algaeFed > 1.03 * figures.algaeBase &&
        figures.algaeFewer < 0.97 * figures.algaeBase &&
        figures.leastOxygenHour >= 2 &&
        figures.leastOxygenHour <= 8 &&
        figures.crashLeastOxygen < 0.9 * figures.calmLeastOxygen,
    }
  },
}

const rinsing: Behaviour = {
  key: 'rinsing',
  words:
    'Rinsing all media in tap water in spring brings ammonia and then nitrite; half in pond water hardly any; stages beat one overhaul',
  trial: (p) => {
    const { end } = run(p, {})
    const spring = (events: PondEvent[]) => run(p, { start: end, days: 165, events })
    const half = (at: number) => day('rinse-media', at, { share: 0.5, water: 'pond' })
    const none = spring([])
    const tap = spring([day('rinse-media', 108, { share: 1, water: 'tap' })])
    const halfPond = spring([half(108)])
    const staged = spring([half(108), half(129)])
    const peak = (r: EcoResult) => ({ tan: max(r.series.tan, 108), nitrite: max(r.series.nitrite, 108) })
    const at = (values: Float64Array) => 108 + dayOfMost(values.slice(108))
    const figures = {
      tanNone: peak(none).tan,
      tanTap: peak(tap).tan,
      tanHalf: peak(halfPond).tan,
      tanStaged: peak(staged).tan,
      nitriteNone: peak(none).nitrite,
      nitriteTap: peak(tap).nitrite,
      nitriteStaged: peak(staged).nitrite,
      tanTapDay: at(tap.series.tan),
      nitriteTapDay: at(tap.series.nitrite),
    }
    return {
      figures,
      holds:
        figures.tanTap > 1.8 * figures.tanNone &&
        figures.nitriteTap > 1.6 * figures.nitriteNone &&
        figures.nitriteTapDay >= figures.tanTapDay &&
        figures.tanHalf < 1.25 * figures.tanNone &&
        figures.tanStaged < 0.75 * figures.tanTap &&
        figures.nitriteStaged < 0.75 * figures.nitriteTap,
    }
  },
}

const pumpOff: Behaviour = {
  key: 'pump-off',
  words:
    'With the pump off the bed loses bacteria within hours; after a day recovery takes weeks; a bed that stays wet fares better than a drained one',
  trial: (p) => {
    const until = run(p, { days: 190 })
    const off = (hours: number, wetShareStopped: number) => {
      const pond = { ...SAMPLE_POND, filter: { ...FILTER, wetShareStopped } }
      const events = hours > 0 ? [day('pump', 0, { running: false }), day('pump', hours / 24, { running: true })] : []
      return run(p, { pond, start: until.end, startDay: 191, days: 45, events, every: 'hour' }).series.bacteriaShare
    }
    const [calm, dry6, dry24, wet24] = [off(0, 1), off(6, 0.1), off(24, 0.1), off(24, 1)]
    const back = (bed: Float64Array) => bed.findIndex((share, h) => h > 30 && share >= 0.95 * calm[h]!) / 24
    const figures = {
      dryLeft6h: dry6[7]! / calm[7]!,
      dryLeft24h: dry24[25]! / calm[25]!,
      wetLeft24h: wet24[25]! / calm[25]!,
      dryBackDays: back(dry24),
      wetBackDays: back(wet24),
    }
    return {
      figures,
      holds:
        figures.dryLeft6h < 0.88 &&
        figures.dryLeft24h < 0.5 &&
        figures.wetLeft24h > 1.2 * figures.dryLeft24h &&
        figures.dryBackDays >= 7 &&
        figures.wetBackDays < figures.dryBackDays,
    }
  },
}

const springBump: Behaviour = {
  key: 'spring-bump',
  words:
    'In spring appetite returns before the bacteria: a small rise of ammonia, smaller with feed of little protein or with feeding begun late',
  trial: (p) => {
    const { end } = run(p, {})
    const spring = (changes: Partial<EcoResult['end']['running']>) =>
      run(p, { start: wakeFrom(end, changes), days: 200 })
    const early = spring({ feedFromC: 8 })
    const summerTan = mean(early.series.tan, 180, 200)
    const bump = (r: EcoResult) => max(r.series.tan, 90, 150) - summerTan
    const figures = {
      summerTan,
      earlyBump: bump(early),
      lateBump: bump(spring({ feedFromC: 13 })),
      lowProteinBump: bump(spring({ feedFromC: 8, lowProteinBelowC: 17 })),
    }
    return {
      figures,
      holds:
        figures.earlyBump > 0.3 * summerTan &&
        figures.earlyBump < 1.5 &&
        figures.lateBump < figures.earlyBump &&
        figures.lowProteinBump < 0.8 * figures.earlyBump,
    }
  },
}

const winter: Behaviour = {
  key: 'winter',
  words:
    'Under closed ice oxygen falls and CO2 rises over weeks; a hole or an aerator prevents it; plants taken out in autumn leave less nutrient for spring',
  trial: (p) => {
    const cold = YEARS.slice(304).map((d) => ({ ...d, minAirC: d.minAirC - 6, maxAirC: d.maxAirC - 6 }))
    const still = {
      ...SAMPLE_POND,
      fallM: 0,
      fish: { ...SAMPLE_POND.fish, massKg: 6 },
      filter: { ...FILTER, flowM3PerH: 0 },
    }
    const under = (changes: Partial<EcoPond>) =>
      run(p, { pond: { ...still, ...changes }, weather: cold, startDay: 305, days: 120 })
    const [sealed, hole, aerator] = [under({}), under({ iceHole: true }), under({ aeratorGPerD: 150 })]
    const lush: EcoPond = {
      ...SAMPLE_POND,
      fish: { ...SAMPLE_POND.fish, massKg: 2 },
      filter: { ...FILTER, areaM2: 10 },
      plants: { marginalShare: 0.9, lilyShare: 0.3, floatingShare: 0, submergedShare: 0.3 },
    }
    const cuts = [
      day('cut', 300, { plants: 'marginals', share: 0.9 }),
      day('cut', 300, { plants: 'lilies', share: 0.9 }),
      day('cut', 300, { plants: 'submerged', share: 0.8 }),
      day('cut', 318, { plants: 'marginals', share: 0.95 }),
    ]
    const left = run(p, { pond: lush, days: 475 })
    const taken = run(p, { pond: lush, days: 475, events: cuts })
    const nutrient = (r: EcoResult) => mean(r.series.nitrate, 430, 470) + mean(r.series.tan, 430, 470)
    const figures = {
      sealedOxygen: sealed.series.oxygen[90]!,
      holeOxygen: hole.series.oxygen[90]!,
      aeratorOxygen: aerator.series.oxygen[90]!,
      sealedCarbonDioxide: sealed.series.carbonDioxide[90]!,
      holeCarbonDioxide: hole.series.carbonDioxide[90]!,
      springNitrogenLeft: nutrient(left),
      springNitrogenTaken: nutrient(taken),
    }
    return {
      figures,
      holds:
        figures.sealedOxygen < 3 &&
        figures.holeOxygen > figures.sealedOxygen + 2 &&
        figures.aeratorOxygen > 6 &&
        figures.sealedCarbonDioxide > 1.5 * figures.holeCarbonDioxide &&
        figures.springNitrogenTaken < 0.9 * figures.springNitrogenLeft,
    }
  },
}

const shade: Behaviour = {
  key: 'shade',
  words: 'Lilies shade; floating plants out-compete green water; cutting them hard in June lets algae back for a while',
  trial: (p) => {
    const green = (plants: EcoPond['plants'], events: PondEvent[] = []) => {
      const pond = { ...withFilter(0.4), plants }
      return run(p, { pond, startDay: 136, days: 100, start: { kind: 'green', known: { waterC: 18 } }, events }).series
        .chlorophyll
    }
    const bare = green(shares({}))
    const lilies = green(shares({ lilyShare: 0.6 }))
    const floating = green(shares({ floatingShare: 0.7 }))
    const cut = green(shares({ floatingShare: 0.7 }), [day('cut', 35, { plants: 'floating', share: 0.85 })])
    const late = (values: Float64Array) => mean(values, 60, 100)
    const figures = {
      bare: late(bare),
      lilies: late(lilies),
      floating: late(floating),
      floatingAfter: max(floating, 38, 60),
      cutAfter: max(cut, 38, 60),
    }
    return {
      figures,
      holds:
        figures.lilies < 0.9 * figures.bare &&
        figures.floating < 0.7 * figures.bare &&
        figures.cutAfter > 1.15 * figures.floatingAfter,
    }
  },
}

const stirring: Behaviour = {
  key: 'stirring',
  words:
    'A neglected floor that is vacuumed at once lets out oxygen demand and ammonia; a section at a time each pulse stays small; weeks later less rots',
  trial: (p) => {
    // air on first, as a rescue begins
    const start = {
      pond: { ...SAMPLE_POND, aeratorGPerD: 300 },
      startDay: 131,
      days: 45,
      start: { kind: 'neglected' as const, known: { waterC: 16 } },
      every: 'hour' as const,
    }
    const [untouched, whole, section] = [0, 0.95, 0.2].map((share) =>
      run(p, { ...start, events: share > 0 ? [day('vacuum', 2.5, { share })] : [] }),
    )
    // the hours after the work
    const [from, to] = [2.5 * 24, 3 * 24]
    const dip = (r: EcoResult) => min(untouched!.series.oxygen, from, to) - min(r.series.oxygen, from, to)
    const ammonia = (r: EcoResult) => max(r.series.tan, from, to) - max(untouched!.series.tan, from, to)
    const muckAt = (r: EcoResult) => r.end.y[STATE.muck]!
    const figures = {
      wholeOxygenDip: dip(whole!),
      sectionOxygenDip: dip(section!),
      wholeOxygen: min(whole!.series.oxygen, from, to),
      wholeAmmoniaPulse: ammonia(whole!),
      sectionAmmoniaPulse: ammonia(section!),
      muckLeft: muckAt(whole!) / muckAt(untouched!),
    }
    return {
      figures,
      holds:
        (figures.wholeOxygenDip > 2 || figures.wholeOxygen < 1) &&
        figures.sectionOxygenDip > 0 &&
        figures.sectionOxygenDip < 0.7 * figures.wholeOxygenDip &&
        figures.wholeAmmoniaPulse > 0.1 &&
        figures.sectionAmmoniaPulse < 0.5 * figures.wholeAmmoniaPulse &&
        figures.muckLeft < 0.3,
    }
  },
}

export const BEHAVIOURS: readonly Behaviour[] = [
  cycling,
  greenWater,
  load,
  rinsing,
  pumpOff,
  springBump,
  winter,
  shade,
  stirring,
]
