import { DomainError } from '../errors'
import { UNIT_KINDS, type QuantityKind, type Unit } from './kinds'

/** A unit of a kind by the symbol it is shown with. @throws {DomainError} no such unit */
export function unitBySymbol(kind: QuantityKind, symbol: string): Unit {
  const found = (UNIT_KINDS[kind] as readonly Unit[]).find((unit) => unit.symbol === symbol)
  if (!found) throw new DomainError('symbol', symbol, `a unit of ${kind}`)
  return found
}

/** From the canonical unit of a kind to another of its units. */
export const fromCanonical = (value: number, unit: Unit): number => (value - (unit.offset ?? 0)) / unit.factor

/** From a unit of a kind to the canonical one. */
export const toCanonical = (value: number, unit: Unit): number => value * unit.factor + (unit.offset ?? 0)
