import type { ReactNode } from 'react'
import type { Sight, SightArea } from '@/core/diagnosis/findings'

const CLEAR = 'color-mix(in srgb, var(--water-line) 45%, var(--sheet))'
const SURFACE_Y = 20
const POND = `M6 ${SURFACE_Y}H90C88 40 74 48 48 48S8 40 6 ${SURFACE_Y}Z`
/** Colours of water and fish as they are met, not of the interface: the same in every theme. */
const SEEN = {
  green: '#7f9b3a',
  tea: '#a8743a',
  mud: '#9b8a6c',
  milk: '#e6e8e4',
  scum: '#3f8f83',
  pale: '#cfc267',
  leaf: '#5d8a3c',
  fish: '#e08a3c',
  red: '#b3261e',
  cloud: '#f4f4f0',
} as const

/** The pond in section, with its water in a colour. */
const pond = (fill: string = CLEAR, more?: ReactNode) => (
  <>
    <path d={POND} fill={fill} stroke="var(--ink)" strokeWidth={1.5} />
    {more}
  </>
)

const FISH = 'M30 34C38 24 56 24 64 34C56 44 38 44 30 34ZM64 34L74 27V41Z'
const fish = (more?: ReactNode, fill: string = SEEN.fish) => (
  <>
    <path d={FISH} fill={fill} stroke="var(--ink)" strokeWidth={1.2} />
    <circle cx={37} cy={32} r={1.6} fill="var(--ink)" />
    {more}
  </>
)

const reeds = (fill: string, at: readonly number[]) =>
  at.map((x) => (
    <path key={x} d={`M${x} 44C${x - 2} 30 ${x + 1} 18 ${x} 6`} stroke={fill} strokeWidth={3} fill="none" />
  ))

const ink = (d: string, width = 1.5) => <path d={d} stroke="var(--ink)" strokeWidth={width} fill="none" />

/** A pump in its chamber, and the pipe that leaves it. */
const pump = (more: ReactNode) => (
  <>
    <rect x={18} y={28} width={22} height={16} rx={2} fill="var(--ink-soft)" />
    {ink('M40 34H62V10H84', 3)}
    {more}
  </>
)

const PICTURES: Readonly<Record<Sight, ReactNode>> = {
  'water-green': pond(SEEN.green),
  'water-brown': pond(SEEN.tea),
  'water-muddy': pond(SEEN.mud, ink('M20 40c6-4 10 4 16 0s10 4 16 0 10 4 16 0')),
  'water-milky': pond(SEEN.milk),
  'algae-turned': (
    <>
      {pond(SEEN.tea)}
      <path d={`M6 ${SURFACE_Y}H48V48C28 48 8 40 6 ${SURFACE_Y}Z`} fill={SEEN.green} stroke="var(--ink)" />
      {ink('M36 10H60M54 5l6 5-6 5', 2)}
    </>
  ),
  'smell-eggs': pond(CLEAR, ink('M36 16c-4-4 4-6 0-12M48 16c-4-4 4-6 0-12M60 16c-4-4 4-6 0-12')),
  foam: pond(
    CLEAR,
    [26, 34, 42, 50, 58, 66].map((x, i) => (
      <circle key={x} cx={x} cy={17 - (i % 2) * 4} r={5} fill={SEEN.cloud} stroke="var(--ink)" />
    )),
  ),
  film: pond(CLEAR, <path d="M8 20H88V25H10Z" fill={SEEN.pale} opacity={0.8} />),
  'scum-blue-green': pond(
    CLEAR,
    <path d="M8 20H88C86 27 72 24 62 26S40 30 30 26 10 27 8 20Z" fill={SEEN.scum} stroke="var(--ink)" />,
  ),
  duckweed: pond(
    CLEAR,
    [14, 24, 34, 44, 54, 64, 74, 82].map((x) => <ellipse key={x} cx={x} cy={20} rx={5} ry={2.4} fill={SEEN.leaf} />),
  ),
  'string-algae': pond(
    CLEAR,
    [24, 36, 48, 60, 72].map((x) => (
      <path key={x} d={`M${x} 22c5 5-5 8 0 13s-4 6 0 9`} stroke={SEEN.leaf} strokeWidth={2} fill="none" />
    )),
  ),
  'plants-pale': pond(CLEAR, reeds(SEEN.pale, [30, 42, 54])),
  'plants-rampant': pond(CLEAR, reeds(SEEN.leaf, [12, 20, 28, 36, 44, 52, 60, 68, 76, 84])),
  'fish-gasp': pond(CLEAR, <g transform="rotate(-50 44 34) translate(10 -6) scale(0.7)">{fish()}</g>),
  'fish-flash': pond(
    CLEAR,
    <>
      <path d="M52 47c2-10 18-10 22-2z" fill="var(--ink-soft)" />
      <g transform="rotate(35 44 34) translate(10 6) scale(0.7)">{fish()}</g>
    </>,
  ),
  'fins-clamped': fish(ink('M46 40L58 39M44 28L56 29')),
  'red-streaks': fish(<path d="M44 36l8 2M50 31l9 1M68 33l5 4M67 37l5 2" stroke={SEEN.red} strokeWidth={2.4} />),
  'raised-scales': fish(ink('M44 28l-2-4M50 27l-1-5M56 28l1-5M44 40l-2 4M50 41l-1 5M56 40l1 5', 2)),
  'cloudy-skin': fish(<ellipse cx={50} cy={34} rx={11} ry={6} fill={SEEN.cloud} opacity={0.85} />),
  'fish-hide': pond(
    CLEAR,
    <>
      <g transform="translate(26 20) scale(0.5)">{fish()}</g>
      <path d="M30 30h40v6H30z" fill="var(--ink-soft)" />
    </>,
  ),
  'fish-missing': pond(
    CLEAR,
    <path
      d={FISH}
      fill="none"
      stroke="var(--ink)"
      strokeDasharray="3 3"
      transform="translate(14 12) scale(0.68)"
      strokeWidth={2}
    />,
  ),
  'level-falls': (
    <>
      <path d="M12 32H84C78 44 68 48 48 48S18 44 12 32Z" fill={CLEAR} />
      {ink(POND)}
      {ink('M48 10V28M43 23l5 6 5-6', 2)}
    </>
  ),
  'wet-ground': pond(
    CLEAR,
    <path
      d="M84 40c0-4 4-4 4-9 0 5 4 5 4 9a4 4 0 0 1-8 0zM74 52c0-3 3-3 3-7 0 4 3 4 3 7a3 3 0 0 1-6 0z"
      fill={CLEAR}
      stroke="var(--ink)"
    />,
  ),
  'flow-less': (
    <>
      {ink('M8 12H46V48H88', 3)}
      <path d="M46 14c5 6 3 20 4 32" stroke="var(--water-line)" strokeWidth={2} strokeDasharray="4 4" fill="none" />
    </>
  ),
  'bed-stands-high': (
    <>
      <path d="M14 12H82V46H14Z" fill={CLEAR} stroke="var(--ink)" strokeWidth={1.5} />
      {[22, 34, 46, 58, 70].map((x) => (
        <circle key={x} cx={x} cy={37} r={7} fill="var(--ink-soft)" />
      ))}
    </>
  ),
  'pump-noisy': pump(ink('M12 30c-4 4-4 9 0 13M6 26c-6 6-6 15 0 21', 2)),
  'air-in-pipe': pump(
    [46, 53, 62, 70, 78].map((x, i) => (
      <circle key={x} cx={x} cy={i < 2 ? 34 : 10} r={3} fill="var(--sheet)" stroke="var(--ink)" />
    )),
  ),
}

const OF_AREA: Readonly<Record<SightArea, Sight>> = {
  water: 'water-green',
  surface: 'foam',
  algae: 'string-algae',
  plants: 'plants-pale',
  fish: 'fish-gasp',
  level: 'level-falls',
  filter: 'pump-noisy',
}

/** A small drawing of what is seen; the words beside it say it too. */
export function SightPicture({ of }: { of: Sight | SightArea }) {
  return (
    <svg viewBox="0 0 96 54" className="sight-picture" aria-hidden="true">
      {PICTURES[of in OF_AREA ? OF_AREA[of as SightArea] : (of as Sight)]}
    </svg>
  )
}
