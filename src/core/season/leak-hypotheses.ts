import { normalDensity, normalQuantile } from '../statistics/normal'
import { tDensity } from '../statistics/student-t'

/** One look at a pond's level as the hypotheses are weighed by it, mm a day. */
export interface LossSeen {
  /** Lost by the pond: what it fell, with rain and what was added. */
  readonly lostMmPerD: number
  /** Lost by still water in the same weather, by a bucket or the weather. */
  readonly stillMmPerD: number
  /** How well both are known together for this look alone. */
  readonly ownSdMmPerD: number
  /** Still loss comes from the weather, whose error all such looks share, as a share; 0 of a bucket. */
  readonly sharedShare: number
  readonly pumpOn: boolean
}

/** What became of the water: likelihoods that make 1, and what a leak then loses. */
export interface LeakBelief {
  readonly none: number
  /** Through the shell, whether the pump runs or not. */
  readonly shell: number
  /** Beside falls, stream or filter, with the pump on. */
  readonly movingWater: number
  /** Loss by leaks as expected, a sound pond among the cases, mm/d: of the shell, and of moving water. */
  readonly shellMmPerD: number
  readonly movingMmPerD: number
}

/**
 * Before any look: one pond in five that is asked about leaks, half of it through the shell, and then by some 5 to
 * 20 mm a day, seldom by 100.
 * @source house default
 */
const BEFORE = { shell: 0.1, movingWater: 0.1, leakMmPerD: 8, leakSpread: 1.1 } as const
/**
 * What falls and streams throw and wet, as a share of the still surface's evaporation: usual, and how far ponds
 * differ, as a logarithm: big falls on a small pond lose as much again.
 * @source trade rule 10–30 % by wetted area; spread a house default
 */
export const SPLASH = { share: 0.2, spread: 0.85 } as const

const POINTS = { splash: 9, error: 7 } as const
/** Middles of equal shares of a distribution. */
const shares = (points: number): number[] => Array.from({ length: points }, (_, i) => (i + 0.5) / points)
const SPLASHES = shares(POINTS.splash).map((share) => SPLASH.share * Math.exp(SPLASH.spread * normalQuantile(share)))
const ERRORS = shares(POINTS.error).map(normalQuantile)
/** Leaks from what a ruler can see to a torn liner, evenly by their logarithm, with what is believed of each. */
const LEAKS = Array.from({ length: 28 }, (_, i) => 0.8 * 1.28 ** i)
const BELIEFS = LEAKS.map((rate) => normalDensity(Math.log(rate / BEFORE.leakMmPerD) / BEFORE.leakSpread))
const OF_ALL = BELIEFS.reduce((a, b) => a + b, 0)

/**
 * Weighs three stories of a pond that loses water: evaporation and splash alone, a leak through the shell, a leak
 * beside moving water. What is not known (how much the falls throw, how far the weather reckons wrong, how big the
 * leak) is integrated over, so that falls alone make no leak.
 * @param seen looks with the pump on and off together
 * @source Bayes' rule over a grid; errors of a look follow Student's t
 */
export function weighLeaks(seen: readonly LossSeen[]): LeakBelief {
  const cases = { none: 0, shell: 0, movingWater: 0, shellRate: 0, movingRate: 0 }
  // shares far below everything would all vanish: the best case is found first
  const logs: { readonly log: number; readonly add: (weight: number) => void }[] = []
  for (const splash of SPLASHES)
    for (const error of ERRORS) {
      const log = (shell: number, moving: number) =>
        seen.reduce((sum, look) => sum + Math.log(likelihoodOf(look, { splash, error, shell, moving })), 0)
      logs.push({
        log: log(0, 0),
        add: (w) => (cases.none += w * (1 - BEFORE.shell - BEFORE.movingWater)),
      })
      LEAKS.forEach((rate, i) => {
        const belief = BELIEFS[i]! / OF_ALL
        logs.push({
          log: log(rate, 0),
          add: (w) => {
            cases.shell += w * BEFORE.shell * belief
            cases.shellRate += w * BEFORE.shell * belief * rate
          },
        })
        logs.push({
          log: log(0, rate),
          add: (w) => {
            cases.movingWater += w * BEFORE.movingWater * belief
            cases.movingRate += w * BEFORE.movingWater * belief * rate
          },
        })
      })
    }
  const most = Math.max(...logs.map(({ log }) => log))
  for (const { log, add } of logs) add(Math.exp(log - most))
  const total = cases.none + cases.shell + cases.movingWater
  return {
    none: cases.none / total,
    shell: cases.shell / total,
    movingWater: cases.movingWater / total,
    shellMmPerD: cases.shellRate / total,
    movingMmPerD: cases.movingRate / total,
  }
}

interface Story {
  readonly splash: number
  readonly error: number
  readonly shell: number
  readonly moving: number
}

/** Student's t with four degrees of freedom reaches as far as a normal at 90 % where its scale is so much less. */
const T_SCALE = 0.836

function likelihoodOf(look: LossSeen, { splash, error, shell, moving }: Story): number {
  const still = look.stillMmPerD * Math.exp(look.sharedShare * error)
  const expected = look.pumpOn ? still * (1 + splash) + shell + moving : still + shell
  const scale = T_SCALE * look.ownSdMmPerD
  return tDensity((look.lostMmPerD - expected) / scale) / scale + 1e-12
}
