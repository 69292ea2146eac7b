import { valueAt } from '../ecosystem/draw-parameters'
import type { PondEvent } from '../ecosystem/events'
import { ECOSYSTEM_PARAMETERS, PARAMETER_NAMES, type ParameterValues } from '../ecosystem/parameters'
import type { EcoPond } from '../ecosystem/pond'
import type { PondState } from '../ecosystem/running'
import { normalDeviate, type Random } from '../numeric/random'

/**
 * What a pond's file says of it and nobody knows exactly: how much its fish weigh by now and are fed, how warm its
 * corner is, how much falls in. Logarithms of shares, the air in °C.
 * @source house defaults; the volume's own uncertainty comes with the survey
 */
const OWN_SD = { stock: 0.2, feed: 0.25, airC: 0.6, leaves: 0.4 } as const
type Own = keyof typeof OWN_SD
const OWN = Object.keys(OWN_SD) as Own[]

/** A member's traits: standard normal deviations of the model's parameters, then of what its file says. */
export type Traits = readonly number[]
export const TRAIT_COUNT = PARAMETER_NAMES.length + OWN.length
/** No trait is believed further out. */
export const FURTHEST_TRAIT = 2.5

export const drawTraits = (random: Random): number[] =>
  Array.from({ length: TRAIT_COUNT }, () => Math.max(-FURTHEST_TRAIT, Math.min(FURTHEST_TRAIT, normalDeviate(random))))

export function parametersOf(traits: Traits): ParameterValues {
  const values = PARAMETER_NAMES.map((name, i) => [name, valueAt(ECOSYSTEM_PARAMETERS[name], traits[i]!)])
  return Object.fromEntries(values) as ParameterValues
}

const own = (traits: Traits, of: Own): number => OWN_SD[of] * traits[PARAMETER_NAMES.length + OWN.indexOf(of)]!

/** The pond as a member takes it. @param volumeShare its water as a share of the adopted volume */
export const pondOf = (pond: EcoPond, traits: Traits, volumeShare: number): EcoPond => ({
  ...pond,
  volumeM3: pond.volumeM3 * volumeShare,
  meanDepthM: pond.meanDepthM * volumeShare,
  airOffsetC: (pond.airOffsetC ?? 0) + own(traits, 'airC'),
  leafKgPerYear: pond.leafKgPerYear * Math.exp(own(traits, 'leaves')),
  fish: {
    ...pond.fish,
    massKg: pond.fish.massKg * Math.exp(own(traits, 'stock')),
    feedFactor: fed(pond.fish.feedFactor, traits),
  },
})

const MOST_FED = 10
const fed = (factor: number, traits: Traits): number => Math.min(MOST_FED, factor * Math.exp(own(traits, 'feed')))

/** Fish and feed as a member takes them in what goes on, and in what is done at the pond. */
export const stateAsKept = (state: PondState, traits: Traits): PondState =>
  withFish(state, Math.exp(own(traits, 'stock')), Math.exp(own(traits, 'feed')))
/** The state again as its file has it: kept so, whatever its traits become. */
export const stateOnFile = (state: PondState, traits: Traits): PondState =>
  withFish(state, Math.exp(-own(traits, 'stock')), Math.exp(-own(traits, 'feed')))

const withFish = ({ y, running }: PondState, stock: number, feed: number): PondState => ({
  y,
  running: {
    ...running,
    fishMassKg: running.fishMassKg * stock,
    feedFactor: Math.min(MOST_FED, running.feedFactor * feed),
  },
})

export const eventsAsFed = (events: readonly PondEvent[], traits: Traits): PondEvent[] =>
  events.map((event) =>
    event.kind === 'feed' && event.factor !== undefined ? { ...event, factor: fed(event.factor, traits) } : event,
  )
