'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { STEP_FIGURES } from '@/core/visits/figures'
import type { VisitStep } from '@/core/visits/step'
import { type FishSpeciesKey } from '@/core/fish/species'
import { clockTimeOf } from '@/domain/shared/dates'
import { givenBefore, givenEarlier, overLabel, stepDoses, waterToday } from '@/domain/water/dosing'
import { amountsToday } from '@/domain/field/field-pack'
import { figureScale } from '@/domain/visits/figure-scale'
import { answerProblem } from '@/domain/visits/step-check'
import { answerProblemWords, type AnswerProblemWords } from '@/messages/visits/answer-problem'
import { judgeStep } from '@/domain/visits/step-gate'
import {
  gateContext,
  inOrder,
  stepStates,
  timerStart,
  unseenAnswers,
  type StepState,
} from '@/domain/visits/visit-progress'
import { READING_METHODS, type StepAnswer } from '@/domain/visits/visit'
import { visitTests } from '@/domain/water/water-meaning'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { ReadingField } from '@/ui/kit/reading-field'
import { METHOD_NAMES } from '@/ui/water/log-readings-form'
import { inUnits } from '@/messages/visits/in-units'
import { useShow } from '@/ui/person-context'
import type { VisitView } from '@/ui/field/device/device-view'
import { useField } from '@/ui/field/field-context'
import { GateNote } from './gate-note'
import { draftOf, toAnswer, unreadable } from './step-answer'
import { ReadingsMeaning } from './readings-meaning'
import { StepAmount } from './step-amount'
import { StepDoses } from './step-doses'
import { StepPhotos } from './step-photos'
import { StepPlants } from './step-plants'
import { StepTimer } from './step-timer'
import { useNow } from '@/ui/field/use-now'
import { useStepDraft } from './use-step-draft'

interface StepCardProps {
  readonly step: VisitStep
  readonly view: VisitView
  /** The other ponds of this stop. */
  readonly others: readonly VisitView[]
  readonly states: ReadonlyMap<string, StepState>
  readonly onAnswered: () => void
}

const tested = ({ readings }: StepAnswer) =>
  Object.fromEntries(Object.entries(readings ?? {}).map(([kind, r]) => [kind, r!.belowStep ? 0 : r!.value]))

const isOpenThere = ({ visit, log }: VisitView, stepKey: string): boolean =>
  visit.state === 'under-way' &&
  visit.job.steps.some((s) => s.key === stepKey) &&
  stepStates(visit.job.steps, log).get(stepKey)?.status === 'open'

/** The step at hand: what to do, how much, what is dangerous, what to write down. */
export function StepCard({ step, view, others, states, onAnswered }: StepCardProps) {
  const t = useTexts()

  const { visit, pond, log } = view
  const { person, products, log: keep } = useField()
  const state = states.get(step.key)!
  const [draft, change, forget] = useStepDraft(
    visit.id,
    step.key,
    draftOf(step.again ? { status: 'open' } : state, pond.fish),
  )
  const [problem, setProblem] = useState<AnswerProblemWords | null>(null)
  const [forAll, setForAll] = useState(true)
  const [leaving, setLeaving] = useState<string | null>(null)
  const show = useShow()
  const now = useNow()
  const photos = view.photos.filter((p) => p.stepKey === step.key)
  const answer = {
    ...toAnswer(step, draft, products),
    ...(step.kind === 'photo' ? { photos: photos.map((p) => p.id) } : {}),
  }
  const alsoOpen = step.onceAtStop && state.status === 'open' ? others.filter((o) => isOpenThere(o, step.key)) : []
  const errorOf = (part: 'readings' | 'figures', kind: string) =>
    problem?.fields.find((f) => f.path === `answer.${part}.${kind}`)?.message
  const rounds = step.again ? inOrder(log.filter((e) => e.kind === 'done' && e.stepKey === step.key)) : []
  const unseen = step.again ? [] : unseenAnswers(log, step.key)
  const amounts = amountsToday(view, states)
  const lastWater = view.lastReadings.find((r) => r.kind === 'waterTemp')?.value ?? null
  const dosing = {
    amounts,
    waterC: waterToday(log) ?? lastWater,
    recent: [...givenBefore(states, products, step.key, now), ...givenEarlier(view.recentDoses, products, now)],
  }
  const stop = judgeStep(step, gateContext(states, answer, view.gateFacts, now), answer, products, dosing.recent, {
    states,
    fishInTanks: view.gateFacts.fishInTanks,
    timerStartedAt: timerStart(log, step.key),
    atMs: now,
  })
  const gate = stop?.gate ?? null
  // each round stands for itself
  const replaces = state.status === 'open' || step.again ? null : state.entry.id
  const seen = gate ? { gateSeen: gate.status } : {}

  const done = async (confirmedUnlikely: boolean) => {
    const wrong =
      unreadable(step, draft) ??
      answerProblem(step, answer, photos.length, confirmedUnlikely) ??
      overLabel(step, products, amounts, answer)
    setProblem(wrong && answerProblemWords(wrong, t))
    if (wrong) return
    const override =
      gate?.status === 'stop' && draft.overrideReason ? { override: { reason: draft.overrideReason } } : {}
    await keep(visit.id, { kind: 'done', stepKey: step.key, answer, confirmedUnlikely, replaces, ...seen, ...override })
    if (forAll)
      for (const o of alsoOpen)
        await keep(o.visit.id, { kind: 'done', stepKey: step.key, answer, confirmedUnlikely: false, replaces: null })
    forget()
    onAnswered()
  }
  const leaveOut = async (reason: string) => {
    await keep(visit.id, { kind: 'skipped', stepKey: step.key, reason, replaces, ...seen })
    forget()
    onAnswered()
  }
  const gated = gate?.status === 'stop' && !(person.mayOverride && draft.overrideReason.trim().length >= 5)

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
      {unseen.map((other) => (
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
      {step.choices ? (
        <fieldset className="border-0 m-0 p-0">
          <legend className="visually-hidden">{step.title}</legend>
          {step.choices.map((choice) => (
            <label key={choice.code} className="d-flex gap-2 align-items-center py-2">
              <input
                type="radio"
                className="form-check-input"
                name={step.key}
                checked={draft.choice === choice.code}
                onChange={() => change({ choice: choice.code })}
              />
              {choice.label}
            </label>
          ))}
        </fieldset>
      ) : null}
      {step.readings ? (
        <>
          {step.readings.map((kind) => (
            <ReadingField
              key={kind}
              large
              kind={kind}
              optional={!(step.required ?? []).includes(kind)}
              value={draft.readings[kind] ?? null}
              deepestM={view.cleanout.maxDepthM}
              onChange={(v, belowStep) =>
                change({ readings: { ...draft.readings, [kind]: v }, below: { ...draft.below, [kind]: belowStep } })
              }
              error={errorOf('readings', kind)}
            />
          ))}
          <ReadingsMeaning typed={tested(answer)} before={[...view.lastReadings, ...visitTests(states)]} nowMs={now} />
          <ChoiceField
            label={t('field.stepCard.tested')}
            value={draft.method}
            onChange={(e) => change({ method: e.target.value as typeof draft.method })}
            options={READING_METHODS.map((m) => ({ value: m, label: t(METHOD_NAMES[m]) }))}
          />
        </>
      ) : null}
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
          error={errorOf('figures', figure)}
        />
      ))}
      {step.plants ? <StepPlants step={step} view={view} /> : null}
      {step.products ? (
        <StepDoses
          doses={stepDoses(step, products, dosing, answer)}
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
      {step.kind === 'count-fish' ? (
        <>
          {(Object.keys(draft.fish) as FishSpeciesKey[]).map((species) => (
            <QuantityField
              key={species}
              large
              label={t(`ponds.fishNames.${species}`)}
              kind="number"
              value={draft.fish[species] ?? null}
              onChange={(v) => change({ fish: { ...draft.fish, [species]: v } })}
            />
          ))}
          {Object.keys(draft.fish).length === 0 ? <p className="soft">{t('field.stepCard.noFishNotedPond')}</p> : null}
          <QuantityField
            large
            label={t('field.stepCard.lost')}
            kind="number"
            value={draft.losses}
            onChange={(losses) => change({ losses })}
            optional
          />
        </>
      ) : null}
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
            checked={forAll}
            onChange={(e) => setForAll(e.target.checked)}
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
      <button className="btn btn-primary w-100 mt-2" disabled={gated} onClick={() => void done(false)}>
        {doneText()}
      </button>
      {leaving === null ? (
        <button className="btn btn-link w-100 mt-1" onClick={() => setLeaving('')}>
          {t('field.stepCard.leaveStepOut')}
        </button>
      ) : (
        <div className="mt-2">
          <label className="d-block">
            {t('field.stepCard.whyLeftOut')}
            <input className="form-control" value={leaving} onChange={(e) => setLeaving(e.target.value)} />
          </label>
          <button
            className="btn btn-outline-secondary w-100 mt-2"
            disabled={leaving.trim().length < 3}
            onClick={() => void leaveOut(leaving)}
          >
            {t('field.stepCard.leaveOut')}
          </button>
        </div>
      )}
    </section>
  )
}
