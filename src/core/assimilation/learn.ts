import type { PondState } from '../ecosystem/running'
import { STATE, type StateName } from '../ecosystem/states'
import { recordOf } from '../numeric/record-of'
import { adjustments, moderate, momentsOf, regress, type Doubt } from './adjust'
import { wanderAfter, type Biases, type Wander } from './bias'
import type { FilterInput } from './filter-input'
import type { Member } from './member'
import { OBSERVED, OBSERVED_KINDS, type ObservedKind } from './observed'
import { intervalOf, likelihood, type DatedReading, type Interval } from './reading'
import { FURTHEST_TRAIT, TRAIT_COUNT } from './traits'

/** A member at the end of a day, with what its model made of that day, by kind on its scale. */
export interface Outcome {
  readonly member: Member
  readonly model: Readonly<Record<ObservedKind, number>>
}

/** States that readings tell something of, moved as logarithms of what is there. */
const MASSES = [
  'tan',
  'nitrite',
  'nitrate',
  'phosphate',
  'oxygen',
  'alkalinity',
  'inorganicCarbon',
  'phytoplankton',
  'filamentous',
  'marginals',
  'floating',
  'lilies',
  'submerged',
  'bedAmmoniaOxidisers',
  'bedNitriteOxidisers',
  'pondAmmoniaOxidisers',
  'pondNitriteOxidisers',
  'seston',
  'sediment',
  'muck',
  'bedSludge',
  'tannin',
  'sorbedPhosphorus',
] as const satisfies readonly StateName[]
/** What nobody could measure, g per m³ of pond: below it a logarithm says nothing. */
const TRACE_PER_M3 = 2e-3
/**
 * Part of the spread that a day of readings takes which is given back: few members err toward believing themselves.
 * @source relaxation to prior spread, Whitaker & Hamill 2012
 */
const GIVEN_BACK = 0.1

type Rows = Readonly<Record<'masses' | 'traits', readonly Float64Array[]>> & {
  readonly waterC: Float64Array
  readonly bias: Readonly<Record<ObservedKind, Float64Array>>
  readonly model: Readonly<Record<ObservedKind, Float64Array>>
}

interface Lesson {
  readonly outcomes: readonly Outcome[]
  readonly wander: Wander
  readonly readings: readonly DatedReading[]
}

/**
 * Moves an ensemble by the readings of one day, one after another.
 * @returns its members, and how far biases wander from now on
 */
export function learn(
  { outcomes, readings, wander }: Lesson,
  { pond, deepestM }: Pick<FilterInput, 'pond' | 'deepestM'>,
): { readonly members: Member[]; readonly wander: Wander } {
  const trace = TRACE_PER_M3 * pond.volumeM3
  const rows = rowsOf(outcomes, trace)
  const others = [...rows.masses, ...rows.traits, rows.waterC, ...OBSERVED_KINDS.map((kind) => rows.bias[kind])]
  const before = others.map((row) => momentsOf([...row]).sd)
  const wide = { ...wander }
  for (const reading of readings) {
    const { kind } = reading
    const interval = intervalOf(reading, deepestM)
    wide[kind] = wanderAfter(wander[kind], surpriseOf(rows, kind, interval))
    widen(rows.bias[kind], wide[kind] / wander[kind])
    const read = Array.from(rows.model[kind], (value, i) => value + rows.bias[kind][i]!)
    const moves = adjustments(read, (at) => likelihood(interval, at), doubtOf(kind, interval))
    const own = ownRow(rows, kind)
    const moderately = moderate(moves, momentsOf(read).sd)
    for (const row of others) regress(row, read, row === own ? moves : moderately)
    for (const other of OBSERVED_KINDS) if (other !== kind) regress(rows.model[other], read, moderately)
    // what is read is the model and its bias together: the model takes what the bias did not
    rows.model[kind].forEach((_, i) => (rows.model[kind][i] = read[i]! + moves[i]! - rows.bias[kind][i]!))
  }
  others.forEach((row, i) => giveBack(row, before[i]!))
  return { members: outcomes.map(({ member }, i) => memberFrom(member, rows, i, trace)), wander: wide }
}

/** Something happens that nobody logs: once in so many tests, and so far off, in what a kind parts by as a rule. */
const EVENT = { share: 0.04, sds: 2.5 } as const

function doubtOf(kind: ObservedKind, { low, high, scatter }: Interval): Doubt {
  const { share, sds } = EVENT
  const ends = [low, high].filter(Number.isFinite)
  const around = [Math.min(...ends) - 4 * scatter, Math.max(...ends) + 4 * scatter] as const
  return { share, sd: sds * OBSERVED[kind].sd, around }
}

/** What is read of each kind as the state that holds it: moved as far as the reading moves. */
const HELD_IN: Readonly<Record<Exclude<ObservedKind, 'waterTemp'>, (typeof MASSES)[number]>> = {
  tan: 'tan',
  nitrite: 'nitrite',
  nitrate: 'nitrate',
  orthophosphate: 'phosphate',
  dissolvedOxygen: 'oxygen',
  ph: 'inorganicCarbon',
  kh: 'alkalinity',
  clarityDepth: 'phytoplankton',
}

const ownRow = (rows: Rows, kind: ObservedKind): Float64Array =>
  kind === 'waterTemp' ? rows.waterC : rows.masses[MASSES.indexOf(HELD_IN[kind])]!

/** How far a reading lies from what the members expect, in standard deviations of both. */
function surpriseOf(rows: Rows, kind: ObservedKind, { low, high, scatter }: Interval): number {
  const { mean, sd } = momentsOf(Array.from(rows.model[kind], (value, i) => value + rows.bias[kind][i]!))
  return Math.max(0, low - mean, mean - high) / Math.hypot(sd, scatter)
}

/** Biases spread about their mean as far as they now wander; they have only ever been made wider here. */
function widen(row: Float64Array, by: number): void {
  if (by <= 1) return
  const { mean } = momentsOf([...row])
  row.forEach((value, i) => (row[i] = mean + by * (value - mean)))
}

function rowsOf(outcomes: readonly Outcome[], trace: number): Rows {
  const row = (of: (outcome: Outcome) => number) => Float64Array.from(outcomes, of)
  return {
    masses: MASSES.map((name) => row(({ member }) => Math.log(member.state.y[STATE[name]]! + trace))),
    traits: Array.from({ length: TRAIT_COUNT }, (_, t) => row(({ member }) => member.traits[t]!)),
    waterC: row(({ member }) => member.state.running.waterC),
    bias: recordOf(OBSERVED_KINDS, (kind) => row(({ member }) => member.bias[kind])),
    model: recordOf(OBSERVED_KINDS, (kind) => row(({ model }) => model[kind])),
  }
}

function giveBack(row: Float64Array, sdBefore: number): void {
  const { mean, sd } = momentsOf([...row])
  if (!(sd > 1e-12) || sd >= sdBefore) return
  const wider = 1 + (GIVEN_BACK * (sdBefore - sd)) / sd
  row.forEach((value, i) => (row[i] = mean + (value - mean) * wider))
}

const NO_ICE_ABOVE_C = 1

function memberFrom(was: Member, rows: Rows, i: number, trace: number): Member {
  const y = was.state.y.slice()
  MASSES.forEach((name, m) => (y[STATE[name]] = Math.max(0, Math.exp(rows.masses[m]![i]!) - trace)))
  const { running } = was.state
  const waterC = running.iceM > 0 ? running.waterC : Math.max(0, rows.waterC[i]!)
  const state: PondState = { y, running: { ...running, waterC, iceM: waterC > NO_ICE_ABOVE_C ? 0 : running.iceM } }
  const within = (value: number) => Math.max(-FURTHEST_TRAIT, Math.min(FURTHEST_TRAIT, value))
  const bias: Biases = recordOf(OBSERVED_KINDS, (kind) => rows.bias[kind][i]!)
  return { ...was, state, bias, traits: rows.traits.map((row) => within(row[i]!)) }
}
