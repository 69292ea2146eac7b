'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { addDays } from '@/core/numeric/calendar'
import { longDate } from '@/domain/shared/dates'
import type { MapPageData } from '@/server/rounds/rounds'
import { TextField } from '@/ui/kit/text-field'
import { fit, type LonLat } from './projection'
import { lineOf, RegionDrawing, type Placed } from './region-drawing'
import { RoundSheet } from './round-sheet'
import { useRegion } from './use-region'

const WIDTH = 1000

/** The region with all sites, and each crew's round of a day. */
export function MapView({ data }: { data: MapPageData }) {
  const t = useTexts()

  const router = useRouter()
  const region = useRegion()
  const [hidden, setHidden] = useState<readonly string[]>([])
  const placed = useMemo(
    () =>
      data.sites.flatMap((s): Placed[] => (s.lat === null || s.lon === null ? [] : [{ ...s, lat: s.lat, lon: s.lon }])),
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
            <RegionDrawing data={data} placed={placed} region={region} projection={projection} hidden={hidden} />
          ) : (
            <p className="m-2">{t('map.mapView.sitesStandHereOnce')}</p>
          )}
        </section>
        <div>
          {rounds.length === 0 ? <p className="sheet">{t('map.mapView.noCrewHasRound')}</p> : null}
          {data.rounds.map((round, n) =>
            round.stops.length === 0 ? null : (
              <RoundSheet
                key={round.crew.id}
                round={round}
                day={data.day}
                line={lineOf(n)}
                shown={!hidden.includes(round.crew.id)}
                onShow={(on) =>
                  setHidden(on ? hidden.filter((id) => id !== round.crew.id) : [...hidden, round.crew.id])
                }
              />
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
