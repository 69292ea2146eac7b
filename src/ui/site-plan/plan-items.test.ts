import { laidOut, LAYOUT, siteWith, squareBasin } from '../../../tests/fixtures/site-plan'
import { SITE_OBJECT_KINDS, placesOf, type SiteObject } from '@/core/site-plan/site-survey'
import type { SiteLayout } from '@/core/site-plan/site-layout'
import { SiteSurveyInput } from '@/domain/survey/site-survey'
import { firmTexts } from '@/messages/texts'
import { layoutItems, turnedTo } from './layout-items'
import { newObject } from './new-object'
import { surveyItems } from './survey-items'

const at = (xM: number, yM: number) => ({ xM, yM })
const t = firmTexts()

describe('objects of a site survey', () => {
  it('begin as something that can be saved, one beside the other', () => {
    for (const kind of SITE_OBJECT_KINDS) {
      const first = newObject(kind, squareBasin.outline, siteWith())
      expect(SiteSurveyInput.safeParse(siteWith(first)).success).toBe(true)
      if (kind === 'building' || kind === 'property') continue
      expect(placesOf(newObject(kind, squareBasin.outline, siteWith(first)))).not.toEqual(placesOf(first))
    }
  })
  it('move whole, corner by corner, and take a corner more or less', () => {
    const wall: SiteObject = { kind: 'wall', line: [at(0, 4), at(4, 4)] }
    let now: readonly SiteObject[] = [wall]
    const item = () => surveyItems(siteWith(...now), ['wall'], (objects) => (now = objects))[0]!
    item().onMove!(at(1, 5))
    expect(placesOf(now[0]!)).toEqual([at(1, 5), at(5, 5)])
    item().onMovePlace!(1, at(9, 5))
    item().onAddPlace!(1, at(4, 6))
    expect(placesOf(now[0]!)).toEqual([at(1, 5), at(4, 6), at(9, 5)])
    item().onRemovePlace!(0)
    expect(placesOf(now[0]!)).toEqual([at(4, 6), at(9, 5)])
    // a line of one corner is none
    expect(item().onRemovePlace).toBeNull()
    item().onRemove!()
    expect(now).toEqual([])
  })
})

describe('parts of a layout', () => {
  const items = (layout: SiteLayout, set: (next: SiteLayout) => void) =>
    layoutItems(laidOut(layout), squareBasin.outline, t, set)
  const changed = (layout: SiteLayout, id: string, act: (item: ReturnType<typeof items>[number]) => void) => {
    let now = layout
    act(items(layout, (next) => (now = next)).find((item) => item.id === id)!)
    return now
  }
  it('move and turn the bed', () => {
    expect(changed(LAYOUT, 'bed', (bed) => bed.onMove!(at(11, 1))).bed).toEqual({ at: at(11, 1), turnDeg: 180 })
    // pulled by its outlet
    expect(changed(LAYOUT, 'bed', (bed) => bed.onMovePlace!(0, at(10, 9))).bed.turnDeg).toBe(90)
    expect(turnedTo(at(0, 0), at(1, 1.05))).toBe(45)
  })
  it('bend the pipe at its corners; its ends stay with pump and bed', () => {
    expect(changed(LAYOUT, 'delivery', (pipe) => pipe.onMovePlace!(2, at(14, -5))).route[1]).toEqual(at(14, -5))
    expect(changed(LAYOUT, 'delivery', (pipe) => pipe.onMovePlace!(0, at(9, 9)))).toBe(LAYOUT)
    expect(changed(LAYOUT, 'delivery', (pipe) => pipe.onMovePlace!(4, at(9, 9)))).toBe(LAYOUT)
    expect(changed(LAYOUT, 'delivery', (pipe) => pipe.onAddPlace!(1, at(1, -2))).route).toEqual([
      at(1, -2),
      ...LAYOUT.route,
    ])
    expect(changed(LAYOUT, 'delivery', (pipe) => pipe.onRemovePlace!(1)).route).toEqual(LAYOUT.route.slice(1))
  })
  it('lead a stream, whose last place stays', () => {
    const stream = { depthM: 0.1, places: [{ at: at(6, 0), widthM: 1, dropM: 0.2 }] }
    const layout = { ...LAYOUT, stream }
    const longer = changed(layout, 'return', (way) => way.onAddPlace!(1, at(7, 1)))
    expect(longer.stream!.places).toEqual([{ at: at(7, 1), widthM: 1, dropM: 0 }, ...stream.places])
    expect(changed(layout, 'return', (way) => way.onRemovePlace!(1))).toBe(layout)
  })
  it('are none without a layout', () => {
    expect(layoutItems(laidOut(null), squareBasin.outline, t, () => undefined)).toEqual([])
  })
})
