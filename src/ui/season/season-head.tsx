'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { seasonDate, seasonYearName } from '@/core/season/season-year'
import type { SeasonPageData } from '@/server/season/season-view'
import { WaterLegend } from '@/ui/drawing/water-legend'
import { axisAround, inShownYear, shifted, ZOOM_NAMES, ZOOMS, type TimeAxis, type Zoom } from './time-axis'

/** Days into the season year at which another year is looked at closer: when the rush is near. */
const SPRING_AT = 90

interface Shown {
  readonly zoom: Zoom
  readonly axis: TimeAxis
}

interface SeasonHeadProps extends Shown {
  readonly data: Pick<SeasonPageData, 'year' | 'seasonFrom' | 'job' | 'today'>
  readonly onShow: (shown: Shown) => void
}

/** Year, stretch of the year, the scale of the water's colours, and what can be done with the page. */
export function SeasonHead({ data, zoom, axis, onShow }: SeasonHeadProps) {
  const t = useTexts()
  const named = (year: number) => seasonYearName(year, data.seasonFrom)
  const zoomTo = (next: Zoom) => {
    const usual = inShownYear(data, data.today) ? data.today : seasonDate(data.year, data.seasonFrom, SPRING_AT)
    const day = zoom !== 'year' && inShownYear(data, axis.from) ? axis.from : usual
    onShow({ zoom: next, axis: axisAround(data, next, day, t.region) })
  }
  return (
    <div className="page-head">
      <h1>{t('season.seasonView.season', { year: named(data.year) })}</h1>
      <span className="btn-group btn-group-sm no-print">
        <OtherYear year={data.year - 1} job={data.job} name={named(data.year - 1)}>
          ‹ {named(data.year - 1)}
        </OtherYear>
        <OtherYear year={data.year + 1} job={data.job} name={named(data.year + 1)}>
          {named(data.year + 1)} ›
        </OtherYear>
      </span>
      <span className="btn-group btn-group-sm no-print" role="group" aria-label={t('season.seasonView.zoom')}>
        {ZOOMS.map((z) => (
          <button
            key={z}
            type="button"
            className={`btn btn-outline-secondary ${z === zoom ? 'active' : ''}`}
            aria-pressed={z === zoom}
            onClick={() => zoomTo(z)}
          >
            {t(ZOOM_NAMES[z])}
          </button>
        ))}
      </span>
      {zoom === 'year' ? null : <Shift axis={axis} zoom={zoom} onShift={(to) => onShow({ zoom, axis: to })} />}
      <span className="actions align-items-center flex-wrap">
        <WaterLegend />
        <button type="button" className="btn btn-sm btn-outline-secondary no-print" onClick={() => window.print()}>
          {t('season.seasonView.print')}
        </button>
      </span>
    </div>
  )
}

interface OtherYearProps {
  readonly year: number
  readonly job: string
  readonly name: string
  readonly children: React.ReactNode
}

function OtherYear({ year, job, name, children }: OtherYearProps) {
  const t = useTexts()
  return (
    <Link
      className="btn btn-outline-secondary"
      href={`/season?year=${year}&job=${job}`}
      aria-label={t('season.seasonView.season', { year: name })}
    >
      {children}
    </Link>
  )
}

function Shift({ axis, zoom, onShift }: Shown & { readonly onShift: (axis: TimeAxis) => void }) {
  const t = useTexts()
  const step = (to: TimeAxis | null, sign: string, label: string) => (
    <button
      type="button"
      className="btn btn-outline-secondary"
      disabled={!to}
      onClick={() => to && onShift(to)}
      aria-label={label}
    >
      {sign}
    </button>
  )
  return (
    <span className="btn-group btn-group-sm no-print">
      {step(shifted(axis, zoom, -1, t.region), '‹', t('season.seasonView.earlier'))}
      <span className="btn btn-outline-secondary disabled">
        {t('season.seasonView.from', { from: t.shortDate(axis.from) })}
      </span>
      {step(shifted(axis, zoom, 1, t.region), '›', t('season.seasonView.later'))}
    </span>
  )
}
