'use client'
import { useTexts, type Texts } from '@/ui/kit/texts'
import type { Basin } from '@/core/survey/basin'
import { type PatchPlace } from '@/domain/plants/plants'
import { ProblemNote } from '@/ui/kit/problem-note'
import { PlantMarks, type PlantMark } from '@/ui/drawing/plant-marks'
import { PlantingPlan } from '@/ui/drawing/planting-plan'
import { PondPlan } from '@/ui/drawing/pond-plan'
import type { PondPlantsData } from '@/server/plants/pond-plants'
import { isPlaced, useMovedPatches, type Placed } from './use-moved-patches'
import { speciesName } from '@/messages/plants/species-name'

interface PatchPlansProps {
  readonly data: PondPlantsData
  readonly basin: Basin
  readonly picked: string | null
  readonly onPick: (id: string) => void
}

const markOf = (p: Placed, t: Texts): PlantMark => ({
  ...p,
  looks: p.stored
    ? { words: t('plants.patchPlans.stored').toLowerCase(), className: 'stored' }
    : {
        words: t(`plants.plantConditionNames.${p.condition}`).toLowerCase(),
        className: p.condition === 'good' ? '' : `looks-${p.condition}`,
      },
})

/** Groups on the plan of the bed and of the pond, and all of them as a list. */
export function PatchPlans({ data: { patches, bed, mayWrite }, basin, picked, onPick }: PatchPlansProps) {
  const t = useTexts()

  const { problem, at, hold, drop } = useMovedPatches()
  const of = (place: PatchPlace): Placed[] =>
    patches
      .filter((p) => p.place === place && p.count > 0)
      .filter(isPlaced)
      .map(at)
  const planProps = (groups: readonly Placed[]) => ({
    picked: groups.findIndex((p) => p.id === picked),
    onPick: (i: number) => onPick(groups[i]!.id),
    onMove: mayWrite ? (i: number, xM: number, yM: number) => hold(groups[i]!, xM, yM) : null,
    onDrop: (i: number, xM: number, yM: number) => drop(groups[i]!, xM, yM),
  })
  const [inBed, inPond] = [of('bed'), of('pond')]
  return (
    <section className="sheet" aria-label={t('plants.patchPlans.whatGrowsWhere')}>
      <h2>{t('plants.patchPlans.whatGrowsWhere')}</h2>
      {patches.length === 0 ? <p className="soft">{t('plants.patchPlans.nothingWrittenDownYet')}</p> : null}
      {bed && bed.type !== 'none' ? (
        <PlantingPlan bed={bed} groups={inBed.map((p) => markOf(p, t))} {...planProps(inBed)} />
      ) : null}
      <PondPlan basin={basin}>
        {(on) => <PlantMarks marks={inPond.map((p) => markOf(p, t))} {...on} {...planProps(inPond)} />}
      </PondPlan>
      <ProblemNote problem={problem} />
      <div className="table-responsive" tabIndex={0} role="region" aria-label={t('plants.patchPlans.groupsPlants')}>
        <table className="table table-sm align-middle mb-0">
          <thead>
            <tr>
              <th>{t('plants.patchPlans.group')}</th>
              <th>{t('plants.patchPlans.where')}</th>
              <th className="text-end">{t('plants.patchPlans.plants')}</th>
              <th>{t('plants.patchPlans.looks')}</th>
              <th>{t('plants.patchPlans.last')}</th>
            </tr>
          </thead>
          <tbody>
            {patches.map((p) => {
              const conditionText = () => {
                if (p.count === 0) return t('plants.patchPlans.gone')
                if (p.stored) return t('plants.patchPlans.stored')
                return t(`plants.plantConditionNames.${p.condition}`)
              }

              return (
                <tr key={p.id} className={p.id === picked ? 'table-active' : undefined}>
                  <th scope="row" className="fw-normal">
                    <button
                      className="btn btn-link p-0 text-start"
                      onClick={() => onPick(p.id)}
                      aria-pressed={p.id === picked}
                    >
                      {speciesName(p.species, t)}
                    </button>
                  </th>
                  <td>
                    {t(`plants.patchPlaceNames.${p.place}`)}
                    {isPlaced(p) ? '' : t('plants.patchPlans.notPlanYet')}
                  </td>
                  <td className="text-end">{p.count}</td>
                  <td>{conditionText()}</td>
                  <td className="soft">{p.history[0] ? t.datedDay(p.history[0].day) : ''}</td>
                </tr>
              )
            })}
          </tbody>
        </table>
      </div>
    </section>
  )
}
