'use client'
import L from 'leaflet'
import 'leaflet.markercluster'
import 'leaflet.markercluster/dist/MarkerCluster.css'
import { useEffect, useEffectEvent, useMemo } from 'react'
import { ATTENTION, type Attention } from '@/domain/ponds/pond-state'
import { useTexts, type Texts } from '@/ui/kit/texts'
import type { MarkPlace } from './background'
import { clusterIcon, onPress, siteMark } from './map-marks'
import type { MapSite } from './map-sites'

/** Sites nearer to one another than this are one mark with their number, pixels. */
const CLUSTER_RADIUS_PX = 44

/** Marks of sites by the site's id, in the group that gathers those that stand close. */
export interface SiteMarks {
  readonly group: L.MarkerClusterGroup
  readonly bySite: ReadonlyMap<string, L.Marker>
}

/** All sites as pins on a map; pins that would cover one another become one mark with their number. */
export function useSiteMarks(map: L.Map | null, sites: readonly MapSite[], onOpen: (site: MapSite) => void): SiteMarks {
  const t = useTexts()

  const marks = useMemo(() => marksOf(sites, t), [sites, t])
  const open = useEffectEvent(onOpen)
  useEffect(() => {
    if (!map) return
    const presses = sites.map((site) => onPress(marks.bySite.get(site.id)!, () => open(site)))
    map.addLayer(marks.group)
    return () => {
      for (const takeOff of presses) takeOff()
      map.removeLayer(marks.group)
    }
  }, [map, sites, marks])
  return marks
}

function marksOf(sites: readonly MapSite[], t: Texts): SiteMarks {
  const attentionOfMark = new Map<L.Marker, Attention>()
  const bySite = new Map<string, L.Marker>()
  for (const site of sites) {
    const whole = t('map.mapView.siteMark', {
      site: site.name,
      town: site.town,
      attention: t(`map.attention.${site.attention}`),
    })
    const mark = siteMark([site.lat, site.lon], site.attention, { short: site.name, whole })
    attentionOfMark.set(mark, site.attention)
    bySite.set(site.id, mark)
  }
  const group = L.markerClusterGroup({
    maxClusterRadius: CLUSTER_RADIUS_PX,
    showCoverageOnHover: false,
    iconCreateFunction: (cluster) => {
      const inside = cluster.getAllChildMarkers().map((m) => attentionOfMark.get(m))
      const count = cluster.getChildCount()
      return clusterIcon(
        count,
        t('map.mapView.sitesHere', { count }),
        ATTENTION.find((a) => inside.includes(a))!,
      )
    },
  })
  group.addLayers([...bySite.values()])
  return { group, bySite }
}

/** Pins stand above their place, numbers on it, pixels. */
const PIN_MIDDLE_PX = 17

/** Where the pins and numbers of a group stand now, and how far above that their middle is. */
export function placesOfMarks({ group, bySite }: SiteMarks): MarkPlace[] {
  const shown = new Set([...bySite.values()].map((mark) => group.getVisibleParent(mark)))
  return [...shown].flatMap((mark) =>
    mark ? [{ at: mark.getLatLng(), above: mark instanceof L.MarkerCluster ? 0 : PIN_MIDDLE_PX }] : [],
  )
}
