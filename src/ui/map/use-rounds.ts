'use client'
import L from 'leaflet'
import { useEffect, useEffectEvent } from 'react'
import type { MapPageData } from '@/server/rounds/map-page'
import { useTexts } from '@/ui/kit/texts'
import { onPress, stopMark, yardMark } from './map-marks'
import type { RoundLine } from './round-line'

export interface ShownRound {
  readonly round: MapPageData['rounds'][number]
  readonly line: RoundLine
}
export type RoundStop = MapPageData['rounds'][number]['stops'][number]

/** Visits of a crew at one site, with their numbers in its round: one mark. */
export interface StopGroup {
  readonly crewName: string
  readonly label: string
  readonly lat: number
  readonly lon: number
  readonly stops: readonly RoundStop[]
}

export function stopGroups({ crew, stops }: ShownRound['round']): StopGroup[] {
  const numbered = stops.map((stop, i) => ({ stop, number: i + 1 }))
  return [...new Set(stops.map((s) => s.siteId))].map((siteId) => {
    const here = numbered.filter(({ stop }) => stop.siteId === siteId)
    const { lat, lon } = here[0]!.stop
    return {
      crewName: crew.name,
      label: here.map(({ number }) => number).join(', '),
      lat,
      lon,
      stops: here.map(({ stop }) => stop),
    }
  })
}

/** The rounds of a day on a map: the way along the roads, and the stops with their numbers. */
export function useRounds(map: L.Map | null, rounds: readonly ShownRound[], onOpen: (group: StopGroup) => void): void {
  const t = useTexts()

  const open = useEffectEvent(onOpen)
  useEffect(() => {
    if (!map) return
    const layer = L.layerGroup().addTo(map)
    for (const { round, line } of rounds) {
      const way = round.way.map(([lon, lat]) => L.latLng(lat, lon))
      L.polyline(way, { className: 'map-way-edge', interactive: false }).addTo(layer)
      // a style sheet knows the colours of the theme, an attribute does not
      const drawn = L.polyline(way, { className: 'map-way', interactive: false, dashArray: line.dash }).addTo(layer)
      drawn.getElement()?.setAttribute('style', `--crew: ${line.colour}`)
      yardMark(
        [round.yard.lat, round.yard.lon],
        t(round.yard.own ? 'map.mapView.crewsOwnYard' : 'map.mapView.yardAssumed'),
      ).addTo(layer)
      for (const group of stopGroups(round)) {
        const [first] = group.stops
        const name = t('map.mapView.stopMark', {
          crew: round.crew.name,
          label: group.label,
          site: first!.siteName,
          time: first!.startTime,
        })
        const done = group.stops.every((s) => s.state === 'done')
        const mark = stopMark([group.lat, group.lon], { label: group.label, name, line, done })
        onPress(mark, () => open(group))
        mark.addTo(layer)
      }
    }
    return () => {
      layer.remove()
    }
  }, [map, rounds, t])
}
