import { DomainError } from '../errors'

export interface FittingRow {
  readonly key: string
  /** What the firm calls it; the usual rows are named by the catalogue of texts. */
  readonly name?: string
  /** Head lost = K·v²/2g. */
  readonly k: number
}

export interface PipeSize {
  readonly name: string
  readonly boreM: number
}

/** The tables that pipes and fittings are picked from; a firm may change them. Pipes rise by bore. */
export interface HydraulicTables {
  readonly fittings: readonly FittingRow[]
  readonly pipes: readonly PipeSize[]
}

/** Inclusive input ranges; form schemas reuse them. */
export const TABLE_RANGE = { k: [0, 50], boreM: [0.012, 0.4] } as const

export const DEFAULT_TABLES = {
  /** @source Crane TP-410 and pipe-maker tables, rounded for PVC pond sizes */
  fittings: [
    { key: 'elbow-90', k: 0.9 },
    { key: 'sweep-90', k: 0.35 },
    { key: 'elbow-45', k: 0.4 },
    { key: 'tee-through', k: 0.3 },
    { key: 'tee-branch', k: 1.2 },
    { key: 'union', k: 0.06 },
    { key: 'ball-valve', k: 0.1 },
    { key: 'gate-valve', k: 0.2 },
    { key: 'check-valve', k: 2.3 },
    { key: 'bulkhead-in', k: 0.5 },
    { key: 'exit', k: 1 },
    { key: 'reducer', k: 0.2 },
    { key: 'strainer', k: 1.5 },
  ],
  /** @source metric pressure pipe, class rounded */
  pipes: [
    { name: '25 mm', boreM: 0.021 },
    { name: '32 mm', boreM: 0.028 },
    { name: '40 mm', boreM: 0.036 },
    { name: '50 mm', boreM: 0.045 },
    { name: '63 mm', boreM: 0.057 },
    { name: '75 mm', boreM: 0.068 },
    { name: '90 mm', boreM: 0.082 },
    { name: '110 mm', boreM: 0.101 },
    { name: '125 mm', boreM: 0.115 },
    { name: '160 mm', boreM: 0.148 },
    { name: '200 mm', boreM: 0.185 },
    { name: '250 mm', boreM: 0.231 },
  ],
} as const satisfies HydraulicTables
export type UsualFittingKey = (typeof DEFAULT_TABLES.fittings)[number]['key']

/** How many of each fitting, by its key in the table. */
export type FittingCounts = Readonly<Record<string, number>>

/**
 * Sum of K over counted fittings.
 * @throws {DomainError} a fitting that the table does not hold
 */
export function fittingsK(counts: FittingCounts, table: readonly FittingRow[]): number {
  return Object.entries(counts).reduce((sum, [key, count]) => {
    const row = table.find((fitting) => fitting.key === key)
    if (!row) throw new DomainError('fittings', key, 'a fitting of the table')
    return sum + count * row.k
  }, 0)
}

/** The next larger size than a bore, or the largest there is, m. */
export const nextBoreM = (boreM: number, pipes: readonly PipeSize[]): number =>
  (pipes.find((size) => size.boreM > boreM * 1.02) ?? pipes[pipes.length - 1])!.boreM

/** Place of a bore in the row of sizes: the number of sizes that are not larger. */
export const sizeRank = (boreM: number, pipes: readonly PipeSize[]): number =>
  pipes.filter((size) => size.boreM <= boreM * 1.02).length

/** The size whose bore is nearest. */
export const nearestSize = (boreM: number, pipes: readonly PipeSize[]): PipeSize =>
  pipes.reduce((a, b) => (Math.abs(b.boreM - boreM) < Math.abs(a.boreM - boreM) ? b : a))
