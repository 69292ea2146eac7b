'use client'
import { useTexts } from '@/ui/kit/texts'
import type { Calibration } from '@/core/season/calibrate'
import { PROBE_SAID_C } from '@/core/season/thermal-spread'
import { Why } from '@/ui/kit/why'
import { usePerson, useShow } from '@/ui/person-context'
import { DAY_MS } from '@/core/numeric/time'

interface YearSourceProps {
  readonly weather: {
    readonly fetchedAt: string | null
    readonly reachable: boolean
    readonly forecastIssued: string | null
  }
  readonly liveAt: string | null
  readonly calibration: Calibration | null
  readonly today: string
}

const OLD_FORECAST_DAYS = 2

/** Where the year's figures come from, how old they are, and what the pond's own readings have taught. */
export function YearSource({ weather, liveAt, calibration, today }: YearSourceProps) {
  const t = useTexts()
  const show = useShow()
  const { timeZone } = usePerson()
  if (!weather.fetchedAt) return null
  const old = weather.forecastIssued ? (Date.parse(today) - Date.parse(weather.forecastIssued)) / DAY_MS : Infinity
  return (
    <div className="soft small mt-2">
      <p className="mb-1">
        {liveAt
          ? t('season.yearSource.yearWeatherObservedSo', {
              old:
                old <= OLD_FORECAST_DAYS
                  ? t('season.yearSource.forecast', { forecastIssued: t.shortDate(weather.forecastIssued!) })
                  : '',
              liveAt: t.instant(liveAt, timeZone),
            })
          : t('season.yearSource.fromStationsNormalsThirty', { fetchedAt: t.instant(weather.fetchedAt, timeZone) })}
      </p>
      {weather.reachable ? null : (
        <p className="mb-1">
          <span className="verdict look">{t('season.yearSource.oldWeather')}</span>{' '}
          {t('season.yearSource.weatherDeskDoesNot', {
            forecastIssued: weather.forecastIssued
              ? t('season.yearSource.lastForecast', { forecastIssued: t.longDate(weather.forecastIssued) })
              : '',
          })}
        </p>
      )}
      {calibration ? <LearntFrom calibration={calibration} /> : null}
      {calibration && Math.abs(calibration.probeOffsetC) >= PROBE_SAID_C ? (
        <p className="mb-0">
          <span className="verdict look">{t('season.yearSource.checkProbe')}</span>{' '}
          {t(calibration.probeOffsetC > 0 ? 'season.yearSource.probeHigh' : 'season.yearSource.probeLow', {
            offsetC: show(Math.abs(calibration.probeOffsetC), 'temperatureStep'),
          })}
        </p>
      ) : null}
    </div>
  )
}

function LearntFrom({ calibration: c }: { calibration: Calibration }) {
  const t = useTexts()

  const show = useShow()
  const error = (errorC: number) => `± ${show(errorC, 'temperatureStep')}`
  if (c.status === 'few')
    return (
      <p className="mb-0">
        {t('season.yearSource.waterTemperatureLoggedFrom', {
          readings: c.readings === 0 ? t('season.yearSource.no') : c.readings,
        })}
      </p>
    )
  const held = c.heldOut!
  return (
    <Why
      title={
        c.status === 'used'
          ? t('season.yearSource.learntFromReadingsInstead', {
              readings: c.readings,
              fitErrorC: error(c.fitErrorC),
              surveyErrorC: error(c.surveyErrorC),
            })
          : t('season.yearSource.checkedReadings', { readings: c.readings, surveyErrorC: error(c.surveyErrorC) })
      }
    >
      {c.status === 'used' && c.fit ? (
        <>
          {t('season.yearSource.readingsSaySunKept', {
            from: t.shortDate(c.from!),
            from2: c.from!.slice(0, 4),
            to: t.shortDate(c.to!),
            to2: c.to!.slice(0, 4),
            shade: Math.round(c.fit.shade * 100),
            windShare: Math.round(c.fit.windShare * 100),
            airOffsetC: show(Math.abs(c.fit.airOffsetC), 'temperatureStep'),
            airOffsetC2: c.fit.airOffsetC < 0 ? 'colder' : 'warmer',
            depthShare: Math.round(c.fit.depthShare * 100),
            readings: held.readings,
            fitErrorC: error(held.fitErrorC),
            surveyErrorC: error(held.surveyErrorC),
          })}
        </>
      ) : (
        <>
          {t('season.yearSource.whatLearntForecastReadings', {
            readings: held.readings,
            fitErrorC: error(held.fitErrorC),
            surveyErrorC: error(held.surveyErrorC),
          })}
        </>
      )}
    </Why>
  )
}
