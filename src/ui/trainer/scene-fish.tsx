import type { Scene, WeekView } from '@/core/trainer/view'
import { depthAt, RIM, spread } from './scene-geometry'

const COATS = ['#c96f2b', '#d9a441', '#e9e2d2', '#8a5a34'] as const

/** Where fish stand tells how they are. */
const PLACES: Readonly<
  Record<
    Scene['fish'],
    { readonly x: readonly [number, number]; readonly y: readonly [number, number]; readonly turned: number }
  >
> = {
  calm: { x: [250, 560], y: [128, 215], turned: 0 },
  still: { x: [320, 510], y: [214, 236], turned: 0 },
  uneasy: { x: [290, 530], y: [165, 228], turned: 24 },
  'at-falls': { x: [212, 270], y: [120, 148], turned: -12 },
  gasping: { x: [230, 590], y: [RIM + 5, RIM + 10], turned: -38 },
}
const SHELF_Y = 148

/** The shoal, as far as it can be seen through the water. */
export function SceneFish({ view }: { view: WeekView }) {
  const { fish, clarityM } = view.scene
  const { x, y, turned } = PLACES[fish]
  return (
    <g className="shoal">
      {spread(view.fish.alive, 1).map(([u, v], i) => {
        const py = y[0] + v * (y[1] - y[0])
        // below the shelves only the middle is deep enough
        const [from, to] = py > SHELF_Y ? [Math.max(x[0], 312), Math.min(x[1], 520)] : x
        return (
          <Fish
            key={i}
            x={from + u * (to - from)}
            y={py}
            index={i}
            opacity={Math.max(0.05, 1 - depthAt(py) / clarityM)}
            turned={(i % 2 === 0 ? 1 : -1) * turned}
            mirrored={i % 2 === 1}
          />
        )
      })}
    </g>
  )
}

export function Fish({
  x,
  y,
  index,
  opacity,
  turned,
  mirrored = false,
}: {
  x: number
  y: number
  index: number
  opacity: number
  turned: number
  mirrored?: boolean
}) {
  return (
    <g transform={`translate(${x} ${y}) rotate(${turned}) scale(${mirrored ? -1 : 1} 1)`} opacity={opacity}>
      <path
        className="fish"
        style={{ animationDelay: `${-index * 0.7}s` }}
        d="M-13 0C-9 -6 3 -6 9 -1L16 -5C15 -2 15 2 16 5L9 1C3 6 -9 6 -13 0Z"
        fill={COATS[index % COATS.length]}
        stroke="var(--ink)"
        strokeWidth="0.8"
      />
    </g>
  )
}
