import { z } from 'zod'
import { TRAIN_KINDS, TRAIN_LINES, TRAIN_RANGE } from '../../core/filter/train/train-unit'
import { UNIT_FACTS } from '../../core/filter/train/unit-facts'
import { CONFIRMATIONS, DESIGN_RANGE, FEEDS, STANDS, type FilterDesign } from '../../core/filter/design-input'
import { FILTER_TYPES } from '../../core/filter/types'
import { BED_MATERIALS, BED_MATERIAL_KEYS, LAYER_RANGE, treatingGravel } from '../../core/filter/bed/layers'
import { GRAVEL_RANGE } from '../../core/filter/sizing/nitrification'
import { BRANCH_KINDS, FLOW_PLAN_RANGE } from '../../core/filter/flow/flow-plan'
import { SIZING_METHODS } from '../../core/filter/house-rules'
import { HEAT_RANGE_C } from '../../core/filter/heater'
import { PUMP_SET_RANGE } from '../../core/hydraulics/pump-set'
import { PATCH_RANGE } from '../../core/plants/planting'
import { plantSpecies } from '../../core/plants/species'
import { numberWithin, optionalText, shortText } from '../shared/fields'
import { RECTANGLE } from '../../core/filter/bed/bed-shape'
import { BedShapeInput, SiteLayoutInput } from './site-layout'
import { FITTING_KEY } from '../house-rules/house-tables'
import type { DesignId, PondId, UserId } from '../shared/ids'
import { said } from '../shared/said'
import type { TextKey } from '@/messages/keys'

const counted = ([min, max]: readonly [number, number], noun: TextKey) =>
  z
    .int({ error: said('design.problems.wholeNumber', { noun: { text: noun } }) })
    .min(min, { error: said('design.problems.least', { noun: { text: noun }, least: min }) })
    .max(max, { error: said('design.problems.most', { noun: { text: noun }, most: max }) })

const TrainUnitInput = z
  .strictObject({
    kind: z.enum(TRAIN_KINDS),
    line: z.enum(TRAIN_LINES),
    ratedFlowM3PerH: numberWithin(TRAIN_RANGE.ratedFlowM3PerH, 'design.fields.ratedFlow', 'm³/h'),
    mediaL: numberWithin(TRAIN_RANGE.mediaL, 'design.fields.media', 'L'),
    heightM: numberWithin(TRAIN_RANGE.heightM, 'design.fields.towerHeight', 'm'),
    weirM: numberWithin(TRAIN_RANGE.weirM, 'design.fields.mouth', 'm'),
    meshUm: numberWithin(TRAIN_RANGE.meshUm, 'design.fields.mesh', 'µm'),
    lampW: numberWithin(TRAIN_RANGE.lampW, 'design.fields.lampPower', 'W'),
    overflow: z.boolean(),
    clearanceM: numberWithin(TRAIN_RANGE.clearanceM, 'design.fields.clearance', 'm').nullable(),
  })
  .superRefine(({ kind, line }, context) => {
    if (!UNIT_FACTS[kind].lines.includes(line))
      context.addIssue({ code: 'custom', path: ['line'], message: said('design.problems.unitNotInThisLine') })
  })

const PatchInput = z.strictObject({
  species: z
    .string()
    .refine((key) => plantSpecies(key) !== undefined, { error: said('design.problems.choosePlantLibrary') }),
  count: counted(PATCH_RANGE.count, 'design.fields.plants'),
  xM: numberWithin(PATCH_RANGE.positionM, 'design.fields.placeAlongTheBed', 'm'),
  yM: numberWithin(PATCH_RANGE.positionM, 'design.fields.placeAcrossTheBed', 'm'),
})

const pipeFields = {
  boreM: numberWithin(DESIGN_RANGE.boreM, 'design.fields.bore', 'm'),
  lengthM: numberWithin(FLOW_PLAN_RANGE.lengthM, 'design.fields.length', 'm'),
  k: numberWithin(FLOW_PLAN_RANGE.k, 'design.fields.fittings', 'K'),
}

const FlowPlanInput = z.strictObject({
  intakes: z
    .array(
      z.strictObject({
        kind: z.enum(['bottom-drain', 'mid-water', 'skimmer']),
        ...pipeFields,
        summer: z.boolean(),
        winter: z.boolean(),
      }),
    )
    .min(1)
    .max(8)
    .readonly(),
  branches: z
    .array(
      z.strictObject({
        kind: z.enum(BRANCH_KINDS),
        ...pipeFields,
        valve: numberWithin(FLOW_PLAN_RANGE.valve, 'design.fields.valveOpening', ''),
        levelM: numberWithin(FLOW_PLAN_RANGE.levelM, 'design.fields.level', 'm'),
      }),
    )
    .min(1)
    .max(10)
    .readonly(),
  morePumps: z.array(z.string().max(60)).max(4).readonly(),
})

export const FilterDesignInput = z
  .strictObject({
    type: z.enum(FILTER_TYPES, { error: said('design.problems.chooseKindFilter') }),
    sizingMethod: z.enum(SIZING_METHODS),
    lengthM: numberWithin(DESIGN_RANGE.sideM, 'design.fields.bedLength', 'm'),
    widthM: numberWithin(DESIGN_RANGE.sideM, 'design.fields.bedWidth', 'm'),
    vessels: counted(DESIGN_RANGE.vessels, 'design.fields.vessels'),
    round: z.boolean(),
    shape: BedShapeInput.default(RECTANGLE),
    layers: z
      .array(
        z.strictObject({
          material: z.enum(BED_MATERIAL_KEYS),
          thicknessM: numberWithin(LAYER_RANGE.thicknessM, 'design.fields.layerThickness', 'm'),
        }),
      )
      .min(1, { error: said('design.problems.bedNeedsLeastOneLayer') })
      .max(10)
      .readonly(),
    waterOverGravelM: numberWithin(DESIGN_RANGE.waterOverGravelM, 'design.fields.waterOverTheGravel', 'm'),
    raisedM: numberWithin(DESIGN_RANGE.raisedM, 'design.fields.wallsAboveGround', 'm'),
    stand: z.enum(STANDS),
    feed: z.enum(FEEDS),
    manifold: z.strictObject({
      diameterM: numberWithin(DESIGN_RANGE.manifoldDiameterM, 'design.fields.distributionPipe', 'm'),
      laterals: counted(DESIGN_RANGE.laterals, 'design.fields.laterals'),
      slots: counted(DESIGN_RANGE.slots, 'design.fields.slots'),
      slotAreaM2: numberWithin(DESIGN_RANGE.slotAreaM2, 'design.fields.slotArea', 'm²'),
      pitchPercent: numberWithin(DESIGN_RANGE.pitchPercent, 'design.fields.pipePitch', '%'),
    }),
    vault: z
      .strictObject({
        diameterM: numberWithin(DESIGN_RANGE.vaultDiameterM, 'design.fields.vaultOrDrain', 'm'),
        atLowPoint: z.boolean(),
        valveInReach: z.boolean(),
        dischargeM: numberWithin(DESIGN_RANGE.dischargeM, 'design.fields.wayToTheDischarge', 'm'),
      })
      .nullable(),
    delivery: z.strictObject({
      flexible: z.boolean(),
      lengthM: numberWithin(DESIGN_RANGE.deliveryLengthM, 'design.fields.deliveryPipeLength', 'm'),
      diameterM: numberWithin(DESIGN_RANGE.boreM, 'design.fields.deliveryPipeBore', 'm'),
      fittings: z.record(
        z.string().regex(FITTING_KEY, { error: said('design.problems.fittingsNamedTheirKeyTable') }),
        counted(DESIGN_RANGE.fittings, 'design.fields.fittings'),
      ),
      otherK: numberWithin(DESIGN_RANGE.otherK, 'design.fields.otherFittings', 'K'),
    }),
    suction: z
      .strictObject({
        diameterM: numberWithin(DESIGN_RANGE.boreM, 'design.fields.suctionBore', 'm'),
        lengthM: numberWithin(DESIGN_RANGE.suctionLengthM, 'design.fields.suctionLength', 'm'),
        liftM: numberWithin(DESIGN_RANGE.suctionLiftM, 'design.fields.suctionLift', 'm'),
        footValve: z.boolean(),
      })
      .nullable(),
    staticLiftM: numberWithin(DESIGN_RANGE.staticLiftM, 'design.fields.lift', 'm'),
    pumpId: z
      .string()
      .min(1, { error: said('design.problems.choosePump') })
      .max(60)
      .nullable(),
    pumpSet: z.strictObject({
      arrangement: z.enum(['single', 'parallel', 'series']),
      count: counted(PUMP_SET_RANGE.count, 'design.fields.pumps'),
      speed: numberWithin(PUMP_SET_RANGE.speed, 'design.fields.speed', ''),
    }),
    bypassShare: numberWithin(DESIGN_RANGE.bypassShare, 'design.fields.sharePastTheBed', ''),
    outlet: z.strictObject({
      count: counted(DESIGN_RANGE.outlets, 'design.fields.returnPipes'),
      diameterM: numberWithin(DESIGN_RANGE.boreM, 'design.fields.returnBore', 'm'),
      lengthM: numberWithin(DESIGN_RANGE.outletLengthM, 'design.fields.returnLength', 'm'),
      dropM: numberWithin(DESIGN_RANGE.dropM, 'design.fields.returnFall', 'm'),
    }),
    falls: z
      .strictObject({
        widthM: numberWithin(DESIGN_RANGE.fallsWidthM, 'design.fields.fallsWidth', 'm'),
        dropM: numberWithin(DESIGN_RANGE.dropM, 'design.fields.fallsDrop', 'm'),
      })
      .nullable(),
    airBreakM: numberWithin(DESIGN_RANGE.airBreakM, 'design.fields.airBreakHeight', 'm').nullable(),
    checkValve: z.boolean(),
    train: z.array(TrainUnitInput).max(20).readonly(),
    intakePipe: z
      .strictObject({
        count: counted(DESIGN_RANGE.intakePipes, 'design.fields.intakePipes'),
        diameterM: numberWithin(DESIGN_RANGE.boreM, 'design.fields.intakeBore', 'm'),
        lengthM: numberWithin(DESIGN_RANGE.deliveryLengthM, 'design.fields.intakeLength', 'm'),
      })
      .nullable(),
    network: FlowPlanInput.nullable(),
    planting: z.array(PatchInput).max(60).readonly(),
    winter: z.enum(['runs', 'drained']),
    weeklyExchange: numberWithin(DESIGN_RANGE.weeklyExchange, 'design.fields.weeklyExchange', ''),
    heatToC: numberWithin(HEAT_RANGE_C, 'design.fields.heatedTo', '°C').nullable(),
    northDeg: numberWithin(DESIGN_RANGE.northDeg, 'design.fields.north', '°'),
    layout: SiteLayoutInput.nullable().default(null),
    confirmed: z.array(z.enum(CONFIRMATIONS)).max(CONFIRMATIONS.length).readonly(),
  })
  .superRefine(({ type, layers, pumpId }, context) => {
    if (context.issues.length > 0 || type === 'none') return
    if (pumpId === null)
      context.addIssue({ code: 'custom', path: ['pumpId'], message: said('design.problems.bedNeedsPump') })
    const [min, max] = GRAVEL_RANGE.depthM
    const { depthM } = treatingGravel(layers, BED_MATERIALS)
    if (depthM < min - 1e-9 || depthM > max + 1e-9)
      context.addIssue({
        code: 'custom',
        path: ['layers'],
        message: said('design.problems.stoneBedMustBetweenM', { least: min, most: max }),
      })
  }) satisfies z.ZodType<FilterDesign>

export const DesignInput = z.strictObject({
  name: shortText('design.fields.versionName', 60),
  bed: FilterDesignInput,
  /** Why another sizing method than the house's; needed when they differ. */
  overrideReason: optionalText('design.fields.reason', 300),
})
export type DesignInput = z.infer<typeof DesignInput>

/**
 * open → approved (frozen) → built (with what came out differently); or open → found: a filter that somebody else
 * built, recorded as it was found. A new version supersedes, it does not change.
 */
export type DesignState = 'open' | 'approved' | 'built' | 'found'

/** Whether a version is a filter that stands at its pond. */
export const isStanding = ({ state }: Pick<Design, 'state'>): boolean => state === 'built' || state === 'found'

export interface Design extends DesignInput {
  readonly bed: FilterDesign
  readonly id: DesignId
  readonly pondId: PondId
  readonly number: number
  readonly version: number
  readonly state: DesignState
  /** Checks that said stop when it was approved or built all the same, and why. */
  readonly stops: readonly string[]
  readonly stopReason: string
  readonly stateByName: string | null
  readonly stateAt: string | null
  /** What was built otherwise than drawn; empty until built. */
  readonly asBuilt: string
  /** The figures as built; null when they are as drawn, or it is not built yet. */
  readonly builtBed: FilterDesign | null
  readonly savedBy: UserId
  readonly savedByName: string
  readonly savedAt: string
  readonly areaM2: number
  readonly flowM3PerH: number
}

/**
 * The version that stands at a pond: built or found, else approved; the newest draft is the best guess there is
 * without either.
 * @param designs newest first
 */
export const standingDesign = (designs: readonly Design[]): Design | undefined =>
  designs.find(isStanding) ?? designs.find((d) => d.state === 'approved') ?? designs[0]
