'use client'
import { useTexts } from '@/ui/kit/texts'
import { addDays } from '@/core/numeric/calendar'
import { plainDayOfYear, seasonYearOf } from '@/core/season/season-year'
import type { Season } from '@/core/season/windows'
import { waterColour } from '@/ui/drawing/water-colour'
import { useShow } from '@/ui/person-context'

const DAYS = 10
/** Fewer days than these, at the end of a season year, are no outlook. */
const FEWEST = 3

/** The water of today and the nine days after, as the forecast makes it likely. */
export function TenDays({ live, today }: { live: { readonly year: number; readonly season: Season }; today: string }) {
  const t = useTexts()

  const show = useShow()
  const days = Array.from({ length: DAYS }, (_, i) => addDays(today, i)).filter(
    (day) => seasonYearOf(day, live.season.from) === live.year,
  )
  if (days.length < FEWEST) return null
  return (
    <div className="ten-days" role="list" aria-label={t('season.tenDays.waterNextTenDays')}>
      {days.map((day) => {
        const band = live.season.waterC[plainDayOfYear(day) - 1]!
        const range = t('season.tenDays.n810', {
          p10: show(band.p10, 'temperature'),
          p90: show(band.p90, 'temperature'),
        })
        return (
          <div key={day} role="listitem" title={range}>
            <span className="soft small d-block">{t.shortDate(day)}</span>
            <span className="swatch" style={{ background: waterColour(band.p50) }} aria-hidden="true" />
            {show(band.p50, 'temperature')}
            <span className="visually-hidden">, {range}</span>
          </div>
        )
      })}
    </div>
  )
}
