'use client'
import { useTexts } from '@/ui/kit/texts'
import type { VisitStep } from '@/core/visits/step'
import { READING_METHODS } from '@/core/water/test-methods'
import type { StepAnswer } from '@/domain/visits/visit'
import type { StepState } from '@/domain/visits/visit-progress'
import { visitTests } from '@/domain/water/water-meaning'
import type { VisitView } from '@/ui/field/device/device-view'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ReadingField } from '@/ui/kit/reading-field'
import { METHOD_NAMES } from '@/ui/water/log-readings-form'
import { ReadingsMeaning } from './readings-meaning'
import type { StepAtHand } from './use-step-card'

interface StepReadingsProps {
  readonly step: VisitStep
  readonly view: VisitView
  readonly states: ReadonlyMap<string, StepState>
  readonly card: StepAtHand
}

const tested = ({ readings }: StepAnswer) =>
  Object.fromEntries(Object.entries(readings ?? {}).map(([kind, r]) => [kind, r!.belowStep ? 0 : r!.value]))

/** What is tested at this step, what it means beside what was tested before, and how it was tested. */
export function StepReadings({ step, view, states, card }: StepReadingsProps) {
  const t = useTexts()
  const { draft, change, answer, problem } = card
  return (
    <>
      {step.readings?.map((kind) => (
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
          error={problem?.fields.find((f) => f.path === `answer.readings.${kind}`)?.message}
        />
      ))}
      <ReadingsMeaning
        typed={tested(answer)}
        before={[...view.lastReadings, ...visitTests(states)]}
        nowMs={card.nowMs}
      />
      <ChoiceField
        label={t('field.stepCard.tested')}
        value={draft.method}
        onChange={(e) => change({ method: e.target.value as typeof draft.method })}
        options={READING_METHODS.map((m) => ({ value: m, label: t(METHOD_NAMES[m]) }))}
      />
    </>
  )
}
