'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useMemo } from 'react'
import { dayOfYear } from '@/core/numeric/calendar'
import { instant } from '@/domain/shared/dates'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { may } from '@/domain/people/roles'
import type { PondPageData } from '@/server/ponds/ponds'
import { PondSection } from '@/ui/drawing/pond-section'
import { WaterLegend } from '@/ui/drawing/water-legend'
import { usePerson, useShow } from '@/ui/person-context'
import { LatestReadings } from '@/ui/water/latest-readings'
import { LogReadingsForm } from '@/ui/water/log-readings-form'
import { ReadingsChart } from '@/ui/water/readings-chart'
import { EquipmentSheet } from '@/ui/equipment/equipment-sheet'
import { GearSheet } from '@/ui/equipment/gear-sheet'
import { TenDays } from '@/ui/season/ten-days'
import { YearSource } from '@/ui/season/year-source'
import { Measures } from './measures'
import { PondActions } from './pond-actions'
import { PondVisits } from './pond-visits'
import { Sheet } from './sheet'
import { WaterLossPanel } from '@/ui/survey/water-loss'
import { WindowsList } from '@/ui/season/windows-list'
import { YearChart } from '@/ui/season/year-chart'
import { DAY_MS } from '@/core/numeric/time'

export function PondView({ data, today }: { data: PondPageData; today: string }) {
  const t = useTexts()

  const { pond, season, readings } = data
  const { role } = usePerson()
  const facts = useMemo(() => savedPondFacts(pond), [pond])
  const events = useMemo(
    () => data.visits.filter((v) => v.state === 'done').map((v) => ({ day: v.day, name: v.job.name })),
    [data.visits],
  )
  const todayIndex = Math.min(364, dayOfYear(today) - 1)
  const measured = readings.find((r) => r.kind === 'waterTemp')
  const recent = measured && daysOld(measured.takenAt, today) <= 3 ? measured.value : undefined
  // this year as it goes, where the weather so far has been read
  const shown = data.live?.year === Number(today.slice(0, 4)) ? data.live.season : season
  const waterC = recent ?? shown?.waterC[todayIndex]!.p50
  return (
    <>
      <div className="page-head">
        <h1>{pond.name}</h1>
        <span className="soft">
          {pond.siteName}, {pond.town} · {pond.customerName}
        </span>
        <PondActions data={data} />
      </div>
      <div className="columns wide-left">
        <div>
          <section className="sheet" aria-label={t('ponds.pondView.sectionToday')}>
            <PondSection basin={facts.basin} waterC={waterC} wide />
            <div className="d-flex flex-wrap justify-content-between mt-1">
              <WaterToday waterC={waterC} isMeasured={recent !== undefined} band={shown?.waterC[todayIndex]} />
              <WaterLegend />
            </div>
          </section>
          <Sheet title={t('ponds.pondView.pondsYear')}>
            {season ? (
              <>
                {data.live ? <TenDays live={data.live} today={today} /> : null}
                <YearChart
                  season={shown!}
                  usual={data.live ? season : null}
                  today={today}
                  measured={readings
                    .filter((r) => r.kind === 'waterTemp' && daysOld(r.takenAt, today) <= 365)
                    .map((r) => ({ day: dayOfYear(r.takenAt.slice(0, 10)), tempC: r.value }))}
                />
                <div className="mt-2">
                  <WindowsList
                    season={season}
                    live={data.live}
                    rules={data.rules}
                    today={today}
                    planHref={may(role, 'visits.plan') ? `/ponds/${pond.id}/plan` : null}
                  />
                </div>
                <YearSource
                  weather={data.weather}
                  liveAt={data.live?.at ?? null}
                  calibration={data.calibration}
                  today={today}
                />
              </>
            ) : (
              <p className="soft">{t('ponds.pondView.noWeatherStationHas')}</p>
            )}
          </Sheet>
          <Sheet title={t('ponds.pondView.waterOverTime')}>
            <ReadingsChart readings={readings} events={events} />
            {readings.length === 0 ? <p className="soft">{t('ponds.pondView.readingsFromVisitsGather')}</p> : null}
          </Sheet>
        </div>
        <div>
          <Measures data={data} facts={facts} />
          <Tests data={data} deepestM={facts.basin.maxDepthM} />
          {data.waterLoss ? (
            <Sheet title={t('ponds.pondView.losingWater')}>
              <WaterLossPanel pond={pond} loss={data.waterLoss} today={today} />
            </Sheet>
          ) : null}
          <Sheet title={t('ponds.pondView.equipment')}>
            <EquipmentSheet pondId={pond.id} equipment={data.equipment} today={today} />
          </Sheet>
          <Sheet title={t('ponds.pondView.plants')}>
            <p>
              {data.plants.groups === 0
                ? t('ponds.pondView.nothingWrittenDownYet')
                : t('ponds.pondView.groups', { groups: data.plants.groups, due: data.plants.due })}
            </p>
            <Link className="btn btn-sm btn-outline-secondary no-print" href={`/ponds/${pond.id}/plants`}>
              {t('ponds.pondView.whatGrowsWhere')}
            </Link>
          </Sheet>
          <Sheet title={t('ponds.pondView.seasonalGear')}>
            <GearSheet gear={data.gear} cuttingBuckets={data.cuttingBuckets} />
          </Sheet>
          <PondVisits data={data} today={today} />
          <Versions data={data} />
          {pond.notes ? <Sheet title={t('ponds.pondView.notes')}>{pond.notes}</Sheet> : null}
        </div>
      </div>
    </>
  )
}

const daysOld = (iso: string, today: string) => (Date.parse(`${today}T23:59:59Z`) - Date.parse(iso)) / DAY_MS

function WaterToday({
  waterC,
  isMeasured,
  band,
}: {
  waterC?: number
  isMeasured: boolean
  band?: { p10: number; p90: number }
}) {
  const t = useTexts()

  const show = useShow()
  if (waterC === undefined) return <span className="soft">{t('ponds.pondView.waterTemperatureNotKnown')}</span>
  return (
    <span>
      {t('ponds.pondView.waterToday', { isMeasured: isMeasured ? 'measured' : 'expected' })}{' '}
      <strong>{show(waterC, 'temperature')}</strong>
      {band && !isMeasured ? (
        <span className="soft">
          {' '}
          {t('ponds.pondView.n810Years', { p10: show(band.p10, 'temperature'), p90: show(band.p90, 'temperature') })}
        </span>
      ) : null}
    </span>
  )
}

function DesignLine({ areaM2, flowM3PerH, by, at }: { areaM2: number; flowM3PerH: number; by: string; at: string }) {
  const show = useShow()
  const { timeZone } = usePerson()
  return (
    <div className="soft small">
      {show(areaM2, 'area')}, {show(flowM3PerH, 'flow')} · {by}, {instant(at, timeZone)}
    </div>
  )
}

function Tests({ data: { pond, readings }, deepestM }: { data: PondPageData; deepestM: number }) {
  const t = useTexts()
  const { role } = usePerson()
  return (
    <Sheet title={t('ponds.pondView.latestTests')}>
      <LatestReadings readings={readings} />
      <Link className="btn btn-sm btn-outline-secondary mb-2 me-2 no-print" href={`/ponds/${pond.id}/diagnosis`}>
        {t('ponds.pondView.whatWrong')}
      </Link>
      <Link className="btn btn-sm btn-outline-secondary mb-2 me-2 no-print" href={`/ponds/${pond.id}/forecast`}>
        {t('ponds.pondView.outlook')}
      </Link>
      <Link className="btn btn-sm btn-outline-secondary mb-2 me-2 no-print" href={`/ponds/${pond.id}/what-if`}>
        {t('ponds.pondView.whatIf')}
      </Link>
      <Link className="btn btn-sm btn-outline-secondary mb-2 me-2 no-print" href={`/ponds/${pond.id}/start-up`}>
        {t('ponds.pondView.settling')}
      </Link>
      <Link className="btn btn-sm btn-outline-secondary mb-2 no-print" href={`/ponds/${pond.id}/doses`}>
        {t('ponds.pondView.dosesChanges')}
      </Link>
      {may(role, 'visits.log') ? (
        <details className="no-print">
          <summary className="btn btn-sm btn-outline-primary">{t('ponds.pondView.logReadings')}</summary>
          <div className="mt-2">
            <LogReadingsForm pondId={pond.id} deepestM={deepestM} />
          </div>
        </details>
      ) : null}
    </Sheet>
  )
}

function Versions({ data: { pond, designs } }: { data: PondPageData }) {
  const t = useTexts()
  return (
    <Sheet title={t('ponds.pondView.filterVersions')}>
      {designs.length === 0 ? <p className="soft mb-0">{t('ponds.pondView.noneYet')}</p> : null}
      <ul className="plain-list">
        {designs.map((d) => (
          <li key={d.id}>
            <Link href={`/ponds/${pond.id}/design?version=${d.number}`}>
              {t('ponds.pondView.version', { number: d.number, name: d.name })}
            </Link>
            <DesignLine areaM2={d.areaM2} flowM3PerH={d.flowM3PerH} by={d.savedByName} at={d.savedAt} />
          </li>
        ))}
      </ul>
    </Sheet>
  )
}
