'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { PLANT_CONDITIONS, type PlantCondition } from '@/core/plants/care-rules'
import { PATCH_PLACES, PLANT_ACTIONS, type PatchPlace, type PlantAction } from '@/domain/plants/plants'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import type { VisitView } from '@/ui/field/device/device-view'
import { useField } from '@/ui/field/field-context'
import { Fold } from '@/ui/field/fold'
import { plantsAtHand } from './plants-at-hand'
import { speciesByName, speciesName } from '@/messages/plants/species-name'

const NEW_GROUP = ''
const AS_BEFORE = ''
const MAX_PLANTS = 2000
const wrong = (value: number | null): boolean =>
  value !== null && (!Number.isInteger(value) || value < 0 || value > MAX_PLANTS)

/** A group of plants: how it looks, what was done, how many stand there, and the rooted pieces that come along. */
export function PlantForm({ view }: { view: VisitView }) {
  const t = useTexts()

  const { log, person } = useField()
  const patches = plantsAtHand(view, person.timeZone)
  const [which, setWhich] = useState<string>(patches[0]?.id ?? NEW_GROUP)
  const [species, setSpecies] = useState<string>(speciesByName(t)[0]!.key)
  const [place, setPlace] = useState<PatchPlace>('bed')
  const [action, setAction] = useState<PlantAction>('look')
  const [condition, setCondition] = useState<string>(AS_BEFORE)
  const [count, setCount] = useState<number | null>(null)
  const [kept, setKept] = useState<number | null>(null)
  const [note, setNote] = useState('')
  const known = patches.find((p) => p.id === which)
  const said = view.log.flatMap((e) => (e.kind === 'plant' ? [e] : []))
  const lacksCount = (!known || action === 'planted') && !(count !== null && count > 0)
  const keep = async () => {
    await log(view.visit.id, {
      kind: 'plant',
      patchId: known?.id ?? null,
      place: known?.place ?? place,
      species: known?.species ?? species,
      action,
      condition: condition === AS_BEFORE ? null : (condition as PlantCondition),
      count,
      kept: kept ?? 0,
      note,
    })
    setCount(null)
    setKept(null)
    setNote('')
    setCondition(AS_BEFORE)
  }
  return (
    <Fold title={t('field.plantForm.plantsHowTheyLook')}>
      <ChoiceField
        label={t('field.plantForm.whichGroup')}
        value={which}
        onChange={(e) => setWhich(e.target.value)}
        options={[
          ...patches.map((p) => ({
            value: p.id,
            label: `${p.count} ${speciesName(p.species, t)}, ${t(`plants.patchPlaceNames.${p.place}`).toLowerCase()}: ${p.stored ? t('field.plantForm.stored') : t(`plants.plantConditionNames.${p.condition}`).toLowerCase()}`,
          })),
          { value: NEW_GROUP, label: t('field.plantForm.groupNotWrittenDown') },
        ]}
      />
      {known ? null : (
        <>
          <ChoiceField
            label={t('field.plantForm.plant')}
            value={species}
            onChange={(e) => setSpecies(e.target.value)}
            options={speciesByName(t).map((s) => ({ value: s.key, label: `${s.common} (${s.botanical})` }))}
          />
          <ChoiceField
            label={t('field.plantForm.whereGrows')}
            value={place}
            onChange={(e) => setPlace(e.target.value as PatchPlace)}
            options={PATCH_PLACES.map((p) => ({ value: p, label: t(`plants.patchPlaceNames.${p}`) }))}
          />
        </>
      )}
      <ChoiceField
        label={t('field.plantForm.whatDone')}
        value={action}
        onChange={(e) => setAction(e.target.value as PlantAction)}
        options={PLANT_ACTIONS.map((a) => ({ value: a, label: t(`plants.plantActionNames.${a}`) }))}
      />
      <ChoiceField
        label={t('field.plantForm.howLooks')}
        value={condition}
        onChange={(e) => setCondition(e.target.value)}
        options={[
          { value: AS_BEFORE, label: t('field.plantForm.before') },
          ...PLANT_CONDITIONS.map((c) => ({ value: c, label: t(`plants.plantConditionNames.${c}`) })),
        ]}
      />
      <QuantityField
        large
        label={action === 'planted' ? t('field.plantForm.plantsSet') : t('field.plantForm.plantsStandHereNow')}
        kind="number"
        optional={known !== undefined && action !== 'planted'}
        value={count}
        onChange={setCount}
        error={wrong(count) ? t('field.plantForm.wholePlants02000') : undefined}
      />
      <QuantityField
        large
        label={t('field.plantForm.rootedPiecesKept')}
        kind="number"
        optional
        value={kept}
        onChange={setKept}
        error={wrong(kept) ? t('field.plantForm.wholePieces02000') : undefined}
      />
      <TextField
        label={action === 'lift' ? t('field.plantForm.whereStored') : t('field.plantForm.words')}
        value={note}
        maxLength={160}
        onChange={(e) => setNote(e.target.value)}
      />
      <p className="soft small mb-1">{t('field.plantForm.rootedPiecesGoHolding')}</p>
      <button
        className="btn btn-outline-primary w-100 my-2"
        disabled={lacksCount || wrong(count) || wrong(kept)}
        onClick={() => void keep()}
      >
        {t('field.plantForm.keep')}
      </button>
      <ul className="plain-list" aria-label={t('field.plantForm.saidPlants')}>
        {said.map((e) => (
          <li key={e.id}>
            {speciesName(e.species, t)}: {t(`plants.plantDoneNames.${e.action}`).toLowerCase()}
            {e.condition ? `, ${t(`plants.plantConditionNames.${e.condition}`).toLowerCase()}` : ''}
            {e.count !== null ? t('field.plantForm.plants', { count: e.count }) : ''}
            {e.kept > 0 ? t('field.plantForm.piecesKept', { kept: e.kept }) : ''}
          </li>
        ))}
      </ul>
    </Fold>
  )
}
