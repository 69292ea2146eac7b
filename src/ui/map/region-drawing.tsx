'use client'
import { useTexts } from '@/ui/kit/texts'
import { longDate } from '@/domain/shared/dates'
import type { MapPageData } from '@/server/rounds/rounds'
import { pathOf, type Projection } from './projection'
import type { RegionFeature } from './use-region'

/** Crews are told apart by dash and number as well as colour. */
const LINES = [
  { colour: 'var(--iris)', dash: '' },
  { colour: 'var(--rust)', dash: '10 4' },
  { colour: 'var(--reed)', dash: '3 4' },
  { colour: 'var(--water-line)', dash: '14 4 3 4' },
  { colour: 'var(--amber)', dash: '6 6' },
] as const
type Line = (typeof LINES)[number]
export const lineOf = (round: number): Line => LINES[round % LINES.length]!

const SCALE_KM = 5

/** A site that has a place. */
export type Placed = MapPageData['sites'][number] & { readonly lat: number; readonly lon: number }

interface RegionDrawingProps {
  readonly data: MapPageData
  readonly placed: readonly Placed[]
  readonly region: readonly RegionFeature[]
  /** `near`: whether the region's file is of where the sites are. */
  readonly projection: Projection & { readonly near: boolean }
  /** Crews whose rounds are not shown. */
  readonly hidden: readonly string[]
}

/** Land and roads, all sites, the yards, and the rounds of a day. */
export function RegionDrawing({ data, placed, region, projection, hidden }: RegionDrawingProps) {
  const t = useTexts()
  const rounds = data.rounds.filter((r) => r.stops.length > 0)
  const yards = [
    data.yard,
    ...rounds.map((r) => r.yard).filter((y) => y.lat !== data.yard.lat || y.lon !== data.yard.lon),
  ]
  return (
    <svg
      viewBox={`0 0 ${projection.width} ${projection.height.toFixed(0)}`}
      width="100%"
      role="img"
      aria-label={t('map.mapView.mapSitesRound', {
        count: placed.length,
        count2: rounds.length,
        day: longDate(data.day),
      })}
      className="region-map"
    >
      {projection.near ? region.map((f, i) => <Feature key={i} feature={f} projection={projection} />) : null}
      {placed.map((s) => {
        const [x, y] = projection.at([s.lon, s.lat])
        return (
          <circle key={s.id} className="site" cx={x} cy={y} r={4}>
            <title>{`${s.name}, ${s.town}`}</title>
          </circle>
        )
      })}
      {data.rounds.map((round, n) => {
        if (round.stops.length === 0 || hidden.includes(round.crew.id)) return null
        return <Round key={round.crew.id} round={round} line={lineOf(n)} projection={projection} />
      })}
      {yards.map(({ lat, lon }, i) => {
        const [x, y] = projection.at([lon, lat])
        return (
          <rect key={i} x={x - 6} y={y - 6} width={12} height={12} className="yard">
            <title>{i === 0 ? t('map.mapView.yard') : t('map.mapView.crewsOwnYard')}</title>
          </rect>
        )
      })}
      <g transform={`translate(24 ${projection.height - 20})`} className="scale">
        <path d={`M0 -5V0H${(SCALE_KM * projection.perKm).toFixed(1)}V-5`} fill="none" stroke="var(--ink)" />
        <text x={(SCALE_KM * projection.perKm) / 2} y={-6} textAnchor="middle" fontSize={13}>
          {t('map.mapView.km', { scaleKm: SCALE_KM })}
        </text>
      </g>
    </svg>
  )
}

interface FeatureProps {
  readonly feature: RegionFeature
  readonly projection: Projection
}

function Feature({ feature: { geometry, properties }, projection }: FeatureProps) {
  if (geometry.type === 'Polygon')
    return <path className="land" d={geometry.coordinates.map((ring) => pathOf(projection, ring, true)).join('')} />
  if (geometry.type === 'LineString')
    return (
      <path className={`${properties.kind} ${properties.class ?? ''}`} d={pathOf(projection, geometry.coordinates)} />
    )
  const [x, y] = projection.at(geometry.coordinates)
  return (
    <text className="town" x={x} y={y - 9} textAnchor="middle">
      {properties.name}
    </text>
  )
}

interface RoundProps {
  readonly round: MapPageData['rounds'][number]
  readonly line: Line
  readonly projection: Projection
}

function Round({ round, line: { colour, dash }, projection }: RoundProps) {
  return (
    <g>
      <path
        d={pathOf(projection, round.way)}
        fill="none"
        stroke={colour}
        strokeWidth={3.5}
        strokeDasharray={dash}
        strokeLinejoin="round"
      />
      {round.stops.map((stop, i) => {
        const [x, y] = projection.at([stop.lon, stop.lat])
        return (
          <g key={stop.id}>
            <circle cx={x} cy={y} r={11} fill={colour} stroke="var(--sheet)" strokeWidth={2} />
            <text x={x} y={y + 4.5} textAnchor="middle" fontSize={13} fontWeight={700} fill="#fff">
              {i + 1}
            </text>
            <title>{`${round.crew.name} ${i + 1}: ${stop.siteName}, ${stop.startTime}`}</title>
          </g>
        )
      })}
    </g>
  )
}
