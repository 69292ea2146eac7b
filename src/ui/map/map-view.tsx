'use client'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { parseAsArrayOf, parseAsString, parseAsStringLiteral, useQueryStates } from 'nuqs'
import { useMemo } from 'react'
import { addDays } from '@/core/numeric/calendar'
import type { MapPageData } from '@/server/rounds/map-page'
import { Icon } from '@/ui/kit/icon'
import { FilterChips } from '@/ui/kit/list-filters'
import { TextField } from '@/ui/kit/text-field'
import { useTexts } from '@/ui/kit/texts'
import { FILTERS, HOLDS } from '@/ui/ponds/pond-filters'
import { sitesOf } from './map-sites'
import { RegionMap } from './region-map'
import { lineOf } from './round-line'
import { RoundSheet } from './round-sheet'

/** What is shown stands in the address: a link shows the same map. */
const VIEW = {
  show: parseAsStringLiteral(FILTERS).withDefault('all'),
  hide: parseAsArrayOf(parseAsString).withDefault([]),
  pond: parseAsString.withDefault(''),
}

/** All sites on the map, and each crew's round of a day. */
export function MapView({ data }: { data: MapPageData }) {
  const t = useTexts()

  const [{ show, hide, pond }, setView] = useQueryStates(VIEW, { history: 'replace' })
  const { sites, missing } = useMemo(() => sitesOf(data.ponds.filter(HOLDS[show])), [data.ponds, show])
  const rounds = useMemo(
    () => data.rounds.map((round, n) => ({ round, line: lineOf(n) })).filter(({ round }) => round.stops.length > 0),
    [data.rounds],
  )
  const shown = useMemo(() => rounds.filter(({ round }) => !hide.includes(round.crew.id)), [rounds, hide])
  return (
    <>
      <div className="page-head">
        <h1>{t('map.mapView.map')}</h1>
        <DayChoice day={data.day} />
      </div>
      <div className="columns map-columns">
        <section className="sheet p-2">
          <FilterChips
            name={t('map.mapView.showOnly')}
            chips={FILTERS.map((f) => ({
              key: f,
              label: t(`ponds.listFilters.${f}`),
              count: data.ponds.filter(HOLDS[f]).length,
            }))}
            chosen={show}
            onChoose={(next) => void setView({ show: next })}
          />
          {data.ponds.some((p) => p.lat !== null) ? (
            <RegionMap
              key={pond}
              name={t('map.mapView.mapSitesRound', {
                count: sites.length,
                count2: rounds.length,
                day: t.longDate(data.day),
              })}
              sites={sites}
              rounds={shown}
              tiles={data.tiles}
              chosen={data.ponds.find((p) => p.id === pond)?.siteId ?? null}
            />
          ) : (
            <p className="m-2">{t('map.mapView.sitesStandHereOnce')}</p>
          )}
        </section>
        <div>
          {rounds.length === 0 ? <p className="sheet">{t('map.mapView.noCrewHasRound')}</p> : null}
          {rounds.map(({ round, line }) => (
            <RoundSheet
              key={round.crew.id}
              round={round}
              day={data.day}
              line={line}
              shown={!hide.includes(round.crew.id)}
              onShow={(on) =>
                void setView({
                  hide: on ? hide.filter((id) => id !== round.crew.id) : [...hide, round.crew.id],
                })
              }
            />
          ))}
          {missing > 0 ? (
            <p className="soft small among-words">
              {t('map.mapView.notMap', { missing })} <Link href="/customers">{t('map.mapView.giveThemPlace')}</Link>.
            </p>
          ) : null}
        </div>
      </div>
    </>
  )
}

/** Which day's rounds are shown. */
function DayChoice({ day }: { day: string }) {
  const t = useTexts()

  const router = useRouter()
  return (
    <>
      <span className="btn-group btn-group-sm no-print">
        <Link
          className="btn btn-outline-secondary"
          href={`/map?day=${addDays(day, -1)}`}
          aria-label={t('map.mapView.dayBefore')}
        >
          <Icon name="chevron-left" />
        </Link>
        <Link className="btn btn-outline-secondary" href="/map">
          {t('map.mapView.today')}
        </Link>
        <Link
          className="btn btn-outline-secondary"
          href={`/map?day=${addDays(day, 1)}`}
          aria-label={t('map.mapView.dayAfter')}
        >
          <Icon name="chevron-right" />
        </Link>
      </span>
      <TextField
        label={t('map.mapView.day')}
        hideLabel
        type="date"
        value={day}
        onChange={(e) => e.target.value && router.push(`/map?day=${e.target.value}`)}
      />
      <span className="soft">{t.longDate(day)}</span>
    </>
  )
}
