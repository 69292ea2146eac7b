import { RECTANGLE } from '../core/filter/bed/bed-shape'
import { z } from 'zod'
import { BED_MATERIALS, BED_MATERIAL_KEYS, LAYER_RANGE, treatingGravel } from '../core/filter/bed/layers'
import { TRAIN_KINDS, TRAIN_LINES, TRAIN_RANGE } from '../core/filter/train/train-unit'
import { UNIT_FACTS } from '../core/filter/train/unit-facts'
import { DESIGN_RANGE, FEEDS, STANDS, type FilterDesign } from '../core/filter/design-input'
import { PUMP_CATALOGUE } from '../core/filter/flow/pump-catalogue'
import { HEAT_RANGE_C } from '../core/filter/heater'
import { SIZING_METHODS } from '../core/filter/house-rules'
import { GRAVEL_RANGE } from '../core/filter/sizing/nitrification'
import { FILTER_TYPES } from '../core/filter/types'
import { DEFAULT_TABLES } from '../core/hydraulics/fittings'
import { PUMP_SET_RANGE } from '../core/hydraulics/pump-set'
import { PATCH_RANGE } from '../core/plants/planting'
import { numberIn } from './define'

const count = ([least, most]: readonly [number, number]) => z.int().min(least).max(most)

const PUMP_IDS = new Set(PUMP_CATALOGUE.map((pump) => pump.id))
const FITTING_KEYS = new Set<string>(DEFAULT_TABLES.fittings.map((fitting) => fitting.key))

const designFields = z.strictObject({
  type: z.enum(FILTER_TYPES),
  sizingMethod: z.enum(SIZING_METHODS).describe('the school its flow follows'),
  length_m: numberIn(DESIGN_RANGE.sideM, 'one bed, or the diameter of one round vessel; along the shore for a band'),
  width_m: numberIn(DESIGN_RANGE.sideM),
  vessels: count(DESIGN_RANGE.vessels),
  round: z.boolean(),
  layers: z
    .array(z.strictObject({ material: z.enum(BED_MATERIAL_KEYS), thickness_m: numberIn(LAYER_RANGE.thicknessM) }))
    .min(1)
    .max(10)
    .describe('bottom to top'),
  waterOver_m: numberIn(DESIGN_RANGE.waterOverGravelM, 'water over the stone; negative: it stands dry'),
  raised_m: numberIn(DESIGN_RANGE.raisedM, 'walls above the ground'),
  stand: z.enum(STANDS),
  feed: z.enum(FEEDS),
  manifold: z.strictObject({
    diameter_m: numberIn(DESIGN_RANGE.manifoldDiameterM),
    laterals: count(DESIGN_RANGE.laterals),
    slots: count(DESIGN_RANGE.slots).describe('of one pipe'),
    slotArea_m2: numberIn(DESIGN_RANGE.slotAreaM2),
    pitch_percent: numberIn(DESIGN_RANGE.pitchPercent),
  }),
  vault: z
    .strictObject({
      diameter_m: numberIn(DESIGN_RANGE.vaultDiameterM),
      atLowPoint: z.boolean(),
      valveInReach: z.boolean(),
      discharge_m: numberIn(DESIGN_RANGE.dischargeM),
    })
    .nullable(),
  delivery: z.strictObject({
    flexible: z.boolean(),
    length_m: numberIn(DESIGN_RANGE.deliveryLengthM),
    diameter_m: numberIn(DESIGN_RANGE.boreM),
    fittings: z.record(z.string().max(40), count(DESIGN_RANGE.fittings)).describe('counts by key of the fitting'),
    otherK: numberIn(DESIGN_RANGE.otherK),
  }),
  suction: z
    .strictObject({
      diameter_m: numberIn(DESIGN_RANGE.boreM),
      length_m: numberIn(DESIGN_RANGE.suctionLengthM),
      lift_m: numberIn(DESIGN_RANGE.suctionLiftM, 'pump over the water it draws'),
      footValve: z.boolean(),
    })
    .nullable()
    .describe('line of a dry-mounted pump'),
  lift_m: numberIn(DESIGN_RANGE.staticLiftM, 'from the pond to the water of the bed'),
  pump: z.string().min(1).max(60).nullable().describe('id in the catalogue; null: nothing is pumped (type none only)'),
  pumpSet: z.strictObject({
    arrangement: z.enum(['single', 'parallel', 'series']),
    count: count(PUMP_SET_RANGE.count),
    speed: numberIn(PUMP_SET_RANGE.speed),
  }),
  bypassShare: numberIn(DESIGN_RANGE.bypassShare, 'share of the flow past the bed'),
  outlet: z.strictObject({
    count: count(DESIGN_RANGE.outlets),
    diameter_m: numberIn(DESIGN_RANGE.boreM),
    length_m: numberIn(DESIGN_RANGE.outletLengthM),
    drop_m: numberIn(DESIGN_RANGE.dropM),
  }),
  falls: z
    .strictObject({ width_m: numberIn(DESIGN_RANGE.fallsWidthM), drop_m: numberIn(DESIGN_RANGE.dropM) })
    .nullable(),
  airBreak_m: numberIn(DESIGN_RANGE.airBreakM, "above the bed's base; null: it siphons back to the pond").nullable(),
  checkValve: z.boolean(),
  train: z
    .array(
      z.strictObject({
        kind: z.enum(TRAIN_KINDS),
        line: z.enum(TRAIN_LINES).describe('by gravity to the pump, from it, on a line of its own, or in the pond'),
        ratedFlow_m3_h: numberIn(TRAIN_RANGE.ratedFlowM3PerH),
        media_L: numberIn(TRAIN_RANGE.mediaL),
        height_m: numberIn(TRAIN_RANGE.heightM, 'towers: how far the water trickles'),
        weir_m: numberIn(TRAIN_RANGE.weirM, 'skimmers: width of the mouth'),
        mesh_um: numberIn(TRAIN_RANGE.meshUm, 'screens: openings'),
        lamp_W: numberIn(TRAIN_RANGE.lampW, 'UV clarifiers'),
        overflow: z.boolean().describe('flow over the rated one goes past it'),
        clearance_m: numberIn(TRAIN_RANGE.clearanceM, 'free space for its service').nullable(),
      }),
    )
    .max(20)
    .describe('equipment in the order in which the water meets it'),
  intakePipe: z
    .strictObject({
      count: count(DESIGN_RANGE.intakePipes),
      diameter_m: numberIn(DESIGN_RANGE.boreM),
      length_m: numberIn(DESIGN_RANGE.deliveryLengthM),
    })
    .nullable()
    .describe('pipes to the train by gravity'),
  planting: z
    .array(
      z.strictObject({
        species: z.string().min(1).max(60),
        count: count(PATCH_RANGE.count),
        x_m: numberIn(PATCH_RANGE.positionM),
        y_m: numberIn(PATCH_RANGE.positionM),
      }),
    )
    .max(60),
  winter: z.enum(['runs', 'drained']),
  weeklyExchange: numberIn(DESIGN_RANGE.weeklyExchange, 'share of the water changed by hand each week of the season'),
  heatTo_C: numberIn(HEAT_RANGE_C).nullable(),
})

/**
 * A filter design as filter.suggest gives it and filter.evaluate takes it back; what reads well but cannot stand is
 * named at its field.
 */
export const designSchema = designFields.superRefine((design, context) => {
  const refuse = (path: string[], message: string) => context.addIssue({ code: 'custom', path, message })
  if (design.pump !== null && !PUMP_IDS.has(design.pump)) refuse(['pump'], 'must be a pump of the catalogue')
  const unknown = Object.keys(design.delivery.fittings).find((key) => !FITTING_KEYS.has(key))
  if (unknown) refuse(['delivery', 'fittings', unknown], `must be one of ${[...FITTING_KEYS].join(', ')}`)
  design.train.forEach((unit, i) => {
    const { lines } = UNIT_FACTS[unit.kind]
    if (!lines.includes(unit.line)) refuse(['train', String(i), 'line'], `must be one of ${lines.join(', ')}`)
  })
  if (design.type === 'none') return
  if (design.pump === null) refuse(['pump'], 'must be given: a bed needs a pump')
  const [least, most] = GRAVEL_RANGE.depthM
  const { depthM } = treatingGravel(
    design.layers.map((l) => ({ material: l.material, thicknessM: l.thickness_m })),
    BED_MATERIALS,
  )
  if (depthM < least - 1e-9 || depthM > most + 1e-9)
    refuse(['layers'], `must hold between ${least} and ${most} m of gravel or stone`)
})
export type DesignJson = z.output<typeof designSchema>

/** A design of the contract in the core's words; networks and what was seen on site are no part of it. */
// eslint-disable-next-line max-lines-per-function -- one design, figure by figure
export const designOf = (d: DesignJson): FilterDesign => ({
  type: d.type,
  sizingMethod: d.sizingMethod,
  lengthM: d.length_m,
  widthM: d.width_m,
  vessels: d.vessels,
  round: d.round,
  shape: RECTANGLE,
  layers: d.layers.map((l) => ({ material: l.material, thicknessM: l.thickness_m })),
  waterOverGravelM: d.waterOver_m,
  raisedM: d.raised_m,
  stand: d.stand,
  feed: d.feed,
  manifold: {
    diameterM: d.manifold.diameter_m,
    laterals: d.manifold.laterals,
    slots: d.manifold.slots,
    slotAreaM2: d.manifold.slotArea_m2,
    pitchPercent: d.manifold.pitch_percent,
  },
  vault: d.vault && {
    diameterM: d.vault.diameter_m,
    atLowPoint: d.vault.atLowPoint,
    valveInReach: d.vault.valveInReach,
    dischargeM: d.vault.discharge_m,
  },
  delivery: {
    flexible: d.delivery.flexible,
    lengthM: d.delivery.length_m,
    diameterM: d.delivery.diameter_m,
    fittings: d.delivery.fittings,
    otherK: d.delivery.otherK,
  },
  suction: d.suction && {
    diameterM: d.suction.diameter_m,
    lengthM: d.suction.length_m,
    liftM: d.suction.lift_m,
    footValve: d.suction.footValve,
  },
  staticLiftM: d.lift_m,
  pumpId: d.pump,
  pumpSet: d.pumpSet,
  bypassShare: d.bypassShare,
  outlet: {
    count: d.outlet.count,
    diameterM: d.outlet.diameter_m,
    lengthM: d.outlet.length_m,
    dropM: d.outlet.drop_m,
  },
  falls: d.falls && { widthM: d.falls.width_m, dropM: d.falls.drop_m },
  airBreakM: d.airBreak_m,
  checkValve: d.checkValve,
  train: d.train.map((unit) => ({
    kind: unit.kind,
    line: unit.line,
    ratedFlowM3PerH: unit.ratedFlow_m3_h,
    mediaL: unit.media_L,
    heightM: unit.height_m,
    weirM: unit.weir_m,
    meshUm: unit.mesh_um,
    lampW: unit.lamp_W,
    overflow: unit.overflow,
    clearanceM: unit.clearance_m,
  })),
  intakePipe: d.intakePipe && {
    count: d.intakePipe.count,
    diameterM: d.intakePipe.diameter_m,
    lengthM: d.intakePipe.length_m,
  },
  network: null,
  planting: d.planting.map((p) => ({ species: p.species, count: p.count, xM: p.x_m, yM: p.y_m })),
  winter: d.winter,
  weeklyExchange: d.weeklyExchange,
  heatToC: d.heatTo_C,
  northDeg: 0,
  layout: null,
  confirmed: [],
})

/** A design of the core in the contract's words. */
// eslint-disable-next-line max-lines-per-function -- one design, figure by figure
export const designJson = (d: FilterDesign): DesignJson => ({
  type: d.type,
  sizingMethod: d.sizingMethod,
  length_m: d.lengthM,
  width_m: d.widthM,
  vessels: d.vessels,
  round: d.round,
  layers: d.layers.map((l) => ({ material: l.material, thickness_m: l.thicknessM })),
  waterOver_m: d.waterOverGravelM,
  raised_m: d.raisedM,
  stand: d.stand,
  feed: d.feed,
  manifold: {
    diameter_m: d.manifold.diameterM,
    laterals: d.manifold.laterals,
    slots: d.manifold.slots,
    slotArea_m2: d.manifold.slotAreaM2,
    pitch_percent: d.manifold.pitchPercent,
  },
  vault: d.vault && {
    diameter_m: d.vault.diameterM,
    atLowPoint: d.vault.atLowPoint,
    valveInReach: d.vault.valveInReach,
    discharge_m: d.vault.dischargeM,
  },
  delivery: {
    flexible: d.delivery.flexible,
    length_m: d.delivery.lengthM,
    diameter_m: d.delivery.diameterM,
    fittings: { ...d.delivery.fittings },
    otherK: d.delivery.otherK,
  },
  suction: d.suction && {
    diameter_m: d.suction.diameterM,
    length_m: d.suction.lengthM,
    lift_m: d.suction.liftM,
    footValve: d.suction.footValve,
  },
  lift_m: d.staticLiftM,
  pump: d.pumpId,
  pumpSet: { ...d.pumpSet },
  bypassShare: d.bypassShare,
  outlet: {
    count: d.outlet.count,
    diameter_m: d.outlet.diameterM,
    length_m: d.outlet.lengthM,
    drop_m: d.outlet.dropM,
  },
  falls: d.falls && { width_m: d.falls.widthM, drop_m: d.falls.dropM },
  airBreak_m: d.airBreakM,
  checkValve: d.checkValve,
  train: d.train.map((unit) => ({
    kind: unit.kind,
    line: unit.line,
    ratedFlow_m3_h: unit.ratedFlowM3PerH,
    media_L: unit.mediaL,
    height_m: unit.heightM,
    weir_m: unit.weirM,
    mesh_um: unit.meshUm,
    lamp_W: unit.lampW,
    overflow: unit.overflow,
    clearance_m: unit.clearanceM,
  })),
  intakePipe: d.intakePipe && {
    count: d.intakePipe.count,
    diameter_m: d.intakePipe.diameterM,
    length_m: d.intakePipe.lengthM,
  },
  planting: d.planting.map((p) => ({ species: p.species, count: p.count, x_m: p.xM, y_m: p.yM })),
  winter: d.winter,
  weeklyExchange: d.weeklyExchange,
  heatTo_C: d.heatToC,
})
