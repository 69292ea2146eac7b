import type { StepFigure } from '../../core/visits/figures'
import type { QuantityScale } from '../../core/units/systems'

const SMALL: readonly StepFigure[] = ['levelDropM', 'padThicknessM', 'leakM']

/** Short lengths are told in millimetres or inches. */
export const figureScale = (figure: StepFigure): QuantityScale => (SMALL.includes(figure) ? 'small' : 'usual')
