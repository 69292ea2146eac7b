import type { PondState } from '../ecosystem/running'
import { STATE, type StateName } from '../ecosystem/states'
import { recordOf } from '../numeric/record-of'
import { adjustments, momentsOf, regress } from './adjust'
import type { Biases } from './bias'
import type { Member } from './member'
import { OBSERVED_KINDS, type ObservedKind } from './observed'
import { intervalOf, likelihood, type DatedReading } from './reading'
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
const GIVEN_BACK = 0.2

type Rows = Readonly<Record<'masses' | 'traits', readonly Float64Array[]>> & {
  readonly waterC: Float64Array
  readonly bias: Readonly<Record<ObservedKind, Float64Array>>
  readonly model: Readonly<Record<ObservedKind, Float64Array>>
}

/**
 * Moves an ensemble by the readings of one day, one after another.
 * @param volumeM3 the pond's adopted volume, for what counts as a trace
 */
export function learn(
  outcomes: readonly Outcome[],
  readings: readonly DatedReading[],
  deepestM: number,
  volumeM3: number,
): Member[] {
  const trace = TRACE_PER_M3 * volumeM3
  const rows = rowsOf(outcomes, trace)
  const others = [...rows.masses, ...rows.traits, rows.waterC, ...OBSERVED_KINDS.map((kind) => rows.bias[kind])]
  const before = others.map((row) => momentsOf([...row]).sd)
  for (const reading of readings) {
    const { kind } = reading
    const interval = intervalOf(reading, deepestM)
    const read = Array.from(rows.model[kind], (value, i) => value + rows.bias[kind][i]!)
    const moves = adjustments(read, (at) => likelihood(interval, at))
    for (const row of others) regress(row, read, moves)
    for (const other of OBSERVED_KINDS) if (other !== kind) regress(rows.model[other], read, moves)
    // what is read is the model and its bias together: the model takes what the bias did not
    rows.model[kind].forEach((_, i) => (rows.model[kind][i] = read[i]! + moves[i]! - rows.bias[kind][i]!))
  }
  others.forEach((row, i) => giveBack(row, before[i]!))
  return outcomes.map(({ member }, i) => memberFrom(member, rows, i, trace))
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
