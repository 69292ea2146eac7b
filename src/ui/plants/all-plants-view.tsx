'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useMemo } from 'react'
import type { AllPlantsData } from '@/server/plants/all-plants'
import { DataTable, type TableColumn } from '@/ui/kit/data-table'
import { speciesName } from '@/messages/plants/species-name'

type DueTask = AllPlantsData['due'][number]['tasks'][number]

/** Groups that ask for the same are named together. */
function byAction(tasks: readonly DueTask[]): [DueTask['action'], DueTask[]][] {
  const of = new Map<DueTask['action'], DueTask[]>()
  for (const task of tasks) of.set(task.action, [...(of.get(task.action) ?? []), task])
  return [...of]
}

/** Plants of all ponds: care that falls due, the tender ones with where they are, and the cuttings that are kept. */
export function AllPlantsView({ data }: { data: AllPlantsData }) {
  const t = useTexts()

  return (
    <>
      <div className="page-head">
        <h1>{t('plants.allPlantsView.plants')}</h1>
        <span className="soft">
          {t('plants.allPlantsView.on', {
            groups: data.groups,
            groups3: data.groups === 0 ? t('plants.allPlantsView.noPondYet') : t('plants.allPlantsView.allPonds'),
          })}
        </span>
        <span className="actions no-print">
          <button className="btn btn-sm btn-outline-secondary" onClick={() => window.print()}>
            {t('plants.allPlantsView.print')}
          </button>
          <a className="btn btn-sm btn-outline-secondary" href="/api/v1/plants.csv" download>
            {t('plants.allPlantsView.listCsv')}
          </a>
        </span>
      </div>
      <div className="columns wide-left">
        <div>
          <section className="sheet" aria-label={t('plants.allPlantsView.liftStore')}>
            <h2>{t('plants.allPlantsView.tenderPlantsLiftStore')}</h2>
            {data.seasonal.length === 0 ? (
              <p className="soft mb-0">{t('plants.allPlantsView.noPlantsHaveCome')}</p>
            ) : (
              <TenderPlants data={data} />
            )}
          </section>
          <section className="sheet" aria-label={t('plants.allPlantsView.careDue')}>
            <h2>{t('plants.allPlantsView.careDueComingWeek')}</h2>
            {data.due.length === 0 ? (
              <p className="soft mb-0">{t('plants.allPlantsView.nothingColdWaterPlants')}</p>
            ) : null}
            {data.due.map((pond) => (
              <div key={pond.pondId} className="mb-2">
                <h3 className="mb-0">
                  <Link href={`/ponds/${pond.pondId}/plants`}>{pond.name}</Link>
                </h3>
                <ul className="plain-list">
                  {byAction(pond.tasks).map(([action, tasks]) => {
                    const latest = tasks.map((task) => task.latest).sort()[0]!
                    return (
                      <li key={action}>
                        {t(`plants.plantActionNames.${action}`)}:{' '}
                        {[...new Set(tasks.map((task) => speciesName(task.species, t)))].join(', ')}{' '}
                        <span className="soft small">
                          {t('plants.allPlantsView.from', {
                            due: t.shortDate(tasks[0]!.due),
                            latest: t.shortDate(latest),
                          })}
                        </span>
                        {latest < data.today ? (
                          <span className="verdict look ms-1">{t('plants.allPlantsView.late')}</span>
                        ) : null}
                      </li>
                    )
                  })}
                </ul>
              </div>
            ))}
          </section>
        </div>
        <div>
          <section className="sheet" aria-label={t('plants.allPlantsView.cuttingsKept')}>
            <h2>{t('plants.allPlantsView.cuttingsKept')}</h2>
            {data.cuttings.length === 0 ? (
              <p className="soft">{t('plants.allPlantsView.noneCrewsKeepRooted')}</p>
            ) : null}
            <ul className="plain-list">
              {data.cuttings.map((c) => (
                <li key={c.id}>
                  {c.onHand} {speciesName(c.speciesKey!, t)} <span className="soft small">{c.place}</span>
                </li>
              ))}
            </ul>
            <Link className="btn btn-sm btn-outline-secondary no-print" href="/stores">
              {t('plants.allPlantsView.stores')}
            </Link>
          </section>
          {data.replanting.length > 0 ? (
            <section className="sheet" aria-label={t('plants.allPlantsView.whereTheyMayGo')}>
              <h2>{t('plants.allPlantsView.whereTheyMayGo')}</h2>
              <ul className="plain-list">
                {data.replanting.map((place) => (
                  <li key={place.pondId}>
                    <Link href={`/ponds/${place.pondId}/plants`}>{place.name}</Link>
                    <span className="soft small d-block">
                      {place.replanting
                        .map(
                          (r) =>
                            `${r.count} ${speciesName(r.species, t)}${r.patchId ? '' : t('plants.allPlantsView.betweenGroups')}`,
                        )
                        .join(', ')}
                    </span>
                  </li>
                ))}
              </ul>
            </section>
          ) : null}
        </div>
      </div>
    </>
  )
}

type Seasonal = AllPlantsData['seasonal'][number]

/** What is lifted in autumn and set out in spring, by when, and where it is now. */
function TenderPlants({ data: { seasonal, today } }: { data: AllPlantsData }) {
  const t = useTexts()
  const columns = useMemo((): TableColumn<Seasonal>[] => {
    const what = (p: Seasonal) =>
      `${p.stored ? t('plants.allPlantsView.setOut') : t('plants.allPlantsView.lift')}: ${speciesName(p.species, t)}`
    const where = (p: Seasonal) => `${p.site}, ${p.pond}`
    const now = (p: Seasonal) =>
      p.stored ? t('plants.allPlantsView.stored', { place: p.place || '_' }) : t('plants.allPlantsView.outside')
    return [
      {
        key: 'by',
        label: t('plants.allPlantsView.by'),
        value: (p) => p.by,
        cell: (p) => <By plants={p} today={today} />,
      },
      { key: 'what', label: t('plants.allPlantsView.what'), value: what },
      { key: 'count', label: t('plants.allPlantsView.plants'), value: (p) => p.count, figure: true },
      {
        key: 'pond',
        label: t('plants.allPlantsView.pond'),
        value: where,
        cell: (p) => <Link href={`/ponds/${p.pondId}/plants`}>{where(p)}</Link>,
      },
      { key: 'now', label: t('plants.allPlantsView.now'), value: now },
    ]
  }, [t, today])
  return (
    <DataTable
      name={t('plants.allPlantsView.tenderPlants')}
      columns={columns}
      rows={seasonal}
      keyOf={(p) => p.patchId}
    />
  )
}

function By({ plants: { by, from, thisYear }, today }: { plants: Seasonal; today: string }) {
  const t = useTexts()
  return (
    <span className="text-nowrap">
      {by ? t.shortDate(by) : ''}
      {thisYear && from <= today ? (
        <span className="verdict look ms-1">
          {t(by < today ? 'plants.allPlantsView.late' : 'plants.allPlantsView.dueNow')}
        </span>
      ) : null}
    </span>
  )
}
