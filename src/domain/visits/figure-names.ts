import { STEP_FIGURES, type StepFigure } from '../../core/visits/figures'
import type { FormatOptions } from '../../core/units/format'
import type { QuantityKind } from '../../core/units/kinds'
import type { QuantityScale } from '../../core/units/systems'

export const FIGURE_NAMES: Readonly<Record<StepFigure, string>> = {
  changedM3: 'Water changed',
  levelDropM: 'Level lost since the last visit',
  toppedUpM3: 'Topped up',
  flushedM3: 'Pumped out',
  minutesToClear: 'Minutes until clear',
  minutesEmpty: 'Minutes the bed stood empty',
  mediaShare: 'Share of the biological media cleaned',
  padThicknessM: 'Thickness of the pads',
  khRiseDH: 'KH raised by',
  saltKg: 'Salt put in',
  cuttingBuckets: 'Buckets taken away',
  coverShare: 'Cover of floating plants, as found',
  fillM3: 'Filled by the meter',
  drainBackM3: 'Drained back',
  leakM: 'Level lost in 24 hours',
}

const SMALL: readonly StepFigure[] = ['levelDropM', 'padThicknessM', 'leakM']
type Show = (value: number, kind: QuantityKind, options?: FormatOptions) => string

/** "Water changed 2.4 m³", in the units of who reads it. */
export const figureWords = (figure: StepFigure, value: number, show: Show): string =>
  `${FIGURE_NAMES[figure].toLowerCase()} ${show(value, STEP_FIGURES[figure].quantity, { scale: figureScale(figure) })}`

/** Short lengths are told in millimetres or inches. */
export const figureScale = (figure: StepFigure): QuantityScale => (SMALL.includes(figure) ? 'small' : 'usual')
