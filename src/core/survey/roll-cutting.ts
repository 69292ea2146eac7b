import { assertInRange, assertPositive, DomainError } from '../errors'
import { seededRandom } from '../numeric/random'

/** A sheet to be cut: liner, underlayment or net, of one pond or bed. */
export interface CutPiece {
  readonly id: string
  readonly lengthM: number
  readonly widthM: number
}

export interface Roll {
  readonly widthM: number
  readonly lengthM: number
}

/** A piece on a roll: x along the roll, y across it, from the roll's start. */
interface PlacedPiece {
  readonly id: string
  readonly xM: number
  readonly yM: number
  readonly alongM: number
  readonly acrossM: number
}

export interface CutRoll {
  readonly widthM: number
  /** Length cut off the stock roll. */
  readonly usedM: number
  readonly pieces: readonly PlacedPiece[]
}

export interface CutPlan {
  readonly rolls: readonly CutRoll[]
  readonly usedM2: number
  readonly wasteShare: number
  /** Pieces wider and longer than any roll: they need a seam. */
  readonly unplaced: readonly string[]
  /** Every split was tried; otherwise the best found by search. */
  readonly exact: boolean
}

export const CUTTING_RANGE = { sideM: [0.05, 500], rollWidthM: [0.2, 30], rollLengthM: [1, 500] } as const
const EXACT_UP_TO = 6
/** Pieces in one exactly cut group of the search: fewer where there are many, for time. */
const groupUpTo = (pieces: number): number => {
  if (pieces <= 8) return 6
  if (pieces <= 11) return 5
  return 4
}
/** How much worse, as a share of the whole, the search may step at its start. */
const FIRST_ALLOWANCE = 0.05
const SEARCH_STEPS = 1500
const EPSILON = 1e-9

interface Layout {
  readonly lengthM: number
  readonly pieces: readonly PlacedPiece[]
}

/**
 * Cuts sheets from rolls with straight cuts right across what is left (guillotine cuts), so that the least area is
 * used.
 * Up to six pieces every way of cutting is tried; beyond that groups of pieces are exchanged by a seeded search, each
 * group cut exactly.
 * @param stock roll widths that can be had, each with its full length; as many rolls as are needed
 * @param exactUpTo pieces up to which every way is tried; more than seven take long
 * @throws {DomainError} a side or roll out of CUTTING_RANGE, two pieces with one id, no stock
 */
export function cutPlan(
  pieces: readonly CutPiece[],
  stock: readonly Roll[],
  { seed = 1, steps = SEARCH_STEPS, exactUpTo = EXACT_UP_TO } = {},
): CutPlan {
  check(pieces, stock)
  const fits = (p: CutPiece) => stock.some((roll) => layoutOf([p], roll) !== null)
  const unplaced = pieces.filter((p) => !fits(p)).map((p) => p.id)
  const toCut = pieces.filter(fits)
  const exact = toCut.length <= exactUpTo
  const costs = new Map<string, Grouped | null>()
  const best = (group: readonly CutPiece[]): Grouped | null => {
    const key = group
      .map((p) => p.id)
      .sort()
      .join('\n')
    if (!costs.has(key)) costs.set(key, bestRoll(group, stock))
    return costs.get(key)!
  }
  const groups = exact ? partitionExactly(toCut, best) : partitionBySearch(toCut, best, seed, steps)
  const rolls = ontoRolls(groups)
  const usedM2 = groups.reduce((sum, g) => sum + g.areaM2, 0)
  const neededM2 = toCut.reduce((sum, p) => sum + p.lengthM * p.widthM, 0)
  return { rolls, usedM2, wasteShare: usedM2 > 0 ? 1 - neededM2 / usedM2 : 0, unplaced, exact }
}

function check(pieces: readonly CutPiece[], stock: readonly Roll[]): void {
  if (stock.length === 0) throw new DomainError('stock', 'nothing', 'at least one roll')
  stock.forEach((roll, i) => {
    assertInRange(`stock.${i}.widthM`, roll.widthM, CUTTING_RANGE.rollWidthM)
    assertInRange(`stock.${i}.lengthM`, roll.lengthM, CUTTING_RANGE.rollLengthM)
  })
  pieces.forEach((p, i) => {
    assertPositive(`pieces.${i}.lengthM`, p.lengthM)
    assertInRange(`pieces.${i}.lengthM`, p.lengthM, CUTTING_RANGE.sideM)
    assertInRange(`pieces.${i}.widthM`, p.widthM, CUTTING_RANGE.sideM)
    if (pieces.findIndex((other) => other.id === p.id) !== i)
      throw new DomainError(`pieces.${i}.id`, p.id, 'different for each piece')
  })
}

interface Grouped {
  readonly roll: Roll
  readonly layout: Layout
  readonly areaM2: number
}

/** The roll on which a group of pieces cut together uses least area. */
function bestRoll(group: readonly CutPiece[], stock: readonly Roll[]): Grouped | null {
  let best: Grouped | null = null
  for (const roll of stock) {
    const layout = layoutOf(group, roll)
    if (layout && (best === null || layout.lengthM * roll.widthM < best.areaM2 - EPSILON))
      best = { roll, layout, areaM2: layout.lengthM * roll.widthM }
  }
  return best
}

/** Shortest piece of a roll that yields all pieces by guillotine cuts; null when it would be longer than the roll. */
export function layoutOf(pieces: readonly CutPiece[], roll: Roll): Layout | null {
  const known = new Map<string, Layout | null>()
  const n = pieces.length
  const shortest = (mask: number, widthM: number): Layout | null => {
    const key = `${mask}:${widthM.toFixed(6)}`
    const found = known.get(key)
    if (found !== undefined) return found
    let best: Layout | null = null
    const offer = (layout: Layout | null) => {
      if (layout && (best === null || layout.lengthM < best.lengthM - EPSILON)) best = layout
    }
    const only = single(mask, n)
    if (only >= 0) {
      const { id, lengthM: a, widthM: b } = pieces[only]!
      if (b <= widthM + EPSILON) offer({ lengthM: a, pieces: [{ id, xM: 0, yM: 0, alongM: a, acrossM: b }] })
      if (a <= widthM + EPSILON) offer({ lengthM: b, pieces: [{ id, xM: 0, yM: 0, alongM: b, acrossM: a }] })
    } else {
      // each split once: the lowest piece always goes to the first part
      const lowest = mask & -mask
      for (let part = (mask - 1) & mask; part > 0; part = (part - 1) & mask) {
        if ((part & lowest) === 0) continue
        const rest = mask & ~part
        const [first, second] = [shortest(part, widthM), shortest(rest, widthM)]
        if (first && second)
          offer({
            lengthM: first.lengthM + second.lengthM,
            pieces: [...first.pieces, ...moved(second.pieces, first.lengthM, 0)],
          })
        for (const [a, b] of [
          [part, rest],
          [rest, part],
        ])
          for (const across of widthsOf(a!, pieces, widthM)) {
            const [left, right] = [shortest(a!, across), shortest(b!, widthM - across)]
            if (left && right)
              offer({
                lengthM: Math.max(left.lengthM, right.lengthM),
                pieces: [...left.pieces, ...moved(right.pieces, 0, across)],
              })
          }
      }
    }
    known.set(key, best)
    return best
  }
  const layout = shortest((1 << n) - 1, roll.widthM)
  return layout && layout.lengthM <= roll.lengthM + EPSILON ? layout : null
}

const moved = (pieces: readonly PlacedPiece[], xM: number, yM: number): PlacedPiece[] =>
  pieces.map((p) => ({ ...p, xM: p.xM + xM, yM: p.yM + yM }))

/** Index of the one piece in a mask, or -1 when there are several. */
function single(mask: number, n: number): number {
  if ((mask & (mask - 1)) !== 0) return -1
  for (let i = 0; i < n; i++) if (mask === 1 << i) return i
  return -1
}

/** Widths worth a lengthwise cut: sums of sides of the pieces on one side of it. */
function widthsOf(mask: number, pieces: readonly CutPiece[], below: number): number[] {
  let sums = new Set<number>([0])
  pieces.forEach((piece, i) => {
    if ((mask & (1 << i)) === 0) return
    const next = new Set(sums)
    for (const sum of sums)
      for (const side of [piece.lengthM, piece.widthM])
        if (sum + side < below - EPSILON) next.add(Number((sum + side).toFixed(6)))
    sums = next
  })
  sums.delete(0)
  return [...sums]
}

/** Least area over all ways to divide the pieces into groups that are cut one after the other. */
function partitionExactly(
  pieces: readonly CutPiece[],
  best: (group: readonly CutPiece[]) => Grouped | null,
): Grouped[] {
  const known = new Map<number, { areaM2: number; groups: Grouped[] }>([[0, { areaM2: 0, groups: [] }]])
  const solve = (mask: number): { areaM2: number; groups: Grouped[] } => {
    const found = known.get(mask)
    if (found) return found
    let min: { areaM2: number; groups: Grouped[] } = { areaM2: Infinity, groups: [] }
    const lowest = mask & -mask
    for (let part = mask; part > 0; part = (part - 1) & mask) {
      if ((part & lowest) === 0) continue
      const group = best(pieces.filter((_, i) => part & (1 << i)))
      if (!group) continue
      const rest = solve(mask & ~part)
      if (group.areaM2 + rest.areaM2 < min.areaM2 - EPSILON)
        min = { areaM2: group.areaM2 + rest.areaM2, groups: [group, ...rest.groups] }
    }
    known.set(mask, min)
    return min
  }
  return solve((1 << pieces.length) - 1).groups
}

/**
 * Groups of a few pieces; pieces move and change places between groups, at first also where that costs a little
 * (annealing).
 */
function partitionBySearch(
  pieces: readonly CutPiece[],
  best: (group: readonly CutPiece[]) => Grouped | null,
  seed: number,
  steps: number,
): Grouped[] {
  const random = seededRandom(seed)
  const max = groupUpTo(pieces.length)
  const area = (group: readonly CutPiece[]): number => (group.length === 0 ? 0 : (best(group)?.areaM2 ?? Infinity))
  const total = (all: readonly (readonly CutPiece[])[]) => all.reduce((sum, g) => sum + area(g), 0)
  let groups: CutPiece[][] = [...pieces].sort((a, b) => b.lengthM * b.widthM - a.lengthM * a.widthM).map((p) => [p])
  let [now, kept, keptArea] = [total(groups), groups, total(groups)]
  const pick = (n: number) => Math.min(n - 1, Math.floor(random() * n))
  for (let step = 0; step < steps; step++) {
    const i = pick(groups.length)
    // one past the last stands for a group of its own
    const j = pick(groups.length + 1)
    if (i === j) continue
    const [from, to] = [groups[i]!, groups[j] ?? []]
    const moving = from[pick(from.length)]!
    const swapped = random() < 0.4 && to.length > 0 ? to[pick(to.length)]! : null
    const nextFrom = [...from.filter((p) => p !== moving), ...(swapped ? [swapped] : [])]
    const nextTo = [...to.filter((p) => p !== swapped), moving]
    if (nextTo.length > max || nextFrom.length > max) continue
    const change = area(nextFrom) + area(nextTo) - area(from) - area(to)
    const allowance = FIRST_ALLOWANCE * keptArea * (1 - step / steps) ** 2 * random()
    if (change > allowance + EPSILON) continue
    groups = [...groups.filter((_, k) => k !== i && k !== j), nextFrom, nextTo].filter((g) => g.length > 0)
    now += change
    if (now < keptArea - EPSILON) [kept, keptArea] = [groups, now]
  }
  return kept.map((g) => best(g)!)
}

/** Groups one after the other onto stock rolls of their width, longest first, a new roll when none has room. */
function ontoRolls(groups: readonly Grouped[]): CutRoll[] {
  const open: { roll: Roll; usedM: number; pieces: PlacedPiece[] }[] = []
  for (const { roll, layout } of [...groups].sort((a, b) => b.layout.lengthM - a.layout.lengthM)) {
    let place = open.find((o) => o.roll === roll && o.usedM + layout.lengthM <= roll.lengthM + EPSILON)
    if (!place) {
      place = { roll, usedM: 0, pieces: [] }
      open.push(place)
    }
    place.pieces.push(...moved(layout.pieces, place.usedM, 0))
    place.usedM += layout.lengthM
  }
  return open.map(({ roll, usedM, pieces }) => ({ widthM: roll.widthM, usedM, pieces }))
}
