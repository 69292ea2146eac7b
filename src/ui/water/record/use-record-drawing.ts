'use client'
import { useMemo } from 'react'
import { daysBetween } from '@/core/numeric/calendar'
import { recordDays, type RecordSpan, type WaterLane } from '@/domain/water/water-record'
import type { PondWaterData } from '@/server/ponds/pond-pages'
import { chartInk } from '@/ui/kit/charts/chart-style'
import { useTexts } from '@/ui/kit/texts'
import { useShownTheme } from '@/ui/kit/use-shown-theme'
import { usePerson } from '@/ui/person-context'
import { shownLane } from './record-lanes'
import type { RecordMark } from './record-marks'
import type { RecordDrawing } from './record-option'

/** Longer than this a day without its year could be one of two. */
const MOST_OF_A_YEAR = 300

interface Drawn {
  readonly lanes: readonly WaterLane[]
  readonly marks: readonly RecordMark[]
  readonly span: RecordSpan
  readonly data: Pick<PondWaterData, 'readings' | 'forecast' | 'today'>
}

/** What the record draws within its span, in the reader's units, words and theme. */
export function useRecordDrawing({ lanes, marks, span, data }: Drawn): RecordDrawing {
  const t = useTexts()

  const { units } = usePerson().preferences
  const theme = useShownTheme()
  const { readings, forecast, today } = data
  return useMemo(() => {
    const forecastFrom = forecast?.outlook.from ?? null
    const days = recordDays(span, {
      today,
      onFile: [...readings.map((r) => r.takenAt), ...marks.map((m) => m.day)],
      hasForecast: forecastFrom !== null,
    })
    const dayOfYear = (day: string) => t('water.record.dayOfYear', { day: t.dayMonth(day), year: day.slice(0, 4) })
    return {
      lanes: lanes
        .map((lane) => {
          const shown = shownLane(lane, units, t)
          return { ...shown, points: shown.points.filter(([at]) => at.slice(0, 10) >= days.from) }
        })
        // what was not tested in these days has no line in them
        .filter(({ points, ahead }) => points.length > 0 || ahead !== null),
      marks: marks.filter(({ day }) => day >= days.from && day <= days.to),
      days,
      today,
      forecastFrom,
      ink: chartInk(theme),
      words: {
        today: t('water.record.today'),
        forecast: t('water.record.forecast'),
        noneFound: t('water.readingsTable.noneFound'),
        band: (band) => t(`water.bandNames.${band}`),
        day: t.datedDay,
        tick: daysBetween(days.from, days.to) > MOST_OF_A_YEAR ? dayOfYear : (day) => t.dayMonth(day),
      },
    }
  }, [lanes, marks, span, readings, forecast, today, units, theme, t])
}
