import { inverse, Matrix } from 'ml-matrix'

/** One observation of a sum of effects. */
export interface EffectObservation {
  readonly value: number
  /** Variance that is known of it beside what its kind strays by, such as a measuring error. */
  readonly variance: number
  /** Its level in each crossed factor. */
  readonly crossed: readonly number[]
  /** Its level in the factor with many levels. */
  readonly nested: number
}

/** How far the levels of a factor lie apart: the spread believed before, worth so many levels seen. */
export interface SpreadBelief {
  readonly sd: number
  readonly worth: number
}

export interface CrossedFactor extends SpreadBelief {
  readonly levels: number
}

export interface EffectModel {
  /** Mean of the sum before anything is seen, and how sure. */
  readonly mean: { readonly value: number; readonly sd: number }
  readonly crossed: readonly CrossedFactor[]
  readonly nested: CrossedFactor
  /** How far single observations stray. */
  readonly single: SpreadBelief
}

/** What is believed of a sum of effects. */
export interface Believed {
  readonly value: number
  readonly variance: number
}

export interface FittedEffects {
  /** Learnt spreads: of each crossed factor, of the nested one, and of single observations (one sigma). */
  readonly spreads: { readonly crossed: readonly number[]; readonly nested: number; readonly single: number }
  /**
   * The sum for levels of the crossed factors and of the nested one; null or a level never seen: any.
   * @param crossed one level for each factor
   */
  readonly at: (crossed: readonly (number | null)[], nested: number | null) => Believed
}

/** Errors follow Student's t with so few degrees of freedom that a slip moves little. @source Lange et al. 1989 */
const FREEDOM = 4
const STEPS = 40
/** Spreads that move by less of the one believed before are found. */
const ENOUGH = 2e-3

/**
 * Effects of crossed factors and of one nested factor with many levels, each drawn toward the others of its kind while
 * little is known of it; the spreads are learnt too.
 * @param begin spreads to begin from, where nearly the same was fitted before
 * @source linear mixed model by Henderson's equations with the large factor absorbed (Searle, Casella & McCulloch
 *   1992), spreads by expectation-maximisation with inverse-gamma beliefs, t errors by reweighting (Lange, Little &
 *   Taylor 1989)
 */
export function fitEffects(
  observations: readonly EffectObservation[],
  model: EffectModel,
  begin: FittedEffects['spreads'] = {
    crossed: model.crossed.map(({ sd }) => sd),
    nested: model.nested.sd,
    single: model.single.sd,
  },
): FittedEffects {
  let spreads: Spreads = {
    crossed: begin.crossed.map((sd) => sd ** 2),
    nested: begin.nested ** 2,
    single: begin.single ** 2,
  }
  const known = { observations, model, ...columnsBy(observations, model) }
  let calm = observations.map(() => 1)
  let solved = solve(known, calm, spreads)
  for (let step = 0; step < STEPS; step++) {
    const squares = observations.map((o, i) => {
      const { value, variance } = solved.on(known.columns[i]!, o.nested)
      return (o.value - value) ** 2 + variance
    })
    // a part of each miss is its own known error, the rest is what such observations stray by
    const shares = observations.map((o) => spreads.single / (spreads.single + o.variance))
    calm = squares.map((square, i) => (FREEDOM + 1) / (FREEDOM + square / (spreads.single + observations[i]!.variance)))
    const strays = squares.map(
      (square, i) => shares[i]! ** 2 * calm[i]! * square + shares[i]! * observations[i]!.variance,
    )
    const next: Spreads = {
      crossed: model.crossed.map((factor, f) =>
        pooled(
          factor,
          solved.levels(f).map(({ value, variance }) => value ** 2 + variance),
        ),
      ),
      nested: pooled(
        model.nested,
        solved.nestedLevels().map(({ value, variance }) => value ** 2 + variance),
      ),
      single: pooled(model.single, strays),
    }
    const moved = Math.max(
      ...next.crossed.map((v, f) => Math.abs(Math.sqrt(v) - Math.sqrt(spreads.crossed[f]!)) / model.crossed[f]!.sd),
      Math.abs(Math.sqrt(next.nested) - Math.sqrt(spreads.nested)) / model.nested.sd,
      Math.abs(Math.sqrt(next.single) - Math.sqrt(spreads.single)) / model.single.sd,
    )
    spreads = next
    solved = solve(known, calm, spreads)
    if (moved < ENOUGH) break
  }
  const { crossed, nested, single } = spreads
  return {
    spreads: { crossed: crossed.map(Math.sqrt), nested: Math.sqrt(nested), single: Math.sqrt(single) },
    at: solved.at,
  }
}

/** Variances. */
interface Spreads {
  readonly crossed: readonly number[]
  readonly nested: number
  readonly single: number
}

const pooled = ({ sd, worth }: SpreadBelief, squares: readonly number[]): number =>
  (worth * sd ** 2 + squares.reduce((a, b) => a + b, 0)) / (worth + squares.length)

interface Solved extends Pick<FittedEffects, 'at'> {
  /** The sum of the crossed effects of some columns, seen all, and of a nested one. */
  readonly on: (columns: readonly number[], nested: number) => Believed
  readonly levels: (factor: number) => Believed[]
  /** Of the levels that were seen. */
  readonly nestedLevels: () => Believed[]
}

/** What is solved for again and again at other spreads. */
interface Known {
  readonly observations: readonly EffectObservation[]
  readonly model: EffectModel
  /** First column of each crossed factor, and their number last: the mean has column 0. */
  readonly first: readonly number[]
  /** Of each observation. */
  readonly columns: readonly (readonly number[])[]
}

/** What the observations of one nested level add up to. */
interface NestedLevel {
  weight: number
  sum: number
  /** Weights by column of the crossed effects. */
  readonly on: Map<number, number>
}

/** Effects at given spreads and weights. */
function solve(known: Known, calm: readonly number[], spreads: Spreads): Solved {
  const { model, first } = known
  const { matrix, right, nested } = equations(known, calm, spreads)
  const covariance = inverse(new Matrix(matrix)).to2DArray()
  const effects = covariance.map((row) => row.reduce((sum, c, k) => sum + c * right[k]!, 0))
  const levels = new Map([...nested].map(([key, level]) => [key, nestedEffect(level, covariance, effects)]))
  const on = (columns: readonly number[], nestedLevel: number | null): Believed => {
    let value = model.mean.value
    let variance = 0
    for (const a of columns) {
      value += effects[a]!
      for (const b of columns) variance += covariance[a]![b]!
    }
    const level = nestedLevel === null ? undefined : levels.get(nestedLevel)
    if (!level) return { value, variance: variance + spreads.nested }
    // what is known of the nested effect is known against the crossed ones
    let together = 0
    for (const a of columns) together += level.against[a]!
    return { value: value + level.value, variance: variance - 2 * together + level.variance }
  }
  return {
    on,
    at: (crossed, nestedLevel) => {
      const columns = columnsOf(first, crossed)
      const { value, variance } = on(columns, nestedLevel)
      const unseen = model.crossed.reduce(
        (sum, _, f) => sum + (columns.some((a) => a >= first[f]! && a < first[f + 1]!) ? 0 : spreads.crossed[f]!),
        0,
      )
      return { value, variance: variance + unseen }
    },
    levels: (f) =>
      Array.from({ length: model.crossed[f]!.levels }, (_, l) => {
        const a = first[f]! + l
        return { value: effects[a]!, variance: covariance[a]![a]! }
      }),
    nestedLevels: () => [...levels.values()],
  }
}

function columnsBy(
  observations: readonly EffectObservation[],
  { crossed }: EffectModel,
): Pick<Known, 'first' | 'columns'> {
  const first = crossed.reduce<number[]>((sums, { levels }) => [...sums, sums.at(-1)! + levels], [1])
  return { first, columns: observations.map((o) => columnsOf(first, o.crossed)) }
}

/** Columns of the mean and of levels, but for those that were never seen. */
const columnsOf = (first: readonly number[], crossed: readonly (number | null)[]): number[] => [
  0,
  ...crossed.flatMap((level, f) =>
    level !== null && level >= 0 && first[f]! + level < first[f + 1]! ? [first[f]! + level] : [],
  ),
]

/** The equations of the crossed effects once the nested ones are absorbed. */
function equations({ observations, model, first, columns }: Known, calm: readonly number[], spreads: Spreads) {
  const count = first.at(-1)!
  const matrix = Array.from({ length: count }, () => new Float64Array(count))
  const right = new Float64Array(count)
  matrix[0]![0] = 1 / model.mean.sd ** 2
  model.crossed.forEach(({ levels }, f) => {
    for (let l = 0; l < levels; l++) matrix[first[f]! + l]![first[f]! + l] = 1 / spreads.crossed[f]!
  })
  const nested = new Map<number, NestedLevel>()
  observations.forEach((o, i) => {
    const weight = calm[i]! / (spreads.single + o.variance)
    const value = o.value - model.mean.value
    const level = nested.get(o.nested) ?? { weight: 1 / spreads.nested, sum: 0, on: new Map<number, number>() }
    nested.set(o.nested, level)
    level.weight += weight
    level.sum += weight * value
    for (const a of columns[i]!) {
      right[a]! += weight * value
      level.on.set(a, (level.on.get(a) ?? 0) + weight)
      for (const b of columns[i]!) matrix[a]![b]! += weight
    }
  })
  for (const { weight, sum, on } of nested.values())
    for (const [a, wa] of on) {
      right[a]! -= (wa * sum) / weight
      for (const [b, wb] of on) matrix[a]![b]! -= (wa * wb) / weight
    }
  return { matrix, right, nested }
}

/** A nested effect with its variance, and its covariance against each crossed one but for the sign. */
function nestedEffect(
  { weight, sum, on }: NestedLevel,
  covariance: readonly (readonly number[])[],
  effects: readonly number[],
): Believed & { readonly against: readonly number[] } {
  const weights = [...on]
  const against = covariance.map((row) => {
    let total = 0
    for (const [a, w] of weights) total += row[a]! * w
    return total / weight
  })
  const others = weights.reduce((total, [a, w]) => total + w * effects[a]!, 0)
  const spread = weights.reduce((total, [a, w]) => total + (w * against[a]!) / weight, 0)
  return { value: (sum - others) / weight, variance: 1 / weight + spread, against }
}
