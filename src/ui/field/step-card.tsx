'use client'
import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import { STEP_FIGURES } from '@/core/jobs/figures'
import { judgeGate } from '@/core/jobs/gates'
import type { JobStep } from '@/core/jobs/step'
import { FISH_SPECIES, type FishSpeciesKey } from '@/core/fish/species'
import { WATER_SOURCE_NAMES } from '@/domain/pond'
import { READING_NAMES, readingQuantity, readingScale } from '@/domain/reading-names'
import { FIGURE_NAMES, figureScale } from '@/domain/figure-names'
import { gateContext, timerStart, type StepState } from '@/domain/visit-progress'
import { READING_METHODS } from '@/domain/visit'
import { ChoiceField } from '@/ui/components/choice-field'
import { ProblemNote } from '@/ui/components/problem-note'
import { QuantityField } from '@/ui/components/quantity-field'
import { newId } from '@/ui/new-id'
import { METHOD_NAMES } from '@/ui/ponds/log-readings-form'
import { send, type SendProblem } from '@/ui/send'
import { inUnits } from '@/ui/messages/in-units'
import { useShow } from '@/ui/person-context'
import { GateNote } from './gate-note'
import { draftOf, toAnswer } from './step-answer'
import { StepAmount } from './step-amount'
import { StepPhotos } from './step-photos'
import { StepTimer } from './step-timer'
import { useStepDraft } from './use-step-draft'
import type { VisitData } from './visit-sheet'

interface StepCardProps {
  readonly step: JobStep
  readonly data: VisitData
  readonly states: ReadonlyMap<string, StepState>
  readonly onAnswered: () => void
}

/** The step at hand: what to do, how much, what is dangerous, what to write down. */
export function StepCard({ step, data, states, onAnswered }: StepCardProps) {
  const { visit, pond, log } = data
  const router = useRouter()
  const state = states.get(step.key)!
  const [draft, change, forget] = useStepDraft(visit.id, step.key, draftOf(state, pond.fish))
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [busy, setBusy] = useState(false)
  const [leaving, setLeaving] = useState<string | null>(null)
  // one id per answer: a second send after a lost reply logs it once
  const entryId = useRef(newId())
  const show = useShow()
  const gate = step.gate ? judgeGate(step.gate, gateContext(states, toAnswer(step, draft), data.gateFacts)) : null
  const errorOf = (part: 'readings' | 'figures', kind: string) => problem?.fields?.find((f) => f.path === `answer.${part}.${kind}`)?.message

  const log1 = async (entry: Record<string, unknown>, closes: boolean) => {
    setBusy(true)
    const outcome = await send('POST', `/api/v1/visits/${visit.id}/entries`, { id: entryId.current, stepKey: step.key, at: new Date().toISOString(), ...entry })
    setBusy(false)
    if (!outcome.ok) return setProblem(outcome.problem)
    entryId.current = newId()
    setProblem(null)
    if (closes) {
      forget()
      onAnswered()
    }
    router.refresh()
  }
  const done = (confirmedUnlikely: boolean) =>
    log1(
      {
        kind: 'done',
        answer: toAnswer(step, draft),
        confirmedUnlikely,
        ...(gate?.status === 'stop' && draft.overrideReason ? { override: { reason: draft.overrideReason } } : {}),
      },
      true,
    )
  const unusual = problem?.title.includes('is unusual') ?? false
  const gated = gate?.status === 'stop' && !(data.mayOverride && draft.overrideReason.trim().length >= 5)

  return (
    <section className="step-now" aria-label="Step at hand">
      <p className="soft mb-1">{step.section}</p>
      <h2>{step.title}</h2>
      {state.status === 'skipped' ? <p className="soft">Left out: {state.entry.reason}</p> : null}
      {step.detail ? <p className="mb-2">{inUnits(step.detail, show)}</p> : null}
      {step.safety ? <div className="safety-note">{inUnits(step.safety, show)}</div> : null}
      {step.quantity ? <StepAmount quantity={step.quantity} amounts={data.quantities} sourceName={WATER_SOURCE_NAMES[pond.waterSource]} /> : null}
      {step.timerMinutes ? (
        <StepTimer minutes={step.timerMinutes} startedAt={timerStart(log, step.key)} busy={busy} onStart={() => void log1({ kind: 'timer-started' }, false)} />
      ) : null}

      {step.choices ? (
        <fieldset className="border-0 m-0 p-0">
          <legend className="visually-hidden">{step.title}</legend>
          {step.choices.map((choice) => (
            <label key={choice} className="d-flex gap-2 align-items-center py-2">
              <input type="radio" className="form-check-input" name={step.key} checked={draft.choice === choice} onChange={() => change({ choice })} />
              {choice}
            </label>
          ))}
        </fieldset>
      ) : null}
      {step.readings ? (
        <>
          {step.readings.map((kind) => (
            <QuantityField
              key={kind}
              large
              label={READING_NAMES[kind]}
              optional={!(step.required ?? []).includes(kind)}
              kind={readingQuantity(kind)}
              scale={readingScale(kind)}
              value={draft.readings[kind] ?? null}
              onChange={(v) => change({ readings: { ...draft.readings, [kind]: v } })}
              error={errorOf('readings', kind)}
            />
          ))}
          <ChoiceField
            label="Tested with"
            value={draft.method}
            onChange={(e) => change({ method: e.target.value as typeof draft.method })}
            options={READING_METHODS.map((m) => ({ value: m, label: METHOD_NAMES[m] }))}
          />
        </>
      ) : null}
      {step.figures?.map((figure) => (
        <QuantityField
          key={figure}
          large
          label={FIGURE_NAMES[figure]}
          optional={!step.gate}
          kind={STEP_FIGURES[figure].quantity}
          scale={figureScale(figure)}
          value={draft.figures[figure] ?? null}
          onChange={(v) => change({ figures: { ...draft.figures, [figure]: v } })}
          error={errorOf('figures', figure)}
        />
      ))}
      {gate ? (
        <GateNote
          kind={step.gate!}
          gate={gate}
          mayOverride={data.mayOverride}
          reason={draft.overrideReason}
          onReason={(overrideReason) => change({ overrideReason })}
        />
      ) : null}
      {step.kind === 'count-fish' ? (
        <>
          {(Object.keys(draft.fish) as FishSpeciesKey[]).map((species) => (
            <QuantityField
              key={species}
              large
              label={FISH_SPECIES[species].name}
              kind="number"
              value={draft.fish[species] ?? null}
              onChange={(v) => change({ fish: { ...draft.fish, [species]: v } })}
            />
          ))}
          {Object.keys(draft.fish).length === 0 ? <p className="soft">No fish are noted for this pond.</p> : null}
          <QuantityField large label="Lost" kind="number" value={draft.losses} onChange={(losses) => change({ losses })} optional />
        </>
      ) : null}
      {step.kind === 'photo' ? <StepPhotos visitId={visit.id} stepKey={step.key} photos={data.photos.filter((p) => p.stepKey === step.key)} /> : null}
      {step.kind === 'sign' ? (
        <label className="d-block mb-2">
          Who was told
          <input className="form-control" value={draft.signedBy} onChange={(e) => change({ signedBy: e.target.value })} />
        </label>
      ) : null}
      <label className="d-block mt-2">
        <span className="soft">Note</span>
        <input className="form-control" value={draft.note} onChange={(e) => change({ note: e.target.value })} />
      </label>
      <ProblemNote problem={problem} />
      {unusual ? (
        <button className="btn btn-outline-secondary w-100 mt-2" disabled={busy} onClick={() => void done(true)}>
          Read again: it is right
        </button>
      ) : null}
      <button className="btn btn-primary w-100 mt-2" disabled={busy || gated} onClick={() => void done(false)}>
        {state.status === 'done' ? 'Correct it' : 'Done'}
      </button>
      {leaving === null ? (
        <button className="btn btn-link w-100 mt-1" onClick={() => setLeaving('')}>
          Leave this step out
        </button>
      ) : (
        <div className="mt-2">
          <label className="d-block">
            Why is it left out?
            <input className="form-control" value={leaving} onChange={(e) => setLeaving(e.target.value)} />
          </label>
          <button
            className="btn btn-outline-secondary w-100 mt-2"
            disabled={busy || leaving.trim().length < 3}
            onClick={() => void log1({ kind: 'skipped', reason: leaving }, true)}
          >
            Leave it out
          </button>
        </div>
      )}
    </section>
  )
}
