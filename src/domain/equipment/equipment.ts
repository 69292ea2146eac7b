import { z } from 'zod'
import {
  dueAfterRunning,
  EQUIPMENT_KINDS,
  EQUIPMENT_SLACK,
  type EquipmentKindKey,
  type Rest,
} from '../../core/visits/equipment-care'
import { addDays } from '../../core/numeric/calendar'
import { calendarDay, shortText } from '../shared/fields'
import type { PondId } from '../shared/ids'
import { said } from '../shared/said'

export const EquipmentInput = z
  .strictObject({
    kind: z.enum(EQUIPMENT_KINDS.map((k) => k.key) as [EquipmentKindKey, ...EquipmentKindKey[]], {
      error: said('kit.problems.chooseWhat'),
    }),
    name: shortText('equipment.fields.name', 80),
    fittedOn: calendarDay,
    everyDays: z
      .int({ error: said('kit.problems.giveWholeDays') })
      .min(3, { error: said('kit.problems.minDaysApart') })
      .max(3660, { error: said('equipment.problems.mostTenYearsApart') }),
    doneOn: calendarDay.nullable().default(null),
    retired: z.boolean().default(false),
    warrantyUntil: calendarDay.nullable().default(null),
  })
  .refine((e) => e.doneOn === null || e.doneOn >= e.fittedOn, {
    path: ['doneOn'],
    error: said('equipment.problems.seenBeforeFitted'),
  })
export type EquipmentInput = z.infer<typeof EquipmentInput>

/** With the day on which it is due. */
export interface EquipmentDue extends Equipment {
  readonly due: string
}

export interface Equipment extends EquipmentInput {
  readonly id: string
  readonly pondId: PondId
  readonly version: number
}

/**
 * The day on which a piece wants attention, and the days around it that do as well.
 * @param lampRest when lamps count only the days they run, and stand still for a part of the year
 */
export function equipmentDue(
  { kind, fittedOn, doneOn, everyDays }: Pick<Equipment, 'kind' | 'fittedOn' | 'doneOn' | 'everyDays'>,
  lampRest: Rest | null,
) {
  const due = dueAfterRunning(doneOn ?? fittedOn, everyDays, kind === 'uv-lamp' ? lampRest : null)
  const slack = (share: number) => Math.min(EQUIPMENT_SLACK.mostDays, Math.max(1, Math.round(share * everyDays)))
  return { due, from: addDays(due, -slack(EQUIPMENT_SLACK.before)), to: addDays(due, slack(EQUIPMENT_SLACK.after)) }
}

/** Something a customer or the office asks for, once. */
export const OneOffInput = z
  .strictObject({
    title: shortText('equipment.fields.whatIsToBeDone', 160),
    from: calendarDay,
    to: calendarDay,
    minutes: z
      .int({ error: said('equipment.problems.giveWholeMinutes') })
      .min(0)
      .max(600, { error: said('equipment.problems.longerThanTenHoursJob') })
      .default(15),
    /** It cannot wait: the next plan puts it first on the road. */
    urgent: z.boolean().optional(),
  })
  .refine((t) => t.from <= t.to, { path: ['to'], error: said('kit.problems.endsBeforeBegins') })
export type OneOffInput = z.infer<typeof OneOffInput>
