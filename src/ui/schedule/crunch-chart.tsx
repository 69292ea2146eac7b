'use client'
import { useTexts } from '@/ui/kit/texts'
import { useMemo } from 'react'
import type { CrunchWeek } from '@/domain/schedule/plan-run'
import { axis, chartInk } from '@/ui/kit/charts/chart-style'
import { useShownTheme } from '@/ui/kit/use-shown-theme'
import { Chart } from '@/ui/kit/charts/chart'

const hours = (minutes: number): number => Math.round(minutes / 6) / 10

/**
 * Hours wanted around their best days, hours planned, and the crews' hours, week by week: the spring crunch seen in
 * January.
 */
export function CrunchChart({ weeks }: { weeks: readonly CrunchWeek[] }) {
  const t = useTexts()

  const ink = chartInk(useShownTheme())
  const tightest = weeks.reduce<CrunchWeek | null>(
    (worst, w) => (worst && worst.wantedMin / worst.crewMin >= w.wantedMin / w.crewMin ? worst : w),
    null,
  )
  const option = useMemo(
    () => ({
      grid: { left: 46, right: 16, top: 40, bottom: 30 },
      legend: { top: 0, right: 0, textStyle: { color: ink.ink } },
      tooltip: { trigger: 'axis' },
      xAxis: { ...axis(ink, ''), type: 'category', data: weeks.map((w) => t.shortDate(w.monday)) },
      yAxis: { ...axis(ink, t('schedule.crunchChart.crewHours')), type: 'value', min: 0 },
      series: [
        {
          name: t('schedule.crunchChart.wantedBest'),
          type: 'bar',
          data: weeks.map((w) => hours(w.wantedMin)),
          itemStyle: { color: ink.iris, opacity: 0.35 },
          barGap: '-100%',
        },
        {
          name: t('schedule.crunchChart.plannedWay'),
          type: 'bar',
          data: weeks.map((w) => hours(w.plannedMin)),
          itemStyle: { color: ink.reed },
        },
        {
          name: t('schedule.crunchChart.crewsHave'),
          type: 'line',
          step: 'middle',
          symbol: 'none',
          data: weeks.map((w) => hours(w.crewMin)),
          lineStyle: { color: ink.ink, width: 1.5, type: 'dashed' },
        },
      ],
    }),
    [weeks, ink, t],
  )
  if (weeks.length === 0) return null
  return (
    <>
      <Chart
        option={option}
        heightPx={220}
        label={t('schedule.crunchChart.hoursWorkAgainstCrew', {
          tightest: tightest ? t('schedule.crunchChart.tightestWeek', { monday: t.shortDate(tightest.monday) }) : '',
        })}
      />
      {tightest && tightest.crewMin > 0 ? (
        <p className="soft small mb-0">
          {t('schedule.crunchChart.tightestWeekHWanted', {
            monday: t.shortDate(tightest.monday),
            wantedMin: hours(tightest.wantedMin),
            crewMin: hours(tightest.crewMin),
          })}
        </p>
      ) : null}
    </>
  )
}
