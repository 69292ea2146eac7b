import type { EcoPond } from '../pond'
import type { EcoResult } from '../simulate'
import { chlorophyllOfClarity } from '../start'
import { day, max, mean, min, run, type Behaviour } from './kit'
import { SAMPLE_POND } from './sample-pond'
import { sizedPond } from './sizing'

/** 100 goldfish of 15 cm weigh this much, kg. */
const HUNDRED_GOLDFISH_KG = 6.75
const GOLDFISH_POND: EcoPond = {
  ...SAMPLE_POND,
  volumeM3: 8.5,
  areaM2: 11,
  meanDepthM: 8.5 / 11,
  wallAreaM2: 22,
  fallM: 0.3,
  fish: { ...SAMPLE_POND.fish, massKg: HUNDRED_GOLDFISH_KG },
  filter: { ...SAMPLE_POND.filter, stoneM3: 0.06, areaM2: 0.2, flowM3PerH: 3, surfaceM2PerM3: 900 },
  plants: { marginalShare: 0, lilyShare: 0.05, floatingShare: 0, submergedShare: 0.05 },
}

export const thinning: Behaviour = {
  key: 'thinning',
  words: 'Forty goldfish instead of a hundred in 8.5 m³ with a small box filter: twice as clear within a month',
  trial: (p) => {
    // green as such a pond is by June, and a month on its own
    const known = { waterC: 19, chlorophyll: chlorophyllOfClarity(0.5, p) }
    const until = run(p, { pond: GOLDFISH_POND, startDay: 152, days: 30, start: { kind: 'green', known } })
    const go = (events: Parameters<typeof run>[1]['events']) =>
      run(p, { pond: GOLDFISH_POND, start: until.end, startDay: 182, days: 35, events }).series
    const [stay, fewer] = [go([]), go([day('fish', 0, { massKg: -0.6 * until.end.running.fishMassKg })])]
    const figures = {
      clarityBefore: mean(stay.clarityM, 28, 35),
      clarityAfter: mean(fewer.clarityM, 28, 35),
      chlorophyllBefore: mean(stay.chlorophyll, 28, 35),
      chlorophyllAfter: mean(fewer.chlorophyll, 28, 35),
      alive: until.end.running.fishAlive,
    }
    return { figures, holds: figures.clarityBefore < 0.7 && figures.clarityAfter >= 2 * figures.clarityBefore }
  },
}

export const overfeeding: Behaviour = {
  key: 'overfeeding',
  words: 'Ten times the feed for ten days of July: oxygen falls, ammonia rises, and the water is murky in two weeks',
  trial: (p) => {
    const pond = sizedPond(0.6, 0.12)
    const until = run(p, { pond, days: 185 })
    const go = (events: Parameters<typeof run>[1]['events']) =>
      run(p, { pond, start: until.end, startDay: 186, days: 20, events }).series
    const [usual, fed] = [go([]), go([day('feed', 0, { factor: 10 }), day('feed', 10, { factor: 1 })])]
    const figures = {
      clarityUsual: mean(usual.clarityM, 8, 14),
      leastClarity: min(fed.clarityM, 3, 14),
      oxygenUsual: min(usual.oxygen, 3, 14),
      oxygenFed: min(fed.oxygen, 3, 14),
      tanUsual: max(usual.tan, 3, 14),
      tanFed: max(fed.tan, 3, 14),
    }
    return {
      figures,
      holds:
        figures.clarityUsual > 1 &&
        figures.leastClarity < 1 &&
        figures.oxygenFed < figures.oxygenUsual - 0.5 &&
        figures.tanFed > 1.5 * figures.tanUsual,
    }
  },
}

const STEPS_KG_PER_M3 = [0, 0.05, 0.2, 0.5, 1, 2, 3.5, 5] as const

export const gradual: Behaviour = {
  key: 'gradual',
  words: 'From no fish to 5 kg/m³ with the same bed clarity falls step by step, with no switch at the first of them',
  trial: (p) => {
    const summer = (fish: number): EcoResult =>
      run(p, { pond: sizedPond(fish, 0.1), days: 240, start: { kind: 'settled' } })
    const clarity = STEPS_KG_PER_M3.map((fish) => mean(summer(fish).series.clarityM, 170, 240))
    const drops = clarity.slice(1).map((m, i) => clarity[i]! - m)
    const figures = Object.fromEntries(STEPS_KG_PER_M3.map((fish, i) => [`clarityAt${fish}`, clarity[i]!]))
    const whole = clarity[0]! - clarity.at(-1)!
    return {
      figures,
      holds:
        drops.every((drop) => drop > -0.03) &&
        drops[0]! < 0.25 * whole &&
        Math.max(...drops) < 0.75 * whole &&
        whole > 1,
    }
  },
}
