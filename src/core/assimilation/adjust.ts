import { normalDensity, normalShareBelow } from '../statistics/normal'

/** Spreads that a grid reaches beyond what it is laid for. */
const REACH = 5
const MOST_POINTS = 801
/** Points in the least of the spreads that lie on it. */
const FINE = 6

/** What is believed before a reading, beside the members' own spread: that something has happened nobody logged. */
export interface Doubt {
  /** How often, and how far it carries the water. */
  readonly share: number
  readonly sd: number
  /** Where a reading lies that is to be reached. */
  readonly around: readonly [number, number]
}

/**
 * Where the members of an ensemble stand once a reading is known: each keeps its place among the others, in what the
 * reading leaves of the belief that they stand for. A reading far out leaves two camps: those who take it for a slip
 * stay, those who take it for an event go.
 * @param values the members' own, before; their belief is the normal of their mean and spread
 * @param likelihood of the reading where the water stands at a value, above 0
 * @returns how far each member moves; nothing where all stand on one spot
 * @source two-step ensemble filter, Anderson 2003; posterior on a grid and kept ranks, Anderson 2010
 */
export function adjustments(
  values: readonly number[],
  likelihood: (at: number) => number,
  { share, sd: eventSd, around }: Doubt,
): number[] {
  const { mean, sd } = momentsOf(values)
  if (!(sd > 1e-9)) return values.map(() => 0)
  const from = Math.min(mean - REACH * sd, around[0])
  const until = Math.max(mean + REACH * sd, around[1])
  const points = Math.min(MOST_POINTS, Math.ceil((until - from) / (sd / FINE)) + 1)
  const step = (until - from) / (points - 1)
  const wide = Math.hypot(sd, eventSd)
  const before = (at: number) =>
    ((1 - share) * normalDensity((at - mean) / sd)) / sd + (share * normalDensity((at - mean) / wide)) / wide
  const below = new Float64Array(points)
  let density = 0
  for (let k = 0; k < points; k++) {
    const at = from + k * step
    const now = before(at) * likelihood(at)
    if (k > 0) below[k] = below[k - 1]! + (density + now) / 2
    density = now
  }
  const total = below[points - 1]!
  if (!(total > 0)) return values.map(() => 0)
  return values.map((value) => {
    const place = Math.min(1 - 1e-9, Math.max(1e-9, normalShareBelow((value - mean) / sd))) * total
    let [low, high] = [0, points - 1]
    while (high - low > 1) {
      const middle = (low + high) >> 1
      if (below[middle]! < place) low = middle
      else high = middle
    }
    const rise = below[high]! - below[low]!
    return from + (low + (rise > 0 ? (place - below[low]!) / rise : 0.5)) * step - value
  })
}

/** Moves no further than a few spreads: beyond that a slope that few members showed says nothing. */
export function moderate(moves: readonly number[], sd: number): number[] {
  const most = MOST_SPREADS * sd
  return moves.map((move) => Math.max(-most, Math.min(most, move)))
}
const MOST_SPREADS = 2.5

export function momentsOf(values: readonly number[]): { readonly mean: number; readonly sd: number } {
  const mean = values.reduce((sum, v) => sum + v, 0) / values.length
  const variance = values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / Math.max(1, values.length - 1)
  return { mean, sd: Math.sqrt(variance) }
}

/**
 * Carries the members' moves in what was read over to something that goes with it, in place.
 * The slope of few members is partly chance: it is drawn toward nothing by as much as chance makes of it.
 * @param row the members' values of the other thing
 * @param read the members' values of what was read, before the move
 * @source regression step of Anderson 2003; shrinkage of a sampled correlation toward 0, cf. Anderson 2012
 */
export function regress(row: Float64Array, read: readonly number[], moves: readonly number[]): void {
  const n = read.length
  const { mean, sd } = momentsOf(read)
  let rowMean = 0
  for (const value of row) rowMean += value / n
  let [rowVariance, together] = [0, 0]
  for (let i = 0; i < n; i++) {
    const off = row[i]! - rowMean
    rowVariance += off * off
    together += off * (read[i]! - mean)
  }
  const readVariance = sd * sd * (n - 1)
  if (!(rowVariance > 1e-12) || !(readVariance > 0)) return
  const r2 = (together * together) / (rowVariance * readVariance)
  const chance = (1 - r2) / Math.max(1, n - 2)
  const kept = Math.max(0, 1 - CHANCE_WEIGHT * (chance / r2))
  if (kept === 0) return
  const slope = (together / readVariance) * kept
  for (let i = 0; i < n; i++) row[i]! += slope * moves[i]!
}

/** A slope within so many squared standard errors of nothing is left out altogether. @source 2.5² ≈ 99 % by chance */
const CHANCE_WEIGHT = 2
