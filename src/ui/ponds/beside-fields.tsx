'use client'
import { useTexts } from '@/ui/kit/texts'
import { useFieldArray, useFormContext } from 'react-hook-form'
import { Quantity } from '@/ui/survey/survey-quantity'
import type { SurveyFormValues } from '@/ui/survey/survey-form-values'

const USUAL_FILL = 0.4 // a stone-lined stream is more stone than water

/** Streams and boxes whose water a dose must treat as well. */
export function BesideFields() {
  const t = useTexts()

  const { control } = useFormContext<SurveyFormValues>()
  const streams = useFieldArray({ control, name: 'streams' })
  const boxes = useFieldArray({ control, name: 'boxes' })
  return (
    <details className="mt-1">
      <summary>{t('ponds.besideFields.streamsBoxes')}</summary>
      {streams.fields.map((field, i) => (
        <div key={field.id} className="repeat-row mt-1" style={{ gridTemplateColumns: '1fr 1fr 1fr 1fr 2.4rem' }}>
          <Quantity
            name={`streams.${i}.lengthM`}
            label={t('ponds.besideFields.streamLength', { i: i + 1 })}
            kind="length"
          />
          <Quantity name={`streams.${i}.widthM`} label={t('ponds.besideFields.width')} kind="length" />
          <Quantity name={`streams.${i}.depthM`} label={t('ponds.besideFields.depth')} kind="length" scale="small" />
          <Quantity name={`streams.${i}.fill`} label={t('ponds.besideFields.water')} kind="share" />
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary align-self-center"
            aria-label={t('ponds.besideFields.removeStream', { i: i + 1 })}
            onClick={() => streams.remove(i)}
          >
            ×
          </button>
        </div>
      ))}
      {boxes.fields.map((field, i) => (
        <div key={field.id} className="repeat-row mt-1" style={{ gridTemplateColumns: '1fr 2.4rem' }}>
          <Quantity
            name={`boxes.${i}.volumeM3`}
            label={t('ponds.besideFields.boxHolds', { i: i + 1 })}
            kind="volume"
            scale="small"
          />
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary align-self-center"
            aria-label={t('ponds.besideFields.removeBox', { i: i + 1 })}
            onClick={() => boxes.remove(i)}
          >
            ×
          </button>
        </div>
      ))}
      <div className="d-flex gap-2 mt-1">
        <button
          type="button"
          className="btn btn-sm btn-outline-primary"
          onClick={() => streams.append({ lengthM: null, widthM: null, depthM: null, fill: USUAL_FILL })}
        >
          {t('ponds.besideFields.addStream')}
        </button>
        <button
          type="button"
          className="btn btn-sm btn-outline-primary"
          onClick={() => boxes.append({ volumeM3: null })}
        >
          {t('ponds.besideFields.addSkimmerFilterBox')}
        </button>
      </div>
    </details>
  )
}
