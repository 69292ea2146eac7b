import { suctionFor } from '../first/suction'
import { firstPlanting } from '../../plants/planting'
import { placedDesign } from '../../site-plan/placed-design'
import { bedAreaM2, buildUpM, oneBedAreaM2 } from '../bed/bed-geometry'
import { BED_MATERIALS, type BedLayer } from '../bed/layers'
import { CHECK_LIMITS } from '../checks/check'
import type { FilterDesign } from '../design-input'
import { pastTheBed } from '../first-design'
import { deliveryBoreM, fallsFor, manifoldFor, outletFor } from '../first/pipes'
import { sizeFor } from '../first/proportions'
import { lateralsFor } from '../flow/head'
import { dutyFlowM3PerH } from '../flow/pumping'
import { isDryMounted, type CataloguePump } from '../flow/pump-catalogue'
import { suggestDesign } from '../suggest'
import { GRAVEL_RANGE } from '../sizing/nitrification'
import { FILTER_TYPE_FACTS } from '../types'
import type { GeneCounts, Genes } from './genes'
import type { OptionProblem } from './option-problem'
import { presetTrain } from './train-presets'

const MOST_VESSELS = 20
/** Less stone than this is no bed. */
const [THINNEST_M] = GRAVEL_RANGE.depthM
/** A return is drawn for a little more than the pump brings. */
const RETURN_MARGIN = 1.1
/** Pumps that bring less than this share of what is needed, or this many times as much, are not tried. */
const PUMP_REACH = [0.4, 6] as const

/** What genes are read with: a suggested design of each kind, and the pumps that come near what is needed. */
export interface DecodeContext {
  readonly problem: OptionProblem
  readonly bases: readonly FilterDesign[]
  readonly pumps: readonly CataloguePump[]
  readonly counts: GeneCounts
}

const middleFlow = ({ recommended }: CataloguePump): number => (recommended[0] + recommended[1]) / 2

/** @param neededM3PerH flow that the pond asks for */
export function decodeContext(problem: OptionProblem, neededM3PerH: number): DecodeContext {
  const { pond, rules, pumps, own, types } = problem
  const site = { liftM: own.staticLiftM, pipeM: own.delivery.lengthM }
  const bases = types.map((type) => {
    const base = suggestDesign(pond, own.sizingMethod, rules, pumps, type, site)
    const { winter, confirmed, heatToC, northDeg, layout } = own
    return { ...base, winter, confirmed, heatToC, northDeg, layout }
  })
  const near = pumps
    .filter((pump) => {
      const flow = middleFlow(pump)
      return flow >= neededM3PerH * PUMP_REACH[0] && flow <= neededM3PerH * PUMP_REACH[1]
    })
    .sort((a, b) => middleFlow(a) - middleFlow(b))
  const tried = near.length > 0 ? near : [...pumps]
  return { problem, bases, pumps: tried, counts: { types: bases.length, pumps: tried.length } }
}

/** The design that genes stand for: what hangs on its flow is drawn for the flow its pump brings. */
export function decoded(genes: Genes, { problem, bases, pumps }: DecodeContext): FilterDesign {
  const { pond, rules } = problem
  const base = bases[genes.type]!
  if (base.type === 'none') return base
  const pump = pumps[genes.pump]!
  const { pipes } = rules.tables
  const middle = middleFlow(pump) * genes.pumps
  const sized = { ...base, ...sizeOf(base, genes, pond.shoreM) }
  const bores = pipes.map((pipe) => pipe.boreM).sort((a, b) => a - b)
  const usual = bores.indexOf(deliveryBoreM(middle, pipes))
  const pumpSet = { arrangement: genes.pumps === 1 ? 'single' : 'parallel', count: genes.pumps, speed: 1 } as const
  const drawn: FilterDesign = {
    ...sized,
    ...presetTrain(genes.train, genes.uv, middle, pond.volumeM3, pipes),
    pumpId: pump.id,
    pumpSet,
    suction: suctionFor({ suction: null, pumpSet }, { dry: isDryMounted(pump) }, middle, pipes),
    delivery: {
      ...base.delivery,
      diameterM: bores[Math.min(bores.length - 1, Math.max(0, usual + Math.round(genes.bore)))]!,
    },
    planting: firstPlanting(
      sized.round ? sized.lengthM * Math.sqrt(Math.PI / 4) : sized.lengthM,
      sized.widthM * sized.vessels,
    ),
  }
  const placed = placedDesign(drawn, pond.ground, rules.tables)
  return forFlow(placed, dutyFlowM3PerH(placed, pump, rules), problem)
}

/** Size and layers: stone thicker or thinner, the area by its genes. Vessels keep their stone and stand in numbers. */
function sizeOf(
  base: FilterDesign,
  genes: Genes,
  shoreM: number,
): Pick<FilterDesign, 'lengthM' | 'widthM' | 'vessels' | 'round' | 'layers' | 'airBreakM' | 'raisedM'> {
  const areaM2 = bedAreaM2(base) * genes.area
  const { vessels, walled } = FILTER_TYPE_FACTS[base.type]
  if (vessels) {
    const { lengthM, widthM, round, layers, airBreakM, raisedM } = base
    const count = Math.min(MOST_VESSELS, Math.max(1, Math.round(areaM2 / oneBedAreaM2(base))))
    return { lengthM, widthM, round, layers, airBreakM, raisedM, vessels: count }
  }
  const layers = thicker(base.layers, genes.stone)
  const added = buildUpM(layers) - buildUpM(base.layers)
  return {
    ...sizeFor(base.type, areaM2, shoreM),
    layers,
    airBreakM: base.airBreakM === null ? null : Math.max(0, base.airBreakM + added),
    raisedM: walled ? Math.max(0, Number((base.raisedM + added).toFixed(3))) : base.raisedM,
  }
}

/** The thickest layer of stone otherwise, to whole centimetres; what stands on it stays as it is. */
function thicker(layers: readonly BedLayer[], factor: number): readonly BedLayer[] {
  const thickest = layers
    .filter((layer) => BED_MATERIALS[layer.material].granular)
    .reduce<BedLayer | null>((max, layer) => (max && max.thicknessM >= layer.thicknessM ? max : layer), null)
  return layers.map((layer) =>
    layer === thickest
      ? { ...layer, thicknessM: Math.max(THINNEST_M, Number((layer.thicknessM * factor).toFixed(2))) }
      : layer,
  )
}

/** Slots, return, falls and what goes past the bed, for the flow that comes. */
function forFlow(design: FilterDesign, flowM3PerH: number, { rules }: OptionProblem): FilterDesign {
  if (!(flowM3PerH > 0)) return design
  const facts = FILTER_TYPE_FACTS[design.type]
  const { pipes } = rules.tables
  const depthM = buildUpM(design.layers)
  const chamber = design.layers.some((layer) => layer.material === 'void-modules')
  const most = CHECK_LIMITS.upflowLookAboveMPerH * bedAreaM2(design)
  const past = Math.min(0.9, Math.max(0, 1 - most / flowM3PerH))
  const bypassShare = facts.path === 'along' ? pastTheBed(flowM3PerH, design.widthM * depthM) : Number(past.toFixed(2))
  const bedFlow = flowM3PerH * (1 - bypassShare)
  const laterals = facts.path === 'up' && !facts.vessels && !chamber ? lateralsFor(design) : 1
  const spare = Math.max(facts.walled ? 2 : 1, design.outlet.count > 1 ? 2 : 1)
  return {
    ...design,
    bypassShare,
    manifold: manifoldFor(Math.max(0.1, bedFlow) / design.vessels, laterals, pipes),
    outlet: {
      ...design.outlet,
      ...pick(outletFor(bedFlow * RETURN_MARGIN, design.delivery.diameterM, pipes, design.outlet.dropM, spare)),
    },
    falls: design.falls
      ? {
          ...design.falls,
          widthM: fallsFor(flowM3PerH, design.widthM, design.staticLiftM)?.widthM ?? design.falls.widthM,
        }
      : null,
  }
}

const pick = ({ count, diameterM }: FilterDesign['outlet']) => ({ count, diameterM })
