import { DISSOLVED, NITROGEN_IN, PHOSPHORUS_IN, STATE, type StateName } from './states'

/** Ways in and out of the pond that the budget names. */
export const BUDGET_IN = ['feed', 'leaves', 'water', 'added', 'deadFish'] as const
export const BUDGET_OUT = ['fish', 'overflow', 'air', 'takenOut'] as const
export type BudgetIn = (typeof BUDGET_IN)[number]
export type BudgetOut = (typeof BUDGET_OUT)[number]

/** Where a nutrient came from, where it went and where it still is, g. */
export interface NutrientBudget {
  readonly start: number
  readonly in: Readonly<Record<BudgetIn, number>>
  readonly out: Readonly<Record<BudgetOut, number>>
  /** Still in the pond at the end, by place. */
  readonly held: Readonly<Record<HeldIn, number>>
  readonly end: number
  /** What is unaccounted for, as a share of all that was there or came in. */
  readonly error: number
}

export const HELD_IN = ['water', 'algae', 'plants', 'floor', 'bed', 'leaves'] as const
export type HeldIn = (typeof HELD_IN)[number]

const PLACES: Readonly<Record<HeldIn, readonly StateName[]>> = {
  water: ['tan', 'nitrite', 'nitrate', 'phosphate', 'seston'],
  algae: ['phytoplankton', 'filamentous'],
  plants: ['marginals', 'straw', 'floating', 'lilies', 'submerged'],
  floor: ['sediment', 'muck', 'sorbedPhosphorus', 'carcasses'],
  bed: ['bedSludge'],
  leaves: ['leaves'],
}

const DISSOLVED_AT = DISSOLVED.map((name) => STATE[name])

type Flows = Record<BudgetIn | BudgetOut, { nitrogen: number; phosphorus: number }>

/** Keeps account of all nitrogen and phosphorus that enters or leaves. */
export class Ledger {
  private readonly flows = Object.fromEntries(
    [...BUDGET_IN, ...BUDGET_OUT].map((way) => [way, { nitrogen: 0, phosphorus: 0 }]),
  ) as Flows
  private readonly start: Float64Array

  constructor(y: Float64Array) {
    this.start = y.slice()
  }

  add(way: BudgetIn | BudgetOut, nitrogenG: number, phosphorusG: number): void {
    this.flows[way].nitrogen += nitrogenG
    this.flows[way].phosphorus += phosphorusG
  }

  /** Changes a state by hand and books its nutrients. */
  change(y: Float64Array, name: StateName, byG: number, way: BudgetIn | BudgetOut): void {
    const i = STATE[name]
    const done = Math.max(-y[i]!, byG)
    y[i]! += done
    this.add(way, Math.abs(done) * NITROGEN_IN[i]!, Math.abs(done) * PHOSPHORUS_IN[i]!)
  }

  /** A share of the water leaves, with what is dissolved in it. */
  dissolvedLeaves(y: Float64Array, share: number): void {
    const out = this.flows.overflow
    for (let k = 0; k < DISSOLVED_AT.length; k++) {
      const i = DISSOLVED_AT[k]!
      const gone = share * y[i]!
      y[i]! -= gone
      out.nitrogen += gone * NITROGEN_IN[i]!
      out.phosphorus += gone * PHOSPHORUS_IN[i]!
    }
  }

  budget(y: Float64Array, of: 'nitrogen' | 'phosphorus'): NutrientBudget {
    const content = of === 'nitrogen' ? NITROGEN_IN : PHOSPHORUS_IN
    const total = (state: Float64Array) => state.reduce((sum, value, i) => sum + value * content[i]!, 0)
    const air = of === 'nitrogen' ? y[STATE.denitrified]! - this.start[STATE.denitrified]! : 0
    const ways = <Way extends BudgetIn | BudgetOut>(names: readonly Way[]) =>
      Object.fromEntries(names.map((w) => [w, this.flows[w][of]])) as Record<Way, number>
    const [incoming, outgoing] = [ways(BUDGET_IN), { ...ways(BUDGET_OUT), air }]
    const sum = (record: Record<string, number>) => Object.values(record).reduce((a, b) => a + b, 0)
    const held = Object.fromEntries(
      HELD_IN.map((place) => [
        place,
        PLACES[place].reduce((s, name) => s + y[STATE[name]]! * content[STATE[name]]!, 0),
      ]),
    )
    const [start, end] = [total(this.start), total(y)]
    const known = start + sum(incoming)
    const error = known > 0 ? Math.abs(known - sum(outgoing) - end) / known : 0
    return { start, in: incoming, out: outgoing, held: held as Record<HeldIn, number>, end, error }
  }
}
