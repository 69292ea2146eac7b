'use client'
import { useTexts } from '@/ui/kit/texts'
import { STEP_FIGURES } from '@/core/visits/figures'
import { clockTimeOf } from '@/domain/shared/dates'
import { figureScale } from '@/domain/visits/figure-scale'
import { timerStart } from '@/domain/visits/visit-progress'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { inUnits } from '@/messages/visits/in-units'
import { useShow } from '@/ui/person-context'
import { useField } from '@/ui/field/field-context'
import { GateNote } from './gate-note'
import { LeaveStepOut } from './leave-step-out'
import { StepAmount } from './step-amount'
import { StepChoices } from './step-choices'
import { StepDoses } from './step-doses'
import { StepFish } from './step-fish'
import { StepPhotos } from './step-photos'
import { StepPlants } from './step-plants'
import { StepReadings } from './step-readings'
import { StepTimer } from './step-timer'
import { useStepCard, type AtHand } from './use-step-card'

/** The step at hand: what to do, how much, what is dangerous, what to write down. */
export function StepCard({ step, view, others, states, onAnswered }: AtHand) {
  const t = useTexts()
  const { visit, pond, log } = view
  const { person, log: keep } = useField()
  const card = useStepCard({ step, view, others, states, onAnswered })
  const { state, draft, change, problem, rounds, amounts, stop, alsoOpen, done } = card
  const show = useShow()
  const doneText = () => {
    if (step.again) {
      if (rounds.length > 0) return t('field.stepCard.logAnotherRound')
      return t('field.stepCard.logRound')
    }
    if (state.status === 'done') return t('field.stepCard.correct')
    return t('field.stepCard.done')
  }
  return (
    <section className="step-now" aria-label={t('field.stepCard.stepHand')}>
      <p className="soft mb-1">{step.section}</p>
      <h2>{step.title}</h2>
      {state.status === 'skipped' ? (
        <p className="soft">{t('field.stepCard.leftOut', { reason: state.entry.reason })}</p>
      ) : null}
      {card.unseen.map((other) => (
        <p key={other.id} className="verdict look">
          {t('field.stepCard.answeredTooWithoutSeeing', {
            byName: other.byName,
            kind: other.kind === 'done' ? '' : t('field.stepCard.leftOut2', { reason: other.reason }),
          })}
        </p>
      ))}
      {step.detail ? <p className="mb-2">{inUnits(step.detail, show)}</p> : null}
      {step.safety ? <div className="safety-note">{inUnits(step.safety, show)}</div> : null}
      {step.quantity ? (
        <StepAmount
          quantity={step.quantity}
          amounts={amounts}
          sourceName={t(`ponds.waterSourceNames.${pond.waterSource}`)}
        />
      ) : null}
      {step.timerMinutes ? (
        <StepTimer
          minutes={step.timerMinutes}
          startedAt={timerStart(log, step.key)}
          onStart={() => void keep(visit.id, { kind: 'timer-started', stepKey: step.key })}
        />
      ) : null}

      {rounds.length > 0 ? (
        <p className="soft">
          {t('field.stepCard.loggedLast', {
            count: rounds.length,
            at: clockTimeOf(rounds.at(-1)!.at, person.timeZone),
          })}
        </p>
      ) : null}
      {step.choices ? <StepChoices step={step} card={card} /> : null}
      {step.readings ? <StepReadings step={step} view={view} states={states} card={card} /> : null}
      {step.figures?.map((figure) => (
        <QuantityField
          key={figure}
          large
          label={t(`visits.figureNames.${figure}`)}
          optional={!step.gate}
          kind={STEP_FIGURES[figure].quantity}
          scale={figureScale(figure)}
          value={draft.figures[figure] ?? null}
          onChange={(v) => change({ figures: { ...draft.figures, [figure]: v } })}
          error={problem?.fields.find((f) => f.path === `answer.figures.${figure}`)?.message}
        />
      ))}
      {step.plants ? <StepPlants step={step} view={view} /> : null}
      {step.products ? (
        <StepDoses
          doses={card.doses}
          given={draft.doses}
          onGive={(doses) => change({ doses })}
          error={problem?.fields.find((f) => f.path.startsWith('answer.doses'))?.message}
        />
      ) : null}
      {stop ? (
        <GateNote
          kind={stop.kind}
          gate={stop.gate}
          mayOverride={person.mayOverride}
          reason={draft.overrideReason}
          onReason={(overrideReason) => change({ overrideReason })}
        />
      ) : null}
      {step.kind === 'count-fish' ? <StepFish card={card} /> : null}
      {step.kind === 'photo' ? <StepPhotos view={view} step={step} /> : null}
      {step.kind === 'sign' ? (
        <label className="d-block mb-2">
          {t('field.stepCard.whoTold')}
          <input
            className="form-control"
            value={draft.signedBy}
            onChange={(e) => change({ signedBy: e.target.value })}
          />
        </label>
      ) : null}
      <label className="d-block mt-2">
        <span className="soft">{t('field.stepCard.note')}</span>
        <input className="form-control" value={draft.note} onChange={(e) => change({ note: e.target.value })} />
      </label>
      {alsoOpen.length > 0 ? (
        <label className="d-flex gap-2 align-items-center py-2">
          <input
            type="checkbox"
            className="form-check-input"
            checked={card.forAll}
            onChange={(e) => card.setForAll(e.target.checked)}
          />
          {t('field.stepCard.counts')} {alsoOpen.map((o) => o.visit.pondName).join(', ')} {t('field.stepCard.too')}
        </label>
      ) : null}
      <ProblemNote
        problem={problem && { title: problem.message, status: 422, kind: 'bad-input', fields: problem.fields }}
      />
      {problem?.fields.some((f) => f.code === 'unusual') ? (
        <button className="btn btn-outline-secondary w-100 mt-2" onClick={() => void done(true)}>
          {t('field.stepCard.readAgainRight')}
        </button>
      ) : null}
      <button className="btn btn-primary w-100 mt-2" disabled={card.gated} onClick={() => void done(false)}>
        {doneText()}
      </button>
      <LeaveStepOut onLeave={card.leaveOut} />
    </section>
  )
}
