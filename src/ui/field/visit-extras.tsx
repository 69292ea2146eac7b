'use client'
import { useState } from 'react'
import { EQUIPMENT_KINDS } from '@/core/visits/equipment-care'
import { addDays } from '@/core/numeric/calendar'
import { shortDate } from '@/domain/shared/dates'
import { FINDING_USE_NAMES } from '@/domain/visits/finding'
import { ENDING_NAMES, ENDINGS, FINDING_USES, type Ending, type FindingUse } from '@/domain/visits/visit'
import { GEAR_KIND_NAMES, GEAR_KINDS, GEAR_STATE_NAMES, GEAR_STATES, type Gear, type GearKind, type GearState } from '@/domain/equipment/gear'
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
  const { log } = useField()
  const [text, setText] = useState('')
  const [kept, setKept] = useState('')
  return (
    <Fold title="Write a note">
      <textarea className="form-control" rows={2} aria-label="Note about this visit" value={text} onChange={(e) => setText(e.target.value)} />
      <button
        className="btn btn-outline-primary w-100 my-2"
        disabled={text.trim() === ''}
        onClick={() => {
          void log(view.visit.id, { kind: 'note', stepKey: null, text }).then(() => {
            setText('')
            setKept('Kept.')
          })
        }}
      >
        Keep the note
      </button>
      <Kept text={kept} />
    </Fold>
  )
}

function FindingForm({ view }: { view: VisitView }) {
  const { log } = useField()
  const [text, setText] = useState('')
  const [becomes, setBecomes] = useState<FindingUse>('follow-up')
  const found = view.log.flatMap((e) => (e.kind === 'finding' ? [e] : []))
  return (
    <Fold title="Something was found">
      <TextField label="What was found" value={text} onChange={(e) => setText(e.target.value)} />
      <ChoiceField
        label="What becomes of it"
        value={becomes}
        onChange={(e) => setBecomes(e.target.value as FindingUse)}
        options={FINDING_USES.map((use) => ({ value: use, label: FINDING_USE_NAMES[use] }))}
      />
      <button
        className="btn btn-outline-primary w-100 my-2"
        disabled={text.trim().length < 3}
        onClick={() => void log(view.visit.id, { kind: 'finding', stepKey: null, text, becomes }).then(() => setText(''))}
      >
        Keep the finding
      </button>
      <ul className="plain-list" aria-label="Findings">
        {found.map((f) => (
          <li key={f.id}>
            {f.text} <span className="soft">{FINDING_USE_NAMES[f.becomes]}</span>
          </li>
        ))}
      </ul>
    </Fold>
  )
}

const NEW_PIECE = 'new'
const YEAR_DAYS = 365

function PartForm({ view }: { view: VisitView }) {
  const { log, today } = useField()
  const [piece, setPiece] = useState<string>(view.equipment[0]?.id ?? NEW_PIECE)
  const [kind, setKind] = useState<string>(EQUIPMENT_KINDS[0].key)
  const [name, setName] = useState('')
  const [warranty, setWarranty] = useState('0')
  const known = view.equipment.find((e) => e.id === piece)
  const fitted = view.log.flatMap((e) => (e.kind === 'part' ? [e] : []))
  const words = name.trim() || known?.name || ''
  return (
    <Fold title="A part was renewed">
      <ChoiceField
        label="Which piece"
        value={piece}
        onChange={(e) => setPiece(e.target.value)}
        options={[
          ...view.equipment.map((e) => ({ value: e.id, label: `${e.name}, due ${shortDate(e.due)} ${e.due.slice(0, 4)}` })),
          { value: NEW_PIECE, label: 'Something new here' },
        ]}
      />
      {known ? (
        <p className="soft mb-1">
          Fitted {shortDate(known.fittedOn)} {known.fittedOn.slice(0, 4)}
          {known.warrantyUntil ? `; under warranty until ${shortDate(known.warrantyUntil)} ${known.warrantyUntil.slice(0, 4)}` : ''}.
          {known.warrantyUntil && known.warrantyUntil >= today ? ' Keep the old part for the claim.' : ''}
        </p>
      ) : (
        <ChoiceField
          label="Kind"
          value={kind}
          onChange={(e) => setKind(e.target.value)}
          options={EQUIPMENT_KINDS.map((k) => ({ value: k.key, label: k.name }))}
        />
      )}
      <TextField label={known ? 'Name of the new part (as before if empty)' : 'Name of the part'} value={name} onChange={(e) => setName(e.target.value)} />
      <ChoiceField
        label="Warranty"
        value={warranty}
        onChange={(e) => setWarranty(e.target.value)}
        options={['0', '1', '2', '3', '5'].map((years) => ({
          value: years,
          label: years === '0' ? 'None noted' : years === '1' ? '1 year' : `${years} years`,
        }))}
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
        Keep the new part
      </button>
      <ul className="plain-list" aria-label="Parts renewed">
        {fitted.map((p) => (
          <li key={p.id}>{p.name}</li>
        ))}
      </ul>
    </Fold>
  )
}

function GearForm({ view }: { view: VisitView }) {
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
    <Fold title="Net, de-icer and the like: on the pond or stored">
      <ul className="plain-list" aria-label="Seasonal gear">
        {gear.map((g) => (
          <li key={g.id}>
            {g.name}{' '}
            <span className="soft">
              {GEAR_STATE_NAMES[g.state]}
              {g.place ? `, ${g.place}` : ''}
            </span>
          </li>
        ))}
      </ul>
      <ChoiceField
        label="What"
        value={which}
        onChange={(e) => setWhich(e.target.value)}
        options={[...gear.map((g) => ({ value: g.id, label: g.name })), { value: NEW_PIECE, label: 'Something new here' }]}
      />
      {known ? null : (
        <>
          <ChoiceField
            label="Kind of gear"
            value={kind}
            onChange={(e) => setKind(e.target.value as GearKind)}
            options={GEAR_KINDS.map((k) => ({ value: k, label: GEAR_KIND_NAMES[k] }))}
          />
          <TextField label="Its name on the label" value={name} onChange={(e) => setName(e.target.value)} />
        </>
      )}
      <ChoiceField
        label="Where it is now"
        value={state}
        onChange={(e) => setState(e.target.value as GearState)}
        options={GEAR_STATES.map((s) => ({ value: s, label: GEAR_STATE_NAMES[s] }))}
      />
      <TextField label="The place, so that the next crew finds it" value={place} onChange={(e) => setPlace(e.target.value)} />
      <button
        className="btn btn-outline-primary w-100 my-2"
        disabled={words === ''}
        onClick={() =>
          void log(view.visit.id, { kind: 'gear', gearId: known?.id ?? null, gearKind: known?.kind ?? kind, name: words, state, place }).then(() => {
            setName('')
            setPlace('')
          })
        }
      >
        Keep where it is
      </button>
    </Fold>
  )
}

/** Gear as it stands with what this visit has said of it. */
function gearNow(view: VisitView): Pick<Gear, 'id' | 'name' | 'kind' | 'state' | 'place'>[] {
  const now = new Map<string, Pick<Gear, 'id' | 'name' | 'kind' | 'state' | 'place'>>(view.gear.map((g) => [g.id, g]))
  for (const e of inOrder(view.log))
    if (e.kind === 'gear') now.set(e.gearId ?? e.id, { id: e.gearId ?? e.id, name: e.name, kind: e.gearKind, state: e.state, place: e.place })
  return [...now.values()]
}

function People({ view }: { view: VisitView }) {
  const { log, person } = useField()
  const here = timeWorked(view.log)
  const own = view.log.filter((e) => e.byId === person.userId)
  const gone = own.some((e) => e.kind === 'left')
  return (
    <Fold title="Who is here">
      <ul className="plain-list">
        {here.map((p) => (
          <li key={p.byId}>
            {p.name} <span className="soft">{p.minutes === null ? 'here' : 'has left'}</span>
          </li>
        ))}
      </ul>
      {own.length === 0 ? (
        <button className="btn btn-outline-primary w-100 my-2" onClick={() => void log(view.visit.id, { kind: 'started' })}>
          I am here too
        </button>
      ) : gone ? null : (
        <button className="btn btn-outline-secondary w-100 my-2" onClick={() => void log(view.visit.id, { kind: 'left' })}>
          I am leaving before the others
        </button>
      )}
    </Fold>
  )
}

function EarlyEnd({ view }: { view: VisitView }) {
  const { log } = useField()
  const [ending, setEnding] = useState<Ending>('nobody-there')
  const [reason, setReason] = useState('')
  const end = async () => {
    if (view.visit.state === 'planned') await log(view.visit.id, { kind: 'started' })
    await log(view.visit.id, { kind: 'finished', ending, reason })
    goTo('/field')
  }
  return (
    <Fold title="The visit cannot be done">
      <ChoiceField
        label="Why"
        value={ending}
        onChange={(e) => setEnding(e.target.value as Ending)}
        options={ENDINGS.filter((e) => e !== 'done').map((e) => ({ value: e, label: ENDING_NAMES[e] }))}
      />
      <TextField label="What happened" value={reason} onChange={(e) => setReason(e.target.value)} />
      <p className="soft mb-0">What is logged so far is kept, and the office is asked for another day.</p>
      <button className="btn btn-outline-danger w-100 my-2" disabled={reason.trim().length < 3} onClick={() => void end()}>
        End the visit here
      </button>
    </Fold>
  )
}
