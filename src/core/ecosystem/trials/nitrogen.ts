import type { PondEvent } from '../events'
import { settledDay } from '../settling'
import type { EcoResult } from '../simulate'
import { day, dayOfMost, FILTER, max, mean, run, type Behaviour } from './kit'
import { SAMPLE_POND } from './sample-pond'
import { steadyWeather } from './steady-weather'

const settled = ({ series }: EcoResult): number => settledDay(series.tan, series.nitrite)
const wakeFrom = (end: EcoResult['end'], changes: Partial<EcoResult['end']['running']>): EcoResult['end'] => ({
  ...end,
  running: { ...end.running, ...changes },
})

export const cycling: Behaviour = {
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

export const rinsing: Behaviour = {
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

export const pumpOff: Behaviour = {
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

export const springBump: Behaviour = {
  key: 'spring-bump',
  words:
    'In spring appetite returns before the bacteria: a small rise of ammonia, smaller with feed of little protein or with feeding begun late',
  trial: (p) => {
    const { end } = run(p, {})
    const spring = (changes: Partial<EcoResult['end']['running']>) =>
      run(p, { start: wakeFrom(end, changes), days: 200 })
    const early = spring({ feedFromC: 8 })
    const summerTan = mean(early.series.tan, 180, 200)
    const bump = (r: EcoResult) => max(r.series.tan, 90, 138) - summerTan
    const figures = {
      summerTan,
      earlyBump: bump(early),
      lateBump: bump(spring({ feedFromC: 13 })),
      lowProteinBump: bump(spring({ feedFromC: 8, lowProteinBelowC: 20 })),
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
