import type { VisitType } from '../../core/visits/step'
import type { VisitAmounts } from '../../core/visits/visit-amounts'
import type { Product } from '../../core/water/dosing/products'
import { stepDoses } from '../water/dosing'

/** A visit to come, as far as its products go. */
export interface ComingVisit {
  readonly job: Pick<VisitType, 'steps'>
  readonly amounts: VisitAmounts
  /** Water expected on its day, °C; null when it is not known. */
  readonly waterC: number | null
}

export interface ProductNeed {
  readonly product: Product
  readonly amount: number
}

/** What is given only when tests or eyes ask for it, which nobody can foretell. */
const UNFORESEEN: readonly Product['purpose'][] = ['algae', 'flocculant', 'kh', 'gh']

/**
 * How much of each product visits will take, by their steps and the water expected: of each purpose the first that
 * suits it.
 */
export function productNeeds(visits: readonly ComingVisit[], products: readonly Product[]): ProductNeed[] {
  const needs = new Map<string, ProductNeed>()
  for (const { job, amounts, waterC } of visits)
    for (const step of job.steps) {
      if (!step.products) continue
      const suited = stepDoses(step, products, { amounts, waterC, recent: [] }, {}).filter(
        (dose) => dose.amount > 0 && dose.problems.length === 0 && !UNFORESEEN.includes(dose.product.purpose),
      )
      const seen = new Set<string>()
      for (const { product, amount } of suited) {
        if (seen.has(product.purpose)) continue
        seen.add(product.purpose)
        needs.set(product.key, { product, amount: (needs.get(product.key)?.amount ?? 0) + amount })
      }
    }
  return [...needs.values()]
}
