import { judgeGate } from '../../core/visits/gates'
import type { GateContext, GateOutcome, GateReason } from '../../core/visits/gates/gate'
import type { ProductPurpose } from '../../core/water/dosing/products'
import type { StopKind } from '../visits/step-gate'
import { flocculantReasons } from '../visits/step-gate'

/** Tests that stops of a product go by. */
export const DESK_TESTS: Readonly<Partial<Record<ProductPurpose, readonly (keyof GateContext['readings'])[]>>> = {
  kh: ['tan', 'ph', 'kh', 'waterTemp'],
  salt: ['salinity'],
  flocculant: ['kh'],
}

interface DeskDose {
  readonly purpose: ProductPurpose
  /** In the product's unit. */
  readonly amount: number
  /** Rise of KH that is wanted, °dH. */
  readonly riseDH: number
  readonly readings: GateContext['readings']
  readonly systemM3: number
  readonly planted: boolean
}

const GRAMS_PER_KG = 1000
const stopOf = (reasons: readonly GateReason[]): GateOutcome =>
  reasons.length === 0 ? { status: 'safe' } : { status: 'stop', reasons }

/** The stops of the field sheet, held against a dose that is planned at the desk; null where the product has none. */
export function deskStop({
  purpose,
  amount,
  riseDH,
  readings,
  systemM3,
  planted,
}: DeskDose): { readonly kind: StopKind; readonly gate: GateOutcome } | null {
  const context: GateContext = {
    readings,
    refilled: {},
    figures: { khRiseDH: riseDH, saltKg: amount / GRAMS_PER_KG },
    choice: null,
    systemM3,
    planted,
    hoursSinceChange: null,
    fishOut: false,
    fill: null,
  }
  if (amount <= 0) return null
  if (purpose === 'kh') return { kind: 'raise-kh', gate: judgeGate('raise-kh', context) }
  if (purpose === 'salt') return { kind: 'salt', gate: judgeGate('salt', context) }
  return purpose === 'flocculant' ? { kind: 'dose', gate: stopOf(flocculantReasons(readings)) } : null
}
