import type { WeekView } from '@/core/trainer/view'
import { RIM, spread } from './scene-geometry'

const TOP = RIM - 26
const LEFT = 44
const RIGHT = 176
const STEMS = 16
const TALLEST = 66

/** The raised bed beside the pond: stones, this year's plants and last year's, and the water that falls back. */
export function BedAndPlants({ view }: { view: WeekView }) {
  const { scene, fittings } = view
  const green = Math.max(4, scene.plants * TALLEST)
  const dead = scene.plantsDead * TALLEST
  return (
    <g>
      <path
        d={`M${LEFT - 10} ${RIM}V${TOP - 4}H${LEFT - 2}V${RIM + 62}H${RIGHT - 4}V${TOP + 2}H${RIGHT + 4}V${RIM}Z`}
        fill="var(--stone)"
        opacity="0.9"
      />
      <path d={`M${LEFT - 2} ${TOP + 6}H${RIGHT - 4}V${RIM + 62}H${LEFT - 2}Z`} fill="var(--stone)" />
      {spread(64, 23).map(([u, v], i) => (
        <circle
          key={i}
          cx={LEFT + 4 + u * (RIGHT - LEFT - 14)}
          cy={TOP + 10 + v * 74}
          r={3 + 2.4 * v}
          fill="var(--sheet)"
          stroke="var(--ink-soft)"
          strokeWidth="0.8"
        />
      ))}
      {dead > 3
        ? spread(STEMS, 31).map(([u, v], i) => (
            <Stem
              key={i}
              x={LEFT + 6 + u * 116}
              height={dead * (0.6 + 0.4 * v)}
              lean={(v - 0.5) * 26}
              ink="var(--amber)"
            />
          ))
        : null}
      {spread(STEMS, 41).map(([u, v], i) => (
        <Stem key={i} x={LEFT + 6 + u * 116} height={green * (0.6 + 0.4 * v)} lean={(v - 0.5) * 16} ink="var(--reed)" />
      ))}
      {fittings.pump ? (
        <path
          className="falls"
          d={`M${RIGHT - 6} ${TOP + 4}H${RIGHT + 14}C${RIGHT + 26} ${TOP + 6} ${RIGHT + 30} ${RIM - 8} ${RIGHT + 32} ${RIM}`}
          fill="none"
          stroke="var(--water-line)"
          strokeWidth="5"
          strokeLinecap="round"
        />
      ) : null}
      {fittings.uv ? (
        <g>
          <rect
            x="8"
            y={RIM - 20}
            width="22"
            height="9"
            rx="4.5"
            fill="var(--iris-wash)"
            stroke="var(--iris)"
            strokeWidth="1.6"
          />
          <path d={`M12 ${RIM - 15.5}H26`} stroke="var(--iris)" strokeWidth="2" />
        </g>
      ) : null}
    </g>
  )
}

const Stem = ({ x, height, lean, ink }: { x: number; height: number; lean: number; ink: string }) => (
  <path
    d={`M${x} ${TOP + 8}q0 ${-height / 2} ${lean} ${-height}`}
    fill="none"
    stroke={ink}
    strokeWidth="2.4"
    strokeLinecap="round"
  />
)
