'use client'
import type { VisitStep } from '@/core/visits/step'
import type { StepAtHand } from './use-step-card'

/** One of the step's answers. */
export function StepChoices({ step, card: { draft, change } }: { step: VisitStep; card: StepAtHand }) {
  return (
    <fieldset className="border-0 m-0 p-0">
      <legend className="visually-hidden">{step.title}</legend>
      {step.choices?.map((choice) => (
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
  )
}
