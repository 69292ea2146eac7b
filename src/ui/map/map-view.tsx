'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { addDays } from '@/core/numeric/calendar'
import { clockAfter } from '@/domain/schedule/clash'
import { longDate } from '@/domain/shared/dates'
import type { MapPageData } from '@/server/rounds/rounds'
import { CheckField } from '@/ui/kit/check-field'
import { TextField } from '@/ui/kit/text-field'
import { fit, pathOf, type LonLat } from './projection'
import { useRegion } from './use-region'

const WIDTH = 1000
/** Crews are told apart by dash and number as well as colour. */
const LINES = [
  { colour: 'var(--iris)', dash: '' },
  { colour: 'var(--rust)', dash: '10 4' },
  { colour: 'var(--reed)', dash: '3 4' },
  { colour: 'var(--water-line)', dash: '14 4 3 4' },
  { colour: 'var(--amber)', dash: '6 6' },
] as const
const SCALE_KM = 5

/** The region with all sites, and each crew's round of a day. */
export function MapView({ data }: { data: MapPageData }) {
  const t = useTexts()

  const router = useRouter()
  const region = useRegion()
  const [hidden, setHidden] = useState<readonly string[]>([])
  const placed = useMemo(
    () => data.sites.flatMap((s) => (s.lat === null || s.lon === null ? [] : [{ ...s, lat: s.lat, lon: s.lon }])),
    [data.sites],
  )
  const missing = data.sites.length - placed.length
  const projection = useMemo(() => {
    const land = region.flatMap((f) => (f.geometry.type === 'Polygon' ? f.geometry.coordinates.flat() : []))
    const sites = placed.map((s): LonLat => [s.lon, s.lat])
    // the region's file may be of another country than the sites
    const near =
      land.length > 0 &&
      sites.every(([lon, lat]) => land.some((p) => Math.abs(p[0] - lon) < 1 && Math.abs(p[1] - lat) < 1))
    const points = near ? land : sites
    return points.length > 0 ? { ...fit(points, WIDTH), near } : null
  }, [region, placed])
  const rounds = data.rounds.filter((r) => r.stops.length > 0)
  const yards = [
    data.yard,
    ...rounds.map((r) => r.yard).filter((y) => y.lat !== data.yard.lat || y.lon !== data.yard.lon),
  ]
  return (
    <>
      <div className="page-head">
        <h1>{t('map.mapView.map')}</h1>
        <span className="btn-group btn-group-sm no-print">
          <Link
            className="btn btn-outline-secondary"
            href={`/map?day=${addDays(data.day, -1)}`}
            aria-label={t('map.mapView.dayBefore')}
          >
            ‹
          </Link>
          <Link className="btn btn-outline-secondary" href="/map">
            {t('map.mapView.today')}
          </Link>
          <Link
            className="btn btn-outline-secondary"
            href={`/map?day=${addDays(data.day, 1)}`}
            aria-label={t('map.mapView.dayAfter')}
          >
            ›
          </Link>
        </span>
        <TextField
          label={t('map.mapView.day')}
          hideLabel
          type="date"
          value={data.day}
          onChange={(e) => e.target.value && router.push(`/map?day=${e.target.value}`)}
        />
        <span className="soft">{longDate(data.day)}</span>
      </div>
      <div className="columns wide-left">
        <section className="sheet p-2">
          {projection ? (
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
              {projection.near
                ? region.map((f, i) => {
                    if (f.geometry.type === 'Polygon')
                      return (
                        <path
                          key={i}
                          className="land"
                          d={f.geometry.coordinates.map((ring) => pathOf(projection, ring, true)).join('')}
                        />
                      )
                    if (f.geometry.type === 'LineString')
                      return (
                        <path
                          key={i}
                          className={`${f.properties.kind} ${f.properties.class ?? ''}`}
                          d={pathOf(projection, f.geometry.coordinates)}
                        />
                      )
                    return (
                      <text
                        key={i}
                        className="town"
                        x={projection.at(f.geometry.coordinates)[0]}
                        y={projection.at(f.geometry.coordinates)[1] - 9}
                        textAnchor="middle"
                      >
                        {f.properties.name}
                      </text>
                    )
                  })
                : null}
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
                const { colour, dash } = LINES[n % LINES.length]!
                return (
                  <g key={round.crew.id}>
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
          ) : (
            <p className="m-2">{t('map.mapView.sitesStandHereOnce')}</p>
          )}
        </section>
        <div>
          {rounds.length === 0 ? <p className="sheet">{t('map.mapView.noCrewHasRound')}</p> : null}
          {data.rounds.map((round, n) =>
            round.stops.length === 0 ? null : (
              <section key={round.crew.id} className="sheet">
                <div className="d-flex justify-content-between align-items-baseline gap-2">
                  <h2 className="mb-1">
                    <svg width="34" height="8" aria-hidden="true">
                      <path
                        d="M0 4H34"
                        stroke={LINES[n % LINES.length]!.colour}
                        strokeWidth="4"
                        strokeDasharray={LINES[n % LINES.length]!.dash}
                      />
                    </svg>{' '}
                    {round.crew.name}
                  </h2>
                  <CheckField
                    label={t('map.mapView.map2')}
                    checked={!hidden.includes(round.crew.id)}
                    onChange={(on) =>
                      setHidden(on ? hidden.filter((id) => id !== round.crew.id) : [...hidden, round.crew.id])
                    }
                  />
                </div>
                <ol className="mb-1">
                  {round.stops.map((stop) => (
                    <li key={stop.id}>
                      {stop.startTime}–{clockAfter(stop.startTime, stop.plannedMinutes)} {stop.siteName}{' '}
                      <span className="soft">{stop.jobName}</span>
                    </li>
                  ))}
                </ol>
                <Link href={`/rounds/${round.crew.id}/${data.day}`}>{t('map.mapView.daySheet')}</Link>
              </section>
            ),
          )}
          {missing > 0 ? (
            <p className="soft small among-words">
              {t('map.mapView.notMap', { missing })} <Link href="/customers">{t('map.mapView.giveThemPlace')}</Link>.
            </p>
          ) : null}
        </div>
      </div>
    </>
  )
}
