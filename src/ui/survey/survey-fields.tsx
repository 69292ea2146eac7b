'use client'
import { useFieldArray, useFormContext } from 'react-hook-form'
import { MOST_ZONES } from '@/core/survey/basin'
import { FISH_SPECIES } from '@/core/fish/species'
import { POND_USE_NAMES, TREE_NAMES, WATER_SOURCE_NAMES } from '@/domain/ponds/pond'
import { ChoiceField, optionsOf } from '@/ui/kit/choice-field'
import { TextField } from '@/ui/kit/text-field'
import { BesideFields } from '@/ui/ponds/beside-fields'
import { OutlineFields } from './outline-fields'
import { Quantity } from './survey-quantity'
import type { SurveyFormValues } from './survey-form-values'

export function SurveyFields() {
  return (
    <>
      <Basics />
      <OutlineFields />
      <ZoneFields />
      <WaterFields />
      <FishFields />
      <Surroundings />
    </>
  )
}

function Basics() {
  const { register, formState } = useFormContext<SurveyFormValues>()
  return (
    <div className="field-grid">
      <TextField label="Pond name" error={formState.errors.name?.message} {...register('name')} />
      <ChoiceField label="What it is for" options={optionsOf(POND_USE_NAMES)} {...register('use')} />
    </div>
  )
}

function ZoneFields() {
  const { control, register, formState } = useFormContext<SurveyFormValues>()
  const { fields, append, remove } = useFieldArray({ control, name: 'zones' as never })
  const columns = '1.3fr 1fr 1fr 1fr 1fr 2.4rem'
  const errors = formState.errors.zones as unknown as { name?: { message?: string } }[] | undefined
  return (
    <fieldset>
      <legend>Depth zones</legend>
      <p className="soft small mb-1">
        From the top down, depths from the waterline. A zone begins at a share of the surface, or inside a shelf of one width all round, which goes before the
        share. Slope is run per rise: 0 is a vertical wall.
      </p>
      <div className="repeat-row small soft mb-0" style={{ gridTemplateColumns: columns }}>
        <span>Zone</span>
        <span>Floor at</span>
        <span>Share of surface</span>
        <span>or shelf width</span>
        <span>Wall slope</span>
      </div>
      {fields.map((field, i) => (
        <div key={field.id} className="repeat-row" style={{ gridTemplateColumns: columns }}>
          <div>
            <input
              className={`form-control form-control-sm ${errors?.[i]?.name ? 'is-invalid' : ''}`}
              aria-label={`Zone ${i + 1} name`}
              {...register(`zones.${i}.name` as never)}
            />
            {errors?.[i]?.name ? <div className="field-error">{errors[i].name.message}</div> : null}
          </div>
          <Quantity name={`zones.${i}.floorDepthM`} label={`Zone ${i + 1} floor depth`} kind="length" hideLabel />
          <Quantity name={`zones.${i}.surfaceShare`} label={`Zone ${i + 1} share of the surface`} kind="share" hideLabel disabled={i === 0} />
          <Quantity name={`zones.${i}.insetM`} label={`Zone ${i + 1} shelf width around it`} kind="length" hideLabel optional disabled={i === 0} />
          <Quantity name={`zones.${i}.sideSlope`} label={`Zone ${i + 1} wall slope`} kind="number" hideLabel />
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary"
            aria-label={`Remove zone ${i + 1}`}
            disabled={fields.length === 1}
            onClick={() => remove(i)}
          >
            ×
          </button>
        </div>
      ))}
      {fields.length < MOST_ZONES ? (
        <button
          type="button"
          className="btn btn-sm btn-outline-primary"
          onClick={() =>
            append({
              name: fields.length === 1 ? 'Deep' : `Zone ${fields.length + 1}`,
              floorDepthM: null,
              surfaceShare: 0.5,
              insetM: null,
              sideSlope: 0.25,
            } as never)
          }
        >
          Add a zone
        </button>
      ) : null}
      <div className="field-grid mt-2">
        <Quantity name="rockShare" label="Stone and gravel take" kind="share" />
        <Quantity name="meteredFillM3" label="Metered fill" kind="volume" optional />
        <Quantity name="freeboardM" label="Freeboard to the rim" kind="length" scale="small" />
      </div>
      <details className="mt-1">
        <summary>Other ways to the volume</summary>
        <div className="field-grid mt-1">
          <Quantity name="timedFill.containerM3" label="Timed fill: container" kind="volume" scale="small" optional />
          <Quantity name="timedFill.seconds" label="Seconds to fill it" kind="number" optional />
          <Quantity name="timedFill.minutes" label="Time to fill the pond" kind="time" optional />
          <Quantity name="salt.saltKg" label="Salt dilution: salt" kind="mass" optional />
          <Quantity name="salt.rise" label="Rise of salinity" kind="share" optional hint="0.1 % = 1 g/L; 2 mS/cm per g/L" />
          <Quantity name="drainDown.flowM3PerH" label="Drain-down: pump flow" kind="flow" optional />
          <Quantity name="drainDown.minutes" label="Time to empty" kind="time" optional />
        </div>
      </details>
      <BesideFields />
    </fieldset>
  )
}

function WaterFields() {
  const { register } = useFormContext<SurveyFormValues>()
  return (
    <fieldset>
      <legend>Water and place</legend>
      <div className="field-grid">
        <ChoiceField label="Filled from" options={optionsOf(WATER_SOURCE_NAMES)} {...register('waterSource')} />
        <Quantity name="altitudeM" label="Height above sea" kind="length" />
        <ChoiceField label="Trees" options={optionsOf(TREE_NAMES)} {...register('trees')} />
      </div>
    </fieldset>
  )
}

function FishFields() {
  const { control, register } = useFormContext<SurveyFormValues>()
  const { fields, append, remove } = useFieldArray({ control, name: 'fish' as never })
  const columns = '1.5fr 1fr 1fr 2.4rem'
  return (
    <fieldset>
      <legend>Fish</legend>
      {fields.length === 0 ? (
        <p className="soft small mb-1">None yet. Count by kind and usual length; the filter is sized for what they will grow to.</p>
      ) : null}
      {fields.map((field, i) => (
        <div key={field.id} className="repeat-row" style={{ gridTemplateColumns: columns }}>
          <ChoiceField
            label={`Fish ${i + 1} species`}
            hideLabel
            options={Object.entries(FISH_SPECIES).map(([value, s]) => ({ value, label: s.name }))}
            {...register(`fish.${i}.species` as never)}
          />
          <Quantity name={`fish.${i}.count`} label={`Fish ${i + 1} count`} kind="number" hideLabel hint="how many" />
          <Quantity name={`fish.${i}.lengthM`} label={`Fish ${i + 1} length`} kind="length" scale="small" hideLabel hint="usual length" />
          <button type="button" className="btn btn-sm btn-outline-secondary" aria-label={`Remove fish ${i + 1}`} onClick={() => remove(i)}>
            ×
          </button>
        </div>
      ))}
      <button type="button" className="btn btn-sm btn-outline-primary" onClick={() => append({ species: 'goldfish', count: null, lengthM: null } as never)}>
        Add fish
      </button>
    </fieldset>
  )
}

function Surroundings() {
  const { register, formState } = useFormContext<SurveyFormValues>()
  return (
    <fieldset>
      <legend>Notes</legend>
      <textarea className="form-control form-control-sm" rows={2} aria-label="Notes" {...register('notes')} />
      {formState.errors.notes ? <div className="field-error">{formState.errors.notes.message}</div> : null}
    </fieldset>
  )
}
