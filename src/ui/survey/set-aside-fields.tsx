'use client'
import { useFormContext, useWatch } from 'react-hook-form'
import { SET_ASIDE_METHODS } from '@/domain/ponds/pond'
import { ChoiceField } from '@/ui/kit/choice-field'
import { TextField } from '@/ui/kit/text-field'
import { useTexts } from '@/ui/kit/texts'
import type { SurveyFormValues } from './survey-form-values'

/** Where two ways to the volume contradict each other: which one is not believed, and why. */
export function SetAsideFields() {
  const t = useTexts()
  const { register, formState } = useFormContext<SurveyFormValues>()
  const method = useWatch<SurveyFormValues, 'setAside.method'>({ name: 'setAside.method' })
  const [meteredFillM3, volumeTests] = useWatch<SurveyFormValues, ['meteredFillM3', 'volumeTests']>({
    name: ['meteredFillM3', 'volumeTests'],
  })
  const another = meteredFillM3 !== null || volumeTests.length > 0
  // the shape alone cannot be set aside
  if (!another && method === '') return null
  return (
    <div className="field-grid mt-1">
      <ChoiceField
        label={t('survey.setAsideFields.method')}
        options={[
          { value: '', label: t('survey.setAsideFields.none') },
          ...SET_ASIDE_METHODS.map((value) => ({ value, label: t(`survey.setAsideFields.${value}`) })),
        ]}
        {...register('setAside.method')}
      />
      {method === '' ? null : (
        <TextField
          label={t('survey.setAsideFields.reason')}
          error={formState.errors.setAside?.reason?.message}
          {...register('setAside.reason')}
        />
      )}
    </div>
  )
}
