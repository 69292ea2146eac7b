'use client'
import Link from 'next/link'
import { clockAfter } from '@/domain/schedule/clash'
import { useTexts } from '@/ui/kit/texts'
import { PondStatus } from '@/ui/ponds/pond-status'
import type { MapSite } from './map-sites'
import type { StopGroup } from './use-rounds'

/** A site's ponds, how each stands, and when someone is there next. */
export function SitePopup({ site }: { site: MapSite }) {
  const t = useTexts()

  return (
    <>
      <h3>{site.name}</h3>
      <p className="soft">{site.town}</p>
      <ul>
        {site.ponds.map((pond) => (
          <li key={pond.id}>
            <Link href={`/ponds/${pond.id}`}>{pond.name}</Link> <PondStatus pond={pond} />
            <div className="soft">
              {pond.nextVisit
                ? t('map.mapView.nextVisit', { job: pond.nextVisit.jobName, day: t.shortDate(pond.nextVisit.day) })
                : t('map.mapView.noNextVisit')}
            </div>
          </li>
        ))}
      </ul>
    </>
  )
}

/** A crew's visits at one site of its round. */
export function StopPopup({ group }: { group: StopGroup }) {
  const [first] = group.stops
  return (
    <>
      <h3>{first!.siteName}</h3>
      <p className="soft">{[group.crewName, first!.town].filter((text) => text !== '').join(', ')}</p>
      <ul>
        {group.stops.map((stop) => (
          <li key={stop.id}>
            <Link href={`/ponds/${stop.pondId}`}>{stop.pondName}</Link>
            <div className="soft">
              {stop.startTime}–{clockAfter(stop.startTime, stop.plannedMinutes)} {stop.jobName}
            </div>
          </li>
        ))}
      </ul>
    </>
  )
}
