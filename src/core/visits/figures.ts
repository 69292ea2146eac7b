import type { QuantityKind } from '../units/kinds'

/**
 * A figure that a step asks for beside readings: what was done, in numbers. One row below is all that a new one
 * needs.
 */
export interface FigureKind {
  readonly quantity: QuantityKind
  /** Values outside cannot be true and are refused. */
  readonly possible: readonly [number, number]
}

export const STEP_FIGURES = {
  /** Water let out and replaced, m³. */
  changedM3: { quantity: 'volume', possible: [0, 1e5] },
  /** Level lost since the last visit, m. */
  levelDropM: { quantity: 'length', possible: [0, 5] },
  toppedUpM3: { quantity: 'volume', possible: [0, 1e5] },
  flushedM3: { quantity: 'volume', possible: [0, 1e4] },
  minutesToClear: { quantity: 'number', possible: [0, 600] },
  minutesEmpty: { quantity: 'number', possible: [0, 1440] },
  /** Share of the biological media that was cleaned. */
  mediaShare: { quantity: 'share', possible: [0, 1] },
  /** Rise of carbonate hardness that a dose is meant to bring, °dH. */
  khRiseDH: { quantity: 'hardness', possible: [0, 20] },
  saltKg: { quantity: 'mass', possible: [0, 1e5] },
  /** Cuttings taken away, buckets of ten litres. */
  cuttingBuckets: { quantity: 'number', possible: [0, 1000] },
  /** Share of the water that floating plants cover. */
  coverShare: { quantity: 'share', possible: [0, 1] },
  padThicknessM: { quantity: 'length', possible: [0, 0.5] },
  fillM3: { quantity: 'volume', possible: [0, 1e5] },
  drainBackM3: { quantity: 'volume', possible: [0, 1e4] },
  leakM: { quantity: 'length', possible: [0, 2] },
} as const satisfies Record<string, FigureKind>

export type StepFigure = keyof typeof STEP_FIGURES
export const STEP_FIGURE_NAMES = Object.keys(STEP_FIGURES) as [StepFigure, ...StepFigure[]]

export const figurePossible = (figure: StepFigure, value: number): boolean => {
  const [min, max] = STEP_FIGURES[figure].possible
  return value >= min && value <= max
}
