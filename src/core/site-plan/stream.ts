import type { Point } from '../survey/point'
import { apartM } from './geometry'
import { outletOf } from './layout'
import type { SiteLayout } from './site-layout'
import type { FilterDesign } from '../filter/design-input'

/** Share of a stream's section that is water; the rest is stone. @source house default */
export const STREAM_FILL = 0.6

/** How a stream is built: liner beyond its water on each side, and the stone on its bed. @source house defaults */
export const STREAM_BUILD = { linerEdgeM: 0.4, stoneM: 0.1 } as const

export interface StreamSize {
  readonly lengthM: number
  readonly areaM2: number
  readonly depthM: number
  readonly volumeM3: number
  /** Free falls along it together, m. */
  readonly dropM: number
}

/** A stream by its centre line: trapezia between its places; the first side is as wide as its first place. */
export function streamSize(outlet: Point, stream: NonNullable<SiteLayout['stream']>): StreamSize {
  const places = [{ at: outlet, widthM: stream.places[0]!.widthM, dropM: 0 }, ...stream.places]
  const sides = places.slice(1).map((p, i) => {
    const lengthM = apartM(places[i]!.at, p.at)
    return { lengthM, areaM2: (lengthM * (places[i]!.widthM + p.widthM)) / 2 }
  })
  const areaM2 = sides.reduce((sum, side) => sum + side.areaM2, 0)
  return {
    lengthM: sides.reduce((sum, side) => sum + side.lengthM, 0),
    areaM2,
    depthM: stream.depthM,
    volumeM3: areaM2 * stream.depthM * STREAM_FILL,
    dropM: stream.places.reduce((sum, place) => sum + place.dropM, 0),
  }
}

/** The stream of a laid-out design; null without one. */
export function designStream(design: FilterDesign): StreamSize | null {
  const { layout } = design
  const outlet = layout && outletOf(design, layout)
  return outlet && layout.stream ? streamSize(outlet, layout.stream) : null
}
