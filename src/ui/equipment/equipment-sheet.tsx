'use client'
import { useTexts } from '@/ui/kit/texts'
import { EQUIPMENT_KINDS, equipmentKind } from '@/core/visits/equipment-care'
import { EquipmentInput, type EquipmentDue } from '@/domain/equipment/equipment'
import { may } from '@/domain/people/roles'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { usePerson } from '@/ui/person-context'
import { send } from '@/ui/send'
import { useSave } from '@/ui/use-save'
import { useSchemaForm } from '@/ui/use-schema-form'

interface EquipmentSheetProps {
  readonly pondId: string
  readonly equipment: readonly EquipmentDue[]
  readonly today: string
}

/** What is fitted at a pond, when it wants attention, and one press for what was just done. */
export function EquipmentSheet({ pondId, equipment, today }: EquipmentSheetProps) {
  const t = useTexts()

  const { role } = usePerson()
  const { problem, save } = useSave()
  const put = ({ id, pondId: _pond, version, due: _due, ...piece }: EquipmentDue, changes: Partial<EquipmentInput>) =>
    save('PUT', `/api/v1/equipment/${id}`, { version, equipment: { ...piece, ...changes } })
  return (
    <>
      {equipment.length === 0 ? <p className="soft">{t('equipment.equipmentSheet.lampsPadsProbesPumps')}</p> : null}
      <ul className="plain-list">
        {equipment.map((piece) => {
          const { due } = piece
          return (
            <li key={piece.id}>
              <div className="d-flex flex-wrap gap-2 align-items-baseline">
                <strong>{piece.name}</strong> <span className="soft">{t(`equipment.kindNames.${piece.kind}`)}</span>
                {due < today ? <span className="verdict stop">{t('equipment.equipmentSheet.overdue')}</span> : null}
                <span>{t('equipment.equipmentSheet.due', { due: t.datedDay(due) })}</span>
              </div>
              <div className="soft small">
                {t('equipment.equipmentSheet.fittedEveryDays', {
                  fittedOn: t.shortDate(piece.fittedOn),
                  fittedOn2: piece.fittedOn.slice(0, 4),
                  doneOn: piece.doneOn
                    ? t('equipment.equipmentSheet.lastSeen', {
                        doneOn: t.shortDate(piece.doneOn),
                        doneOn2: piece.doneOn.slice(0, 4),
                      })
                    : '',
                  everyDays: piece.everyDays,
                })}
              </div>
              {may(role, 'visits.log') ? (
                <div className="no-print d-flex gap-2 mt-1">
                  <button
                    className="btn btn-sm btn-outline-primary"
                    onClick={() => void put(piece, { doneOn: today })}
                    aria-label={t('equipment.equipmentSheet.doneToday', { name: piece.name })}
                  >
                    {t('equipment.equipmentSheet.doneToday2')}
                  </button>
                  <button
                    className="btn btn-sm btn-outline-secondary"
                    onClick={() => void put(piece, { retired: true })}
                    aria-label={t('equipment.equipmentSheet.takenOut', { name: piece.name })}
                  >
                    {t('equipment.equipmentSheet.takenOut2')}
                  </button>
                </div>
              ) : null}
            </li>
          )
        })}
      </ul>
      <ProblemNote problem={problem} />
      {may(role, 'visits.log') ? (
        <details className="no-print">
          <summary className="btn btn-sm btn-outline-primary">{t('equipment.equipmentSheet.addEquipment')}</summary>
          <EquipmentForm pondId={pondId} today={today} />
        </details>
      ) : null}
    </>
  )
}

function EquipmentForm({ pondId, today }: { pondId: string; today: string }) {
  const t = useTexts()

  const first = EQUIPMENT_KINDS[0]
  const { form, field, control, put, submit, errorOf, values, problem, sending, ready } = useSchemaForm({
    schema: EquipmentInput,
    values: {
      kind: first.key as EquipmentInput['kind'],
      name: '',
      fittedOn: today,
      everyDays: first.everyDays as number | null,
    },
  })
  return (
    <form
      className="mt-2"
      noValidate
      onSubmit={submit(
        (body) => send('POST', `/api/v1/ponds/${pondId}/equipment`, body),
        (_, piece) => form.reset({ ...piece, name: '' }),
      )}
    >
      <div className="field-grid">
        <ChoiceField
          label={t('equipment.equipmentSheet.what')}
          value={values.kind}
          disabled={!ready}
          onChange={(e) => {
            const kind = equipmentKind(e.target.value)!
            put({ kind: kind.key, everyDays: kind.everyDays })
          }}
          options={EQUIPMENT_KINDS.map((kind) => ({ value: kind.key, label: t(`equipment.kindNames.${kind.key}`) }))}
          error={errorOf('kind')}
        />
        <TextField label={t('equipment.equipmentSheet.name')} {...field('name')} />
        <TextField label={t('equipment.equipmentSheet.fitted')} type="date" max={today} {...field('fittedOn')} />
        <QuantityField
          label={t('equipment.equipmentSheet.wantsAttentionEverySo')}
          kind="number"
          {...control('everyDays')}
        />
      </div>
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary" disabled={sending}>
        {t('equipment.equipmentSheet.keepPiece')}
      </button>
    </form>
  )
}
