import type { RoutingProblem } from './problem'

/**
 * How unevenly work lies on the groups of each period, as a price: weight · Σ (share − mean share)² over the groups
 * of a period,
 * a share being minutes worked over minutes there. Kept up to date in steps.
 */
export class Evenness {
  private readonly minutes: Float64Array
  private readonly ofPeriod: readonly (readonly number[])[]
  /** Σ share and Σ share² by period. */
  private readonly sums: Float64Array
  private readonly squares: Float64Array
  private readonly weight: number
  private readonly groups: NonNullable<RoutingProblem['balance']>['groups']
  cost = 0

  constructor({ balance }: RoutingProblem) {
    this.weight = balance?.weight ?? 0
    this.groups = balance?.groups ?? []
    this.minutes = new Float64Array(this.groups.length)
    const periods: number[][] = []
    this.groups.forEach(({ period, capacity }, g) => {
      periods[period] ??= []
      if (capacity > 0) periods[period].push(g)
    })
    this.ofPeriod = periods
    this.sums = new Float64Array(periods.length)
    this.squares = new Float64Array(periods.length)
  }

  /** More (or fewer) minutes for a group. @returns what that changes of the price */
  add(group: number | undefined, minutes: number): number {
    if (group === undefined || minutes === 0 || !this.counts(group)) return 0
    const { period } = this.groups[group]!
    const before = this.priceOf(period, this.sums[period]!, this.squares[period]!)
    const [was, is] = this.sharesOf(group, minutes)
    this.minutes[group]! += minutes
    this.sums[period]! += is - was
    this.squares[period]! += is * is - was * was
    const change = this.priceOf(period, this.sums[period]!, this.squares[period]!) - before
    this.cost += change
    return change
  }

  /** The same without doing it. */
  wouldAdd(group: number | undefined, minutes: number): number {
    if (group === undefined || !this.counts(group)) return 0
    const { period } = this.groups[group]!
    const [was, is] = this.sharesOf(group, minutes)
    const [sum, squares] = [this.sums[period]!, this.squares[period]!]
    return this.priceOf(period, sum + is - was, squares + is * is - was * was) - this.priceOf(period, sum, squares)
  }

  /** The most that so many minutes more can make a plan cheaper, wherever they go. */
  maxGain(minutes: number): number {
    let gain = 0
    for (const { capacity } of this.groups) if (capacity > 0) gain = Math.max(gain, minutes / capacity)
    return 2 * this.weight * gain
  }

  private counts(group: number): boolean {
    const { period, capacity } = this.groups[group]!
    return this.weight > 0 && capacity > 0 && this.ofPeriod[period]!.length > 1
  }

  private sharesOf(group: number, minutes: number): [number, number] {
    const { capacity } = this.groups[group]!
    return [this.minutes[group]! / capacity, (this.minutes[group]! + minutes) / capacity]
  }

  private priceOf(period: number, sum: number, squares: number): number {
    return this.weight * (squares - (sum * sum) / this.ofPeriod[period]!.length)
  }
}
