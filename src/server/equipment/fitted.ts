import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { FilterDesign } from '@/core/filter/design-input'
import { equipmentKind, type EquipmentKindKey } from '@/core/visits/equipment-care'
import { TRAIN_EQUIPMENT } from '@/core/visits/train-equipment'
import type { FirmId, PondId } from '@/domain/shared/ids'
import { firmTexts } from '@/messages/texts'
import { insertEquipment, listEquipment } from './equipment-repository'

/**
 * Puts what a filter that was built brings with it into the pond's register, each with its usual interval. Kinds that
 * the register has already are left as they are: they may be the same pieces.
 * @param pumpNames of all pumps of the design
 * @param day on which it was built
 */
export async function registerFitted(
  trx: Knex.Transaction,
  firmId: FirmId,
  pondId: PondId,
  design: Pick<FilterDesign, 'train'>,
  pumpNames: readonly string[],
  day: string,
): Promise<void> {
  const t = firmTexts()
  const known = new Set((await listEquipment(trx, pondId)).map((piece) => piece.kind))
  const pieces: { kind: EquipmentKindKey; name: string }[] = [
    ...pumpNames.map((name) => ({ kind: 'pump' as const, name })),
    ...design.train.flatMap((unit) => {
      const kind = TRAIN_EQUIPMENT[unit.kind]
      return kind ? [{ kind, name: t(`design.trainNames.${unit.kind}`) }] : []
    }),
  ]
  for (const { kind, name } of pieces.filter((piece) => !known.has(piece.kind)))
    await insertEquipment(trx, firmId, randomUUID(), pondId, {
      kind,
      name: name.slice(0, 80),
      fittedOn: day,
      everyDays: equipmentKind(kind)!.everyDays,
      doneOn: null,
      retired: false,
      warrantyUntil: null,
    })
}
