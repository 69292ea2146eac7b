'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { EQUIPMENT_KINDS, equipmentKind } from '@/core/visits/equipment-care'
import { shortDate } from '@/domain/shared/dates'
import type { EquipmentDue, EquipmentInput } from '@/domain/equipment/equipment'
import { may } from '@/domain/people/roles'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { usePerson } from '@/ui/person-context'
import { useSave } from '@/ui/use-save'

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
                <strong>{piece.name}</strong> <span className="soft">{equipmentKind(piece.kind)!.name}</span>
                {due < today ? <span className="verdict stop">{t('equipment.equipmentSheet.overdue')}</span> : null}
                <span>{t('equipment.equipmentSheet.due', { due: shortDate(due), due2: due.slice(0, 4) })}</span>
              </div>
              <div className="soft small">
                {t('equipment.equipmentSheet.fittedEveryDays', {
                  fittedOn: shortDate(piece.fittedOn),
                  fittedOn2: piece.fittedOn.slice(0, 4),
                  doneOn: piece.doneOn
                    ? t('equipment.equipmentSheet.lastSeen', {
                        doneOn: shortDate(piece.doneOn),
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

  const { problem, errorOf, save } = useSave()
  const first = EQUIPMENT_KINDS[0]!
  const [piece, setPiece] = useState<{ kind: string; name: string; fittedOn: string; everyDays: number | null }>({
    kind: first.key,
    name: '',
    fittedOn: today,
    everyDays: first.everyDays,
  })
  const add = async () => {
    if (await save('POST', `/api/v1/ponds/${pondId}/equipment`, piece)) setPiece({ ...piece, name: '' })
  }
  return (
    <form
      className="mt-2"
      onSubmit={(e) => {
        e.preventDefault()
        void add()
      }}
    >
      <div className="field-grid">
        <ChoiceField
          label={t('equipment.equipmentSheet.what')}
          value={piece.kind}
          onChange={(e) =>
            setPiece({ ...piece, kind: e.target.value, everyDays: equipmentKind(e.target.value)!.everyDays })
          }
          options={EQUIPMENT_KINDS.map((kind) => ({ value: kind.key, label: kind.name }))}
          error={errorOf('kind')}
        />
        <TextField
          label={t('equipment.equipmentSheet.name')}
          value={piece.name}
          onChange={(e) => setPiece({ ...piece, name: e.target.value })}
          error={errorOf('name')}
        />
        <TextField
          label={t('equipment.equipmentSheet.fitted')}
          type="date"
          value={piece.fittedOn}
          max={today}
          onChange={(e) => setPiece({ ...piece, fittedOn: e.target.value })}
          error={errorOf('fittedOn')}
        />
        <QuantityField
          label={t('equipment.equipmentSheet.wantsAttentionEverySo')}
          kind="number"
          value={piece.everyDays}
          onChange={(everyDays) => setPiece({ ...piece, everyDays })}
          error={errorOf('everyDays')}
        />
      </div>
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary">{t('equipment.equipmentSheet.keepPiece')}</button>
    </form>
  )
}
