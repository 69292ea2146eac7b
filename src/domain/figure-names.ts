import type { StepFigure } from '../core/jobs/figures'
import type { QuantityScale } from '../core/units/systems'

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
/** Short lengths are told in millimetres or inches. */
export const figureScale = (figure: StepFigure): QuantityScale => (SMALL.includes(figure) ? 'small' : 'usual')
