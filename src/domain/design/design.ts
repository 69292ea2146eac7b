import { z } from 'zod'
import { COMPANION_KINDS, COMPANION_RANGE } from '../../core/filter/companions'
import { CONFIRMATIONS, DESIGN_RANGE, FEEDS, STANDS, type FilterDesign } from '../../core/filter/design-input'
import { FILTER_TYPES } from '../../core/filter/types'
import { BED_MATERIAL_KEYS, LAYER_RANGE, treatingGravel } from '../../core/filter/bed/layers'
import { GRAVEL_RANGE } from '../../core/filter/sizing/nitrification'
import { BRANCH_KINDS, FLOW_PLAN_RANGE } from '../../core/filter/flow/flow-plan'
import { SIZING_METHODS } from '../../core/filter/house-rules'
import { HEAT_RANGE_C } from '../../core/filter/heater'
import { PUMP_SET_RANGE } from '../../core/hydraulics/pump-set'
import { PATCH_RANGE } from '../../core/plants/planting'
import { plantSpecies } from '../../core/plants/species'
import { numberWithin, optionalText, shortText } from '../shared/fields'
import { FITTING_KEY } from '../house-rules/house-tables'
import type { DesignId, PondId, UserId } from '../shared/ids'

const counted = ([least, most]: readonly [number, number], noun: string) =>
  z
    .int({ error: `${noun}: a whole number.` })
    .min(least, { error: `${noun}: at least ${least}.` })
    .max(most, { error: `${noun}: at most ${most}.` })

const CompanionInput = z.strictObject({
  kind: z.enum(COMPANION_KINDS),
  mediaL: numberWithin(COMPANION_RANGE.mediaL, 'Media', 'L'),
  ratedFlowM3PerH: numberWithin(COMPANION_RANGE.ratedFlowM3PerH, 'Rated flow', 'm³/h'),
  weirM: numberWithin(COMPANION_RANGE.weirM, 'Mouth', 'm'),
})

const PatchInput = z.strictObject({
  species: z.string().refine((key) => plantSpecies(key) !== undefined, { error: 'Choose a plant of the library.' }),
  count: counted(PATCH_RANGE.count, 'Plants'),
  xM: numberWithin(PATCH_RANGE.positionM, 'Place along the bed', 'm'),
  yM: numberWithin(PATCH_RANGE.positionM, 'Place across the bed', 'm'),
})

const pipeFields = {
  boreM: numberWithin(DESIGN_RANGE.boreM, 'Bore', 'm'),
  lengthM: numberWithin(FLOW_PLAN_RANGE.lengthM, 'Length', 'm'),
  k: numberWithin(FLOW_PLAN_RANGE.k, 'Fittings', 'K'),
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
        valve: numberWithin(FLOW_PLAN_RANGE.valve, 'Valve opening', ''),
        levelM: numberWithin(FLOW_PLAN_RANGE.levelM, 'Level', 'm'),
      }),
    )
    .min(1)
    .max(10)
    .readonly(),
  morePumps: z.array(z.string().max(60)).max(4).readonly(),
})

export const FilterDesignInput = z
  .strictObject({
    type: z.enum(FILTER_TYPES, { error: 'Choose a kind of filter.' }),
    sizingMethod: z.enum(SIZING_METHODS),
    lengthM: numberWithin(DESIGN_RANGE.sideM, 'Bed length', 'm'),
    widthM: numberWithin(DESIGN_RANGE.sideM, 'Bed width', 'm'),
    vessels: counted(DESIGN_RANGE.vessels, 'Vessels'),
    round: z.boolean(),
    layers: z
      .array(
        z.strictObject({
          material: z.enum(BED_MATERIAL_KEYS),
          thicknessM: numberWithin(LAYER_RANGE.thicknessM, 'Layer thickness', 'm'),
        }),
      )
      .min(1, { error: 'A bed needs at least one layer.' })
      .max(10)
      .readonly(),
    waterOverGravelM: numberWithin(DESIGN_RANGE.waterOverGravelM, 'Water over the gravel', 'm'),
    raisedM: numberWithin(DESIGN_RANGE.raisedM, 'Walls above ground', 'm'),
    stand: z.enum(STANDS),
    feed: z.enum(FEEDS),
    manifold: z.strictObject({
      diameterM: numberWithin(DESIGN_RANGE.manifoldDiameterM, 'Distribution pipe', 'm'),
      slots: counted(DESIGN_RANGE.slots, 'Slots'),
      slotAreaM2: numberWithin(DESIGN_RANGE.slotAreaM2, 'Slot area', 'm²'),
      pitchPercent: numberWithin(DESIGN_RANGE.pitchPercent, 'Pipe pitch', '%'),
    }),
    vault: z
      .strictObject({
        diameterM: numberWithin(DESIGN_RANGE.vaultDiameterM, 'Vault or drain', 'm'),
        atLowPoint: z.boolean(),
        valveInReach: z.boolean(),
        dischargeM: numberWithin(DESIGN_RANGE.dischargeM, 'Way to the discharge', 'm'),
      })
      .nullable(),
    delivery: z.strictObject({
      flexible: z.boolean(),
      lengthM: numberWithin(DESIGN_RANGE.deliveryLengthM, 'Delivery pipe length', 'm'),
      diameterM: numberWithin(DESIGN_RANGE.boreM, 'Delivery pipe bore', 'm'),
      fittings: z.record(
        z.string().regex(FITTING_KEY, { error: 'Fittings are named by their key in the table.' }),
        counted(DESIGN_RANGE.fittings, 'Fittings'),
      ),
      otherK: numberWithin(DESIGN_RANGE.otherK, 'Other fittings', 'K'),
    }),
    suctionDiameterM: numberWithin(DESIGN_RANGE.boreM, 'Suction bore', 'm').nullable(),
    staticLiftM: numberWithin(DESIGN_RANGE.staticLiftM, 'Lift', 'm'),
    pumpId: z.string().min(1, { error: 'Choose a pump.' }).max(60),
    pumpSet: z.strictObject({
      arrangement: z.enum(['single', 'parallel', 'series']),
      count: counted(PUMP_SET_RANGE.count, 'Pumps'),
      speed: numberWithin(PUMP_SET_RANGE.speed, 'Speed', ''),
    }),
    bypassShare: numberWithin(DESIGN_RANGE.bypassShare, 'Share past the bed', ''),
    outlet: z.strictObject({
      count: counted(DESIGN_RANGE.outlets, 'Return pipes'),
      diameterM: numberWithin(DESIGN_RANGE.boreM, 'Return bore', 'm'),
      lengthM: numberWithin(DESIGN_RANGE.outletLengthM, 'Return length', 'm'),
      dropM: numberWithin(DESIGN_RANGE.dropM, 'Return fall', 'm'),
    }),
    falls: z
      .strictObject({
        widthM: numberWithin(DESIGN_RANGE.fallsWidthM, 'Falls width', 'm'),
        dropM: numberWithin(DESIGN_RANGE.dropM, 'Falls drop', 'm'),
      })
      .nullable(),
    airBreakM: numberWithin(DESIGN_RANGE.airBreakM, 'Air break height', 'm'),
    checkValve: z.boolean(),
    companions: z.array(CompanionInput).max(20).readonly(),
    network: FlowPlanInput.nullable(),
    planting: z.array(PatchInput).max(60).readonly(),
    winter: z.enum(['runs', 'drained']),
    heatToC: numberWithin(HEAT_RANGE_C, 'Heated to', '°C').nullable(),
    northDeg: numberWithin(DESIGN_RANGE.northDeg, 'North', '°'),
    confirmed: z.array(z.enum(CONFIRMATIONS)).max(CONFIRMATIONS.length).readonly(),
  })
  .superRefine(({ type, layers }, context) => {
    if (context.issues.length > 0 || type === 'none') return
    const [least, most] = GRAVEL_RANGE.depthM
    const { depthM } = treatingGravel(layers)
    if (depthM < least - 1e-9 || depthM > most + 1e-9)
      context.addIssue({
        code: 'custom',
        path: ['layers'],
        message: `The stone of the bed must be between ${least} and ${most} m deep in all, levelling gravel and modules not counted.`,
      })
  }) satisfies z.ZodType<FilterDesign>

export const DesignInput = z.strictObject({
  name: shortText('Version name', 60),
  bed: FilterDesignInput,
  /** Why another sizing method than the house's; needed when they differ. */
  overrideReason: optionalText('Reason', 300),
})
export type DesignInput = z.infer<typeof DesignInput>

/** open → approved (frozen) → built (with what came out differently). A new version supersedes, it does not change. */
export type DesignState = 'open' | 'approved' | 'built'

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
 * The version that stands at a pond: built, else approved; the newest draft is the best guess there is without
 * either.
 * @param designs newest first
 */
export const standingDesign = (designs: readonly Design[]): Design | undefined =>
  designs.find((d) => d.state === 'built') ?? designs.find((d) => d.state === 'approved') ?? designs[0]
