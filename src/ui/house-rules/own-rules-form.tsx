'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import { z } from 'zod'
import { SIZING_METHODS } from '@/core/filter/house-rules'
import { OwnRules, type HouseRules } from '@/domain/house-rules/house-rules'
import type { PondInContext } from '@/domain/ponds/pond'
import { may } from '@/domain/people/roles'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { usePerson, useShow } from '@/ui/person-context'
import { FIGURES, SWITCHES } from './switches'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'

const OwnBody = z.strictObject({ own: OwnRules })

type Key = keyof HouseRules

interface Question {
  readonly key: Key
  readonly label: TextId
  /** null: a figure, typed. */
  readonly options: readonly { readonly value: string; readonly label: TextId }[] | null
  readonly kind: 'temperature' | 'number'
}

const QUESTIONS: readonly Question[] = [
  {
    key: 'sizingMethod',
    label: textId('houseRules.ownRulesForm.filterSize'),
    options: SIZING_METHODS.map((value) => ({ value, label: textId(`design.methodNames.${value}`) })),
    kind: 'number',
  },
  ...SWITCHES.map(({ key, label, options }) => ({
    key,
    label,
    options: options.map((o) => ({ value: String(o.value), label: o.name })),
    kind: 'number' as const,
  })),
  ...FIGURES.map(({ key, label, kind }) => ({ key, label, options: null, kind })),
]

interface OwnRulesFormProps {
  readonly pond: PondInContext
  readonly house: HouseRules
  /** As it was last seen: a later save by someone else is then a conflict. */
  readonly version: number
  readonly onSaved: () => void
}

/** Where this pond goes another way than the house: each answer with its reason, the house's beside it. */
export function OwnRulesForm({ pond, house, version, onSaved }: OwnRulesFormProps) {
  const t = useTexts()

  const { role } = usePerson()
  const { values, put, errorOf, submit, problem, saved, sending } = useSchemaForm({
    schema: OwnBody,
    values: { own: pond.ownRules },
  })
  const { own } = values
  const locked = !may(role, 'designs.write')
  return (
    <form
      noValidate
      onSubmit={submit((body) => send('PUT', `/api/v1/ponds/${pond.id}/house-rules`, { version, ...body }), onSaved)}
    >
      <p className="soft">
        {locked ? t('houseRules.ownRulesForm.setOwnersDesigners') : t('houseRules.ownRulesForm.houseRulesHoldsUnless')}
      </p>
      {QUESTIONS.map((question) => (
        <Answer
          key={question.key}
          question={question}
          house={house}
          own={own[question.key]}
          locked={locked}
          errorOf={(part) => errorOf(`own.${question.key}.${part}`)}
          onChange={(answer) => {
            const { [question.key]: _dropped, ...others } = own
            put({ own: answer === null ? others : { ...others, [question.key]: answer } })
          }}
        />
      ))}
      <ProblemNote problem={problem} />
      <p role="status" className="mb-2">
        {saved ? t('houseRules.ownRulesForm.savedSizesWindowsPond') : ''}
      </p>
      {locked ? null : (
        <button className="btn btn-primary" disabled={sending}>
          {t('houseRules.ownRulesForm.savePondsHouseRules')}
        </button>
      )}
    </form>
  )
}

interface AnswerProps {
  readonly question: Question
  readonly house: HouseRules
  readonly own: OwnRules[Key]
  readonly locked: boolean
  readonly errorOf: (part: 'value' | 'reason') => string | undefined
  readonly onChange: (answer: { value: unknown; reason: string } | null) => void
}

function Answer({ question: { key, label, options, kind }, house, own, locked, errorOf, onChange }: AnswerProps) {
  const t = useTexts()

  const show = useShow()
  const houseText = () => {
    if (options) return t(options.find((o) => o.value === String(house[key]))!.label).toLowerCase()
    if (kind === 'number') return `${house[key] as number}`
    return show(house[key] as number, kind)
  }
  const houseWords = houseText()
  const reason = own?.reason ?? ''
  // switches of yes and no cross the form as words
  const read = (text: string) => {
    if (text === 'true') return true
    if (text === 'false') return false
    return text
  }
  return (
    <fieldset className="sheet" disabled={locked}>
      <legend>{t(label)}</legend>
      <label className="d-block">
        <input
          type="checkbox"
          className="form-check-input me-2"
          checked={own !== undefined}
          onChange={(e) => onChange(e.target.checked ? { value: house[key], reason: '' } : null)}
        />
        {t('houseRules.ownRulesForm.differentPond')}{' '}
        <span className="soft">{t('houseRules.ownRulesForm.house', { houseWords })}</span>
      </label>
      {own ? (
        <div className="field-grid mt-2" style={{ gridTemplateColumns: 'minmax(12rem, 1fr) 3fr' }}>
          {options ? (
            <ChoiceField
              label={t('houseRules.ownRulesForm.here', { label: t(label) })}
              value={String(own.value)}
              onChange={(e) => onChange({ value: read(e.target.value), reason })}
              options={options.map((o) => ({ ...o, label: t(o.label) }))}
              error={errorOf('value')}
            />
          ) : (
            <QuantityField
              label={t('houseRules.ownRulesForm.here', { label: t(label) })}
              kind={kind}
              value={own.value as number}
              onChange={(v) => onChange({ value: v ?? Number.NaN, reason })}
              error={errorOf('value')}
              disabled={locked}
            />
          )}
          <TextField
            label={t('houseRules.ownRulesForm.why')}
            value={reason}
            onChange={(e) => onChange({ value: own.value, reason: e.target.value })}
            error={errorOf('reason')}
          />
        </div>
      ) : null}
    </fieldset>
  )
}
