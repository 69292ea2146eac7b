'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form'
import { outlineFromGeoJson, type GeoJsonProblem } from '@/core/survey/geojson'
import { ChoiceField, optionsOf } from '@/ui/kit/choice-field'
import { FileButton } from '@/ui/kit/file-button'
import { Quantity } from './survey-quantity'
import type { SurveyFormValues } from './survey-form-values'

const OUTLINE_NAMES = {
  rectangle: textId('survey.outlineFields.rectangle'),
  ellipse: textId('survey.outlineFields.circleEllipse'),
  kidney: textId('survey.outlineFields.kidney'),
  offsets: textId('survey.outlineFields.baselineOffsets'),
  points: textId('survey.outlineFields.cornerPointsGeojsonFile'),
} as const

/** The waterline, measured in one of five ways. */
export function OutlineFields() {
  const t = useTexts()

  const { register, formState } = useFormContext<SurveyFormValues>()
  const kind = useWatch<SurveyFormValues, 'outlineKind'>({ name: 'outlineKind' })
  const fields = () => {
    if (kind === 'offsets') return <OffsetTable />
    if (kind === 'points') return <CornerTable />
    return (
      <div className="field-grid">
        <Quantity name="lengthM" label={t('survey.outlineFields.length')} kind="length" />
        <Quantity name="widthM" label={t('survey.outlineFields.width')} kind="length" />
        {kind === 'kidney' ? (
          <Quantity name="waistM" label={t('survey.outlineFields.widthWaist')} kind="length" />
        ) : null}
      </div>
    )
  }
  return (
    <fieldset>
      <legend>{t('survey.outlineFields.waterline')}</legend>
      <ChoiceField
        label={t('survey.outlineFields.measured')}
        className="mb-2"
        options={optionsOf(OUTLINE_NAMES, t)}
        error={formState.errors.outlineKind?.message}
        {...register('outlineKind')}
      />
      {fields()}
    </fieldset>
  )
}

function OffsetTable() {
  const t = useTexts()

  const { control, formState } = useFormContext<SurveyFormValues>()
  const { fields, append, remove } = useFieldArray({ control, name: 'offsets' })
  const listError = (formState.errors.offsets as { message?: string; root?: { message?: string } } | undefined)?.message
  return (
    <>
      <p className="soft small mb-1">{t('survey.outlineFields.layTapeDownLong')}</p>
      <div className="repeat-row small soft mb-0" style={{ gridTemplateColumns: '1fr 1fr 1fr 2.4rem' }}>
        <span>{t('survey.outlineFields.alongTape')}</span>
        <span>{t('survey.outlineFields.left')}</span>
        <span>{t('survey.outlineFields.right')}</span>
      </div>
      {fields.map((field, i) => (
        <div key={field.id} className="repeat-row" style={{ gridTemplateColumns: '1fr 1fr 1fr 2.4rem' }}>
          <Quantity
            name={`offsets.${i}.stationM`}
            label={t('survey.outlineFields.stationAlongTape', { i: i + 1 })}
            kind="length"
            hideLabel
          />
          <Quantity
            name={`offsets.${i}.leftM`}
            label={t('survey.outlineFields.stationLeft', { i: i + 1 })}
            kind="length"
            hideLabel
          />
          <Quantity
            name={`offsets.${i}.rightM`}
            label={t('survey.outlineFields.stationRight', { i: i + 1 })}
            kind="length"
            hideLabel
          />
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary"
            aria-label={t('survey.outlineFields.removeStation', { i: i + 1 })}
            disabled={fields.length <= 3}
            onClick={() => remove(i)}
          >
            ×
          </button>
        </div>
      ))}
      {listError ? <div className="field-error">{listError}</div> : null}
      <button
        type="button"
        className="btn btn-sm btn-outline-primary"
        onClick={() => append({ stationM: null, leftM: null, rightM: null })}
      >
        {t('survey.outlineFields.addStation')}
      </button>
    </>
  )
}

const GEOJSON_WORDS: Readonly<Record<GeoJsonProblem, TextId>> = {
  'not-json': textId('survey.outlineFields.fileNotJson'),
  'no-polygon': textId('survey.outlineFields.thereNoPolygonArea'),
  'bad-position': textId('survey.outlineFields.cornerFileNotPair'),
  'not-degrees': textId('survey.outlineFields.cornersNotLongitudeLatitude'),
  'too-large': textId('survey.outlineFields.polygonMoreThanKilometre'),
  'too-many-corners': textId('survey.outlineFields.polygonHasMoreCorners'),
}

function CornerTable() {
  const t = useTexts()

  const { control, formState, setValue } = useFormContext<SurveyFormValues>()
  const { fields, append, remove } = useFieldArray({ control, name: 'points' })
  const [fileNote, setFileNote] = useState('')
  const listError = (formState.errors.points as { message?: string; root?: { message?: string } } | undefined)?.message
  const open = (text: string, name: string) => {
    const read = outlineFromGeoJson(text)
    if (!read.ok) return setFileNote(`${name}: ${t(GEOJSON_WORDS[read.problem])}`)
    setValue(
      'points',
      read.value.map((p) => ({ xM: Number(p.xM.toFixed(3)), yM: Number(p.yM.toFixed(3)) })),
    )
    setFileNote(t('survey.outlineFields.corners', { name, count: read.value.length }))
  }
  return (
    <>
      <p className="soft small mb-1">{t('survey.outlineFields.cornersOrderAroundPond')}</p>
      <div className="corner-list">
        {fields.map((field, i) => (
          <div key={field.id} className="repeat-row" style={{ gridTemplateColumns: '1fr 1fr 2.4rem' }}>
            <Quantity
              name={`points.${i}.xM`}
              label={t('survey.outlineFields.cornerAlong', { i: i + 1 })}
              kind="length"
              hideLabel
            />
            <Quantity
              name={`points.${i}.yM`}
              label={t('survey.outlineFields.cornerAcross', { i: i + 1 })}
              kind="length"
              hideLabel
            />
            <button
              type="button"
              className="btn btn-sm btn-outline-secondary"
              aria-label={t('survey.outlineFields.removeCorner', { i: i + 1 })}
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
        <button type="button" className="btn btn-sm btn-outline-primary" onClick={() => append({ xM: null, yM: null })}>
          {t('survey.outlineFields.addCorner')}
        </button>
        <FileButton label={t('survey.outlineFields.openGeojsonFile')} accept=".geojson,.json" onText={open} />
      </div>
      <p role="status" className="soft small mb-0">
        {fileNote}
      </p>
    </>
  )
}
