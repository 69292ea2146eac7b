import { addDays, daysBetween, type IsoDate } from '../numeric/calendar'
import { seededRandom, type Random } from '../numeric/random'
import { plainDayOfYear, type DatedWeather } from '../season/weather-ahead'
import { drawParameters } from '../ecosystem/draw-parameters'
import type { PondEvent } from '../ecosystem/events'
import { asRead, misfit, OBSERVED, OBSERVED_KINDS, seenToFloor, withoutBias, type ObservedKind } from './observed'
import { parameterValues, type ParameterValues } from '../ecosystem/parameters'
import type { EcoPond } from '../ecosystem/pond'
import type { PondState } from '../ecosystem/running'
import { simulate } from '../ecosystem/simulate'
import { chlorophyllOfClarity, takeKnownWater, type KnownWater } from '../ecosystem/start'
import { recordOf } from '../numeric/record-of'

export interface DatedReading {
  readonly day: IsoDate
  readonly kind: ObservedKind
  readonly value: number
}

/** One of the ponds that this pond could be: a draw of parameters by its seed, and where it stands. */
export interface Particle {
  /** 0: the usual parameters. */
  readonly seed: number
  readonly state: PondState
}

/** What is known of a pond at the beginning of a day. */
export interface ParticleFilter {
  readonly day: IsoDate
  readonly particles: readonly Particle[]
  /** How far the model stands off at this pond as a rule, in standard deviations by kind: too high above 0. */
  readonly bias: Readonly<Partial<Record<ObservedKind, number>>>
  /** Seeds drawn so far: every fresh particle gets a new one. */
  readonly drawn: number
}

/** Share of the particles that are drawn anew at each resampling, so that the filter never believes itself too much. */
const FRESH_SHARE = 0.1
/**
 * How fast a pond's own bias is learnt.
 * @source exponential smoothing; a bias-aware filter as in Dee & da Silva 1998
 */
const BIAS_RATE = 0.5
/** How far a state that was read is drawn to the reading. @source Kalman gain of a model as uncertain as the reading */
const GAIN = 0.6

/** Begins with particles that all stand where a run-in left the pond. */
export function startFilter(state: PondState, day: IsoDate, size: number): ParticleFilter {
  const particles = Array.from({ length: size }, (_, seed) => ({ seed, state }))
  return { day, particles, bias: {}, drawn: size }
}

export const parametersOf = ({ seed }: Pick<Particle, 'seed'>): ParameterValues =>
  seed === 0 ? parameterValues() : drawParameters(seededRandom(SEED + seed))
const SEED = 51_001

export interface FilterInput {
  readonly pond: EcoPond
  /** The pond's deepest water, m: clarity is read no deeper. */
  readonly deepestM: number
  /** Observed days from the filter's day on, in order without gaps. */
  readonly weather: readonly DatedWeather[]
  readonly readings: readonly DatedReading[]
  /** What was done at the pond, days counted from the filter's day. */
  readonly events: readonly PondEvent[]
}

/**
 * Brings a pond's filter forward through observed days: a bootstrap particle filter. On a day with readings every
 * particle is weighed by them,
 * the likely ones are copied (systematic resampling), a tenth is drawn anew, and what was read is drawn toward the
 * reading.
 * A pond's lasting bias by kind is learnt beside it and taken off whatever is forecast.
 * @source Gordon, Salmond & Smith 1993; Kitagawa 1996
 */
export function advanceFilter(filter: ParticleFilter, input: FilterInput, to: IsoDate): ParticleFilter {
  const { weather, events, deepestM } = input
  const readings = input.readings.map((r) => ({ ...r, value: asRead(r.kind, r.value, deepestM) }))
  let now = filter
  const days = [...new Set(readings.filter((r) => r.day >= filter.day && r.day < to).map((r) => r.day))].sort()
  for (const day of [...days, null]) {
    const stop = day === null ? to : addDays(day, 1)
    const span = daysBetween(now.day, stop)
    if (span > 0)
      now = run(
        now,
        input,
        weather.slice(daysBetween(filter.day, now.day)),
        eventsWithin(events, daysBetween(filter.day, now.day), span),
        span,
      )
    if (day !== null)
      now = learn(
        now,
        input,
        readings.filter((r) => r.day === day),
      )
  }
  return withoutSeries(now)
}

interface Ran extends ParticleFilter {
  /** Each particle's outputs of the last day run, as far as they can be read. */
  readonly last?: readonly Readonly<Record<ObservedKind, number>>[]
}

function run(
  filter: ParticleFilter,
  { pond, deepestM }: FilterInput,
  weather: readonly DatedWeather[],
  events: readonly PondEvent[],
  days: number,
): Ran {
  const last: Record<ObservedKind, number>[] = []
  const particles = filter.particles.map((particle) => {
    const result = simulate({
      pond,
      weather,
      startDay: plainDayOfYear(filter.day),
      days,
      events,
      start: particle.state,
      parameters: parametersOf(particle),
      every: 'day',
      // the fish are those on file, whatever a particle makes of their water
      fishKept: true,
    })
    const value = (kind: ObservedKind) => asRead(kind, result.series[OBSERVED[kind].output][days - 1]!, deepestM)
    last.push(recordOf(OBSERVED_KINDS, value))
    return { seed: particle.seed, state: result.end }
  })
  return { ...filter, day: addDays(filter.day, days), particles, last }
}

function learn(filter: Ran, { pond, deepestM }: FilterInput, readings: readonly DatedReading[]): ParticleFilter {
  const { last } = filter
  if (!last) return filter
  const bias = { ...filter.bias }
  const off = (r: DatedReading, i: number) =>
    misfit(r.kind, withoutBias(r.kind, last[i]![r.kind], filter.bias[r.kind] ?? 0), r.value)
  const weights = filter.particles.map((_, i) => Math.exp(-0.5 * readings.reduce((sum, r) => sum + off(r, i) ** 2, 0)))
  const random = seededRandom(SEED + filter.drawn)
  const chosen = resample(weights, random)
  for (const { kind, value } of readings) {
    // what the particles that were chosen for their fit still leave: a bias is not learnt twice
    const residual = misfit(kind, middleOf(chosen.map((i) => last[i]![kind])), value)
    const known = filter.bias[kind]
    bias[kind] = known === undefined ? residual : known + BIAS_RATE * (residual - known)
  }
  const fresh = Math.floor(FRESH_SHARE * chosen.length)
  const particles = chosen.map((i, n) => {
    const seed = n >= chosen.length - fresh ? filter.drawn + n : filter.particles[i]!.seed
    const parameters = parametersOf({ seed })
    return {
      seed,
      state: takeKnownWater(
        filter.particles[i]!.state,
        drawnTo(readings, last[i]!, { bias, parameters, deepestM }),
        pond,
        parameters,
      ),
    }
  })
  return { ...filter, particles, bias, drawn: filter.drawn + chosen.length }
}

/** Systematic resampling; weights that have all vanished leave everything as it is. @returns indices to copy */
export function resample(weights: readonly number[], random: Random): number[] {
  const total = weights.reduce((a, b) => a + b, 0)
  if (!(total > 0)) return weights.map((_, i) => i)
  const n = weights.length
  const first = random() / n
  const chosen: number[] = []
  let [i, sum] = [0, weights[0]! / total]
  for (let k = 0; k < n; k++) {
    const at = first + k / n
    while (at > sum && i < n - 1) sum += weights[++i]! / total
    chosen.push(i)
  }
  return chosen
}

/**
 * Water between the model and what it would have to say for the reading, by the gain: the bias stays in the model's
 * own water.
 */
function drawnTo(
  readings: readonly DatedReading[],
  model: Readonly<Record<ObservedKind, number>>,
  {
    bias,
    parameters,
    deepestM,
  }: { readonly bias: ParticleFilter['bias']; readonly parameters: ParameterValues; readonly deepestM: number },
): KnownWater {
  const toward = (kind: ObservedKind): number | undefined => {
    const reading = readings.find((r) => r.kind === kind)
    if (!reading) return undefined
    // both see the floor: how clear the water is beyond that, the reading does not tell
    if (kind === 'clarityDepth' && seenToFloor(reading.value, deepestM) && seenToFloor(model.clarityDepth, deepestM))
      return undefined
    const wanted = withoutBias(kind, reading.value, -(bias[kind] ?? 0))
    return Math.max(0, model[kind] + GAIN * (wanted - model[kind]))
  }
  const [kh, clarity] = [toward('kh'), toward('clarityDepth')]
  return {
    waterC: toward('waterTemp'),
    tan: toward('tan'),
    nitrite: toward('nitrite'),
    nitrate: toward('nitrate'),
    phosphate: toward('orthophosphate'),
    ph: toward('ph'),
    alkalinity: kh === undefined ? undefined : kh * 17.848,
    chlorophyll: clarity === undefined ? undefined : chlorophyllOfClarity(clarity, parameters),
  }
}

const eventsWithin = (events: readonly PondEvent[], from: number, days: number): PondEvent[] =>
  events.filter((e) => e.day >= from && e.day < from + days).map((e) => ({ ...e, day: e.day - from }))

const middleOf = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!

const withoutSeries = ({ day, particles, bias, drawn }: Ran): ParticleFilter => ({ day, particles, bias, drawn })
