'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useMemo, useState } from 'react'
import { nutrientsOut } from '@/core/plants/cuttings'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import type { PondPlantsData } from '@/server/plants/pond-plants'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { useShow } from '@/ui/person-context'
import { useSave } from '@/ui/use-save'
import { CareList } from './care-list'
import { NewPatchForm } from './new-patch-form'
import { PatchPlans } from './patch-plans'
import { PatchSheet } from './patch-sheet'
import { ReplantList } from './replant-list'

/** What grows where on one pond, how it looks, what it asks for and where cuttings may go. */
export function PondPlantsView({ data }: { data: PondPlantsData }) {
  const t = useTexts()

  const { pond, patches, tasks, bed, today } = data
  const basin = useMemo(() => savedPondFacts(pond).basin, [pond])
  const [picked, setPicked] = useState<string | null>(null)
  const chosen = patches.find((p) => p.id === picked)
  const growing = patches.filter((p) => p.count > 0)
  return (
    <>
      <div className="tab-head">
        <h2>{t('plants.pondPlantsView.plants', { name: pond.name })}</h2>
        <span className="soft">
          {t('plants.pondPlantsView.plants2', {
            count: growing.length,
            reduce: growing.reduce((sum, p) => sum + p.count, 0),
          })}
        </span>
        <span className="actions no-print">
          <Link className="btn btn-sm btn-outline-secondary" href="/plants">
            {t('plants.pondPlantsView.allPondsPlants')}
          </Link>
        </span>
      </div>
      <div className="columns wide-left">
        <div>
          {data.mayWrite && bed && bed.planting.length > 0 && !patches.some((p) => p.place === 'bed') ? (
            <TakeOver pondId={pond.id} version={data.bedVersion!} groups={bed.planting.length} />
          ) : null}
          <PatchPlans data={data} basin={basin} picked={picked} onPick={setPicked} />
          {data.mayWrite ? <NewPatchForm pond={pond} basin={basin} bed={bed} /> : null}
          {data.photos.length > 0 ? (
            <section className="sheet" aria-label={t('plants.pondPlantsView.overTime')}>
              <h2>{t('plants.pondPlantsView.overTime')}</h2>
              <div className="photo-row">
                {data.photos.map((photo) => (
                  <figure key={photo.id}>
                    {/* eslint-disable-next-line @next/next/no-img-element -- small already */}
                    <img
                      src={`/api/v1/photos/${photo.id}?size=thumbnail`}
                      alt={t('plants.pondPlantsView.plants3', {
                        takenAt: t.shortDate(photo.takenAt.slice(0, 10)),
                        takenAt2: photo.takenAt.slice(0, 4),
                      })}
                    />
                    <figcaption className="soft small">{t.datedDay(photo.takenAt.slice(0, 10))}</figcaption>
                  </figure>
                ))}
              </div>
            </section>
          ) : null}
        </div>
        <div>
          {chosen ? (
            <PatchSheet
              key={`${chosen.id}:${chosen.version}`}
              patch={chosen}
              tasks={tasks.filter((task) => task.patchId === chosen.id)}
              data={data}
            />
          ) : (
            <p className="sheet soft">{t('plants.pondPlantsView.chooseGroupPlanList')}</p>
          )}
          <section className="sheet" aria-label={t('plants.pondPlantsView.careDue')}>
            <h2>{t('plants.pondPlantsView.whatTheyAsk')}</h2>
            <CareList tasks={tasks} patches={patches} today={today} mayLog={data.mayLog} onPick={setPicked} />
          </section>
          <ReplantList data={data} onPick={setPicked} />
          <Exported buckets={data.cuttingBuckets} />
        </div>
      </div>
    </>
  )
}

function TakeOver({ pondId, version, groups }: { pondId: string; version: number; groups: number }) {
  const t = useTexts()

  const { problem, errorOf, save } = useSave()
  const [plantedOn, setPlantedOn] = useState('')
  return (
    <section className="sheet">
      <p>{t('plants.pondPlantsView.versionFilterHasGroups', { version, groups })}</p>
      <TextField
        label={t('plants.pondPlantsView.plantedIfKnown')}
        type="date"
        value={plantedOn}
        onChange={(e) => setPlantedOn(e.target.value)}
        error={errorOf('plantedOn')}
      />
      <button
        className="btn btn-sm btn-primary mt-2"
        onClick={() => void save('POST', `/api/v1/ponds/${pondId}/plants/take-over`, { plantedOn: plantedOn || null })}
      >
        {t('plants.pondPlantsView.theyPlantedSo')}
      </button>
      <ProblemNote problem={problem} />
    </section>
  )
}

function Exported({ buckets }: { buckets: number }) {
  const t = useTexts()

  const show = useShow()
  const out = nutrientsOut(buckets)
  return (
    <section className="sheet" aria-label={t('plants.pondPlantsView.carriedOut')}>
      <h2>{t('plants.pondPlantsView.carriedOutYear')}</h2>
      {buckets === 0 ? (
        <p className="soft mb-0">{t('plants.pondPlantsView.noCuttingsCountedYet')}</p>
      ) : (
        <p className="mb-0">
          {t('plants.pondPlantsView.bucketsCuttingsAboutNitrogen', {
            buckets,
            nitrogenG: show(out.nitrogenG / 1000, 'mass', { scale: 'small' }),
            phosphorusG: show(out.phosphorusG / 1000, 'mass', { scale: 'small' }),
          })}
        </p>
      )}
    </section>
  )
}
