'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { EQUIPMENT_KINDS } from '@/core/visits/equipment-care'
import { addDays } from '@/core/numeric/calendar'
import { ChoiceField } from '@/ui/kit/choice-field'
import { TextField } from '@/ui/kit/text-field'
import type { VisitView } from '../device/device-view'
import { useField } from '../field-context'
import { Fold } from '../fold'
import { NEW_PIECE } from './new-piece'

const YEAR_DAYS = 365

/** A part that was fitted, or a piece that was renewed. */
export function PartForm({ view }: { view: VisitView }) {
  const t = useTexts()

  const { log, today } = useField()
  const [piece, setPiece] = useState<string>(view.equipment[0]?.id ?? NEW_PIECE)
  const [kind, setKind] = useState<string>(EQUIPMENT_KINDS[0]!.key)
  const [name, setName] = useState('')
  const [warranty, setWarranty] = useState('0')
  const known = view.equipment.find((e) => e.id === piece)
  const fitted = view.log.flatMap((e) => (e.kind === 'part' ? [e] : []))
  const words = name.trim() || known?.name || ''
  return (
    <Fold title={t('field.visitExtras.partRenewed')}>
      <ChoiceField
        label={t('field.visitExtras.whichPiece')}
        value={piece}
        onChange={(e) => setPiece(e.target.value)}
        options={[
          ...view.equipment.map((e) => ({
            value: e.id,
            label: t('field.visitExtras.due', { name: e.name, due: t.datedDay(e.due) }),
          })),
          { value: NEW_PIECE, label: t('field.visitExtras.somethingNewHere') },
        ]}
      />
      {known ? (
        <p className="soft mb-1">
          {t('field.visitExtras.fitted', {
            fittedOn: t.shortDate(known.fittedOn),
            fittedOn2: known.fittedOn.slice(0, 4),
            warrantyUntil: known.warrantyUntil
              ? t('field.visitExtras.underWarrantyUntil', {
                  warrantyUntil: t.shortDate(known.warrantyUntil),
                  warrantyUntil2: known.warrantyUntil.slice(0, 4),
                })
              : '',
            warrantyUntil2:
              known.warrantyUntil && known.warrantyUntil >= today ? t('field.visitExtras.keepOldPartClaim') : '',
          })}
        </p>
      ) : (
        <ChoiceField
          label={t('field.visitExtras.kind')}
          value={kind}
          onChange={(e) => setKind(e.target.value)}
          options={EQUIPMENT_KINDS.map((k) => ({ value: k.key, label: t(`equipment.kindNames.${k.key}`) }))}
        />
      )}
      <TextField
        label={known ? t('field.visitExtras.nameNewPartBefore') : t('field.visitExtras.namePart')}
        value={name}
        onChange={(e) => setName(e.target.value)}
      />
      <ChoiceField
        label={t('field.visitExtras.warranty')}
        value={warranty}
        onChange={(e) => setWarranty(e.target.value)}
        options={['0', '1', '2', '3', '5'].map((years) => {
          const yearsText = () => {
            if (years === '0') return t('field.visitExtras.noneNoted')
            if (years === '1') return t('field.visitExtras.n1Year')
            return t('field.visitExtras.years', { years })
          }

          return {
            value: years,
            label: yearsText(),
          }
        })}
      />
      <button
        className="btn btn-outline-primary w-100 my-2"
        disabled={words === ''}
        onClick={() =>
          void log(view.visit.id, {
            kind: 'part',
            equipmentId: known?.id ?? null,
            equipmentKind: known?.kind ?? kind,
            name: words,
            warrantyUntil: warranty === '0' ? null : addDays(today, Number(warranty) * YEAR_DAYS),
          }).then(() => setName(''))
        }
      >
        {t('field.visitExtras.keepNewPart')}
      </button>
      <ul className="plain-list" aria-label={t('field.visitExtras.partsRenewed')}>
        {fitted.map((p) => (
          <li key={p.id}>{p.name}</li>
        ))}
      </ul>
    </Fold>
  )
}
