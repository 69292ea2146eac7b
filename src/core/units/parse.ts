import { failure, success, type Result } from '../result'
import { toCanonical, unitBySymbol } from './convert'
import { QUANTITY_KINDS, UNIT_KINDS, type QuantityKind, type Unit } from './kinds'
import { SHOWN_UNIT, type QuantityScale, type UnitSystem } from './systems'

export type QuantityProblem =
  | { code: 'empty' }
  | { code: 'not-a-number'; text: string }
  | { code: 'unknown-unit'; unit: string; kind: QuantityKind }
  | { code: 'other-kind'; unit: string; kind: QuantityKind; foundKind: QuantityKind }

export interface ParsedQuantity {
  /** In the kind's canonical unit. */
  readonly value: number
  /** The units read, in order, as symbols. */
  readonly units: readonly string[]
}

// a whole number with a fraction, a bare fraction, or a decimal with . or , and optional thousands
const NUMBER =
  /^[+-]?(?:\d+\s+\d+\/\d+|\d+\/\d+|\d{1,3}(?:,\d{3})+(?:\.\d+)?|\d+(?:[.,]\d+)?|[.,]\d+)(?:e[+-]?\d+)?(?![\d.,]*[.,\d])/i
const UNKNOWN_UNIT = /^[^\d\s]+(?:\s+[^\d\s+-]+)*/

/** Every spelling of every unit, longest first, so that "sq ft" is not read as an unknown "sq". */
const SPELLINGS = [
  ...new Set(
    QUANTITY_KINDS.flatMap((kind) =>
      (UNIT_KINDS[kind] as readonly Unit[]).flatMap((unit) => [unit.symbol.toLowerCase(), ...unit.names]),
    ),
  ),
]
  .filter((spelling) => spelling !== '')
  .sort((a, b) => b.length - a.length)

/** The unit that a text begins with, as typed: a known spelling where one fits, else the word that stands there. */
function unitAtStart(text: string): string {
  const lower = text.toLowerCase()
  const known = SPELLINGS.find(
    (spelling) =>
      lower.startsWith(spelling) && (/\W$/.test(spelling) || /^(?:$|[\s.\d+-])/.test(lower.slice(spelling.length))),
  )
  return known ? text.slice(0, known.length) : (UNKNOWN_UNIT.exec(text)?.[0] ?? '')
}

function readNumber(text: string): number {
  const fraction = /^([+-]?)(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(text)
  if (fraction)
    return (fraction[1] === '-' ? -1 : 1) * (Number(fraction[2] ?? 0) + Number(fraction[3]) / Number(fraction[4]))
  // "1,200" groups thousands; "0,5", "1,25" and "0,500" use a decimal comma
  const grouped = /^[+-]?[1-9]\d{0,2}(,\d{3})+(\.\d+)?(e|$)/i.test(text)
  return Number(grouped ? text.replaceAll(',', '') : text.replace(',', '.'))
}

const normalise = (unit: string): string => unit.trim().toLowerCase().replaceAll('.', '').replace(/\s+/g, ' ')

function findUnit(kind: QuantityKind, typed: string): Unit | undefined {
  const name = normalise(typed)
  return (UNIT_KINDS[kind] as readonly Unit[]).find(
    (unit) => unit.symbol === typed.trim() || unit.symbol.toLowerCase() === name || unit.names.includes(name),
  )
}

/**
 * Reads what a person typed into a quantity field: "12 ft 6 in", "1 1/2 in", "0,5 m", "900 gal", "54 F".
 * A bare number is taken in the unit the field shows; several parts ("12 ft 6") add up, a bare last part after feet
 * is inches.
 * @returns the value in the kind's canonical unit with the units understood, or why it cannot be read
 */
export function parseQuantity(
  text: string,
  kind: QuantityKind,
  system: UnitSystem,
  scale: QuantityScale = 'usual',
): Result<ParsedQuantity, QuantityProblem> {
  let rest = text.trim().replaceAll('\u00a0', ' ').replaceAll('−', '-').replaceAll("''", '"')
  if (rest === '') return failure({ code: 'empty' })
  let value = 0
  const units: string[] = []
  while (rest !== '') {
    const number = NUMBER.exec(rest)?.[0]
    if (!number) return failure({ code: 'not-a-number', text: text.trim() })
    rest = rest.slice(number.length).trimStart()
    const typedUnit = unitAtStart(rest)
    const unit = typedUnit ? findUnit(kind, typedUnit) : impliedUnit(kind, system, scale, units)
    if (!unit) return failure(unitProblem(typedUnit, kind))
    const amount = readNumber(number)
    if (!Number.isFinite(amount) || (units.length > 0 && (unit.offset || amount < 0)))
      return failure({ code: 'not-a-number', text: text.trim() })
    value += (units.length > 0 && value < 0 ? -1 : 1) * toCanonical(amount, unit)
    units.push(unit.symbol)
    rest = rest.slice(typedUnit.length).replace(/^[.\s]+/, '')
  }
  return Number.isFinite(value) ? success({ value, units }) : failure({ code: 'not-a-number', text: text.trim() })
}

function impliedUnit(
  kind: QuantityKind,
  system: UnitSystem,
  scale: QuantityScale,
  read: readonly string[],
): Unit | undefined {
  if (read.length === 0) return unitBySymbol(kind, SHOWN_UNIT[system][kind][scale])
  return read.length === 1 && read[0] === 'ft' ? unitBySymbol('length', 'in') : undefined
}

function unitProblem(unit: string, kind: QuantityKind): QuantityProblem {
  const foundKind = QUANTITY_KINDS.find((other) => other !== kind && findUnit(other, unit))
  return foundKind
    ? { code: 'other-kind', unit: unit.trim(), kind, foundKind }
    : { code: 'unknown-unit', unit: unit.trim(), kind }
}
