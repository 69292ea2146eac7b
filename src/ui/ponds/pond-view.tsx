'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useMemo, type ReactNode } from 'react'
import { dayOfYear } from '@/core/numeric/calendar'
import { instant, longDate } from '@/domain/shared/dates'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { may } from '@/domain/people/roles'
import { fieldHref } from '@/domain/field/field-href'
import type { PondPageData } from '@/server/ponds/ponds'
import { PondPlan } from '@/ui/drawing/pond-plan'
import { PondSection } from '@/ui/drawing/pond-section'
import { WaterLegend } from '@/ui/drawing/water-legend'
import { usePerson, useShow } from '@/ui/person-context'
import { LatestReadings } from '@/ui/water/latest-readings'
import { LogReadingsForm } from '@/ui/water/log-readings-form'
import { ReadingsChart } from '@/ui/water/readings-chart'
import { SystemVolume } from '@/ui/survey/system-volume'
import { StockNote } from './stock-note'
import { VolumeEvidenceNote } from '@/ui/survey/volume-evidence-note'
import { NetNote } from '@/ui/equipment/net-note'
import { EquipmentSheet } from '@/ui/equipment/equipment-sheet'
import { FindingsSheet } from '@/ui/visits/findings-sheet'
import { GearSheet } from '@/ui/equipment/gear-sheet'
import { FollowUpsSheet } from '@/ui/visits/follow-ups-sheet'
import { TenDays } from '@/ui/season/ten-days'
import { YearSource } from '@/ui/season/year-source'
import { OwnRulesNote } from './own-rules-note'
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
        <span className="actions no-print">
          <Link className="btn btn-sm btn-outline-secondary" href={`/ponds/${pond.id}/house-rules`}>
            {t('ponds.pondView.houseRulesHere')}
          </Link>
          {may(role, 'ponds.write') ? (
            <Link className="btn btn-sm btn-outline-secondary" href={`/ponds/${pond.id}/survey`}>
              {t('ponds.pondView.changeSurvey')}
            </Link>
          ) : null}
          <Link className="btn btn-sm btn-outline-primary" href={`/ponds/${pond.id}/design`}>
            {data.designs.length > 0 ? t('ponds.pondView.openFilterDesign') : t('ponds.pondView.sizeFilter')}
          </Link>
          {may(role, 'visits.plan') ? (
            <Link className="btn btn-sm btn-outline-secondary" href={`/ponds/${pond.id}/service-plan`}>
              {t('ponds.pondView.servicePlan')}
            </Link>
          ) : null}
          {may(role, 'visits.plan') ? (
            <Link className="btn btn-sm btn-primary" href={`/ponds/${pond.id}/plan`}>
              {t('ponds.pondView.planCleanout')}
            </Link>
          ) : null}
          {may(role, 'visits.plan') ? (
            <Link className="btn btn-sm btn-outline-primary" href={`/ponds/${pond.id}/plan?job=routine`}>
              {t('ponds.pondView.planAnotherVisit')}
            </Link>
          ) : null}
          {may(role, 'visits.plan') ? (
            <Link className="btn btn-sm btn-outline-secondary" href={`/ponds/${pond.id}/rescue`}>
              {t('ponds.pondView.planRescue')}
            </Link>
          ) : null}
        </span>
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
                  <LogReadingsForm pondId={pond.id} deepestM={facts.basin.maxDepthM} />
                </div>
              </details>
            ) : null}
          </Sheet>
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
          <Visits data={data} today={today} />
          <Sheet title={t('ponds.pondView.filterVersions')}>
            {data.designs.length === 0 ? <p className="soft mb-0">{t('ponds.pondView.noneYet')}</p> : null}
            <ul className="plain-list">
              {data.designs.map((d) => (
                <li key={d.id}>
                  <Link href={`/ponds/${pond.id}/design?version=${d.number}`}>
                    {t('ponds.pondView.version', { number: d.number, name: d.name })}
                  </Link>
                  <DesignLine areaM2={d.areaM2} flowM3PerH={d.flowM3PerH} by={d.savedByName} at={d.savedAt} />
                </li>
              ))}
            </ul>
          </Sheet>
          {pond.notes ? <Sheet title={t('ponds.pondView.notes')}>{pond.notes}</Sheet> : null}
        </div>
      </div>
    </>
  )
}

const daysOld = (iso: string, today: string) => (Date.parse(`${today}T23:59:59Z`) - Date.parse(iso)) / DAY_MS

function Sheet({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="sheet">
      <h2>{title}</h2>
      {children}
    </section>
  )
}

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

function Measures({
  data: { pond, rules, season, designs },
  facts,
}: {
  data: PondPageData
  facts: ReturnType<typeof savedPondFacts>
}) {
  const t = useTexts()

  const show = useShow()
  return (
    <Sheet title={t('ponds.pondView.measuredUp')}>
      <PondPlan basin={facts.basin} />
      <dl className="figures mt-2">
        <div>
          <dt>{t('ponds.pondView.water')}</dt>
          <dd>
            {show(facts.adopted.volumeM3, 'volume')}{' '}
            <span className="soft small">± {show(facts.adopted.sigmaM3, 'volume')}</span>
          </dd>
        </div>
        <div>
          <dt>{t('ponds.pondView.deepest')}</dt>
          <dd>{show(facts.basin.maxDepthM, 'length')}</dd>
        </div>
        <div>
          <dt>{t('ponds.pondView.use')}</dt>
          <dd>{t(`ponds.pondUseNames.${pond.use}`)}</dd>
        </div>
        <div>
          <dt>{t('ponds.pondView.filledFrom')}</dt>
          <dd>{t(`ponds.waterSourceNames.${pond.waterSource}`)}</dd>
        </div>
        <div>
          <dt>{t('ponds.pondView.trees')}</dt>
          <dd>{t(`ponds.treeNames.${pond.trees}`)}</dd>
        </div>
        <div>
          <dt>{t('ponds.pondView.aboveSea')}</dt>
          <dd>{show(pond.altitudeM, 'length')}</dd>
        </div>
      </dl>
      <SystemVolume pond={pond} pondM3={facts.adopted.volumeM3} designs={designs} />
      <NetNote pond={pond} basin={facts.basin} />
      <OwnRulesNote own={pond.ownRules} />
      <VolumeEvidenceNote
        evidence={facts.evidence}
        adopted={facts.adopted}
        basin={facts.basin}
        rockShare={pond.rockShare}
      />
      <StockNote
        pond={pond}
        volumeM3={facts.adopted.volumeM3}
        maxDepthM={facts.basin.maxDepthM}
        years={rules.growthYears}
        coldestMonthC={season ? Math.min(...season.monthlyMedianC) : null}
      />
    </Sheet>
  )
}

function Visits({ data, today }: { data: PondPageData; today: string }) {
  const t = useTexts()

  return (
    <Sheet title={t('ponds.pondView.visitsFollowUps')}>
      <FollowUpsSheet pondId={data.pond.id} followUps={data.followUps} today={today} />
      <FindingsSheet findings={data.findings} />
      <ul className="plain-list">
        {[...data.visits].reverse().map((v) => (
          <li key={v.id}>
            <Link href={v.state === 'done' ? `/visits/${v.id}/report` : fieldHref(v.id)}>
              {v.job.name}, {longDate(v.day)}
            </Link>
            <span className="soft">
              {' '}
              · {v.crewName} · {t(`visits.visitStateNames.${v.state}`)}
            </span>
            {v.state === 'planned' ? (
              <>
                {' '}
                <Link
                  className="small no-print"
                  href={`/visits/${v.id}/sheet`}
                  aria-label={t('ponds.pondView.paper', { name: v.job.name, day: longDate(v.day) })}
                >
                  {t('ponds.pondView.paper2')}
                </Link>
              </>
            ) : null}
          </li>
        ))}
      </ul>
      {data.visits.length + data.followUps.length === 0 ? (
        <p className="soft mb-0">{t('ponds.pondView.noneYetPlanFirst')}</p>
      ) : null}
    </Sheet>
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
