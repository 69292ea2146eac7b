import { z } from 'zod'
import { DESIGN_RANGE } from '../core/filter/design-input'
import { BED_MATERIAL_KEYS, LAYER_RANGE } from '../core/filter/layers'
import { SCHOOLS } from '../core/filter/practice'
import { PUMP_CATALOGUE } from '../core/filter/pump-catalogue'
import { numberWithin, optionalText, shortText } from './fields'
import type { DesignId, PondId, UserId } from './ids'

export const BedDesignInput = z.strictObject({
  school: z.enum(SCHOOLS),
  lengthM: numberWithin(DESIGN_RANGE.sideM, 'Bed length', 'm'),
  widthM: numberWithin(DESIGN_RANGE.sideM, 'Bed width', 'm'),
  layers: z
    .array(z.strictObject({ material: z.enum(BED_MATERIAL_KEYS), thicknessM: numberWithin(LAYER_RANGE.thicknessM, 'Layer thickness', 'm') }))
    .min(1, { error: 'A bed needs at least one layer.' })
    .max(10)
    .readonly(),
  manifold: z.strictObject({
    diameterM: numberWithin(DESIGN_RANGE.manifoldDiameterM, 'Distribution pipe', 'm'),
    slots: z
      .int({ error: 'Slots are counted in whole numbers.' })
      .min(DESIGN_RANGE.slots[0], { error: 'Give at least one slot.' })
      .max(DESIGN_RANGE.slots[1], { error: `At most ${DESIGN_RANGE.slots[1]} slots.` }),
    slotAreaM2: numberWithin(DESIGN_RANGE.slotAreaM2, 'Slot area', 'm²'),
  }),
  delivery: z.strictObject({
    lengthM: numberWithin(DESIGN_RANGE.deliveryLengthM, 'Delivery pipe length', 'm'),
    diameterM: numberWithin(DESIGN_RANGE.deliveryDiameterM, 'Delivery pipe bore', 'm'),
    fittingsK: numberWithin(DESIGN_RANGE.fittingsK, 'Fittings', 'K'),
  }),
  staticLiftM: numberWithin(DESIGN_RANGE.staticLiftM, 'Lift', 'm'),
  pumpId: z.enum(PUMP_CATALOGUE.map((pump) => pump.id) as [string, ...string[]], { error: 'Choose a pump.' }),
  airBreakM: numberWithin(DESIGN_RANGE.airBreakM, 'Air break height', 'm'),
})

export const DesignInput = z.strictObject({
  name: shortText('Version name', 60),
  bed: BedDesignInput,
  /** Why another school than the house's; needed when they differ. */
  overrideReason: optionalText('Reason', 300),
})
export type DesignInput = z.infer<typeof DesignInput>

export interface Design extends DesignInput {
  readonly id: DesignId
  readonly pondId: PondId
  readonly number: number
  readonly version: number
  readonly savedBy: UserId
  readonly savedByName: string
  readonly savedAt: string
  readonly areaM2: number
  readonly flowM3PerH: number
}
