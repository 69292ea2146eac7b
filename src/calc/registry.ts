import { z } from 'zod'
import { DomainError } from '../core/errors'
import type { Calculation } from './define'
import { DIAGNOSIS_CALCULATIONS } from './diagnosis'
import { DISPATCH_CALCULATIONS } from './dispatch'
import { FILTER_CALCULATIONS } from './filter'
import { FILTER_DESIGN_CALCULATIONS } from './filter-design'
import { FISH_CALCULATIONS } from './fish'
import { HYDRAULICS_CALCULATIONS } from './hydraulics'
import { NETWORK_CALCULATIONS } from './network'
import { POND_CALCULATIONS } from './pond'
import { SEASON_CALCULATIONS } from './season'
import { SIM_CALCULATIONS } from './sim'
import { WATER_CALCULATIONS } from './water'

export const CALCULATIONS: readonly Calculation[] = [
  ...POND_CALCULATIONS,
  ...FISH_CALCULATIONS,
  ...FILTER_CALCULATIONS,
  ...FILTER_DESIGN_CALCULATIONS,
  ...HYDRAULICS_CALCULATIONS,
  ...NETWORK_CALCULATIONS,
  ...WATER_CALCULATIONS,
  ...DIAGNOSIS_CALCULATIONS,
  ...SEASON_CALCULATIONS,
  ...DISPATCH_CALCULATIONS,
  ...SIM_CALCULATIONS,
]

export interface CalcError {
  readonly code: 'unknown-calculation' | 'bad-input' | 'out-of-range'
  readonly message: string
  /** Dotted path of the field, empty when it is the whole input. */
  readonly path: string
}

export type CalcOutcome = { ok: true; output: unknown } | { ok: false; error: CalcError }

/** Runs one calculation of the contract by name. Bad input is a value, never thrown. */
export async function calculate(name: string, input: unknown): Promise<CalcOutcome> {
  const calculation = CALCULATIONS.find((c) => c.name === name)
  if (!calculation)
    return {
      ok: false,
      error: {
        code: 'unknown-calculation',
        message: `There is no calculation “${name}”; --list names them all.`,
        path: '',
      },
    }
  const parsed = calculation.input.safeParse(input)
  if (!parsed.success) {
    const [issue] = parsed.error.issues
    const path = issue!.path.join('.')
    return { ok: false, error: { code: 'bad-input', message: `${path || 'input'}: ${issue!.message}`, path } }
  }
  try {
    return { ok: true, output: await calculation.run(parsed.data) }
  } catch (error) {
    if (error instanceof DomainError)
      return { ok: false, error: { code: 'out-of-range', message: error.message, path: error.parameter } }
    throw error
  }
}

/** JSON Schema of a calculation's input and output, or undefined when the name is unknown. */
export function calculationSchema(
  name: string,
): { name: string; summary: string; input: unknown; output: unknown } | undefined {
  const calculation = CALCULATIONS.find((c) => c.name === name)
  if (!calculation) return undefined
  return {
    name,
    summary: calculation.summary,
    input: z.toJSONSchema(calculation.input, { io: 'input' }),
    output: z.toJSONSchema(calculation.output, { io: 'output' }),
  }
}
