import type { PondDeed, PondEvent } from '../../core/ecosystem/events'
import { daysBetween } from '../../core/numeric/calendar'
import type { Product } from '../../core/water/dosing/products'
import { AT_NOON } from './eco-events'

/** A dose that was given at a pond. */
export interface DoseGiven {
  readonly productKey: string
  readonly amount: number
  readonly day: string
}

/** What a full dose by the label does, where the simulator knows no more. @source house defaults */
const BY_LABEL = { bacteria: 0.01, algaeKilled: 0.9, mostSteps: 2, flocculantFrom: 0.5 } as const

/**
 * Doses on file as events of a run: the amount against the product's rate says how much of its work it did. What the
 * simulator does not know (binders, GH, plant food) is left out.
 * @param volumeM3 of the pond's water
 * @param from the run's first day; doses before it are left out
 */
export function eventsOfDoses(
  doses: readonly DoseGiven[],
  products: readonly Product[],
  volumeM3: number,
  from: string,
): PondEvent[] {
  return doses.flatMap(({ productKey, amount, day }): PondEvent[] => {
    const product = products.find((p) => p.key === productKey)
    if (!product || amount <= 0 || day < from) return []
    const deed = deedOf(product, amount, volumeM3)
    return deed ? [{ ...deed, day: daysBetween(from, day) + AT_NOON } as PondEvent] : []
  })
}

/** @param amount in the product's unit */
function deedOf(product: Product, amount: number, volumeM3: number): PondDeed | null {
  // of the rate's basis over the whole pond: full doses, °dH, or tenths of a percent of salt
  const steps = amount / (product.rate * volumeM3)
  switch (product.purpose) {
    case 'kh':
      return product.basis === 'hardness' ? { kind: 'raise-kh', byDKH: steps } : null
    case 'salt':
      // a tenth of a percent is a kilogram in a cubic metre
      return product.basis === 'salt' ? { kind: 'salt', kg: steps * volumeM3 } : null
    case 'bacteria':
    case 'cold-bacteria':
      return { kind: 'seed-bacteria', share: BY_LABEL.bacteria * Math.min(BY_LABEL.mostSteps, steps) }
    case 'flocculant':
      return steps >= BY_LABEL.flocculantFrom ? { kind: 'flocculant' } : null
    case 'algae':
      return { kind: 'kill-algae', share: BY_LABEL.algaeKilled * Math.min(1, steps) }
    case 'carbon':
      return product.unit === 'g' ? { kind: 'carbon', kg: amount / 1000 } : null
    case 'dechlorinator':
      return { kind: 'dechlorinate' }
    case 'gh':
    case 'binder':
    case 'plant-food':
      return null
  }
}
