'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { ENDINGS, FINDING_USES, type Ending, type FindingUse } from '@/domain/visits/visit'
import { timeWorked } from '@/domain/field/field-log'
import { ChoiceField } from '@/ui/kit/choice-field'
import { TextField } from '@/ui/kit/text-field'
import type { VisitView } from './device/device-view'
import { useField } from './field-context'
import { Fold } from './fold'
import { PlantForm } from './plants/plant-form'
import { goTo } from './use-field-place'
import { GearForm } from './extras/gear-form'
import { Kept } from './extras/kept'
import { PartForm } from './extras/part-form'

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
            {p.name}{' '}
            <span className="soft">
              {t(p.minutes === null ? 'field.visitExtras.isHere' : 'field.visitExtras.hasLeft')}
            </span>
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
