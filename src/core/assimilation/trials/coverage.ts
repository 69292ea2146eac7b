import type { EcoPond } from '../../ecosystem/pond'
import type { ParameterValues } from '../../ecosystem/parameters'
import { HAZARD_KEYS, HAZARDS, isPast, OUTLOOK_OUTPUTS, type OutlookOutput } from '../hazards'
import { seenToFloor } from '../observed'
import type { ReadingMethod } from '../../water/test-methods'
import { runTwin, type Twin, type TwinSize, type Twist } from './twin'

/** Days of a forecast on which it is held to what came, from 0. */
export const HELD_DAYS = [0, 6, 13, 20] as const
/** Outputs with a bar of their own; the level hangs on rain alone. */
export const HELD_OUTPUTS = OUTLOOK_OUTPUTS.filter((output) => output !== 'levelMm')

const parameters = (change: (p: ParameterValues) => Partial<ParameterValues>): Twist => ({
  parameters: (p) => ({ ...p, ...change(p) }),
})
const pond = (change: (p: EcoPond) => Partial<EcoPond>): Twist => ({ pond: (p) => ({ ...p, ...change(p) }) })

/** Ponds that are not as the model has any: each by a change far outside what it believes possible. */
export const TWISTS = {
  // a growth three times as far out as 19 in 20 ponds lie: twice the algae and more
  algae: parameters((p) => ({ algaeGrowth: 1.15 * p.algaeGrowth })),
  // a bed that holds nearly twice the ammonia for the same load
  nitrification: parameters((p) => ({
    arealNitrification: 0.6 * p.arealNitrification,
    ammoniaHalf: p.ammoniaHalf / 0.6,
  })),
  fish: pond((p) => ({ fish: { ...p.fish, massKg: 2 * p.fish.massKg } })),
  court: pond((p) => ({ airOffsetC: (p.airOffsetC ?? 0) + 2.5 })),
} as const satisfies Record<string, Twist>
export type TwistKey = keyof typeof TWISTS

export interface CoverageOf {
  readonly method: ReadingMethod
  readonly twist: TwistKey | null
  readonly firstSeed: number
  readonly ponds: number
  readonly size?: TwinSize
}

/** Cases that could be told right or wrong, and of them those that came as told. */
export interface Held {
  readonly cases: number
  readonly held: number
}

export interface Coverage {
  readonly byDay: Readonly<Record<OutlookOutput, readonly Held[]>>
  /** By tenths of what was said about a line being crossed within the outlook. */
  readonly risks: readonly (Held & { readonly said: number })[]
}

const TENTHS = 10

/** Forecasts of many ponds whose water is known to the day, held to what came. */
export function coverageOf({ method, twist, firstSeed, ponds, size }: CoverageOf): Coverage {
  const count = () => ({ cases: 0, held: 0 })
  const byDay = Object.fromEntries(OUTLOOK_OUTPUTS.map((output) => [output, HELD_DAYS.map(count)])) as Record<
    OutlookOutput,
    { cases: number; held: number }[]
  >
  const risks = Array.from({ length: TENTHS }, () => ({ ...count(), said: 0 }))
  for (let i = 0; i < ponds; i++) {
    const twin = runTwin({ seed: firstSeed + i, method, twist: twist ? TWISTS[twist] : undefined, size })
    for (const output of HELD_OUTPUTS)
      HELD_DAYS.forEach((day, d) => {
        const held = isHeld(twin, output, day)
        if (held === null) return
        byDay[output][d]!.cases++
        byDay[output][d]!.held += Number(held)
      })
    for (const { said, came } of callsOf(twin)) {
      const bin = risks[Math.min(TENTHS - 1, Math.floor(said * TENTHS))]!
      bin.cases++
      bin.held += Number(came)
      bin.said += said
    }
  }
  return { byDay, risks: risks.map((bin) => ({ ...bin, said: bin.cases > 0 ? bin.said / bin.cases : 0 })) }
}

/** Whether what came lies in the band; null where both see the floor, which nothing but a spade could miss. */
function isHeld({ made, truth, deepestM }: Twin, output: OutlookOutput, day: number): boolean | null {
  const { p10, p90 } = made.outlook.bands[output]
  const value = output === 'clarityM' ? Math.min(truth[output][day]!, deepestM) : truth[output][day]!
  if (output === 'clarityM' && seenToFloor(value, deepestM) && seenToFloor(p10[day]!, deepestM)) return null
  return value >= p10[day]! && value <= p90[day]!
}

function callsOf({ made, truth, deepestM }: Twin): { said: number; came: boolean }[] {
  return HAZARD_KEYS.filter((hazard) => hazard !== 'level').map((hazard) => {
    const series = truth[HAZARDS[hazard].output].slice(0, made.outlook.bands.waterC.p50.length)
    return {
      said: made.outlook.risks[hazard].whole,
      came: series.some((value) =>
        isPast(hazard, HAZARDS[hazard].output === 'clarityM' ? Math.min(value, deepestM) : value, deepestM),
      ),
    }
  })
}

/** Counts of several runs together. */
export function together(all: readonly Coverage[]): Coverage {
  const add = (held: readonly Held[]): Held => ({
    cases: held.reduce((sum, h) => sum + h.cases, 0),
    held: held.reduce((sum, h) => sum + h.held, 0),
  })
  const byDay = Object.fromEntries(
    OUTLOOK_OUTPUTS.map((output) => [output, HELD_DAYS.map((_, d) => add(all.map((c) => c.byDay[output][d]!)))]),
  ) as unknown as Coverage['byDay']
  const risks = Array.from({ length: TENTHS }, (_, i) => {
    const bins = all.map((c) => c.risks[i]!)
    const { cases, held } = add(bins)
    return { cases, held, said: cases > 0 ? bins.reduce((sum, b) => sum + b.said * b.cases, 0) / cases : 0 }
  })
  return { byDay, risks }
}
