'use client'
import { useState } from 'react'
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form'
import { outlineFromGeoJson, type GeoJsonProblem } from '@/core/survey/geojson'
import { ChoiceField, optionsOf } from '@/ui/kit/choice-field'
import { FileButton } from '@/ui/kit/file-button'
import { Quantity } from './survey-quantity'
import type { SurveyFormValues } from './survey-form-values'

const OUTLINE_NAMES = {
  rectangle: 'Rectangle',
  ellipse: 'Circle or ellipse',
  kidney: 'Kidney',
  offsets: 'Baseline and offsets',
  points: 'Corner points, or a GeoJSON file',
} as const

/** The waterline, measured in one of five ways. */
export function OutlineFields() {
  const { register, formState } = useFormContext<SurveyFormValues>()
  const kind = useWatch<SurveyFormValues, 'outlineKind'>({ name: 'outlineKind' })
  return (
    <fieldset>
      <legend>Waterline</legend>
      <ChoiceField
        label="Measured as"
        className="mb-2"
        options={optionsOf(OUTLINE_NAMES)}
        error={formState.errors.outlineKind?.message}
        {...register('outlineKind')}
      />
      {kind === 'offsets' ? (
        <OffsetTable />
      ) : kind === 'points' ? (
        <CornerTable />
      ) : (
        <div className="field-grid">
          <Quantity name="lengthM" label="Length" kind="length" />
          <Quantity name="widthM" label="Width" kind="length" />
          {kind === 'kidney' ? <Quantity name="waistM" label="Width at the waist" kind="length" /> : null}
        </div>
      )}
    </fieldset>
  )
}

function OffsetTable() {
  const { control, formState } = useFormContext<SurveyFormValues>()
  const { fields, append, remove } = useFieldArray({ control, name: 'offsets' as never })
  const listError = (formState.errors.offsets as { message?: string; root?: { message?: string } } | undefined)?.message
  return (
    <>
      <p className="soft small mb-1">Lay a tape down the long axis. At each station measure left and right to the water’s edge.</p>
      <div className="repeat-row small soft mb-0" style={{ gridTemplateColumns: '1fr 1fr 1fr 2.4rem' }}>
        <span>Along the tape</span>
        <span>Left</span>
        <span>Right</span>
      </div>
      {fields.map((field, i) => (
        <div key={field.id} className="repeat-row" style={{ gridTemplateColumns: '1fr 1fr 1fr 2.4rem' }}>
          <Quantity name={`offsets.${i}.stationM`} label={`Station ${i + 1} along the tape`} kind="length" hideLabel />
          <Quantity name={`offsets.${i}.leftM`} label={`Station ${i + 1} left`} kind="length" hideLabel />
          <Quantity name={`offsets.${i}.rightM`} label={`Station ${i + 1} right`} kind="length" hideLabel />
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary"
            aria-label={`Remove station ${i + 1}`}
            disabled={fields.length <= 3}
            onClick={() => remove(i)}
          >
            ×
          </button>
        </div>
      ))}
      {listError ? <div className="field-error">{listError}</div> : null}
      <button type="button" className="btn btn-sm btn-outline-primary" onClick={() => append({ stationM: null, leftM: null, rightM: null } as never)}>
        Add a station
      </button>
    </>
  )
}

const GEOJSON_WORDS: Readonly<Record<GeoJsonProblem, string>> = {
  'not-json': 'That file is not JSON.',
  'no-polygon': 'There is no polygon with an area in that file.',
  'bad-position': 'A corner in that file is not a pair of numbers.',
  'not-degrees': 'The corners are not longitude and latitude in degrees, as GeoJSON has them.',
  'too-large': 'That polygon is more than a kilometre across: it cannot be a pond.',
  'too-many-corners': 'That polygon has more corners than can be kept. Simplify it first.',
}

function CornerTable() {
  const { control, formState, setValue } = useFormContext<SurveyFormValues>()
  const { fields, append, remove } = useFieldArray({ control, name: 'points' as never })
  const [fileNote, setFileNote] = useState('')
  const listError = (formState.errors.points as { message?: string; root?: { message?: string } } | undefined)?.message
  const open = (text: string, name: string) => {
    const read = outlineFromGeoJson(text)
    if (!read.ok) return setFileNote(`${name}: ${GEOJSON_WORDS[read.problem]}`)
    setValue('points', read.value.map((p) => ({ xM: Number(p.xM.toFixed(3)), yM: Number(p.yM.toFixed(3)) })) as never)
    setFileNote(`${name}: ${read.value.length} corners.`)
  }
  return (
    <>
      <p className="soft small mb-1">Corners in order around the pond, along and across from any fixed point. Drag them on the plan, or type.</p>
      <div className="corner-list">
        {fields.map((field, i) => (
          <div key={field.id} className="repeat-row" style={{ gridTemplateColumns: '1fr 1fr 2.4rem' }}>
            <Quantity name={`points.${i}.xM`} label={`Corner ${i + 1} along`} kind="length" hideLabel />
            <Quantity name={`points.${i}.yM`} label={`Corner ${i + 1} across`} kind="length" hideLabel />
            <button
              type="button"
              className="btn btn-sm btn-outline-secondary"
              aria-label={`Remove corner ${i + 1}`}
              disabled={fields.length <= 3}
              onClick={() => remove(i)}
            >
              ×
            </button>
          </div>
        ))}
      </div>
      {listError ? <div className="field-error">{listError}</div> : null}
      <div className="d-flex gap-2 align-items-center">
        <button type="button" className="btn btn-sm btn-outline-primary" onClick={() => append({ xM: null, yM: null } as never)}>
          Add a corner
        </button>
        <FileButton label="Open a GeoJSON file" accept=".geojson,.json" onText={open} />
      </div>
      <p role="status" className="soft small mb-0">
        {fileNote}
      </p>
    </>
  )
}
