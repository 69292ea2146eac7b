import { addDays } from '../../numeric/calendar'
import { normalDeviate, seededRandom, type Random } from '../../numeric/random'
import { waterBalance, type DayLoss, type LevelLog, type WaterBalance } from '../water-balance'

/** A pond whose losses are known, and how it is looked at. */
export interface LeakTrial {
  readonly leaks: 'none' | 'shell' | 'moving-water'
  readonly leakMmPerD: number
  /** What falls throw and wet, as a share of the still surface's evaporation. */
  readonly splash: number
  /** Evaporation that truly came, as a share of what the weather says of it. */
  readonly evaporationShare: number
  readonly looks: readonly { readonly pumpOn: boolean; readonly bucket: boolean }[]
  readonly rain: boolean
  readonly topUps: boolean
}

const TODAY = '2027-07-20'
const AREA_M2 = 30

/** Days of looks at a pond as crews and customers make them, and what is made of them. */
export function lookAt(trial: LeakTrial, seed: number): WaterBalance {
  const random = seededRandom(40_009 + 31 * seed)
  const days = new Map<string, DayLoss>()
  for (let back = 0; back < 60; back++)
    days.set(addDays(TODAY, -back), {
      evaporationMm: Math.max(0.5, 4.5 + 1.3 * normalDeviate(random)),
      rainMm: trial.rain && random() < 0.35 ? -6 * Math.log(1 - random()) : 0,
      observed: true,
    })
  const logs = trial.looks.map((look, i): LevelLog => {
    const day = addDays(TODAY, -1 - 2 * i)
    const parts = [days.get(day)!, days.get(addDays(day, -1))!]
    const mean = (of: (d: DayLoss) => number) => (of(parts[0]!) + of(parts[1]!)) / 2
    // showers differ from the station's by a third, and a day's evaporation from the formula's by an eighth
    const rain = mean((d) => d.rainMm) * Math.exp(0.3 * normalDeviate(random))
    const still = mean((d) => d.evaporationMm) * trial.evaporationShare * Math.exp(0.12 * normalDeviate(random))
    const leak = trial.leaks === 'none' || (trial.leaks === 'moving-water' && !look.pumpOn) ? 0 : trial.leakMmPerD
    const added = trial.topUps && random() < 0.5 ? 0.2 + 0.3 * random() : 0
    const lost = still * (look.pumpOn ? 1 + trial.splash : 1) + leak
    return {
      day,
      hours: 24,
      dropMm: read(lost - rain - (1000 * added) / AREA_M2, 1.2, random),
      bucketDropMm: look.bucket ? read(still - rain, 0.5, random) : null,
      pumpOn: look.pumpOn,
      addedM3: added,
    }
  })
  return waterBalance(logs, (date) => days.get(date)!, AREA_M2, TODAY)
}

const read = (mm: number, sd: number, random: Random): number => Math.round(mm + sd * normalDeviate(random))

const looks = (pumpOn: number, pumpOff: number, bucket: boolean): LeakTrial['looks'] => [
  ...Array.from({ length: pumpOn }, () => ({ pumpOn: true, bucket })),
  ...Array.from({ length: pumpOff }, () => ({ pumpOn: false, bucket })),
]

const SOUND = { leaks: 'none', leakMmPerD: 0, splash: 0.2, evaporationShare: 1, rain: true, topUps: true } as const

/** Sound ponds that look as if they leaked, and leaks that weather hides. */
export const LEAK_CASES: Readonly<Record<string, LeakTrial>> = {
  'sound, big falls, bucket, pump on': { ...SOUND, splash: 0.9, looks: looks(4, 0, true) },
  'sound, big falls, bucket, on and off': { ...SOUND, splash: 0.9, looks: looks(3, 2, true) },
  'sound, big falls, weather only': { ...SOUND, splash: 0.9, looks: looks(4, 0, false) },
  'sound, weather that reckons a third too little': { ...SOUND, evaporationShare: 1.35, looks: looks(4, 0, false) },
  'sound, the same with the pump off too': { ...SOUND, evaporationShare: 1.35, looks: looks(3, 2, false) },
  'sound, rain and top-ups': { ...SOUND, looks: looks(4, 1, false) },
  'leaks 5 mm a day through the shell, rain and top-ups, on and off': {
    ...SOUND,
    leaks: 'shell',
    leakMmPerD: 5,
    looks: looks(3, 3, true),
  },
  'leaks 5 mm a day beside the falls, bucket, on and off': {
    ...SOUND,
    leaks: 'moving-water',
    leakMmPerD: 5,
    looks: looks(3, 3, true),
  },
}

export interface LeakRates {
  /** Share told to have a leak, wherever. */
  readonly called: number
  /** Share for which the next look is asked for: a day with the pump off, or more of them. */
  readonly open: number
}

export function leakRates(trial: LeakTrial, ponds: number): LeakRates {
  const advices = Array.from({ length: ponds }, (_, seed) => lookAt(trial, seed).advice)
  const share = (of: readonly string[]) => advices.filter((advice) => of.includes(advice)).length / ponds
  return { called: share(['shell', 'moving-water']), open: share(['try-pump-off', 'undecided']) }
}

/** Ponds as they are asked about, one in five of them leaking: by tenths of what was said, how many did. */
export function leakReliability(ponds: number): { said: number; cases: number; leaked: number }[] {
  const bins = Array.from({ length: 10 }, () => ({ said: 0, cases: 0, leaked: 0 }))
  for (let seed = 0; seed < ponds; seed++) {
    const random = seededRandom(90_011 + seed)
    const draw = random()
    const leaks = (['shell', 'moving-water'] as const)[Math.floor(draw * 10)] ?? 'none'
    const trial: LeakTrial = {
      leaks,
      leakMmPerD: 8 * Math.exp(1.1 * normalDeviate(random)),
      splash: 0.2 * Math.exp(0.85 * normalDeviate(random)),
      evaporationShare: Math.exp(0.2 * normalDeviate(random)),
      rain: random() < 0.5,
      topUps: random() < 0.3,
      looks: looks(1 + Math.floor(3 * random()), Math.floor(3 * random()), random() < 0.5),
    }
    const { leak } = lookAt(trial, seed)
    const said = leak!.shell + leak!.movingWater
    const bin = bins[Math.min(9, Math.floor(10 * said))]!
    bin.said += said
    bin.cases++
    bin.leaked += Number(leaks !== 'none')
  }
  return bins.map((bin) => ({ ...bin, said: bin.cases > 0 ? bin.said / bin.cases : 0 }))
}
