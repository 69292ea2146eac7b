import { nextBoreM } from '../../hydraulics/fittings'
import { buildUpM } from '../bed/bed-geometry'
import { shapeShare } from '../bed/bed-outline'
import { BED_MATERIALS, type BedLayer } from '../bed/layers'
import { SERVICE_LIMITS } from '../bed/serviceability'
import { newUnit } from '../train/new-unit'
import { inOrder } from '../train/order'
import type { CheckId } from '../checks'
import { CHECK_LIMITS } from '../checks/check'
import type { FilterDesign } from '../design-input'
import { stepUp } from '../first/proportions'
import { lateralsFor } from '../flow/head'
import { FILTER_TYPE_FACTS } from '../types'
import { VESSEL_SIZES, vesselLayers } from '../types/vessel-sizes'
import { enlarge, fedAcross, type Mend } from './remedy'

const ROOT_REACH_M = 0.2
const PLANTING: BedLayer = { material: 'planting-6-12', thicknessM: 0.09 }
const BETWEEN: BedLayer = { material: 'gravel-19-38', thicknessM: 0.1 }
const BRIDGING: BedLayer = { material: 'bridging-stone', thicknessM: 0.1 }
const LOW_CHAMBER_M = 0.2
/** A drum takes solids out of the water where a larger bed alone would have to be so much larger. */
const DRUM_FROM_FACTOR = 3

/** Other layers, the air break as high over the base as before. */
function layered(design: FilterDesign, layers: readonly BedLayer[]): FilterDesign {
  const added = buildUpM(layers) - buildUpM(design.layers)
  return { ...design, layers, airBreakM: design.airBreakM === null ? null : Math.max(0, design.airBreakM + added) }
}

/** A horizontal bed cut down to what roots reach; what it loses in depth it gains in width. */
function shallower(design: FilterDesign): FilterDesign {
  const depthM = buildUpM(design.layers)
  if (depthM <= ROOT_REACH_M * 1.25) return design
  const share = ROOT_REACH_M / depthM
  return {
    ...layered(
      design,
      design.layers.map((layer) => ({ ...layer, thicknessM: Number((layer.thicknessM * share).toFixed(3)) })),
    ),
    widthM: Math.min(100, stepUp(design.widthM / share)),
  }
}

const vaultOf = (design: FilterDesign) =>
  design.vault ?? { diameterM: 0.4, atLowPoint: true, valveInReach: true, dischargeM: 8 }

const wideVault = (design: FilterDesign, valveInReach = vaultOf(design).valveInReach): FilterDesign => ({
  ...design,
  vault: {
    ...vaultOf(design),
    diameterM: FILTER_TYPE_FACTS[design.type].vessels
      ? vaultOf(design).diameterM
      : Math.max(vaultOf(design).diameterM, SERVICE_LIMITS.vaultDiameterM),
    atLowPoint: true,
    valveInReach,
  },
  manifold: { ...design.manifold, pitchPercent: Math.max(2, design.manifold.pitchPercent) },
})

/** A bed that takes less of the pond's water: a lower chamber, then none, then smaller vessels. */
const lessWater: Mend = ({ design }) => {
  const chamber = design.layers.find((layer) => layer.material === 'void-modules')
  if (chamber && chamber.thicknessM > LOW_CHAMBER_M)
    return layered(
      design,
      design.layers.map((layer) => (layer === chamber ? { ...layer, thicknessM: LOW_CHAMBER_M } : layer)),
    )
  if (chamber)
    return fedAcross({
      ...layered(
        design,
        design.layers.filter((layer) => layer !== chamber),
      ),
      feed: design.feed === 'chamber' ? 'slotted-pipe' : design.feed,
    })
  if (!FILTER_TYPE_FACTS[design.type].vessels || !design.round) return null
  if (design.vessels > 1) return { ...design, vessels: design.vessels - 1 }
  const smaller = VESSEL_SIZES.findLast((size) => size.diameterM < design.lengthM - 1e-9)
  if (!smaller) return null
  return { ...layered(design, vesselLayers(smaller)), lengthM: smaller.diameterM, widthM: smaller.diameterM }
}

/** Layers with stone put between that holds the finer above the coarser; null where none are amiss. */
const heldLayers: Mend = ({ design }) => {
  const { layers } = design
  const onModules = layers.findIndex(
    (layer, i) => i > 0 && !BED_MATERIALS[layers[i - 1]!.material].granular && layer.material !== 'bridging-stone',
  )
  if (onModules > 0) return layered(design, layers.toSpliced(onModules, 0, BRIDGING))
  const at = layers.findIndex(
    (layer, i) =>
      i > 0 && layers[i - 1]!.material === 'bridging-stone' && ['planting-6-12', 'pea-gravel'].includes(layer.material),
  )
  return at < 0 ? null : layered(design, layers.toSpliced(at, 0, BETWEEN))
}

/** Mends of the bed itself and of how it is cleaned. */
export const BED_MENDS: Partial<Record<CheckId, Mend>> = {
  uniformity: ({ design, rules }) => {
    const laterals = FILTER_TYPE_FACTS[design.type].vessels ? 1 : lateralsFor(design)
    const chamber = design.layers.some((layer) => layer.material === 'void-modules')
    if (design.feed === 'slotted-pipe' && !chamber && laterals > design.manifold.laterals)
      return { ...design, manifold: { ...design.manifold, laterals } }
    return {
      ...design,
      feed: design.feed === 'chamber' ? 'slotted-pipe' : design.feed,
      manifold: { ...design.manifold, diameterM: nextBoreM(design.manifold.diameterM, rules.tables.pipes) },
    }
  },
  'root-zone': ({ design }) =>
    FILTER_TYPE_FACTS[design.type].path === 'along'
      ? shallower({ ...design, feed: 'full-height-header' })
      : layered(design, [...design.layers, PLANTING]),
  'bed-depth': ({ design }) => (FILTER_TYPE_FACTS[design.type].path === 'along' ? shallower(design) : null),
  'bed-loss': (context) => {
    const { design, result } = context
    if (FILTER_TYPE_FACTS[design.type].path !== 'along') return enlarge(context, result.areaM2 * 1.5)
    // the same bed, shorter on the way of the water and wider across it
    const lengthM = stepUp(design.lengthM * 0.7)
    return { ...design, lengthM, widthM: Math.min(100, stepUp(result.areaM2 / shapeShare(design) / lengthM)) }
  },
  'layer-stability': heldLayers,
  'bed-water': lessWater,
  vault: ({ design }) => wideVault(design),
  trench: ({ design }) =>
    design.manifold.pitchPercent > SERVICE_LIMITS.pitchPercent
      ? { ...design, manifold: { ...design.manifold, pitchPercent: SERVICE_LIMITS.pitchPercent } }
      : null,
  serviceability: ({ design }) => ({
    ...wideVault(design, true),
    vault: {
      ...wideVault(design, true).vault!,
      dischargeM: Math.min(vaultOf(design).dischargeM, SERVICE_LIMITS.dischargeM),
    },
  }),
  'flush-interval': (context) => {
    const { design, result } = context
    const factor = CHECK_LIMITS.flushDaysLeast / result.flushDays
    const drum = design.train.some((c) => c.kind === 'drum')
    if (factor > DRUM_FROM_FACTOR && !drum)
      return {
        ...design,
        train: inOrder([
          ...design.train,
          newUnit('drum', { flowM3PerH: result.flowM3PerH, pondM3: context.pond.volumeM3 }),
        ]),
      }
    return enlarge(context, result.areaM2 * Math.min(factor, 1.5))
  },
}
