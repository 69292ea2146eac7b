'use client'
import { useTexts } from '@/ui/kit/texts'
import type { TodayPageData } from '@/server/today/today'
import { WaterLegend } from '@/ui/drawing/water-legend'
import { waterColour } from '@/ui/drawing/water-colour'
import { usePerson, useShow } from '@/ui/person-context'

/** How warm the ponds are this week, from the coldest to the warmest, and the air over them. */
export function WaterStrip({ data: { water, weather } }: { data: TodayPageData }) {
  const t = useTexts()

  const show = useShow()
  const { timeZone } = usePerson()
  if (!water) return <p className="sheet soft">{t('today.todayView.waterTemperaturesAppearOnce')}</p>
  const parts = [
    [t('today.todayView.coldestPond'), water.coldest],
    [t('today.todayView.middle'), water.middle],
    [t('today.todayView.warmestPond'), water.warmest],
  ] as const
  return (
    <section className="sheet d-flex flex-wrap gap-4 align-items-center" aria-label={t('today.todayView.waterWeek')}>
      <strong>{t('today.todayView.waterWeek')}</strong>
      {parts.map(([label, c]) => (
        <span key={label} className="d-inline-flex align-items-center gap-2">
          <span
            style={{ width: '2.4rem', height: '1.3rem', background: waterColour(c!), border: '1px solid var(--ink)' }}
            aria-hidden="true"
          />
          <span className="soft">{label}</span> {show(c!, 'temperature')}
        </span>
      ))}
      <span className="ms-auto">
        <WaterLegend />
      </span>
      {weather.now.length > 0 ? (
        <span className="soft small w-100">
          {t('today.todayView.airUtc', {
            at: weather.now[0]!.at.slice(11),
            map: weather.now
              .map((n) =>
                t('today.todayView.windMS', {
                  station: n.station.replace(/ \(.*/, ''),
                  airC: show(n.airC, 'temperature'),
                  windMPerS: n.windMPerS.toFixed(0),
                }),
              )
              .join(' · '),
          })}
        </span>
      ) : null}
      {!weather.reachable && weather.fetchedAt ? (
        <span className="soft small">
          {t('today.todayView.weatherDeskDoesNot', { fetchedAt: t.instant(weather.fetchedAt, timeZone) })}
        </span>
      ) : null}
    </section>
  )
}
