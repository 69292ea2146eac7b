'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { GEAR_KINDS, GEAR_STATES, type Gear, type GearKind, type GearState } from '@/domain/equipment/gear'
import { inOrder } from '@/domain/visits/visit-progress'
import { ChoiceField } from '@/ui/kit/choice-field'
import { TextField } from '@/ui/kit/text-field'
import type { VisitView } from '../device/device-view'
import { useField } from '../field-context'
import { Fold } from '../fold'
import { NEW_PIECE } from './new-piece'

/** Gear of the firm that was set up, taken away or found broken. */
export function GearForm({ view }: { view: VisitView }) {
  const t = useTexts()

  const { log } = useField()
  const gear = gearNow(view)
  const [which, setWhich] = useState<string>(gear[0]?.id ?? NEW_PIECE)
  const [kind, setKind] = useState<GearKind>('net')
  const [name, setName] = useState('')
  const [state, setState] = useState<GearState>('stored')
  const [place, setPlace] = useState('')
  const known = gear.find((g) => g.id === which)
  const words = known?.name ?? name.trim()
  return (
    <Fold title={t('field.visitExtras.netDeIcerLike')}>
      <ul className="plain-list" aria-label={t('field.visitExtras.seasonalGear')}>
        {gear.map((g) => (
          <li key={g.id}>
            {g.name}{' '}
            <span className="soft">
              {t(`equipment.gearStateNames.${g.state}`)}
              {g.place ? `, ${g.place}` : ''}
            </span>
          </li>
        ))}
      </ul>
      <ChoiceField
        label={t('field.visitExtras.what')}
        value={which}
        onChange={(e) => setWhich(e.target.value)}
        options={[
          ...gear.map((g) => ({ value: g.id, label: g.name })),
          { value: NEW_PIECE, label: t('field.visitExtras.somethingNewHere') },
        ]}
      />
      {known ? null : (
        <>
          <ChoiceField
            label={t('field.visitExtras.kindGear')}
            value={kind}
            onChange={(e) => setKind(e.target.value as GearKind)}
            options={GEAR_KINDS.map((k) => ({ value: k, label: t(`equipment.gearKindNames.${k}`) }))}
          />
          <TextField label={t('field.visitExtras.nameLabel')} value={name} onChange={(e) => setName(e.target.value)} />
        </>
      )}
      <ChoiceField
        label={t('field.visitExtras.whereNow')}
        value={state}
        onChange={(e) => setState(e.target.value as GearState)}
        options={GEAR_STATES.map((s) => ({ value: s, label: t(`equipment.gearStateNames.${s}`) }))}
      />
      <TextField
        label={t('field.visitExtras.placeSoNextCrew')}
        value={place}
        onChange={(e) => setPlace(e.target.value)}
      />
      <button
        className="btn btn-outline-primary w-100 my-2"
        disabled={words === ''}
        onClick={() =>
          void log(view.visit.id, {
            kind: 'gear',
            gearId: known?.id ?? null,
            gearKind: known?.kind ?? kind,
            name: words,
            state,
            place,
          }).then(() => {
            setName('')
            setPlace('')
          })
        }
      >
        {t('field.visitExtras.keepWhere')}
      </button>
    </Fold>
  )
}

/** Gear as it stands with what this visit has said of it. */
function gearNow(view: VisitView): Pick<Gear, 'id' | 'name' | 'kind' | 'state' | 'place'>[] {
  const now = new Map<string, Pick<Gear, 'id' | 'name' | 'kind' | 'state' | 'place'>>(view.gear.map((g) => [g.id, g]))
  for (const e of inOrder(view.log))
    if (e.kind === 'gear')
      now.set(e.gearId ?? e.id, {
        id: e.gearId ?? e.id,
        name: e.name,
        kind: e.gearKind,
        state: e.state,
        place: e.place,
      })
  return [...now.values()]
}
