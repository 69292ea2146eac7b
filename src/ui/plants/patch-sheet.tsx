'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import type { CareTask } from '@/core/plants/care-rules'
import { hardinessZone, plantSpecies } from '@/core/plants/species'
import type { PatchNow } from '@/domain/plants/plants'
import { ProblemNote } from '@/ui/kit/problem-note'
import { useShow } from '@/ui/person-context'
import { useRemoval } from '@/ui/use-removal'
import type { PondPlantsData } from '@/server/plants/pond-plants'
import { speciesName } from '@/messages/plants/species-name'
import { PatchLogForm } from './patch-log-form'

/** One group: what it is, what was seen and done, and the next line of that. */
export function PatchSheet({
  patch,
  tasks,
  data,
}: {
  patch: PatchNow
  tasks: readonly CareTask[]
  data: PondPlantsData
}) {
  const t = useTexts()

  const show = useShow()
  const species = plantSpecies(patch.species)
  const removal = useRemoval()
  return (
    <section className="sheet" aria-label={speciesName(patch.species, t)}>
      <h2>
        {speciesName(patch.species, t)} <em className="soft small">{species?.botanical}</em>
      </h2>
      {species ? (
        <p className="soft">
          {t('plants.patchSheet.highZone', {
            role: t(`design.roleOfPlant.${species.role}`),
            heightM: show(species.heightM, 'length'),
            hardyToC: hardinessZone(species.hardyToC),
            winter: t(`plants.winterOfPlant.${species.winter}`),
            toxicTo:
              species.toxicTo === 'none'
                ? ''
                : t('plants.patchSheet.toxicGloves', {
                    toxicTo:
                      species.toxicTo === 'people'
                        ? t('plants.patchSheet.peoplePets')
                        : t('plants.patchSheet.livestock'),
                  }),
            regulatedSomewhere: species.regulatedSomewhere ? t('plants.patchSheet.regulatedSomePlacesCheck') : '',
          })}
        </p>
      ) : null}
      {patch.condition === 'pale' && patch.place === 'bed' ? (
        <p className="stop-note among-words">
          {t('plants.patchSheet.paleStuntedDigHand')}{' '}
          <Link href={`/ponds/${data.pond.id}/design`}>{t('plants.patchSheet.filterDesign')}</Link>{' '}
          {t('plants.patchSheet.saysHowMuchFlow')}
        </p>
      ) : null}
      {data.mayLog ? <PatchLogForm patch={patch} tasks={tasks} today={data.today} /> : null}
      <h3 className="mt-3">{t('plants.patchSheet.soFar')}</h3>
      <ul className="plain-list">
        {patch.history.map((e) => (
          <li key={e.id}>
            {t(`plants.plantDoneNames.${e.action}`)}
            {e.condition ? `: ${t(`plants.plantConditionNames.${e.condition}`).toLowerCase()}` : ''}
            {e.count !== null ? t('plants.patchSheet.count', { count: e.count }) : ''}
            {e.kept > 0 ? t('plants.patchSheet.piecesKept', { kept: e.kept }) : ''}
            {e.note ? ` (${e.note})` : ''}{' '}
            <span className="soft small">
              {t.datedDay(e.day)}, {e.byName}
            </span>
          </li>
        ))}
      </ul>
      {data.mayWrite ? (
        <>
          <button
            className="btn btn-sm btn-link px-0"
            onClick={() =>
              void removal.removeForGood({
                path: `/api/v1/plants/${patch.id}`,
                words: t('plants.patchSheet.goesForGood', { name: speciesName(patch.species, t) }),
                goOn: t('plants.patchSheet.remove'),
              })
            }
          >
            {t('plants.patchSheet.writtenDownMistakeTake')}
          </button>
          <ProblemNote problem={removal.problem} />
        </>
      ) : null}
    </section>
  )
}
