'use client'
import L from 'leaflet'
import { useEffect, useMemo, useRef, useState } from 'react'
import { createPortal } from 'react-dom'
import { Icon } from '@/ui/kit/icon'
import { useTexts } from '@/ui/kit/texts'
import { usePerson } from '@/ui/person-context'
import { addRegion, addTiles, addTownNames } from './background'
import type { MapSite } from './map-sites'
import { SitePopup, StopPopup } from './popups'
import type { RegionMapProps } from './region-map'
import { useLeaflet } from './use-leaflet'
import { usePopup, type Pointed } from './use-popup'
import { useRegion, type Region } from './use-region'
import { useRounds, type StopGroup } from './use-rounds'
import { placesOfMarks, useSiteMarks, type SiteMarks } from './use-site-marks'

type Opened = Pointed & ({ readonly site: MapSite } | { readonly stops: StopGroup })

const PIN_HEIGHT_PX = 30
const STOP_RADIUS_PX = 10
const EDGE_PX: L.PointTuple = [36, 36]
/** A single site is shown with this much around it. */
const NEAR_ZOOM = 13
/** Beyond the land that ships by this much, sites are of elsewhere and its drawing is left out, degrees. */
const NEAR_LAND_DEG = 1

/** A map that zooms and pans: sites as pins, rounds along the roads, over the region's drawing or a source of tiles. */
export default function LeafletMap({ name, sites, rounds, tiles, chosen }: RegionMapProps) {
  const t = useTexts()

  const metric = usePerson().preferences.units === 'metric'
  const look = { zoomIn: t('map.mapView.zoomIn'), zoomOut: t('map.mapView.zoomOut'), metric }
  const [attach, map] = useLeaflet(look)
  const site = sites.find((s) => s.id === chosen)
  const [opened, setOpened] = useState<Opened | null>(site ? ofSite(site) : null)
  // a site where a crew stops has the stop's number in place of its pin
  const free = useMemo(() => {
    const stopsAt = new Set(rounds.flatMap(({ round }) => round.stops.map((s) => s.siteId)))
    return sites.filter((s) => !stopsAt.has(s.id) || s.id === chosen)
  }, [sites, rounds, chosen])
  const bounds = useMemo(() => L.latLngBounds(sites.map((s) => [s.lat, s.lon])), [sites])
  // the view comes first: marks find their clusters by it
  const region = useRegion()
  useFirstView({ map, bounds, site, region })
  const marks = useSiteMarks(map, free, (pressed) => setOpened(ofSite(pressed)))
  useRounds(map, rounds, (stops) => setOpened({ lat: stops.lat, lon: stops.lon, above: STOP_RADIUS_PX, stops }))
  const content = usePopup(map, opened, () => setOpened(null))
  useBackground({ map, bounds, region, tiled: tiles !== null, marks, rounds })
  return (
    <div className="map-frame">
      <div ref={attach} className="map-box" role="region" aria-label={name} />
      <button
        type="button"
        className="btn btn-sm btn-outline-secondary map-all no-print"
        disabled={!bounds.isValid()}
        onClick={() => map?.fitBounds(bounds, { padding: EDGE_PX })}
      >
        <Icon name="arrows-fullscreen" /> {t('map.mapView.allSites')}
      </button>
      {tiles?.attribution ? <p className="map-source">{tiles.attribution}</p> : null}
      {opened
        ? createPortal(
            'site' in opened ? <SitePopup site={opened.site} /> : <StopPopup group={opened.stops} />,
            content,
          )
        : null}
    </div>
  )
}

const ofSite = (site: MapSite): Opened => ({ lat: site.lat, lon: site.lon, above: PIN_HEIGHT_PX, site })

interface FirstView {
  readonly map: L.Map | null
  readonly bounds: L.LatLngBounds
  readonly site: MapSite | undefined
  readonly region: Region | null
}

/** What is seen first: the chosen site, else all sites; the region, or the world, while a list has none to show. */
function useFirstView({ map, bounds, site, region }: FirstView): void {
  const seen = useRef<L.Map | null>(null)
  useEffect(() => {
    if (!map || seen.current === map) return
    if (bounds.isValid()) seen.current = map
    if (site) map.setView([site.lat, site.lon], NEAR_ZOOM)
    else if (bounds.isValid()) map.fitBounds(bounds, { padding: EDGE_PX, maxZoom: NEAR_ZOOM, animate: false })
    else if (region) map.fitBounds(L.geoJSON(region).getBounds(), { animate: false })
    else map.setView([0, 0], map.getMinZoom())
  }, [map, bounds, site, region])
}

interface Background {
  readonly map: L.Map | null
  readonly bounds: L.LatLngBounds
  readonly region: Region | null
  readonly tiled: boolean
  readonly marks: SiteMarks
  readonly rounds: RegionMapProps['rounds']
}

function useBackground({ map, bounds, region, tiled, marks, rounds }: Background): void {
  const shown = useMemo(() => (region && !tiled && isNear(region, bounds) ? region : null), [region, tiled, bounds])
  useEffect(() => {
    if (!map || !shown) return
    const layer = addRegion(map, shown)
    return () => {
      layer.remove()
    }
  }, [map, shown])
  useEffect(() => {
    if (!map || !tiled) return
    const layer = addTiles(map)
    return () => {
      layer.remove()
    }
  }, [map, tiled])
  useEffect(() => {
    if (!map || !shown) return
    const stops = rounds.flatMap(({ round }) => round.stops.map((s) => ({ at: L.latLng(s.lat, s.lon), above: 0 })))
    return addTownNames(map, shown, () => [...placesOfMarks(marks), ...stops])
  }, [map, shown, marks, rounds])
}

/** Whether the region's file is of where the sites are; no sites are nowhere else. */
function isNear(region: Region, sites: L.LatLngBounds): boolean {
  if (!sites.isValid()) return true
  const land = L.geoJSON(region).getBounds()
  return L.latLngBounds(
    [land.getSouth() - NEAR_LAND_DEG, land.getWest() - NEAR_LAND_DEG],
    [land.getNorth() + NEAR_LAND_DEG, land.getEast() + NEAR_LAND_DEG],
  ).contains(sites)
}
