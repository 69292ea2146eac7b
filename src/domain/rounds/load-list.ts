import { VISIT_PLANNING } from '../../core/visits/types'
import type { ProductNeed } from '../stores/product-needs'
import type { VisitInContext } from '../visits/visit'

export interface LoadList {
  /** Keys of kit that any stop needs. */
  readonly kit: readonly string[]
  /** Largest holding tank that a stop asks for, m³ and least width, m; null without fish to hold. */
  readonly tank: { readonly volumeM3: number; readonly minWidthM: number } | null
  /** Products for the day's steps, by their labels and the water expected. */
  readonly products: readonly { readonly name: string; readonly amount: number; readonly unit: string }[]
  /** Tap water that the day's refills take, m³. */
  readonly tapWaterM3: number
  /** Lamps, pads and packs that tasks of the day ask for. */
  readonly parts: readonly { readonly site: string; readonly task: string }[]
}

/**
 * What a truck carries for a day, summed over its stops.
 * @param needs products that its steps will take
 * @param withPart tasks whose work needs a new part
 */
export function loadList(
  visits: readonly Pick<VisitInContext, 'job' | 'quantities' | 'state' | 'tasks' | 'also' | 'siteName'>[],
  needs: readonly ProductNeed[],
  withPart: ReadonlySet<string>,
): LoadList {
  const toDo = visits.filter((v) => v.state !== 'done')
  const cleanouts = toDo.filter((v) => v.job.key === 'spring-cleanout')
  const tanks = cleanouts.map((v) => v.quantities.holding).filter((t) => t.volumeM3 > 0)
  return {
    kit: [...new Set(toDo.flatMap((v) => [v.job.key, ...v.also].flatMap((key) => VISIT_PLANNING[key]?.kit ?? [])))],
    // one tank serves the stops of a day one after the other
    tank:
      tanks.length === 0
        ? null
        : {
            volumeM3: Math.max(...tanks.map((t) => t.volumeM3)),
            minWidthM: Math.max(...tanks.map((t) => t.minWidthM)),
          },
    products: needs.map(({ product, amount }) => ({ name: product.name, amount, unit: product.unit })),
    parts: toDo.flatMap((v) =>
      v.tasks.filter((task) => withPart.has(task.id)).map((task) => ({ site: v.siteName, task: task.title })),
    ),
    tapWaterM3: cleanouts.reduce((sum, v) => sum + v.quantities.refillM3, 0),
  }
}
