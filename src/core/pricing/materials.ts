import { bedAreaM2 } from '../filter/bed/bed-geometry'
import { linerForBed } from '../filter/bed/liner'
import type { FilterDesign } from '../filter/design-input'
import { FILTER_TYPE_FACTS } from '../filter/types'
import { isInline } from '../filter/train/train-unit'
import { isPricedBySize, sizeOf, unitKey } from '../filter/train/unit-sizes'
import { vesselSize } from '../filter/types/vessel-sizes'
import { suctionLines } from '../filter/flow/suction'
import type { SitePlanResult } from '../site-plan/evaluate-site-plan'
import { STREAM_BUILD } from '../site-plan/stream'
import { layerQuantities, type BedMaterials } from '../filter/bed/layers'
import type { FilterRules } from '../filter/house-rules'
import type { CataloguePump } from '../filter/flow/pump-catalogue'
import { nearestSize, type PipeSize } from '../hydraulics/fittings'
import { vesselKey } from './price-book'
import { fittingPriceKeys, vaultKey } from './sized-keys'
import type { Production } from './production'

/** One need of a design before rounding to stock. */
export interface Need {
  readonly key: string
  /** Keys that it may be priced by where the book knows none of its own, best first. */
  readonly otherwise?: readonly string[]
  readonly quantity: number
  /** A price of its own (pumps); everything else is in the price book. */
  readonly own?: { readonly name: string; readonly unit: string; readonly costMinor: number }
}

/** What pipe of a bore is bought as: the nearest size that is stocked. */
interface Plumbing {
  /** By length in m. */
  readonly pipe: (boreM: number, lengthM: number) => Need
  readonly fitting: (fitting: string, boreM: number, quantity: number) => Need
}

function plumbingOf(pipes: readonly PipeSize[]): Plumbing {
  return {
    pipe: (boreM, quantity) => ({ key: `pipe:${nearestSize(boreM, pipes).name}`, quantity }),
    fitting: (of, boreM, quantity) => {
      const [key, ...otherwise] = fittingPriceKeys(of, nearestSize(boreM, pipes))
      return { key: key!, otherwise, quantity }
    },
  }
}

/** The loss where water runs free at a pipe's end is no part that is bought. */
const FREE_END = 'exit'

const MODULE_M3 = 0.115
const UNDERLAYMENT_LAYERS = 2 // below the liner, and above it where stone goes in
const FABRIC_WRAPS = 1.3 // around the pipe with an overlap

/** Everything a design is built of, exact quantities. Stone in t, pipes and spillway in m, sheets and walls in m². */
export function materialsOf(
  design: FilterDesign,
  pumps: readonly CataloguePump[],
  { tables, materials }: Pick<FilterRules, 'tables' | 'materials'>,
  heaterKw = 0,
  sitePlan: SitePlanResult | null = null,
): Need[] {
  const plumbing = plumbingOf(tables.pipes)
  const { pipe, fitting } = plumbing
  const { diameterM: boreM } = design.delivery
  const facts = FILTER_TYPE_FACTS[design.type]
  const areaM2 = bedAreaM2(design)
  const liner = linerForBed(design)
  const needs: Need[] = [
    { key: 'liner', quantity: liner.areaM2 },
    { key: 'underlayment', quantity: liner.areaM2 * UNDERLAYMENT_LAYERS },
    ...layerQuantities(design.layers, areaM2, materials).map((q) =>
      materials[q.material].granular
        ? { key: `stone:${q.material}`, quantity: q.massT }
        : { key: 'void-module', quantity: q.volumeM3 / MODULE_M3 },
    ),
    ...(design.pumpId === null ? [] : [pipe(design.delivery.diameterM, design.delivery.lengthM)]),
    ...Object.entries(design.delivery.fittings).flatMap(([of, quantity]) =>
      of === FREE_END ? [] : [fitting(of, boreM, quantity)],
    ),
    ...(design.pumpId === null
      ? []
      : [
          ...pumpNeed(design.pumpId, design.pumpSet.arrangement === 'single' ? 1 : design.pumpSet.count, pumps),
          { key: 'controls', quantity: 1 },
        ]),
    ...suctionNeeds(design, plumbing),
    ...trainNeeds(design, plumbing),
    { key: 'heater', quantity: heaterKw },
    { key: 'plant', quantity: design.planting.reduce((sum, patch) => sum + patch.count, 0) },
  ]
  if (sitePlan) needs.push(...siteNeeds(sitePlan, materials))
  needs.push(...networkNeeds(design, plumbing, pumps))
  if (design.airBreakM !== null && design.type !== 'none') needs.push({ key: 'air-break', quantity: design.vessels })
  if (design.checkValve) needs.push(fitting('check-valve', boreM, 1))
  if (design.falls) needs.push({ key: 'spillway', quantity: design.falls.widthM })
  if (design.type !== 'none') {
    const onePipeM = facts.path === 'along' ? 2 * design.widthM : design.lengthM * design.manifold.laterals
    const feedM = onePipeM * design.vessels
    if (design.feed !== 'chamber') {
      needs.push(pipe(design.manifold.diameterM, feedM))
      needs.push({ key: 'fabric', quantity: feedM * Math.PI * design.manifold.diameterM * FABRIC_WRAPS })
    }
    if (design.vault)
      needs.push({
        key: facts.vessels ? 'drain' : vaultKey(design.vault.diameterM),
        quantity: facts.vessels ? design.vessels : 1,
      })
    if (facts.vessels) needs.push({ key: vesselKey(vesselSize(design.lengthM)), quantity: design.vessels })
    if (facts.walled) needs.push({ key: 'wall', quantity: 2 * (design.lengthM + design.widthM) * design.raisedM })
    if (facts.pipedOutlet) needs.push(pipe(design.outlet.diameterM, design.outlet.count * design.outlet.lengthM))
  }
  return merged(needs)
}

/** The line of each dry-mounted pump, with its foot valve and what it is shut off by. */
function suctionNeeds(design: FilterDesign, { pipe, fitting }: Plumbing): Need[] {
  const { suction, pumpId } = design
  if (suction === null || pumpId === null) return []
  const lines = suctionLines(design)
  return [
    pipe(suction.diameterM, lines * suction.lengthM),
    { key: 'foot-valve', quantity: suction.footValve ? lines : 0 },
    fitting('ball-valve', suction.diameterM, lines),
    fitting('union', suction.diameterM, lines),
  ]
}

/** What the train is bought as: its units by size, the pipes that lead to it, and what shuts its units off. */
function trainNeeds({ train, intakePipe, network, delivery }: FilterDesign, { pipe, fitting }: Plumbing): Need[] {
  return [
    ...train
      .filter(({ kind }) => isPricedBySize(kind))
      .map((unit) => ({ key: unitKey(unit.kind, sizeOf(unit)), quantity: 1 })),
    ...(intakePipe === null || network ? [] : [pipe(intakePipe.diameterM, intakePipe.count * intakePipe.lengthM)]),
    // a unit that its surplus passes wants a way round it, and each in the pump's line can be shut off
    fitting('tee-branch', delivery.diameterM, 2 * train.filter((unit) => unit.overflow && isInline(unit)).length),
    fitting('ball-valve', delivery.diameterM, train.filter(({ line }) => line === 'pressure').length),
  ]
}

/** What only a place on site brings: the stream's liner and stone, and the cable to the pump. */
function siteNeeds({ stream, cableM }: SitePlanResult, materials: BedMaterials): Need[] {
  if (!stream) return cableM === null ? [] : [{ key: 'cable', quantity: cableM }]
  const sheetM2 = stream.areaM2 + 2 * STREAM_BUILD.linerEdgeM * stream.lengthM
  return [
    ...(cableM === null ? [] : [{ key: 'cable', quantity: cableM }]),
    { key: 'liner', quantity: sheetM2 },
    { key: 'underlayment', quantity: sheetM2 * UNDERLAYMENT_LAYERS },
    {
      key: 'stone:bridging-stone',
      quantity: stream.areaM2 * STREAM_BUILD.stoneM * materials['bridging-stone'].bulkTPerM3,
    },
  ]
}

function pumpNeed(id: string, quantity: number, pumps: readonly CataloguePump[]): Need[] {
  const pump = pumps.find((p) => p.id === id)
  return pump
    ? [{ key: `pump:${id}`, quantity, own: { name: pump.name, unit: 'each', costMinor: pump.priceMinor } }]
    : []
}

/**
 * What a split adds to the one pipe: intakes and branches with a valve each, a tee where each leaves, and more pumps.
 */
function networkNeeds(
  { network, delivery }: FilterDesign,
  { pipe, fitting }: Plumbing,
  pumps: readonly CataloguePump[],
): Need[] {
  if (!network) return []
  const { intakes, branches, morePumps } = network
  const runs = [...intakes, ...branches]
  return [
    ...runs.map((run) => pipe(run.boreM, run.lengthM)),
    ...runs.map((run) => fitting('ball-valve', run.boreM, 1)),
    fitting('tee-branch', delivery.diameterM, Math.max(0, intakes.length - 1) + Math.max(0, branches.length - 1)),
    ...morePumps.flatMap((id) => pumpNeed(id, 1, pumps)),
  ]
}

/** Person-hours and machine hours from production rates. */
export function labourOf(
  design: FilterDesign,
  materials: readonly Need[],
  production: Production,
  sitePlan: SitePlanResult | null = null,
): Need[] {
  const of = (test: (key: string) => boolean) =>
    materials.filter((m) => test(m.key)).reduce((sum, m) => sum + m.quantity, 0)
  const facts = FILTER_TYPE_FACTS[design.type]
  const depthM = design.layers.reduce((sum, layer) => sum + layer.thicknessM, 0)
  const bedM3 = design.type === 'none' || facts.vessels ? 0 : bedAreaM2(design) * Math.max(0, depthM - design.raisedM)
  const dugM3 = bedM3 + (sitePlan ? sitePlan.earthworks.pipeTrenchM3 + sitePlan.earthworks.streamM3 : 0)
  const hours =
    production.setUpH +
    dugM3 * production.digHPerM3 +
    of((k) => k === 'liner' || k === 'underlayment') * production.sheetHPerM2 +
    of((k) => k === 'void-module') * production.moduleH +
    of((k) => k.startsWith('stone:')) * production.stoneHPerT +
    of((k) => k.startsWith('pipe:')) * production.pipeHPerM +
    of((k) => k.startsWith('fitting:')) * production.fittingH +
    of((k) => k === 'wall') * production.wallHPerM2 +
    of((k) => k.startsWith('vault:') || k === 'drain') * production.vaultH +
    of((k) => k.startsWith('pump:')) * production.pumpH +
    of((k) => k.startsWith('unit:')) * production.unitH +
    of((k) => k === 'plant') * production.plantH +
    of((k) => k === 'spillway') * production.spillwayHPerM
  return [
    { key: 'labour', quantity: hours },
    { key: 'digger', quantity: dugM3 / production.diggerM3PerH },
  ].filter((need) => need.quantity > 0)
}

/** One line a key; nothing that is not needed. */
function merged(needs: readonly Need[]): Need[] {
  const lines = new Map<string, Need>()
  for (const need of needs)
    lines.set(need.key, { ...need, quantity: (lines.get(need.key)?.quantity ?? 0) + need.quantity })
  return [...lines.values()].filter((need) => need.quantity > 1e-9)
}
