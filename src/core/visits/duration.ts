import { assertInRange } from '../errors'
import type { CleanoutQuantities } from './cleanout-quantities'
import { LONGEST_REFILL_WAIT_MIN } from './types/cleanout-legs'

/** Person-minutes of handwork. @source house defaults; logged times will correct them */
const WORK_RATES = {
  setUp: 50,
  testsAndPhotos: 25,
  perFish: 1.2,
  fishBase: 20,
  perM2Rinse: 2.2,
  mediaAndSkimmer: 45,
  plantsAndEdges: 60,
  acclimateAndReturn: 40,
  packUp: 50,
  /** Two people do not work twice as fast as one. */
  crewEfficiency: 0.85,
} as const

type DurationPart =
  'set-up' | 'tests' | 'pump-out' | 'fish' | 'rinse' | 'media' | 'plants' | 'refill' | 'fish-back' | 'pack-up'

export interface DurationEstimate {
  readonly parts: readonly {
    readonly part: DurationPart
    readonly minutes: number
    readonly by: 'people' | 'machine'
  }[]
  readonly totalMinutes: number
}

/** Share of the refill that runs while the crew does something else on site. */
const REFILL_OVERLAP_MINUTES = 60

/**
 * How long a cleanout takes a crew, part by part. Handwork is shared among the crew; pumping and filling take their
 * own time,
 * less what runs beside handwork.
 * @param fishCount fish to move
 * @param wettedM2 stone and liner to rinse, m²
 * @param crewSize people, 1..8
 */
export function cleanoutDuration(
  quantities: CleanoutQuantities,
  fishCount: number,
  wettedM2: number,
  crewSize: number,
): DurationEstimate {
  assertInRange('crewSize', crewSize, [1, 8])
  assertInRange('fishCount', fishCount, [0, 1e6])
  assertInRange('wettedM2', wettedM2, [0, 1e6])
  const hands = crewSize === 1 ? 1 : crewSize * WORK_RATES.crewEfficiency
  const people = (part: DurationPart, personMinutes: number) => ({
    part,
    minutes: personMinutes / hands,
    by: 'people' as const,
  })
  const machine = (part: DurationPart, minutes: number) => ({
    part,
    minutes: Math.max(0, minutes),
    by: 'machine' as const,
  })
  const parts = [
    people('set-up', WORK_RATES.setUp),
    people('tests', WORK_RATES.testsAndPhotos),
    machine('pump-out', quantities.pumpOutMinutes),
    people('fish', fishCount > 0 ? WORK_RATES.fishBase + WORK_RATES.perFish * fishCount : 0),
    people('rinse', WORK_RATES.perM2Rinse * wettedM2),
    people('media', WORK_RATES.mediaAndSkimmer),
    people('plants', WORK_RATES.plantsAndEdges),
    machine('refill', quantities.refillMinutes - REFILL_OVERLAP_MINUTES),
    people('fish-back', fishCount > 0 ? WORK_RATES.acclimateAndReturn : 0),
    people('pack-up', WORK_RATES.packUp),
  ]
  return { parts, totalMinutes: parts.reduce((sum, p) => sum + p.minutes, 0) }
}

export interface TwoDays {
  /** Minutes of people, and of pumps, on the first day; the refill runs on through the night. */
  readonly first: { readonly peopleMin: number; readonly machineMin: number }
  /** Of people on the second day: tests, fish back, packing up once more. */
  readonly secondMin: number
}

/**
 * A cleanout whose pond fills longer than a crew can wait, over two days; null where one day does.
 * @param parts of its duration
 */
export function overTwoDays(parts: DurationEstimate['parts']): TwoDays | null {
  const of = (part: DurationPart) => parts.find((p) => p.part === part)?.minutes ?? 0
  if (of('refill') <= LONGEST_REFILL_WAIT_MIN) return null
  const people = parts.filter((p) => p.by === 'people').reduce((sum, p) => sum + p.minutes, 0)
  return {
    first: { peopleMin: people - of('fish-back'), machineMin: of('pump-out') },
    secondMin: of('tests') + of('fish-back') + of('pack-up'),
  }
}
