'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import type { VisitStep } from '@/core/visits/step'
import { givenBefore, givenEarlier, overLabel, stepDoses, waterToday } from '@/domain/water/dosing'
import { amountsToday } from '@/domain/field/field-pack'
import { answerProblem } from '@/domain/visits/step-check'
import { judgeStep } from '@/domain/visits/step-gate'
import {
  gateContext,
  inOrder,
  stepStates,
  timerStart,
  unseenAnswers,
  type StepState,
} from '@/domain/visits/visit-progress'
import { answerProblemWords, type AnswerProblemWords } from '@/messages/visits/answer-problem'
import type { VisitView } from '@/ui/field/device/device-view'
import { useField } from '@/ui/field/field-context'
import { useNow } from '@/ui/field/use-now'
import { draftOf, toAnswer, unreadable } from './step-answer'
import { useStepDraft } from './use-step-draft'

export interface AtHand {
  readonly step: VisitStep
  readonly view: VisitView
  /** The other ponds of this stop. */
  readonly others: readonly VisitView[]
  readonly states: ReadonlyMap<string, StepState>
  readonly onAnswered: () => void
}

const isOpenThere = ({ visit, log }: VisitView, stepKey: string): boolean =>
  visit.state === 'under-way' &&
  visit.job.steps.some((s) => s.key === stepKey) &&
  stepStates(visit.job.steps, log).get(stepKey)?.status === 'open'

/** A reason for going on against a gate says at least so much. */
const REASON_LETTERS = 5

/** What is written down at the step at hand, what its gate says of it, and how it is kept. */
export function useStepCard({ step, view, others, states, onAnswered }: AtHand) {
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
  const now = useNow()
  const photos = view.photos.filter((p) => p.stepKey === step.key)
  const answer = {
    ...toAnswer(step, draft, products),
    ...(step.kind === 'photo' ? { photos: photos.map((p) => p.id) } : {}),
  }
  const alsoOpen = step.onceAtStop && state.status === 'open' ? others.filter((o) => isOpenThere(o, step.key)) : []
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
  const gated = gate?.status === 'stop' && !(person.mayOverride && draft.overrideReason.trim().length >= REASON_LETTERS)
  return {
    state,
    draft,
    change,
    problem,
    answer,
    rounds,
    unseen,
    amounts,
    doses: stepDoses(step, products, dosing, answer),
    stop,
    gated,
    nowMs: now,
    alsoOpen,
    forAll,
    setForAll,
    done,
    leaveOut,
  }
}
export type StepAtHand = ReturnType<typeof useStepCard>
