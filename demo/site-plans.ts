import { firstLayout, placedParts } from '../src/core/site-plan/layout'
import { onShore } from '../src/core/site-plan/snap'
import type { Outline } from '../src/core/survey/point'
import { placedDesign } from '../src/core/site-plan/placed-design'
import type { FilterDesign } from '../src/core/filter/design-input'
import type { SiteLayout } from '../src/core/site-plan/site-layout'
import type { SiteSurvey } from '../src/core/site-plan/site-survey'
import type { PondId } from '../src/domain/shared/ids'
import { designPage } from '../src/server/design/designs'
import type { Actor } from '../src/server/platform/auth/actor'
import { saveSiteSurvey } from '../src/server/survey/site-survey'

const at = (xM: number, yM: number) => ({ xM, yM })
const box = (x0: number, y0: number, x1: number, y1: number) => [at(x0, y0), at(x1, y0), at(x1, y1), at(x0, y1)]

/** The garden at Lanternhouse: house above, a maple left, a gas pipe along the lower fence, access from the gate. */
const LANTERNHOUSE: SiteSurvey = {
  northDeg: 20,
  windFromDeg: 270,
  objects: [
    { kind: 'spot-level', at: at(3.5, 3), levelM: 0.1 },
    { kind: 'spot-level', at: at(16, 1), levelM: 0.55 },
    { kind: 'fixed-point', at: at(1, 6.5) },
    { kind: 'fixed-point', at: at(9, 6.5) },
    { kind: 'building', outline: box(1, 6.5, 9, 11) },
    { kind: 'property', outline: box(-6, -7, 21, 11.5) },
    { kind: 'tree', at: at(-3.5, 1.2), crownM: 2.6 },
    { kind: 'tree', at: at(18.5, 7.5), crownM: 2 },
    { kind: 'service', service: 'gas', line: [at(-6, -5.6), at(12, -5.6), at(12, -7)], clearM: 0.5 },
    { kind: 'access', line: [at(20.5, -6), at(16, -5), at(14.5, -3)], widthM: 1.1 },
    { kind: 'supply', at: at(9, 7.2) },
    { kind: 'auto-fill', at: at(2.5, 1.9) },
    { kind: 'discharge', at: at(19, -1.5) },
  ],
}

/** The brewery's yard: paved and level, a wall behind the bed, the drain of the yard across it. */
const BREWERY: SiteSurvey = {
  northDeg: 0,
  windFromDeg: 225,
  objects: [
    { kind: 'spot-level', at: at(4, 6), levelM: 0.25 },
    { kind: 'fixed-point', at: at(-2, 7) },
    { kind: 'fixed-point', at: at(14, 7) },
    { kind: 'building', outline: box(-2, 7, 14, 12) },
    { kind: 'service', service: 'drain', line: [at(-2, -5.5), at(24, -5.5)], clearM: 0.3 },
    { kind: 'access', line: [at(26, -8), at(20, -6)], widthM: 1.4 },
    { kind: 'supply', at: at(14, 6.6) },
    { kind: 'discharge', at: at(25, 2) },
  ],
}

const SURVEYS: Readonly<Record<string, SiteSurvey>> = { lanternhouse: LANTERNHOUSE, brewery: BREWERY }

/** What lies around the ponds that are drawn with their site. */
export async function surveySites(owner: Actor, ponds: ReadonlyMap<string, PondId>): Promise<void> {
  for (const [key, survey] of Object.entries(SURVEYS)) {
    const id = ponds.get(key)!
    const { pond } = await designPage(owner, id)
    await saveSiteSurvey(owner, id, pond.version, survey)
  }
}

/** A design where it stands on its site; as it is where nothing is known of the site. */
export function onSite(page: Awaited<ReturnType<typeof designPage>>, bed: FilterDesign): FilterDesign {
  const { ground } = page.designPond
  if (!ground || ground.survey.objects.length === 0) return bed
  const layout = firstLayout(bed, ground.outline, ground.survey.northDeg, ground.survey.windFromDeg)
  return placedDesign(
    { ...bed, layout: { ...layout, stream: streamOf(bed, layout, ground.outline) } },
    ground,
    page.rules.tables,
  )
}

/** A short stream where the bed has falls: a step halfway, the last fall into the pond. */
function streamOf(bed: FilterDesign, layout: SiteLayout, shore: Outline): SiteLayout['stream'] {
  if (!bed.falls) return null
  const { outlet } = placedParts(bed, layout, shore)
  const mouth = onShore(outlet, shore)
  const middle = { xM: (outlet.xM + mouth.xM) / 2, yM: (outlet.yM + mouth.yM) / 2 + 0.3 }
  const { widthM } = bed.falls
  return {
    depthM: 0.08,
    places: [
      { at: middle, widthM, dropM: 0.08 },
      { at: mouth, widthM, dropM: 0.15 },
    ],
  }
}
