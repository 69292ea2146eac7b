'use client'
import type { Calibration } from '@/core/season/calibrate'
import { instant, longDate, shortDate } from '@/domain/shared/dates'
import { Why } from '@/ui/kit/why'
import { usePerson, useShow } from '@/ui/person-context'

interface YearSourceProps {
  readonly weather: { readonly fetchedAt: string | null; readonly reachable: boolean; readonly forecastIssued: string | null }
  readonly liveAt: string | null
  readonly calibration: Calibration | null
  readonly today: string
}

const OLD_FORECAST_DAYS = 2

/** Where the year's figures come from, how old they are, and what the pond's own readings have taught. */
export function YearSource({ weather, liveAt, calibration, today }: YearSourceProps) {
  const { timeZone } = usePerson()
  if (!weather.fetchedAt) return null
  const old = weather.forecastIssued ? (Date.parse(today) - Date.parse(weather.forecastIssued)) / 86_400_000 : Infinity
  return (
    <div className="soft small mt-2">
      <p className="mb-1">
        {liveAt
          ? `This year: weather observed so far${old <= OLD_FORECAST_DAYS ? `, the forecast of ${shortDate(weather.forecastIssued!)}` : ''}, then thirty likely ways on; worked out ${instant(liveAt, timeZone)}. Other years: the station’s normals.`
          : `From the station’s normals of ${instant(weather.fetchedAt, timeZone)}: thirty likely years. The weather of this year is added as soon as it has been read.`}
      </p>
      {weather.reachable ? null : (
        <p className="mb-1">
          <span className="verdict look">Old weather</span> The weather desk does not answer
          {weather.forecastIssued ? `; its last forecast is of ${longDate(weather.forecastIssued)}` : ''}. Beyond that the figures stand on normals.
        </p>
      )}
      {calibration ? <LearntFrom calibration={calibration} /> : null}
    </div>
  )
}

function LearntFrom({ calibration: c }: { calibration: Calibration }) {
  const show = useShow()
  const error = (errorC: number) => `± ${show(errorC, 'temperatureStep')}`
  if (c.status === 'few')
    return (
      <p className="mb-0">
        {c.readings === 0 ? 'No' : c.readings} water temperature{c.readings === 1 ? '' : 's'} logged: from eight over two months on, this pond teaches the model
        itself.
      </p>
    )
  const held = c.heldOut!
  return (
    <Why
      title={
        c.status === 'used'
          ? `Learnt from ${c.readings} readings: ${error(c.fitErrorC)} instead of ${error(c.surveyErrorC)}`
          : `Checked by ${c.readings} readings: ${error(c.surveyErrorC)}`
      }
    >
      {c.status === 'used' && c.fit ? (
        <>
          Readings of {shortDate(c.from!)} {c.from!.slice(0, 4)} to {shortDate(c.to!)} {c.to!.slice(0, 4)} say that {Math.round(c.fit.shade * 100)} % of the sun
          is kept off, {Math.round(c.fit.windShare * 100)} % of the station’s wind reaches the water, its air is{' '}
          {show(Math.abs(c.fit.airOffsetC), 'temperatureStep')} {c.fit.airOffsetC < 0 ? 'colder' : 'warmer'} than the station’s, and{' '}
          {Math.round(c.fit.depthShare * 100)} % of the mean depth takes part. On {held.readings} readings kept aside the model was off by{' '}
          {error(held.fitErrorC)}, by the survey alone {error(held.surveyErrorC)}.
        </>
      ) : (
        <>
          What was learnt foretold {held.readings} readings kept aside no better ({error(held.fitErrorC)}) than the survey does ({error(held.surveyErrorC)}), so
          the survey stands.
        </>
      )}
    </Why>
  )
}
