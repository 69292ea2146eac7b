'use client'
import { useFieldArray, useFormContext } from 'react-hook-form'
import { MOST_VOLUME_TESTS, type VolumeTest } from '@/domain/ponds/pond'
import { useTexts } from '@/ui/kit/texts'
import { EMPTY_VOLUME_TESTS, type SurveyFormValues } from './survey-form-values'
import { Quantity } from './survey-quantity'

const METHODS = ['timed-fill', 'salt-dilution', 'drain-down'] as const satisfies readonly VolumeTest['method'][]

/** Ways to the volume beside tape and meter, each as often as it was measured. */
export function VolumeTestFields() {
  const t = useTexts()
  const { control } = useFormContext<SurveyFormValues>()
  const { fields, append, remove } = useFieldArray({ control, name: 'volumeTests' })
  return (
    <details className="mt-1">
      <summary>{t('survey.volumeTestFields.legend')}</summary>
      {fields.map((field, i) => (
        <div key={field.id} className="repeat-row mt-1" style={{ gridTemplateColumns: '1fr 1fr 1fr 2.4rem' }}>
          <Figures method={field.method} i={i} />
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary align-self-center"
            aria-label={t('survey.volumeTestFields.remove', { i: i + 1 })}
            onClick={() => remove(i)}
          >
            ×
          </button>
        </div>
      ))}
      {fields.length < MOST_VOLUME_TESTS ? (
        <div className="d-flex flex-wrap gap-2 mt-1">
          {METHODS.map((method) => (
            <button
              key={method}
              type="button"
              className="btn btn-sm btn-outline-primary"
              onClick={() => append(EMPTY_VOLUME_TESTS[method])}
            >
              {t(`survey.addVolumeTest.${method}`)}
            </button>
          ))}
        </div>
      ) : null}
    </details>
  )
}

/** What is measured on one way, in three columns. */
function Figures({ method, i }: { method: VolumeTest['method']; i: number }) {
  const t = useTexts()
  const at = { i: i + 1 }
  switch (method) {
    case 'timed-fill':
      return (
        <>
          <Quantity
            name={`volumeTests.${i}.containerM3`}
            label={t('survey.volumeTestFields.container', at)}
            kind="volume"
            scale="small"
          />
          <Quantity name={`volumeTests.${i}.seconds`} label={t('survey.volumeTestFields.seconds')} kind="number" />
          <Quantity name={`volumeTests.${i}.minutes`} label={t('survey.volumeTestFields.fillTime')} kind="time" />
        </>
      )
    case 'salt-dilution':
      return (
        <>
          <Quantity name={`volumeTests.${i}.saltKg`} label={t('survey.volumeTestFields.salt', at)} kind="mass" />
          <Quantity name={`volumeTests.${i}.rise`} label={t('survey.volumeTestFields.rise')} kind="share" />
          <span className="soft small align-self-end">{t('survey.volumeTestFields.riseHint')}</span>
        </>
      )
    case 'drain-down':
      return (
        <>
          <Quantity name={`volumeTests.${i}.flowM3PerH`} label={t('survey.volumeTestFields.flow', at)} kind="flow" />
          <Quantity name={`volumeTests.${i}.minutes`} label={t('survey.volumeTestFields.emptyTime')} kind="time" />
          <span />
        </>
      )
  }
}
