'use client'
import { useTexts } from '@/ui/kit/texts'
import type { FilterDesign } from '@/core/filter/design-input'
import type { Basin } from '@/core/survey/basin'
import { boundsOf } from '@/core/survey/point'
import { NewPatchInput, PATCH_PLACES, type PatchPlace } from '@/domain/plants/plants'
import type { PondInContext } from '@/domain/ponds/pond'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'
import { speciesByName } from '@/messages/plants/species-name'

/**
 * A group that stands here already, or was planted; it is set down in the middle of the plan and dragged to its
 * place.
 */
export function NewPatchForm({ pond, basin, bed }: { pond: PondInContext; basin: Basin; bed: FilterDesign | null }) {
  const t = useTexts()

  const hasBed = bed !== null && bed.type !== 'none'
  const names = speciesByName(t)
  const middle = (place: PatchPlace) => {
    if (place === 'bed' && bed) return { xM: bed.lengthM / 2, yM: (bed.round ? bed.lengthM : bed.widthM) / 2 }
    const { minX, maxX, minY, maxY } = boundsOf(basin.outline)
    return { xM: (minX + maxX) / 2, yM: (minY + maxY) / 2 }
  }
  const { form, field, control, submit, errorOf, problem, saved, sending } = useSchemaForm({
    schema: NewPatchInput,
    values: {
      patch: { species: names[0]!.key, place: (hasBed ? 'bed' : 'pond') as PatchPlace, plantedOn: '' },
      count: null as number | null,
    },
    bodyOf: ({ patch, count }) => ({
      patch: { ...patch, ...middle(patch.place), plantedOn: patch.plantedOn || null },
      count,
    }),
  })
  return (
    <details className="sheet no-print">
      <summary className="btn btn-sm btn-outline-primary">{t('plants.newPatchForm.addGroup')}</summary>
      <form
        className="mt-2"
        noValidate
        onSubmit={submit(
          (body) => send('POST', `/api/v1/ponds/${pond.id}/plants`, body),
          (_, values) => form.reset({ ...values, count: null }),
        )}
      >
        <div className="field-grid roomy">
          <ChoiceField
            label={t('plants.newPatchForm.plant')}
            options={names.map((s) => ({ value: s.key, label: `${s.common} (${s.botanical})` }))}
            {...field('patch.species')}
          />
          {hasBed ? (
            <ChoiceField
              label={t('plants.newPatchForm.where')}
              options={PATCH_PLACES.map((place) => ({ value: place, label: t(`plants.patchPlaceNames.${place}`) }))}
              {...field('patch.place')}
            />
          ) : null}
          <QuantityField label={t('plants.newPatchForm.plants')} kind="number" {...control('count')} />
          <TextField
            label={t('plants.newPatchForm.plantedIfKnown')}
            type="date"
            {...field('patch.plantedOn')}
            error={errorOf('patch.plantedOn') ?? errorOf('plantedOn')}
          />
        </div>
        <ProblemNote problem={problem} />
        <button className="btn btn-sm btn-primary mt-2" disabled={sending}>
          {t('plants.newPatchForm.setDown')}
        </button>{' '}
        <span role="status" className="soft">
          {saved ? t('plants.newPatchForm.setDownMiddlePlan') : ''}
        </span>
      </form>
    </details>
  )
}
