import type { DrawnPoint, Mark } from './sheet'

/** Parts that a plan shows by a symbol of their own; exports keep each as a block. */
export const SYMBOLS = ['pump', 'skimmer', 'valve', 'supply', 'auto-fill', 'discharge', 'fixed-point', 'spot'] as const
export type PlanSymbol = (typeof SYMBOLS)[number]

/** A symbol's strokes in a square of 2 × 2 around its place; closed ones are filled. */
const STROKES: Readonly<Record<PlanSymbol, { readonly ring: boolean; readonly paths: readonly (readonly Pair[])[] }>> =
  {
    // an impeller in its housing
    pump: {
      ring: true,
      paths: [
        [
          [-0.55, -0.75],
          [0.9, 0],
          [-0.55, 0.75],
          [-0.55, -0.75],
        ],
      ],
    },
    // a mouth with its weir
    skimmer: {
      ring: false,
      paths: [
        [
          [-1, -0.7],
          [1, -0.7],
          [1, 0.7],
          [-1, 0.7],
          [-1, -0.7],
        ],
        [
          [-0.6, -0.2],
          [0.6, -0.2],
        ],
      ],
    },
    valve: {
      ring: false,
      paths: [
        [
          [-1, -0.6],
          [1, 0.6],
          [1, -0.6],
          [-1, 0.6],
          [-1, -0.6],
        ],
      ],
    },
    supply: {
      ring: true,
      paths: [
        [
          [0.1, 0.75],
          [-0.35, -0.05],
          [0.3, 0.05],
          [-0.1, -0.75],
        ],
      ],
    },
    'auto-fill': {
      ring: true,
      paths: [
        [
          [0, 0.75],
          [0, -0.6],
        ],
        [
          [-0.4, -0.15],
          [0, -0.7],
          [0.4, -0.15],
        ],
      ],
    },
    discharge: {
      ring: false,
      paths: [
        [
          [-1, 0.8],
          [1, 0.8],
          [0, -0.9],
          [-1, 0.8],
        ],
      ],
    },
    'fixed-point': {
      ring: true,
      paths: [
        [
          [-1, 0],
          [1, 0],
        ],
        [
          [0, -1],
          [0, 1],
        ],
      ],
    },
    spot: {
      ring: false,
      paths: [
        [
          [-0.7, -0.7],
          [0.7, 0.7],
        ],
        [
          [-0.7, 0.7],
          [0.7, -0.7],
        ],
      ],
    },
  }
export type SymbolMark = Extract<Mark, { kind: 'symbol' }>
export type PlainMark = Exclude<Mark, SymbolMark>

type Pair = readonly [x: number, y: number]

/** The symbol as plain marks around a place. */
export function symbolMarks({ symbol, at, radiusM, layer }: SymbolMark): PlainMark[] {
  const { ring, paths } = STROKES[symbol]
  const place = ([x, y]: Pair): DrawnPoint => ({ xM: at.xM + x * radiusM, yM: at.yM + y * radiusM })
  return [
    ...(ring ? [{ kind: 'circle', layer, centre: at, radiusM, fill: 'paper' } as const] : []),
    ...paths.map((path): PlainMark => ({ kind: 'line', layer, points: path.map(place) })),
  ]
}

/** Marks without symbols: what draws strokes only. */
export const plainMarks = (marks: readonly Mark[]): PlainMark[] =>
  marks.flatMap((mark) => (mark.kind === 'symbol' ? symbolMarks(mark) : [mark]))
