'use client'
import { useServerData } from '@/ui/kit/server-data'
import type { LonLat } from './projection'

export interface RegionFeature {
  readonly properties: {
    readonly kind: 'land' | 'river' | 'road' | 'town'
    readonly name?: string
    readonly class?: string
  }
  readonly geometry:
    | { readonly type: 'Polygon'; readonly coordinates: readonly (readonly LonLat[])[] }
    | { readonly type: 'LineString'; readonly coordinates: readonly LonLat[] }
    | { readonly type: 'Point'; readonly coordinates: LonLat }
}

/**
 * Land, water and roads of the region: a GeoJSON file that ships with the app. Empty until it is there; sites show
 * without it.
 */
export function useRegion(): readonly RegionFeature[] {
  return useServerData<{ readonly features: readonly RegionFeature[] }>('/maps/region.geojson').value?.features ?? NONE
}

/** The same each time, so that what is drawn from it is not drawn anew. */
const NONE: readonly RegionFeature[] = []
