'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import type { FilterDesign } from '@/core/filter/design-input'
import type { Basin } from '@/core/survey/basin'
import { boundsOf } from '@/core/survey/point'
import { PATCH_PLACES, SPECIES_BY_NAME, type PatchPlace } from '@/domain/plants/plants'
import type { PondInContext } from '@/domain/ponds/pond'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { useSave } from '@/ui/use-save'

const SPECIES_OPTIONS = SPECIES_BY_NAME.map((s) => ({ value: s.key, label: `${s.common} (${s.botanical})` }))

/**
 * A group that stands here already, or was planted; it is set down in the middle of the plan and dragged to its
 * place.
 */
export function NewPatchForm({ pond, basin, bed }: { pond: PondInContext; basin: Basin; bed: FilterDesign | null }) {
  const t = useTexts()

  const { problem, errorOf, save, saved } = useSave()
  const hasBed = bed !== null && bed.type !== 'none'
  const [species, setSpecies] = useState(SPECIES_OPTIONS[0]!.value)
  const [place, setPlace] = useState<PatchPlace>(hasBed ? 'bed' : 'pond')
  const [count, setCount] = useState<number | null>(null)
  const [plantedOn, setPlantedOn] = useState('')
  const middle = () => {
    if (place === 'bed' && bed) return { xM: bed.lengthM / 2, yM: (bed.round ? bed.lengthM : bed.widthM) / 2 }
    const { minX, maxX, minY, maxY } = boundsOf(basin.outline)
    return { xM: (minX + maxX) / 2, yM: (minY + maxY) / 2 }
  }
  const add = async () => {
    const kept = await save('POST', `/api/v1/ponds/${pond.id}/plants`, {
      patch: { place, species, ...middle(), plantedOn: plantedOn || null },
      count,
    })
    if (kept) setCount(null)
  }
  return (
    <details className="sheet no-print">
      <summary className="btn btn-sm btn-outline-primary">{t('plants.newPatchForm.addGroup')}</summary>
      <form
        className="mt-2"
        onSubmit={(e) => {
          e.preventDefault()
          void add()
        }}
      >
        <div className="field-grid roomy">
          <ChoiceField
            label={t('plants.newPatchForm.plant')}
            value={species}
            onChange={(e) => setSpecies(e.target.value)}
            options={SPECIES_OPTIONS}
            error={errorOf('patch.species')}
          />
          {hasBed ? (
            <ChoiceField
              label={t('plants.newPatchForm.where')}
              value={place}
              onChange={(e) => setPlace(e.target.value as PatchPlace)}
              options={PATCH_PLACES.map((place) => ({ value: place, label: t(`plants.patchPlaceNames.${place}`) }))}
            />
          ) : null}
          <QuantityField
            label={t('plants.newPatchForm.plants')}
            kind="number"
            value={count}
            onChange={setCount}
            error={errorOf('count')}
          />
          <TextField
            label={t('plants.newPatchForm.plantedIfKnown')}
            type="date"
            value={plantedOn}
            onChange={(e) => setPlantedOn(e.target.value)}
            error={errorOf('patch.plantedOn') ?? errorOf('plantedOn')}
          />
        </div>
        <ProblemNote problem={problem} />
        <button className="btn btn-sm btn-primary mt-2">{t('plants.newPatchForm.setDown')}</button>{' '}
        <span role="status" className="soft">
          {saved ? t('plants.newPatchForm.setDownMiddlePlan') : ''}
        </span>
      </form>
    </details>
  )
}
