'use client'
import { useTexts } from '@/ui/kit/texts'
import { plantSpecies } from '@/core/plants/species'
import { useShow } from '@/ui/person-context'
import type { PondPlantsData } from '@/server/plants/pond-plants'
import { speciesName } from '@/messages/plants/species-name'

/** Where plants are missing, and which kept cuttings may close the gap. */
export function ReplantList({
  data: { gaps, replanting, patches, cuttings },
  onPick,
}: {
  data: PondPlantsData
  onPick: (id: string) => void
}) {
  const t = useTexts()

  const show = useShow()
  if (gaps.length === 0) return null
  return (
    <section className="sheet" aria-label={t('plants.replantList.gaps')}>
      <h2>{t('plants.replantList.gapsPlant')}</h2>
      <ul className="plain-list">
        {gaps.map((gap) => {
          const into = replanting.filter((r) => r.patchId === gap.patchId)
          const patch = patches.find((p) => p.id === gap.patchId)
          return (
            <li key={gap.patchId ?? 'bed'}>
              {patch ? (
                <button className="btn btn-link p-0 align-baseline" onClick={() => onPick(patch.id)}>
                  {speciesName(patch.species, t)}
                </button>
              ) : (
                <strong>{t('plants.replantList.betweenGroupsBed')}</strong>
              )}
              :{' '}
              {gap.missing > 0
                ? t('plants.replantList.missing', { missing: gap.missing })
                : t('plants.replantList.open', { areaM2: show(gap.areaM2, 'area') })}
              {into.map((r) => (
                <span key={r.species} className="d-block">
                  {t('plants.replantList.fromHoldingBed', { count: r.count, species: speciesName(r.species, t) })}{' '}
                  {r.regulated ? <span className="verdict look">{t('plants.replantList.checkYourList')}</span> : null}
                </span>
              ))}
              {into.length === 0 ? (
                <span className="soft small d-block">
                  {cuttings.some((c) => c.onHand > 0)
                    ? t('plants.replantList.noKeptCuttingsSuit')
                    : t('plants.replantList.noCuttingsKept')}
                </span>
              ) : null}
              {patch && plantSpecies(patch.species)!.role === 'lily' ? (
                <span className="soft small d-block">{t('plants.replantList.basketSoilNotLoose')}</span>
              ) : null}
            </li>
          )
        })}
      </ul>
      <p className="soft small mb-0">{t('plants.replantList.plantsNeverReleasedOutside')}</p>
    </section>
  )
}
