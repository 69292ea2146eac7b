import { nextBoreM } from '../hydraulics/fittings'
import { buildUpM } from './bed/bed-geometry'
import type { CheckId } from './checks'
import type { DesignProblemInput, FilterDesign } from './design-input'
import type { DesignResult } from './design'
import { FILTER_TYPE_FACTS } from './types'
import { outletFor, smallestPump } from './first-design'
import { SERVICE_LIMITS } from './bed/serviceability'

const STEP_M = 0.25
const ROOT_REACH_M = 0.2

type Context = DesignProblemInput & { readonly result: DesignResult }
type Mend = (context: Context) => FilterDesign | null

/** Longer by whole steps until the area is there; more vessels where there are several. */
function enlarge(design: FilterDesign, areaM2: number, haveM2: number): FilterDesign | null {
  if (haveM2 <= 0) return null
  const factor = areaM2 / haveM2
  if (factor <= 1) return null
  if (FILTER_TYPE_FACTS[design.type].vessels)
    return { ...design, vessels: Math.min(20, Math.ceil(design.vessels * factor - 1e-9)) }
  const lengthM = Math.min(100, Math.ceil((design.lengthM * factor) / STEP_M - 1e-9) * STEP_M)
  return { ...design, lengthM }
}

const withPump = ({ pond, design, rules, pumps }: Context, flowM3PerH: number): FilterDesign | null => {
  const pumpId = smallestPump(pond, design, rules, pumps, flowM3PerH)
  return pumpId && pumpId !== design.pumpId ? { ...design, pumpId } : null
}

/** The air break at the bed's water level: nothing siphons back. */
const raisedBreak = (design: FilterDesign): FilterDesign => ({
  ...design,
  airBreakM: buildUpM(design.layers) + Math.max(0, design.waterOverGravelM),
})

const confirm =
  (what: FilterDesign['confirmed'][number]): Mend =>
  ({ design }) => ({ ...design, confirmed: [...design.confirmed, what] })

const vaultOf = (design: FilterDesign) =>
  design.vault ?? { diameterM: 0.4, atLowPoint: true, valveInReach: true, dischargeM: 8 }

/** One change that mends a check, where one change can. Checks without an entry are for the designer to think about. */
const MENDS: Partial<Record<CheckId, Mend>> = {
  'house-size': ({ design, result }) => enlarge(design, result.houseAreaM2, result.areaM2),
  'nitrogen-size': ({ design, result }) => {
    const asked = result.grown.sizingMethods.find((s) => s.sizingMethod === 'nitrogen')!.areaM2
    const depth = result.treatment.stoneM3 / Math.max(result.areaM2, 1e-9)
    return enlarge(design, asked - (depth > 0 ? result.treatment.mediaAsBedM3 / depth : 0), result.areaM2)
  },
  'flow-needed': (context) => withPump(context, context.result.demand.neededM3PerH),
  'oxygen-flow': (context) => withPump(context, context.result.demand.neededM3PerH),
  turnover: (context) => withPump(context, context.result.demand.neededM3PerH),
  'falls-look': ({ design, result }) =>
    design.falls && result.demand.fallsM3PerH > result.flowM3PerH
      ? {
          ...design,
          falls: {
            ...design.falls,
            widthM: Number(
              Math.max(0.05, (design.falls.widthM * result.flowM3PerH) / result.demand.fallsM3PerH).toFixed(2),
            ),
          },
        }
      : null,
  'upflow-velocity': ({ design, result }) =>
    result.demand.methodM3PerH < result.flowM3PerH
      ? { ...design, bypassShare: Number(Math.min(0.9, 1 - result.demand.methodM3PerH / result.flowM3PerH).toFixed(2)) }
      : enlarge(design, result.areaM2 * 1.25, result.areaM2),
  uniformity: ({ design, rules }) => ({
    ...design,
    feed: design.feed === 'chamber' ? 'slotted-pipe' : design.feed,
    manifold: { ...design.manifold, diameterM: nextBoreM(design.manifold.diameterM, rules.tables.pipes) },
  }),
  'root-zone': ({ design }) => {
    if (FILTER_TYPE_FACTS[design.type].path === 'along') return shallower({ ...design, feed: 'full-height-header' })
    return {
      ...design,
      layers: [...design.layers, { material: 'planting-6-12', thicknessM: 0.09 }],
      airBreakM: design.airBreakM + 0.09,
    }
  },
  'bed-depth': ({ design }) => (FILTER_TYPE_FACTS[design.type].path === 'along' ? shallower(design) : null),
  'layer-stability': ({ design }) => {
    const at = design.layers.findIndex(
      (layer, i) =>
        i > 0 &&
        design.layers[i - 1]!.material === 'bridging-stone' &&
        ['planting-6-12', 'pea-gravel'].includes(layer.material),
    )
    if (at < 0) return null
    return {
      ...design,
      layers: design.layers.toSpliced(at, 0, { material: 'gravel-19-38', thicknessM: 0.1 }),
      airBreakM: design.airBreakM + 0.1,
    }
  },
  'duty-in-range': (context) => withPump(context, context.result.demand.neededM3PerH),
  'pipe-velocity': ({ design, rules }) => ({
    ...design,
    delivery: { ...design.delivery, diameterM: nextBoreM(design.delivery.diameterM, rules.tables.pipes) },
  }),
  'outlet-capacity': ({ design, result, rules }) => ({
    ...design,
    outlet: outletFor(result.bedFlowM3PerH, design.delivery.diameterM, rules.tables.pipes),
  }),
  'outlet-order': ({ design, result, rules }) => ({
    ...design,
    outlet: outletFor(result.bedFlowM3PerH, design.delivery.diameterM, rules.tables.pipes),
  }),
  'drain-back': ({ design }) => raisedBreak(design),
  'stays-wet': ({ design }) => raisedBreak(design),
  restart: ({ design }) => raisedBreak(design),
  vault: ({ design }) => ({
    ...design,
    vault: {
      ...vaultOf(design),
      diameterM: Math.max(vaultOf(design).diameterM, SERVICE_LIMITS.vaultDiameterM),
      atLowPoint: true,
    },
    manifold: { ...design.manifold, pitchPercent: Math.max(2, design.manifold.pitchPercent) },
  }),
  serviceability: ({ design }) => ({
    ...design,
    vault: {
      ...vaultOf(design),
      diameterM: Math.max(vaultOf(design).diameterM, SERVICE_LIMITS.vaultDiameterM),
      atLowPoint: true,
      valveInReach: true,
    },
    manifold: { ...design.manifold, pitchPercent: Math.max(2, design.manifold.pitchPercent) },
  }),
  uv: ({ design, result, rules }) =>
    rules.uv === 'always'
      ? {
          ...design,
          companions: [
            ...design.companions,
            { kind: 'uv', mediaL: 0, ratedFlowM3PerH: Math.max(1, Math.round(result.flowM3PerH)), weirM: 0 },
          ],
        }
      : { ...design, companions: design.companions.filter((c) => c.kind !== 'uv') },
  electrics: confirm('electrics'),
  'auto-fill': confirm('auto-fill'),
  children: confirm('children'),
  services: confirm('services'),
  'wall-loads': confirm('engineer'),
  winter: ({ design }) => (design.winter === 'runs' && design.vault ? { ...design, winter: 'drained' } : null),
}

/** Checks that are mended by having looked on site: the button says so. */
export const CONFIRMED_ON_SITE: readonly CheckId[] = ['electrics', 'auto-fill', 'children', 'services', 'wall-loads']

/** The design with one check mended, or null when no single change does it. */
export const remedied = (id: CheckId, context: Context): FilterDesign | null => MENDS[id]?.(context) ?? null

/** A horizontal bed cut down to what roots reach; what it loses in depth it gains in length. */
function shallower(design: FilterDesign): FilterDesign {
  const depthM = buildUpM(design.layers)
  if (depthM <= ROOT_REACH_M * 1.25) return design
  const share = ROOT_REACH_M / depthM
  return {
    ...design,
    layers: design.layers.map((layer) => ({ ...layer, thicknessM: Number((layer.thicknessM * share).toFixed(3)) })),
    airBreakM: Math.min(design.airBreakM, ROOT_REACH_M),
    widthM: Math.min(100, Math.ceil(design.widthM / share / STEP_M - 1e-9) * STEP_M),
  }
}
