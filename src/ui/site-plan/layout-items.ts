import type { FilterDesign } from '@/core/filter/design-input'
import { bedBox, onSite, placedParts } from '@/core/site-plan/layout'
import { LAYOUT_RANGE, type SiteLayout } from '@/core/site-plan/site-layout'
import { snappedTurn } from '@/core/site-plan/snap'
import type { Outline, Point } from '@/core/survey/point'
import type { Texts } from '@/messages/texts'
import type { PlanItem } from './plan-item'

const rounded = ({ xM, yM }: Point): Point => ({ xM: Number(xM.toFixed(3)), yM: Number(yM.toFixed(3)) })
const STILL = {
  places: [],
  closed: false,
  onMove: null,
  onMovePlace: null,
  onAddPlace: null,
  onRemovePlace: null,
  onRemove: null,
  onShore: false,
} as const

/** A bed turned so that its outlet points to a place. */
export function turnedTo(at: Point, outlet: Point): number {
  return snappedTurn((Math.atan2(outlet.yM - at.yM, outlet.xM - at.xM) * 180) / Math.PI)
}

/** The parts of a laid-out design as things to pick and move. */
export function layoutItems(
  design: FilterDesign,
  shore: Outline,
  t: Texts,
  set: (layout: SiteLayout, what: string) => void,
): PlanItem[] {
  const { layout } = design
  if (!layout) return []
  const parts = placedParts(design, layout, shore)
  const put = (change: Partial<SiteLayout>, what: string) => set({ ...layout, ...change }, what)
  const { lengthM, widthM } = bedBox(design)
  const bed: PlanItem = {
    ...STILL,
    id: 'bed',
    name: t('sitePlan.parts.bed'),
    at: layout.bed.at,
    onMove: (at) => put({ bed: { ...layout.bed, at: rounded(at) } }, 'bed'),
    // the one handle of a bed turns it: it stands where water leaves
    places: [onSite(design, layout)({ xM: lengthM, yM: widthM / 2 })],
    onMovePlace: (_, to) => put({ bed: { ...layout.bed, turnDeg: turnedTo(layout.bed.at, to) } }, 'turn'),
  }
  return [
    ...(parts.beds.length > 0 ? [bed] : []),
    ...(design.pumpId === null
      ? []
      : [
          {
            ...STILL,
            id: 'pump' as const,
            name: t('sitePlan.layout.pump'),
            at: layout.pump,
            onMove: (at: Point) => put({ pump: rounded(at) }, 'pump'),
          },
          lineItem('delivery', t('sitePlan.layout.delivery'), parts.delivery, layout.route, (route, what) =>
            put({ route }, what),
          ),
          lineItem('cable', t('sitePlan.layout.cable'), [layout.pump, ...layout.cable], layout.cable, (cable, what) =>
            put({ cable }, what),
          ),
        ]),
    ...streamItem(layout, parts.outlet, t, put),
    ...layout.skimmers.map((at, i): PlanItem => ({
      ...STILL,
      id: `skimmer:${i}`,
      name: t('sitePlan.layout.skimmer', { number: i + 1 }),
      at,
      onShore: true,
      onMove: (to) => put({ skimmers: layout.skimmers.with(i, to) }, `skimmer${i}`),
    })),
  ]
}

/** A line whose ends are held by other parts: only its corners move. */
function lineItem(
  id: 'delivery' | 'cable',
  name: string,
  line: readonly Point[],
  corners: readonly Point[],
  put: (corners: readonly Point[], what: string) => void,
): PlanItem {
  const last = corners.length
  return {
    ...STILL,
    id,
    name,
    at: line[Math.floor(line.length / 2)]!,
    // handles on the whole line, so that a corner can be drawn out of any side; its ends follow their parts
    places: line,
    onMovePlace: (index, to) => {
      if (index > 0 && index <= last) put(corners.with(index - 1, rounded(to)), `${id}${index}`)
    },
    onAddPlace:
      last < LAYOUT_RANGE.corners[1] ? (index, at) => put(corners.toSpliced(index - 1, 0, rounded(at)), '') : null,
    onRemovePlace: (index) => {
      if (index > 0 && index <= last) put(corners.toSpliced(index - 1, 1), '')
    },
  }
}

function streamItem(
  layout: SiteLayout,
  outlet: Point,
  t: Texts,
  put: (change: Partial<SiteLayout>, what: string) => void,
): PlanItem[] {
  const { stream } = layout
  if (!stream) return []
  const { places } = stream
  const with_ = (next: typeof places, what: string) => put({ stream: { ...stream, places: next } }, what)
  return [
    {
      ...STILL,
      id: 'return',
      name: t('sitePlan.layout.stream'),
      at: places.at(-1)!.at,
      places: [outlet, ...places.map((p) => p.at)],
      onMovePlace: (index, to) => {
        if (index > 0) with_(places.with(index - 1, { ...places[index - 1]!, at: rounded(to) }), `stream${index}`)
      },
      onAddPlace:
        places.length < LAYOUT_RANGE.streamPlaces[1]
          ? (index, at) =>
              with_(
                places.toSpliced(index - 1, 0, { at: rounded(at), widthM: places[index - 1]!.widthM, dropM: 0 }),
                '',
              )
          : null,
      onRemovePlace: (index) => {
        if (index > 0 && places.length > 1) with_(places.toSpliced(index - 1, 1), '')
      },
    },
  ]
}
