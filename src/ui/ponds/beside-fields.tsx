'use client'
import { useFieldArray, useFormContext } from 'react-hook-form'
import { Quantity } from '@/ui/survey/survey-quantity'
import type { SurveyFormValues } from '@/ui/survey/survey-form-values'

const USUAL_FILL = 0.4 // a stone-lined stream is more stone than water

/** Streams and boxes whose water a dose must treat as well. */
export function BesideFields() {
  const { control } = useFormContext<SurveyFormValues>()
  const streams = useFieldArray({ control, name: 'streams' as never })
  const boxes = useFieldArray({ control, name: 'boxes' as never })
  return (
    <details className="mt-1">
      <summary>Streams and boxes</summary>
      {streams.fields.map((field, i) => (
        <div key={field.id} className="repeat-row mt-1" style={{ gridTemplateColumns: '1fr 1fr 1fr 1fr 2.4rem' }}>
          <Quantity name={`streams.${i}.lengthM`} label={`Stream ${i + 1} length`} kind="length" />
          <Quantity name={`streams.${i}.widthM`} label="Width" kind="length" />
          <Quantity name={`streams.${i}.depthM`} label="Depth" kind="length" scale="small" />
          <Quantity name={`streams.${i}.fill`} label="Water in it" kind="share" />
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary align-self-center"
            aria-label={`Remove stream ${i + 1}`}
            onClick={() => streams.remove(i)}
          >
            ×
          </button>
        </div>
      ))}
      {boxes.fields.map((field, i) => (
        <div key={field.id} className="repeat-row mt-1" style={{ gridTemplateColumns: '1fr 2.4rem' }}>
          <Quantity name={`boxes.${i}.volumeM3`} label={`Box ${i + 1} holds`} kind="volume" scale="small" />
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary align-self-center"
            aria-label={`Remove box ${i + 1}`}
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
          onClick={() => streams.append({ lengthM: null, widthM: null, depthM: null, fill: USUAL_FILL } as never)}
        >
          Add a stream
        </button>
        <button type="button" className="btn btn-sm btn-outline-primary" onClick={() => boxes.append({ volumeM3: null } as never)}>
          Add a skimmer or filter box
        </button>
      </div>
    </details>
  )
}
