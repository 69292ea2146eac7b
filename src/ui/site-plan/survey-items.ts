import {
  leastPlaces,
  placesOf,
  SITE_RANGE,
  withPlaces,
  type SiteObject,
  type SiteSurvey,
} from '@/core/site-plan/site-survey'
import type { Point } from '@/core/survey/point'
import type { PlanItem } from './plan-item'

const moved = (places: readonly Point[], from: Point, to: Point): Point[] =>
  places.map((p) => ({
    xM: Number((p.xM + to.xM - from.xM).toFixed(3)),
    yM: Number((p.yM + to.yM - from.yM).toFixed(3)),
  }))

const mostPlaces = (object: SiteObject): number => {
  if ('at' in object) return 1
  return 'line' in object ? SITE_RANGE.corners[1] : SITE_RANGE.outlineCorners[1]
}

/** Every object of a site survey as something to pick and move. @param what names a change, so a drag is one step */
export function surveyItems(
  survey: SiteSurvey,
  names: readonly string[],
  change: (objects: readonly SiteObject[], what: string) => void,
): PlanItem[] {
  return survey.objects.map((object, i): PlanItem => {
    const places = placesOf(object)
    const put = (next: readonly Point[], what: string) =>
      change(
        survey.objects.map((o, n) => (n === i ? withPlaces(o, next) : o)),
        `${what}${i}`,
      )
    return {
      id: `object:${i}`,
      name: names[i]!,
      places: places.length > 1 ? places : [],
      closed: 'outline' in object,
      at: places[0]!,
      onMove: (to) => put(moved(places, places[0]!, to), 'move'),
      onMovePlace: places.length > 1 ? (index, to) => put(places.with(index, to), `corner${index}-`) : null,
      onAddPlace:
        places.length > 1 && places.length < mostPlaces(object)
          ? (index, at) => put(places.toSpliced(index, 0, at), 'add')
          : null,
      onRemovePlace: places.length > leastPlaces(object) ? (index) => put(places.toSpliced(index, 1), 'cut') : null,
      onRemove: () => change(survey.objects.toSpliced(i, 1), ''),
      onShore: object.kind === 'auto-fill',
    }
  })
}
