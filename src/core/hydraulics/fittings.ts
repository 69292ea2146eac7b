/** K values of fittings: head lost = K·v²/2g. @source Crane TP-410 and pipe-maker tables, rounded for PVC pond sizes */
export const FITTINGS = {
  'elbow-90': { name: '90° elbow', k: 0.9 },
  'sweep-90': { name: '90° long sweep', k: 0.35 },
  'elbow-45': { name: '45° elbow', k: 0.4 },
  'tee-through': { name: 'Tee, straight through', k: 0.3 },
  'tee-branch': { name: 'Tee, into the branch', k: 1.2 },
  union: { name: 'Union or coupling', k: 0.06 },
  'ball-valve': { name: 'Ball valve, open', k: 0.1 },
  'gate-valve': { name: 'Gate or knife valve, open', k: 0.2 },
  'check-valve': { name: 'Swing check valve', k: 2.3 },
  'bulkhead-in': { name: 'Bulkhead or pipe entrance', k: 0.5 },
  exit: { name: 'Exit into the bed', k: 1 },
  reducer: { name: 'Reducer', k: 0.2 },
  strainer: { name: 'Foot strainer, clean', k: 1.5 },
} as const satisfies Record<string, { name: string; k: number }>

export type FittingKey = keyof typeof FITTINGS
export const FITTING_KEYS = Object.keys(FITTINGS) as FittingKey[]
export type FittingCounts = Readonly<Partial<Record<FittingKey, number>>>

/** Sum of K over counted fittings. */
export const fittingsK = (counts: FittingCounts): number => FITTING_KEYS.reduce((sum, key) => sum + (counts[key] ?? 0) * FITTINGS[key].k, 0)

/** Nominal sizes in use on ponds with their bore, m. @source metric pressure pipe, class rounded */
export const PIPE_SIZES = [
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
] as const

/** The next larger size than a bore, or the largest there is. */
export const nextBoreM = (boreM: number): number => (PIPE_SIZES.find((size) => size.boreM > boreM * 1.02) ?? PIPE_SIZES[PIPE_SIZES.length - 1]).boreM

/** Place of a bore in the row of sizes: the number of sizes that are not larger. */
export const sizeRank = (boreM: number): number => PIPE_SIZES.filter((size) => size.boreM <= boreM * 1.02).length
