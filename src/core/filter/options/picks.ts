import { OBJECTIVES, type FoundOption, type Objective } from './option-problem'

/** What an option is picked for: the least price, the best in what the customer cares for, or the best balance. */
export const PICK_REASONS = ['cheapest', 'cared-for', 'balanced'] as const
export type PickReason = (typeof PICK_REASONS)[number]

export interface Pick {
  readonly reason: PickReason
  readonly option: FoundOption
  /** What it is the best of all in. */
  readonly bestIn: readonly Objective[]
}

/**
 * Three options of a front: the cheapest, the best in what the customer cares for, and the one nearest to the best of
 * everything at once; each another one, fewer where the front is smaller.
 * @param care what matters most to the customer beside the price
 */
export function picksOf(front: readonly FoundOption[], care: Exclude<Objective, 'price'>): Pick[] {
  const left = new Set(front)
  const pick = (reason: PickReason, before: (a: FoundOption, b: FoundOption) => number): Pick[] => {
    const [option] = [...left].sort(before)
    if (!option) return []
    left.delete(option)
    return [{ reason, option, bestIn: bestIn(option, front) }]
  }
  const distance = distanceTo(front)
  const by = (objective: Objective) => (a: FoundOption, b: FoundOption) =>
    a.objectives[objective] - b.objectives[objective]
  const cheapest = pick('cheapest', by('price'))
  // where the cheapest is the best in it as well, there is nothing more to be had for more money
  const more = [...left].some((option) => option.objectives[care] < cheapest[0]!.option.objectives[care])
  return [
    ...cheapest,
    // of equals the cheaper
    ...(more ? pick('cared-for', (a, b) => by(care)(a, b) || by('price')(a, b)) : []),
    ...pick(
      'balanced',
      (a, b) => distance(a, [care, 'price', ...OBJECTIVES]) - distance(b, [care, 'price', ...OBJECTIVES]),
    ),
  ]
}

/** In what an option is as good as any. */
export const bestIn = ({ objectives }: FoundOption, front: readonly FoundOption[]): Objective[] =>
  OBJECTIVES.filter((objective) => front.every((other) => objectives[objective] <= other.objectives[objective]))

/** How far an option stands from the best of each objective, each measured by its span over the front. */
function distanceTo(front: readonly FoundOption[]) {
  const spans = OBJECTIVES.map((objective) => {
    const values = front.map(({ objectives }) => objectives[objective])
    const min = Math.min(...values)
    return [objective, { min, span: Math.max(...values) - min }] as const
  })
  const of = new Map(spans)
  return ({ objectives }: FoundOption, counted: readonly Objective[]): number =>
    counted.reduce((sum, objective) => {
      const { min, span } = of.get(objective)!
      return sum + (span > 0 ? ((objectives[objective] - min) / span) ** 2 : 0)
    }, 0)
}
