import { assertInRange, assertPositive } from '../../errors'

/**
 * How roots and litter change the stone they stand in.
 * @source house default: a matted root zone passes about half of clean gravel
 */
export const ROOT_ZONE = { depthM: 0.2, permeability: 0.5, minShare: 0.5, stopBelow: 0.3 } as const

const COLUMNS = 48
const ROWS = 12

export interface HorizontalBed {
  readonly lengthM: number
  readonly depthM: number
  /** Depth that roots fill, from the top. */
  readonly rootDepthM: number
  /** Permeability of the root zone over that of the gravel below. */
  readonly rootPermeability: number
  /**
   * Header slots from the floor up to this share of the depth, at both ends: 0.1 a pipe on the floor, 1 full height.
   */
  readonly slottedShare: number
}

const HORIZONTAL_BED_RANGE = {
  lengthM: [0.2, 100],
  depthM: [0.05, 3],
  rootPermeability: [0.01, 1],
  slottedShare: [0.02, 1],
} as const

/**
 * Share of a horizontal bed's flow that passes the roots, averaged along the bed.
 * Darcy flow on a vertical section (Laplace with two permeabilities), finite volumes, solved directly.
 * @returns 0..1
 * @throws {DomainError} a figure out of HORIZONTAL_BED_RANGE
 * @source Darcy 1856; standard block-centred finite volumes with harmonic means
 */
export function rootZoneShare(bed: HorizontalBed): number {
  assertInRange('lengthM', bed.lengthM, HORIZONTAL_BED_RANGE.lengthM)
  assertInRange('depthM', bed.depthM, HORIZONTAL_BED_RANGE.depthM)
  assertPositive('rootDepthM', bed.rootDepthM)
  assertInRange('rootPermeability', bed.rootPermeability, HORIZONTAL_BED_RANGE.rootPermeability)
  assertInRange('slottedShare', bed.slottedShare, HORIZONTAL_BED_RANGE.slottedShare)
  const [dx, dy] = [bed.lengthM / COLUMNS, bed.depthM / ROWS]
  // row 0 lies on the floor; a row partly in the roots has the mean of both
  const rooted = Array.from({ length: ROWS }, (_, j) =>
    Math.min(1, Math.max(0, ((j + 1) * dy - (bed.depthM - bed.rootDepthM)) / dy)),
  )
  const k = rooted.map((share) => share * bed.rootPermeability + (1 - share))
  const open = Array.from({ length: ROWS }, (_, j) =>
    Math.min(1, Math.max(0, (bed.slottedShare * bed.depthM - j * dy) / dy)),
  )
  const head = solve(k, open, dx, dy)
  const throughRoots: number[] = []
  for (let i = 0; i < COLUMNS - 1; i++) {
    let all = 0
    let roots = 0
    for (let j = 0; j < ROWS; j++) {
      const flow = ((k[j]! * (head[i * ROWS + j]! - head[(i + 1) * ROWS + j]!)) / dx) * dy
      all += flow
      roots += flow * rootShareOfRow(rooted[j]!, bed.rootPermeability)
    }
    throughRoots.push(all > 0 ? roots / all : 0)
  }
  return throughRoots.reduce((sum, share) => sum + share, 0) / throughRoots.length
}

/** In a row that is partly rooted the flow splits by permeability. */
const rootShareOfRow = (rooted: number, permeability: number): number =>
  (rooted * permeability) / (rooted * permeability + (1 - rooted))

/** Heads of all blocks, header heads 1 and 0: banded Gaussian elimination, column by column. */
function solve(k: readonly number[], open: readonly number[], dx: number, dy: number): Float64Array {
  const n = COLUMNS * ROWS
  const band = ROWS
  const width = 2 * band + 1
  const a = new Float64Array(n * width)
  const b = new Float64Array(n)
  const add = (row: number, col: number, value: number) => {
    a[row * width + (col - row + band)]! += value
  }
  for (let i = 0; i < COLUMNS; i++) {
    for (let j = 0; j < ROWS; j++) {
      const here = i * ROWS + j
      const link = (there: number, conductance: number) => {
        add(here, here, conductance)
        add(here, there, -conductance)
      }
      if (i > 0) link(here - ROWS, (k[j]! * dy) / dx)
      if (i < COLUMNS - 1) link(here + ROWS, (k[j]! * dy) / dx)
      if (j > 0) link(here - 1, (((2 * k[j]! * k[j - 1]!) / (k[j]! + k[j - 1]!)) * dx) / dy)
      if (j < ROWS - 1) link(here + 1, (((2 * k[j]! * k[j + 1]!) / (k[j]! + k[j + 1]!)) * dx) / dy)
      if (i === 0 || i === COLUMNS - 1) {
        const toHeader = ((2 * k[j]! * dy) / dx) * open[j]!
        add(here, here, toHeader)
        if (i === 0) b[here]! += toHeader
      }
    }
  }
  for (let p = 0; p < n; p++) {
    const pivot = a[p * width + band]!
    for (let r = p + 1; r <= Math.min(n - 1, p + band); r++) {
      const factor = a[r * width + (p - r + band)]! / pivot
      if (factor === 0) continue
      for (let c = p; c <= Math.min(n - 1, p + band); c++)
        a[r * width + (c - r + band)]! -= factor * a[p * width + (c - p + band)]!
      b[r]! -= factor * b[p]!
    }
  }
  for (let p = n - 1; p >= 0; p--) {
    for (let c = p + 1; c <= Math.min(n - 1, p + band); c++) b[p]! -= a[p * width + (c - p + band)]! * b[c]!
    b[p]! /= a[p * width + band]!
  }
  return b
}
