const SLATE = 'color-mix(in srgb, var(--water-line) 55%, var(--ink))'
const MULBERRY = 'color-mix(in srgb, var(--iris) 35%, var(--rust))'
const TEAL = 'color-mix(in srgb, var(--water-line) 55%, var(--reed))'

/** Crews are told apart by dash and number as well as colour; none of these says how a pond stands. */
const LINES = [
  { colour: 'var(--iris)', dash: '' },
  { colour: MULBERRY, dash: '12 5' },
  { colour: SLATE, dash: '4 5' },
  { colour: 'var(--ink)', dash: '14 4 3 4' },
  { colour: TEAL, dash: '2 6' },
] as const
export type RoundLine = (typeof LINES)[number]

/** How the round of the nth crew is drawn. */
export const lineOf = (round: number): RoundLine => LINES[round % LINES.length]!
