'use client'
import L from 'leaflet'
import 'leaflet/dist/leaflet.css'
import { useCallback, useState } from 'react'

/** Panes from below: the land, the rounds (Leaflet's own), names of towns, marks (Leaflet's own). */
export const LAND_PANE = 'land'
export const LABEL_PANE = 'labels'
const LAND_Z = '250'
const LABEL_Z = '450'

interface MapLook {
  readonly zoomIn: string
  readonly zoomOut: string
  readonly metric: boolean
}

/**
 * A Leaflet map in an element.
 * @returns what the element takes as its ref, and the map once it stands
 */
export function useLeaflet({
  zoomIn,
  zoomOut,
  metric,
}: MapLook): [(element: HTMLDivElement) => () => void, L.Map | null] {
  const [map, setMap] = useState<L.Map | null>(null)
  const attach = useCallback(
    (element: HTMLDivElement) => {
      const moving = !matchMedia('(prefers-reduced-motion: reduce)').matches
      const made = L.map(element, {
        zoomControl: false,
        attributionControl: false,
        zoomSnap: 0.5,
        minZoom: 3,
        maxZoom: 18,
        zoomAnimation: moving,
        fadeAnimation: moving,
        markerZoomAnimation: moving,
      })
      made.createPane(LAND_PANE).style.zIndex = LAND_Z
      made.createPane(LABEL_PANE).style.zIndex = LABEL_Z
      L.control.zoom({ zoomInTitle: zoomIn, zoomOutTitle: zoomOut }).addTo(made)
      L.control.scale({ metric, imperial: !metric }).addTo(made)
      setMap(made)
      return () => {
        setMap(null)
        made.remove()
      }
    },
    [zoomIn, zoomOut, metric],
  )
  return [attach, map]
}
