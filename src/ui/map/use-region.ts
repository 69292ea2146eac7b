'use client'
import type { FeatureCollection, LineString, Point, Polygon } from 'geojson'
import { useServerData } from '@/ui/kit/server-data'

interface RegionProperties {
  readonly kind: 'land' | 'river' | 'road' | 'town'
  readonly name?: string
  readonly class?: 'main' | 'lane' | 'track'
}
export type Region = FeatureCollection<Polygon | LineString | Point, RegionProperties>

/**
 * Land, water and roads of the region: a GeoJSON file that ships with the app. Null until it is there; sites show
 * without it.
 */
export function useRegion(): Region | null {
  return useServerData<Region>('/maps/region.geojson').value ?? null
}
