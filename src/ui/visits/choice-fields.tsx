'use client'
import { useTexts } from '@/ui/kit/texts'
import type { StepChoice } from '@/core/visits/step'
import { ownChoiceCode } from '@/domain/visits/visit-type-upgrade'
import { TextField } from '@/ui/kit/text-field'

interface ChoiceFieldsProps {
  readonly choices: readonly StepChoice[]
  readonly locked: boolean
  /** A stop decides by these answers: they may be worded anew, not added to or taken away. */
  readonly fixed: boolean
  readonly error?: string
  readonly onChange: (choices: readonly StepChoice[]) => void
}

/** The answers of a step that decides. What is written is only read: each answer keeps its code, whatever it says. */
export function ChoiceFields({ choices, locked, fixed, error, onChange }: ChoiceFieldsProps) {
  const t = useTexts()

  const add = () =>
    onChange([
      ...choices,
      {
        code: ownChoiceCode(
          t('visits.choiceFields.answer', { count: choices.length + 1 }),
          choices.map((c) => c.code),
        ),
        label: '',
      },
    ])
  return (
    <fieldset className="mb-2" disabled={locked}>
      <legend>{t('visits.choiceFields.answers')}</legend>
      {choices.map((choice, i) => (
        <div key={choice.code} className="d-flex gap-2 align-items-end">
          <TextField
            label={t('visits.choiceFields.answer2', { i: i + 1 })}
            value={choice.label}
            onChange={(e) =>
              onChange(choices.map((c) => (c.code === choice.code ? { ...c, label: e.target.value } : c)))
            }
          />
          {fixed ? null : (
            <button
              type="button"
              className="btn btn-sm btn-outline-secondary"
              aria-label={t('visits.choiceFields.removeAnswer', { i: i + 1 })}
              onClick={() => onChange(choices.filter((c) => c.code !== choice.code))}
            >
              ×
            </button>
          )}
        </div>
      ))}
      {fixed ? (
        <p className="soft small mb-0">{t('visits.choiceFields.stopDecidesTheseAnswers')}</p>
      ) : (
        <button
          type="button"
          className="btn btn-sm btn-outline-primary mt-1"
          disabled={choices.length >= 10}
          onClick={add}
        >
          {t('visits.choiceFields.addAnswer')}
        </button>
      )}
      {error ? <div className="field-error">{error}</div> : null}
    </fieldset>
  )
}
