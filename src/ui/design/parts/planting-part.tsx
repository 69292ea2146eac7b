'use client'
import { useTexts } from '@/ui/kit/texts'
import { useMemo, useState } from 'react'
import { firstPlanting, plantsFor } from '@/core/plants/planting'
import { hardinessZone, PLANT_ROLES, PLANT_SPECIES, plantSpecies } from '@/core/plants/species'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { PlantingPlan } from '@/ui/drawing/planting-plan'
import { useShow } from '@/ui/person-context'
import { type DesignPart } from '@/ui/design/use-design'
import { orNaN } from '@/ui/or-nan'
import { speciesByName, speciesName } from '@/messages/plants/species-name'

const MAX_LISTED = 12

/** The planting plan: patches on the bed's plan, the species library, and what they draw. */
export function PlantingPart({ bed, shown, set, errorOf }: DesignPart) {
  const t = useTexts()

  const show = useShow()
  const [picked, setPicked] = useState<number | null>(null)
  const { planting } = shown.result
  const size = { lengthM: shown.bed.lengthM, widthM: shown.bed.round ? shown.bed.lengthM : shown.bed.widthM }
  const move = (index: number, xM: number, yM: number) =>
    set(
      {
        planting: bed.planting.map((p, i) =>
          i === index ? { ...p, xM: Number(xM.toFixed(2)), yM: Number(yM.toFixed(2)) } : p,
        ),
      },
      `plant${index}`,
    )
  const add = (key: string) => {
    const species = plantSpecies(key)!
    set({
      planting: [
        ...bed.planting,
        {
          species: key,
          count: plantsFor(species, (size.lengthM * size.widthM) / 6),
          xM: Number((size.lengthM / 2).toFixed(2)),
          yM: Number((size.widthM / 2).toFixed(2)),
        },
      ],
    })
    setPicked(bed.planting.length)
  }
  return (
    <>
      <section className="sheet">
        <h2>{t('design.plantingPart.plantingPlan')}</h2>
        <p className="soft">
          {t('design.plantingPart.plantsCoverSecondYear', {
            plants: planting.plants,
            coverShare: show(planting.coverShare, 'share'),
            nitrogenGPerD: show(planting.nitrogenGPerD / 1000, 'mass', { scale: 'small' }),
            phosphorusGPerD: show(planting.phosphorusGPerD / 1000, 'mass', { scale: 'small' }),
          })}
        </p>
        {bed.type === 'none' ? null : <PlantingPlan bed={shown.bed} picked={picked} onPick={setPicked} onMove={move} />}
        <div className="plant-rows">
          {bed.planting.map((patch, i) => {
            const species = plantSpecies(patch.species)
            const findings = planting.findings.filter((f) => f.patch === i)
            return (
              <div key={i} className={`plant-row ${picked === i ? 'picked' : ''}`} onFocus={() => setPicked(i)}>
                <span>
                  <strong>{speciesName(patch.species, t)}</strong> <em className="soft small">{species?.botanical}</em>
                  <span className="d-block soft small">
                    {findings.map((f) => t(`design.plantingWords.${f.problem}`)).join('; ')}
                  </span>
                </span>
                <QuantityField
                  label={t('design.plantingPart.number', { common: speciesName(patch.species, t) })}
                  hideLabel
                  kind="number"
                  value={patch.count}
                  onChange={(v) =>
                    set(
                      { planting: bed.planting.map((p, n) => (n === i ? { ...p, count: orNaN(v) } : p)) },
                      `count${i}`,
                    )
                  }
                  error={errorOf(`planting.${i}.count`)}
                />
                <button
                  type="button"
                  className="btn btn-sm btn-outline-secondary"
                  aria-label={t('design.plantingPart.remove', { common: speciesName(patch.species, t) })}
                  onClick={() => {
                    set({ planting: bed.planting.filter((_, n) => n !== i) })
                    setPicked(null)
                  }}
                >
                  ×
                </button>
              </div>
            )
          })}
        </div>
        <button
          type="button"
          className="btn btn-sm btn-outline-primary"
          onClick={() => set({ planting: firstPlanting(size.lengthM, size.widthM) })}
        >
          {t('design.plantingPart.plantUsualMix')}
        </button>
      </section>
      <Library onAdd={add} />
    </>
  )
}

/** The species library with a search and a role; figures of one species at a glance. */
function Library({ onAdd }: { onAdd: (key: string) => void }) {
  const t = useTexts()

  const show = useShow()
  const [text, setText] = useState('')
  const [role, setRole] = useState('')
  const found = useMemo(
    () =>
      speciesByName(t).filter(
        (s) =>
          (role === '' || s.role === role) &&
          `${s.common} ${s.botanical}`.toLowerCase().includes(text.trim().toLowerCase()),
      ),
    [text, role, t],
  )
  return (
    <section className="sheet">
      <h2>{t('design.plantingPart.librarySpecies', { count: PLANT_SPECIES.length })}</h2>
      <div className="field-grid mb-2">
        <TextField label={t('design.plantingPart.findPlant')} value={text} onChange={(e) => setText(e.target.value)} />
        <ChoiceField
          label={t('design.plantingPart.role')}
          value={role}
          onChange={(e) => setRole(e.target.value)}
          options={[
            { value: '', label: t('design.plantingPart.any') },
            ...PLANT_ROLES.map((r) => ({ value: r, label: t(`design.roleOfPlant.${r}`) })),
          ]}
        />
      </div>
      <div className="table-responsive" tabIndex={0} role="region" aria-label={t('design.plantingPart.species')}>
        <table className="table table-sm align-middle mb-1">
          <thead>
            <tr>
              <th>{t('design.plantingPart.plant')}</th>
              <th>{t('design.plantingPart.role')}</th>
              <th className="text-end">{t('design.plantingPart.waterOverCrown')}</th>
              <th className="text-end">{t('design.plantingPart.height')}</th>
              <th className="text-end">{t('design.plantingPart.spread')}</th>
              <th className="text-end">{t('design.plantingPart.zone')}</th>
              <th>{t('design.plantingPart.spreads')}</th>
              <th className="text-end">{t('design.plantingPart.nDay')}</th>
              <th>
                <span className="visually-hidden">{t('design.plantingPart.add')}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {found.slice(0, MAX_LISTED).map((s) => (
              <tr key={s.key}>
                <th scope="row" className="fw-normal">
                  {s.common} <em className="soft small">{s.botanical}</em>
                  {s.regulatedSomewhere ? (
                    <span className="verdict look ms-1">{t('design.plantingPart.checkYourList')}</span>
                  ) : null}
                  {s.toxicTo === 'none' ? null : (
                    <span className="soft small d-block">
                      {t('design.plantingPart.toxic', {
                        toxicTo: s.toxicTo === 'people' ? t('design.plantingPart.peoplePets') : 'livestock',
                      })}
                    </span>
                  )}
                </th>
                <td>{t(`design.roleOfPlant.${s.role}`)}</td>
                <td className="text-end">
                  {show(s.depthM[0], 'length', { scale: 'small' })} … {show(s.depthM[1], 'length', { scale: 'small' })}
                </td>
                <td className="text-end">{show(s.heightM, 'length')}</td>
                <td className="text-end">{show(s.spreadM, 'length')}</td>
                <td className="text-end">{hardinessZone(s.hardyToC)}</td>
                <td>
                  {t(`design.spreadsBy.${s.spreadsBy}`)}
                  {s.aggressiveness >= 2 ? t('design.plantingPart.strongly') : ''}
                  {s.clogsGravel >= 2 ? t('design.plantingPart.clogsGravel') : ''}
                </td>
                <td className="text-end">
                  {t('design.plantingPart.m', {
                    nitrogenGPerM2D: show(s.nitrogenGPerM2D / 1000, 'mass', { scale: 'small' }),
                  })}
                </td>
                <td>
                  <button
                    type="button"
                    className="btn btn-sm btn-outline-primary"
                    aria-label={t('design.plantingPart.plant2', { common: s.common })}
                    onClick={() => onAdd(s.key)}
                  >
                    {t('design.plantingPart.plant')}
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="soft small mb-0">
        {t('design.plantingPart.figuresStartingPointsFrom', {
          count:
            found.length > MAX_LISTED
              ? t('design.plantingPart.moreSearchNarrow', { count: found.length - MAX_LISTED })
              : '',
        })}
      </p>
    </section>
  )
}
