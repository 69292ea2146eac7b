'use client'
import { useEffect, useState } from 'react'
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
  const [features, setFeatures] = useState<readonly RegionFeature[]>([])
  useEffect(() => {
    let current = true
    fetch('/maps/region.geojson')
      .then((answer) => (answer.ok ? answer.json() : { features: [] }))
      .then((file: { features: RegionFeature[] }) => current && setFeatures(file.features))
      // without the file the map is bare, and still right
      .catch(() => undefined)
    return () => {
      current = false
    }
  }, [])
  return features
}
