'use client'
import { useMemo } from 'react'
import Link from 'next/link'
import { dayOfYear } from '@/core/numeric/calendar'
import { seasonYearOf } from '@/core/season/season-year'
import { DAY_MS } from '@/core/numeric/time'
import { may } from '@/domain/people/roles'
import { pondGround } from '@/core/site-plan/pond-ground'
import { standingDesign } from '@/domain/design/design'
import { SitePicture } from '@/ui/drawing/site-picture'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import type { PondOverviewData } from '@/server/ponds/pond-pages'
import { useTexts } from '@/ui/kit/texts'
import { usePerson } from '@/ui/person-context'
import { TenDays } from '@/ui/season/ten-days'
import { WindowsList } from '@/ui/season/windows-list'
import { YearChart } from '@/ui/season/year-chart'
import { YearSource } from '@/ui/season/year-source'
import { LatestReadings } from '@/ui/water/latest-readings'
import { Measures } from '../measures'
import { Sheet } from '../sheet'
import { SystemSheet } from './system-sheet'

/** A reading this fresh says more of today's water than any expectation. */
const FRESH_DAYS = 3

const daysOld = (iso: string, today: string) => (Date.parse(`${today}T23:59:59Z`) - Date.parse(iso)) / DAY_MS

/** The pond at a glance: the system as it stands today, then the year ahead beside the latest tests and the figures. */
export function OverviewTab({ data }: { data: PondOverviewData }) {
  const t = useTexts()

  const { pond, season, readings, today } = data
  const facts = useMemo(() => savedPondFacts(pond), [pond])
  const measured = readings.find((r) => r.kind === 'waterTemp')
  const recent = measured && daysOld(measured.takenAt, today) <= FRESH_DAYS ? measured.value : undefined
  // this year as it goes, where the weather so far has been read
  const shown = seasonNow(data.live, season, today)
  const day = Math.min(364, dayOfYear(today) - 1)
  return (
    <>
      <SystemSheet
        data={data}
        facts={facts}
        today={today}
        water={{
          waterC: recent ?? shown?.waterC[day]!.p50,
          isMeasured: recent !== undefined,
          band: shown?.waterC[day],
        }}
        iceChance={shown?.iceChance[day] ?? 0}
      />
      <OverviewSite data={data} facts={facts} />
      <div className="columns wide-left">
        <Year data={data} today={today} />
        <div>
          <Sheet title={t('ponds.pondView.latestTests')}>
            <LatestReadings readings={readings} />
            <Link className="btn btn-sm btn-outline-secondary no-print" href={`/ponds/${pond.id}/water`}>
              {t('ponds.overview.testsAndTrends')}
            </Link>
          </Sheet>
          <Measures data={data} facts={facts} />
          {pond.notes ? <Sheet title={t('ponds.pondView.notes')}>{pond.notes}</Sheet> : null}
        </div>
      </div>
    </>
  )
}

/** The site from above, where anything of it is known. */
function OverviewSite({ data, facts }: { data: PondOverviewData; facts: ReturnType<typeof savedPondFacts> }) {
  const t = useTexts()

  const { pond, designs } = data
  const design = standingDesign(designs)
  const bed = design ? (design.builtBed ?? design.bed) : null
  if (pond.siteSurvey.objects.length === 0 && !bed?.layout) return null
  return (
    <Sheet title={t('sitePlan.layout.title')}>
      <div className="wide-drawing">
        <SitePicture ground={pondGround(facts.basin, pond.siteSurvey)} design={bed} />
      </div>
    </Sheet>
  )
}

/** This season year as it goes, else any year. */
const seasonNow = (live: PondOverviewData['live'], usual: PondOverviewData['season'], today: string) =>
  live && live.year === seasonYearOf(today, live.season.from) ? live.season : usual

/** The year over its water temperature, and the windows of its work. */
function Year({ data, today }: { data: PondOverviewData; today: string }) {
  const t = useTexts()

  const { role } = usePerson()
  const { pond, season, live, readings } = data
  const shown = seasonNow(live, season, today)
  return (
    <Sheet title={t('ponds.pondView.pondsYear')}>
      {season ? (
        <>
          {live ? <TenDays live={live} today={today} /> : null}
          <YearChart
            season={shown!}
            usual={live ? season : null}
            today={today}
            measured={readings
              .filter((r) => r.kind === 'waterTemp' && daysOld(r.takenAt, today) <= 365)
              .map((r) => ({ on: r.takenAt.slice(0, 10), tempC: r.value }))}
          />
          <div className="mt-2">
            <WindowsList
              season={season}
              live={live}
              rules={data.rules}
              today={today}
              planHref={may(role, 'visits.plan') ? `/ponds/${pond.id}/plan` : null}
            />
          </div>
          <YearSource weather={data.weather} liveAt={live?.at ?? null} calibration={data.calibration} today={today} />
        </>
      ) : (
        <p className="soft">{t('ponds.pondView.noWeatherStationHas')}</p>
      )}
    </Sheet>
  )
}
