import { STEP_FIGURES, type StepFigure } from '@/core/visits/figures'
import type { FormatOptions } from '@/core/units/format'
import type { QuantityKind } from '@/core/units/kinds'
import { figureScale } from '@/domain/visits/figure-scale'
import type { Texts } from '../texts'

type Show = (value: number, kind: QuantityKind, options?: FormatOptions) => string

/** "Water changed 2.4 m³", in the units of who reads it. */
export const figureWords = (figure: StepFigure, value: number, show: Show, t: Texts): string =>
  `${t(`visits.figureNames.${figure}`).toLowerCase()} ${show(value, STEP_FIGURES[figure].quantity, { scale: figureScale(figure) })}`
