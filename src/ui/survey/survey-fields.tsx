'use client'
import { POND_LININGS } from '@/core/survey/lining'
import { useTexts } from '@/ui/kit/texts'
import { useFieldArray, useFormContext } from 'react-hook-form'
import { MAX_ZONES } from '@/core/survey/basin'
import { FISH_SPECIES_KEYS } from '@/core/fish/species'
import { POND_USES } from '@/core/filter/house-rules'
import { TREE_COVER, WATER_SOURCES } from '@/domain/ponds/pond'
import { ChoiceField } from '@/ui/kit/choice-field'
import { TextField } from '@/ui/kit/text-field'
import { GuestFields } from './guest-fields'
import { BesideFields } from '@/ui/ponds/beside-fields'
import { SetAsideFields } from './set-aside-fields'
import { OutlineFields } from './outline-fields'
import { Quantity } from './survey-quantity'
import type { SurveyFormValues } from './survey-form-values'
import { VolumeTestFields } from './volume-test-fields'

export function SurveyFields() {
  return (
    <>
      <Basics />
      <OutlineFields />
      <ZoneFields />
      <WaterFields />
      <FishFields />
      <GuestFields />
      <Surroundings />
    </>
  )
}

function Basics() {
  const t = useTexts()

  const { register, formState } = useFormContext<SurveyFormValues>()
  return (
    <div className="field-grid">
      <TextField
        label={t('survey.surveyFields.pondName')}
        error={formState.errors.name?.message}
        {...register('name')}
      />
      <ChoiceField
        label={t('survey.surveyFields.what')}
        options={POND_USES.map((use) => ({ value: use, label: t(`ponds.pondUseNames.${use}`) }))}
        {...register('use')}
      />
    </div>
  )
}

function ZoneFields() {
  const t = useTexts()

  const { control, register, formState } = useFormContext<SurveyFormValues>()
  const { fields, append, remove } = useFieldArray({ control, name: 'zones' })
  const columns = '1.3fr 1fr 1fr 1fr 1fr 2.4rem'
  const errors = formState.errors.zones
  return (
    <fieldset>
      <legend>{t('survey.surveyFields.depthZones')}</legend>
      <p className="soft small mb-1">{t('survey.surveyFields.fromTopDownDepths')}</p>
      <div className="repeat-row small soft mb-0" style={{ gridTemplateColumns: columns }}>
        <span>{t('survey.surveyFields.zone')}</span>
        <span>{t('survey.surveyFields.floor')}</span>
        <span>{t('survey.surveyFields.shareSurface')}</span>
        <span>{t('survey.surveyFields.shelfWidth')}</span>
        <span>{t('survey.surveyFields.wallSlope')}</span>
      </div>
      {fields.map((field, i) => (
        <div key={field.id} className="repeat-row" style={{ gridTemplateColumns: columns }}>
          <div>
            <input
              className={`form-control form-control-sm ${errors?.[i]?.name ? 'is-invalid' : ''}`}
              aria-label={t('survey.surveyFields.zoneName', { i: i + 1 })}
              {...register(`zones.${i}.name`)}
            />
            {errors?.[i]?.name ? <div className="field-error">{errors[i].name.message}</div> : null}
          </div>
          <Quantity
            name={`zones.${i}.floorDepthM`}
            label={t('survey.surveyFields.zoneFloorDepth', { i: i + 1 })}
            kind="length"
            hideLabel
          />
          <Quantity
            name={`zones.${i}.surfaceShare`}
            label={t('survey.surveyFields.zoneShareSurface', { i: i + 1 })}
            kind="share"
            hideLabel
            disabled={i === 0}
          />
          <Quantity
            name={`zones.${i}.insetM`}
            label={t('survey.surveyFields.zoneShelfWidthAround', { i: i + 1 })}
            kind="length"
            hideLabel
            optional
            disabled={i === 0}
          />
          <Quantity
            name={`zones.${i}.sideSlope`}
            label={t('survey.surveyFields.zoneWallSlope', { i: i + 1 })}
            kind="number"
            hideLabel
          />
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary"
            aria-label={t('survey.surveyFields.removeZone', { i: i + 1 })}
            disabled={fields.length === 1}
            onClick={() => remove(i)}
          >
            ×
          </button>
        </div>
      ))}
      {fields.length < MAX_ZONES ? (
        <button
          type="button"
          className="btn btn-sm btn-outline-primary"
          onClick={() =>
            append({
              name:
                fields.length === 1
                  ? t('survey.surveyFields.deep')
                  : t('survey.surveyFields.zone2', { count: fields.length + 1 }),
              floorDepthM: null,
              surfaceShare: 0.5,
              insetM: null,
              sideSlope: 0.25,
            })
          }
        >
          {t('survey.surveyFields.addZone')}
        </button>
      ) : null}
      <div className="field-grid mt-2">
        <Quantity name="rockShare" label={t('survey.surveyFields.stoneGravelTake')} kind="share" />
        <Quantity name="meteredFillM3" label={t('survey.surveyFields.meteredFill')} kind="volume" optional />
        <Quantity name="freeboardM" label={t('survey.surveyFields.freeboardRim')} kind="length" scale="small" />
      </div>
      <VolumeTestFields />
      <SetAsideFields />
      <BesideFields />
    </fieldset>
  )
}

function WaterFields() {
  const t = useTexts()

  const { register } = useFormContext<SurveyFormValues>()
  return (
    <fieldset>
      <legend>{t('survey.surveyFields.waterPlace')}</legend>
      <div className="field-grid">
        <ChoiceField
          label={t('survey.surveyFields.filledFrom')}
          options={WATER_SOURCES.map((source) => ({ value: source, label: t(`ponds.waterSourceNames.${source}`) }))}
          {...register('waterSource')}
        />
        <ChoiceField
          label={t('survey.surveyFields.lining')}
          options={POND_LININGS.map((lining) => ({ value: lining, label: t(`ponds.liningNames.${lining}`) }))}
          {...register('lining')}
        />
        <Quantity name="altitudeM" label={t('survey.surveyFields.heightAboveSea')} kind="length" />
        <ChoiceField
          label={t('survey.surveyFields.trees')}
          options={TREE_COVER.map((cover) => ({ value: cover, label: t(`ponds.treeNames.${cover}`) }))}
          {...register('trees')}
        />
        <Quantity
          name="roomTempC"
          label={t('survey.surveyFields.roomTemperature')}
          kind="temperature"
          hint={t('survey.surveyFields.roomTemperatureHint')}
        />
      </div>
    </fieldset>
  )
}

function FishFields() {
  const t = useTexts()

  const { control, register } = useFormContext<SurveyFormValues>()
  const { fields, append, remove } = useFieldArray({ control, name: 'fish' })
  const columns = '1.5fr 1fr 1fr 2.4rem'
  return (
    <fieldset>
      <legend>{t('survey.surveyFields.fish')}</legend>
      {fields.length === 0 ? <p className="soft small mb-1">{t('survey.surveyFields.noneYetCountKind')}</p> : null}
      {fields.map((field, i) => (
        <div key={field.id} className="repeat-row" style={{ gridTemplateColumns: columns }}>
          <ChoiceField
            label={t('survey.surveyFields.fishSpecies', { i: i + 1 })}
            hideLabel
            options={FISH_SPECIES_KEYS.map((value) => ({ value, label: t(`ponds.fishNames.${value}`) }))}
            {...register(`fish.${i}.species`)}
          />
          <Quantity
            name={`fish.${i}.count`}
            label={t('survey.surveyFields.fishCount', { i: i + 1 })}
            kind="number"
            hideLabel
            hint={t('survey.surveyFields.howMany')}
          />
          <Quantity
            name={`fish.${i}.lengthM`}
            label={t('survey.surveyFields.fishLength', { i: i + 1 })}
            kind="length"
            scale="small"
            hideLabel
            hint={t('survey.surveyFields.usualLength')}
          />
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary"
            aria-label={t('survey.surveyFields.removeFish', { i: i + 1 })}
            onClick={() => remove(i)}
          >
            ×
          </button>
        </div>
      ))}
      <button
        type="button"
        className="btn btn-sm btn-outline-primary"
        onClick={() => append({ species: 'goldfish', count: null, lengthM: null })}
      >
        {t('survey.surveyFields.addFish')}
      </button>
    </fieldset>
  )
}

function Surroundings() {
  const t = useTexts()

  const { register, formState } = useFormContext<SurveyFormValues>()
  return (
    <fieldset>
      <legend>{t('survey.surveyFields.notes')}</legend>
      <textarea
        className="form-control form-control-sm"
        rows={2}
        aria-label={t('survey.surveyFields.notes')}
        {...register('notes')}
      />
      {formState.errors.notes ? <div className="field-error">{formState.errors.notes.message}</div> : null}
    </fieldset>
  )
}
