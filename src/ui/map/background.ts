import type { LineString, Point, Polygon } from 'geojson'
import L from 'leaflet'
import { boxOfMark, placeLabel, type ScreenBox } from './label-place'
import { townLabel } from './map-marks'
import { LABEL_PANE, LAND_PANE } from './use-leaflet'
import type { Region } from './use-region'

const LABEL_HEIGHT_PX = 20
/** As _map.scss writes towns. */
const LABEL_FONT = "16px 'Literata Variable', Georgia, serif"

const widthOf = (text: string): number => {
  const pen = document.createElement('canvas').getContext('2d')!
  pen.font = LABEL_FONT
  return Math.ceil(pen.measureText(text).width)
}

/** Land, river and roads as they ship, under all marks. @returns the layer, to be taken off again */
export function addRegion(map: L.Map, region: Region): L.GeoJSON {
  // land lies under the rest whatever the file's order
  const features = [...region.features].sort((a, b) => weight(a) - weight(b))
  return L.geoJSON({ ...region, features } as Region, {
    interactive: false,
    pane: LAND_PANE,
    filter: (f) => f.geometry.type !== 'Point',
    style: (f) => ({ className: `map-${f?.properties.kind} ${f?.properties.class ?? ''}` }),
  }).addTo(map)
}

const weight = ({ geometry }: { geometry: Polygon | LineString | Point }) => (geometry.type === 'Polygon' ? 0 : 1)

/** Tiles of the world in place of the region's own drawing. */
export const addTiles = (map: L.Map): L.TileLayer =>
  L.tileLayer('/api/v1/map-tiles/{z}/{x}/{y}', { maxZoom: 18 }).addTo(map)

/** Where a mark is, and how far above that its middle stands, pixels. */
export interface MarkPlace {
  readonly at: L.LatLng
  readonly above: number
}

/**
 * The names of towns, placed anew after every zoom so that they cover neither marks nor one another.
 * @param marks  where marks stand now
 */
export function addTownNames(map: L.Map, region: Region, marks: () => readonly MarkPlace[]): () => void {
  const towns = region.features.flatMap(({ geometry, properties }) =>
    geometry.type === 'Point' && properties.name
      ? [{ name: properties.name, at: L.latLng(geometry.coordinates[1]!, geometry.coordinates[0]!) }]
      : [],
  )
  const group = L.layerGroup().addTo(map)
  const draw = () => {
    group.clearLayers()
    const taken: ScreenBox[] = marks().map(({ at, above }) => {
      const { x, y } = map.latLngToLayerPoint(at)
      return boxOfMark({ x, y: y - above })
    })
    for (const { name, at } of towns) {
      const place = map.latLngToLayerPoint(at)
      const box = placeLabel(place, { width: widthOf(name), height: LABEL_HEIGHT_PX }, taken)
      taken.push(box)
      L.marker(at, {
        interactive: false,
        keyboard: false,
        pane: LABEL_PANE,
        icon: townLabel(name, [box.width, box.height], L.point(box.x - place.x, box.y - place.y)),
      }).addTo(group)
    }
  }
  map.on('zoomend', draw)
  draw()
  // a font that arrives later has other widths
  let there = true
  void document.fonts.ready.then(() => there && draw())
  return () => {
    there = false
    map.off('zoomend', draw)
    group.remove()
  }
}
