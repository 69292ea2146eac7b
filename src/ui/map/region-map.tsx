'use client'
import dynamic from 'next/dynamic'
import type { MapSite } from './map-sites'
import type { ShownRound } from './use-rounds'

export interface RegionMapProps {
  /** What the map shows, for those who do not see it. */
  readonly name: string
  readonly sites: readonly MapSite[]
  readonly rounds: readonly ShownRound[]
  /** Who made the tiles that lie below; null: the region's own drawing does. */
  readonly tiles: { readonly attribution: string } | null
  /** The site that is opened at once. */
  readonly chosen: string | null
}

/** The map, loaded when it is looked at: its library needs a window and is of no use elsewhere. */
export const RegionMap = dynamic<RegionMapProps>(() => import('./leaflet-map'), {
  ssr: false,
  loading: () => <div className="map-frame" aria-busy="true" />,
})
