import type { ChartInk } from '@/ui/kit/charts/chart-style'

/** Each way keeps its colour, dash and mark wherever it is drawn. */
const INKS = ['reed', 'iris', 'rust', 'water'] as const
export const DASHES = ['solid', 'dashed', 'dotted', [8, 3, 2, 3]] as const
const SVG_DASHES = [undefined, '6 4', '2 3', '8 3 2 3']

export const optionInk = (ink: ChartInk, index: number): string => ink[INKS[index % INKS.length]!]
export const optionVar = (index: number): string =>
  `var(--${INKS[index % INKS.length] === 'water' ? 'water-line' : INKS[index % INKS.length]})`
const waySvgDash = (index: number): string | undefined => SVG_DASHES[index % SVG_DASHES.length]

/** The line of a way, small, before its name. */
export function Swatch({ index }: { index: number }) {
  return (
    <svg width="22" height="8" aria-hidden="true">
      <path d="M0 4H22" stroke={optionVar(index)} strokeWidth="3" strokeDasharray={waySvgDash(index)} />
    </svg>
  )
}
