'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { EQUIPMENT_KINDS } from '@/core/visits/equipment-care'
import { addDays } from '@/core/numeric/calendar'
import { shortDate } from '@/domain/shared/dates'
import { ENDINGS, FINDING_USES, type Ending, type FindingUse } from '@/domain/visits/visit'
import { GEAR_KINDS, GEAR_STATES, type Gear, type GearKind, type GearState } from '@/domain/equipment/gear'
import { timeWorked } from '@/domain/field/field-log'
import { inOrder } from '@/domain/visits/visit-progress'
import { ChoiceField } from '@/ui/kit/choice-field'
import { TextField } from '@/ui/kit/text-field'
import type { VisitView } from './device/device-view'
import { useField } from './field-context'
import { Fold } from './fold'
import { PlantForm } from './plants/plant-form'
import { goTo } from './use-field-place'

/** What belongs to a visit and to no step: notes, findings, parts, people coming and going, and an early end. */
export function VisitExtras({ view }: { view: VisitView }) {
  const underWay = view.visit.state === 'under-way'
  return (
    <div className="mt-2">
      {underWay ? <Note view={view} /> : null}
      {underWay ? <FindingForm view={view} /> : null}
      {underWay ? <PlantForm view={view} /> : null}
      {underWay ? <PartForm view={view} /> : null}
      {underWay ? <GearForm view={view} /> : null}
      {underWay ? <People view={view} /> : null}
      <EarlyEnd view={view} />
    </div>
  )
}

const Kept = ({ text }: { text: string }) => (
  <p role="status" className="soft mb-0">
    {text}
  </p>
)

function Note({ view }: { view: VisitView }) {
  const t = useTexts()

  const { log } = useField()
  const [text, setText] = useState('')
  const [kept, setKept] = useState('')
  return (
    <Fold title={t('field.visitExtras.writeNote')}>
      <textarea
        className="form-control"
        rows={2}
        aria-label={t('field.visitExtras.noteAboutVisit')}
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <button
        className="btn btn-outline-primary w-100 my-2"
        disabled={text.trim() === ''}
        onClick={() => {
          void log(view.visit.id, { kind: 'note', stepKey: null, text }).then(() => {
            setText('')
            setKept(t('field.visitExtras.kept'))
          })
        }}
      >
        {t('field.visitExtras.keepNote')}
      </button>
      <Kept text={kept} />
    </Fold>
  )
}

function FindingForm({ view }: { view: VisitView }) {
  const t = useTexts()

  const { log } = useField()
  const [text, setText] = useState('')
  const [becomes, setBecomes] = useState<FindingUse>('follow-up')
  const found = view.log.flatMap((e) => (e.kind === 'finding' ? [e] : []))
  return (
    <Fold title={t('field.visitExtras.somethingFound')}>
      <TextField label={t('field.visitExtras.whatFound')} value={text} onChange={(e) => setText(e.target.value)} />
      <ChoiceField
        label={t('field.visitExtras.whatBecomes')}
        value={becomes}
        onChange={(e) => setBecomes(e.target.value as FindingUse)}
        options={FINDING_USES.map((use) => ({ value: use, label: t(`visits.findingUseNames.${use}`) }))}
      />
      <button
        className="btn btn-outline-primary w-100 my-2"
        disabled={text.trim().length < 3}
        onClick={() =>
          void log(view.visit.id, { kind: 'finding', stepKey: null, text, becomes }).then(() => setText(''))
        }
      >
        {t('field.visitExtras.keepFinding')}
      </button>
      <ul className="plain-list" aria-label={t('field.visitExtras.findings')}>
        {found.map((f) => (
          <li key={f.id}>
            {f.text} <span className="soft">{t(`visits.findingUseNames.${f.becomes}`)}</span>
          </li>
        ))}
      </ul>
    </Fold>
  )
}

const NEW_PIECE = 'new'
const YEAR_DAYS = 365

function PartForm({ view }: { view: VisitView }) {
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
            label: t('field.visitExtras.due', { name: e.name, due: shortDate(e.due), due2: e.due.slice(0, 4) }),
          })),
          { value: NEW_PIECE, label: t('field.visitExtras.somethingNewHere') },
        ]}
      />
      {known ? (
        <p className="soft mb-1">
          {t('field.visitExtras.fitted', {
            fittedOn: shortDate(known.fittedOn),
            fittedOn2: known.fittedOn.slice(0, 4),
            warrantyUntil: known.warrantyUntil
              ? t('field.visitExtras.underWarrantyUntil', {
                  warrantyUntil: shortDate(known.warrantyUntil),
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
          options={EQUIPMENT_KINDS.map((k) => ({ value: k.key, label: k.name }))}
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

function GearForm({ view }: { view: VisitView }) {
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

function People({ view }: { view: VisitView }) {
  const t = useTexts()

  const { log, person } = useField()
  const here = timeWorked(view.log)
  const own = view.log.filter((e) => e.byId === person.userId)
  const gone = own.some((e) => e.kind === 'left')
  const comingOrGoing = () => {
    if (own.length === 0)
      return (
        <button
          className="btn btn-outline-primary w-100 my-2"
          onClick={() => void log(view.visit.id, { kind: 'started' })}
        >
          {t('field.visitExtras.iAmHereToo')}
        </button>
      )
    if (gone) return null
    return (
      <button
        className="btn btn-outline-secondary w-100 my-2"
        onClick={() => void log(view.visit.id, { kind: 'left' })}
      >
        {t('field.visitExtras.iAmLeavingBefore')}
      </button>
    )
  }
  return (
    <Fold title={t('field.visitExtras.whoHere')}>
      <ul className="plain-list">
        {here.map((p) => (
          <li key={p.byId}>
            {p.name} <span className="soft">{p.minutes === null ? 'here' : t('field.visitExtras.hasLeft')}</span>
          </li>
        ))}
      </ul>
      {comingOrGoing()}
    </Fold>
  )
}

function EarlyEnd({ view }: { view: VisitView }) {
  const t = useTexts()

  const { log } = useField()
  const [ending, setEnding] = useState<Ending>('nobody-there')
  const [reason, setReason] = useState('')
  const end = async () => {
    if (view.visit.state === 'planned') await log(view.visit.id, { kind: 'started' })
    await log(view.visit.id, { kind: 'finished', ending, reason })
    goTo('/field')
  }
  return (
    <Fold title={t('field.visitExtras.visitCannotDone')}>
      <ChoiceField
        label={t('field.visitExtras.why')}
        value={ending}
        onChange={(e) => setEnding(e.target.value as Ending)}
        options={ENDINGS.filter((e) => e !== 'done').map((e) => ({ value: e, label: t(`visits.endingNames.${e}`) }))}
      />
      <TextField
        label={t('field.visitExtras.whatHappened')}
        value={reason}
        onChange={(e) => setReason(e.target.value)}
      />
      <p className="soft mb-0">{t('field.visitExtras.whatLoggedSoFar')}</p>
      <button
        className="btn btn-outline-danger w-100 my-2"
        disabled={reason.trim().length < 3}
        onClick={() => void end()}
      >
        {t('field.visitExtras.endVisitHere')}
      </button>
    </Fold>
  )
}
