/** A caller broke a function's contract: names the parameter, its value and what is allowed. */
export class DomainError extends Error {
  constructor(
    readonly parameter: string,
    readonly value: unknown,
    readonly allowed: string,
  ) {
    super(`${parameter} must be ${allowed}, got ${String(value)}`)
    this.name = 'DomainError'
  }
}

export type InclusiveRange = readonly [least: number, most: number]

/** @throws {DomainError} value is NaN or outside the inclusive range */
export function assertInRange(parameter: string, value: number, [min, max]: InclusiveRange): void {
  if (!(value >= min && value <= max)) throw new DomainError(parameter, value, `between ${min} and ${max}`)
}

/** @throws {DomainError} value is NaN, infinite, zero or negative */
export function assertPositive(parameter: string, value: number): void {
  if (!(value > 0 && Number.isFinite(value))) throw new DomainError(parameter, value, 'a finite number above 0')
}
