'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { useMemo } from 'react'
import { MAIN_WINDOW_JOBS } from '@/core/season/house-rules'
import type { Season } from '@/core/season/windows'
import { inSeasonOrder, SEASON_DAYS, seasonDate, seasonDay, type SeasonFrom } from '@/core/season/season-year'
import { SEASON_BASE_YEAR } from '@/domain/season/season-dates'
import { fromCanonical, unitBySymbol } from '@/core/units/convert'
import { SHOWN_UNIT } from '@/core/units/systems'
import { axis, chartInk, FONT } from '@/ui/kit/charts/chart-style'
import { useShownTheme } from '@/ui/kit/use-shown-theme'
import { Chart } from '@/ui/kit/charts/chart'
import { usePerson } from '@/ui/person-context'
import { waterColour } from '@/ui/drawing/water-colour'
import { PALETTE } from '@/core/drawing/palette'

const MONTHS = [
  textId('season.yearChart.jan'),
  textId('season.yearChart.feb'),
  textId('season.yearChart.mar'),
  textId('season.yearChart.apr'),
  textId('season.yearChart.may'),
  textId('season.yearChart.jun'),
  textId('season.yearChart.jul'),
  textId('season.yearChart.aug'),
  textId('season.yearChart.sep'),
  textId('season.yearChart.oct'),
  textId('season.yearChart.nov'),
  textId('season.yearChart.dec'),
]
/** Day of the season year, 1..365, on which a month, 0..11, begins. */
const startOf = (month: number, from: SeasonFrom) =>
  seasonDay(`${SEASON_BASE_YEAR}-${String(month + 1).padStart(2, '0')}-01`, from)

/**
 * Expected water temperature through the year with its 10/50/90 % band, today's place in it, and the windows as bars
 * below.
 */
interface YearChartProps {
  readonly season: Season
  /** Any year, drawn beside this one. */
  readonly usual: Season | null
  readonly today: string
  readonly measured: readonly { on: string; tempC: number }[]
}

export function YearChart({ season, usual, today, measured }: YearChartProps) {
  const t = useTexts()

  const { preferences } = usePerson()
  const theme = useShownTheme()
  const ink = chartInk(theme)
  const symbol = SHOWN_UNIT[preferences.units].temperature.usual
  const option = useMemo(() => {
    const unit = unitBySymbol('temperature', symbol)
    const shown = (c: number) => Number(fromCanonical(c, unit).toFixed(1))
    const { from } = season
    const days = inSeasonOrder(season.waterC, from)
    const line = (key: 'p10' | 'p50' | 'p90') => days.map((b, i) => [i + 1, shown(b[key])])
    return {
      grid: { left: 46, right: 14, top: 26, bottom: 24 },
      tooltip: {
        trigger: 'axis',
        valueFormatter: (v: unknown) => (Array.isArray(v) ? '' : `${String(v)} ${symbol}`),
        axisPointer: { type: 'line' },
      },
      xAxis: {
        ...axis(ink, ''),
        type: 'value',
        min: 1,
        max: 365,
        interval: 365,
        axisLabel: { show: false },
        axisPointer: {
          label: {
            formatter: ({ value }: { value: number }) =>
              t.dayMonth(seasonDate(SEASON_BASE_YEAR, from, Math.round(value) - 1)),
          },
        },
        splitLine: { show: false },
      },
      yAxis: { ...axis(ink, t('season.yearChart.water', { symbol })), type: 'value', min: symbol === '°F' ? 32 : 0 },
      series: [
        {
          name: t('season.yearChart.n10YearsBelow'),
          type: 'line',
          data: line('p10'),
          symbol: 'none',
          lineStyle: { opacity: 0 },
          stack: undefined,
        },
        {
          name: t('season.yearChart.n90YearsBelow'),
          type: 'line',
          data: line('p90'),
          symbol: 'none',
          lineStyle: { width: 1, type: 'dotted', color: ink.water },
          areaStyle: { color: ink.water, opacity: 0.16, origin: 'start' },
        },
        {
          name: 'floor',
          type: 'line',
          data: line('p10'),
          symbol: 'none',
          silent: true,
          lineStyle: { width: 1, type: 'dotted', color: ink.water },
          areaStyle: {
            color: PALETTE[theme].sheet,
            opacity: 1,
            origin: 'start',
          },
          tooltip: { show: false },
        },
        {
          name: usual ? t('season.yearChart.yearMiddle') : t('season.yearChart.middleYear'),
          type: 'line',
          data: line('p50'),
          symbol: 'none',
          lineStyle: { width: 2.4, color: ink.water },
          markLine: {
            silent: true,
            symbol: 'none',
            label: { color: ink.iris, fontFamily: FONT, formatter: '{b}' },
            lineStyle: { color: ink.iris },
            data: [
              { name: t('season.yearChart.today'), xAxis: seasonDay(today, from) },
              ...MONTHS.map((name, m) => ({
                name: t(name),
                xAxis: startOf(m, from),
                lineStyle: { color: ink.rule, opacity: 0.5 },
                label: { position: 'start', align: 'left', color: ink.soft, offset: [3, 0] },
              })),
            ],
          },
        },
        ...(usual
          ? [
              {
                name: t('season.yearChart.usualYear'),
                type: 'line',
                data: inSeasonOrder(usual.waterC, from).map((b, i) => [i + 1, shown(b.p50)]),
                symbol: 'none',
                lineStyle: { width: 1.2, type: 'dashed', color: ink.soft },
              },
            ]
          : []),
        {
          name: t('season.yearChart.measured'),
          type: 'scatter',
          data: measured.map((m) => [seasonDay(m.on, from), shown(m.tempC)]),
          symbolSize: 6,
          itemStyle: { color: ink.rust },
        },
      ],
    }
  }, [season, usual, today, measured, symbol, ink, theme, t])
  return (
    <div>
      <Chart option={option} heightPx={230} label={t('season.yearChart.expectedWaterTemperatureThrough')} />
      <WindowBars season={season} />
    </div>
  )
}

/** Windows under the chart on the same days axis, tinted with the water's temperature at their best day. */
function WindowBars({ season }: { season: Season }) {
  const t = useTexts()
  const percent = (date: string) => ((seasonDay(date, season.from) - 1) / (SEASON_DAYS - 1)) * 100

  return (
    <div style={{ margin: '0 14px 0 46px' }} aria-hidden="true">
      {season.windows
        .filter((w) => MAIN_WINDOW_JOBS.includes(w.job))
        .map((w) => {
          const [from, to] = [percent(w.earliest), percent(w.latest)]
          const right = to > 70
          return (
            <div key={w.job} style={{ position: 'relative', height: '1.25rem' }}>
              <div
                style={{
                  position: 'absolute',
                  left: `${from}%`,
                  width: `${Math.max(0.6, to - from)}%`,
                  top: 3,
                  bottom: 3,
                  background: waterColour(w.why.waterC),
                  border: '1px solid var(--ink)',
                }}
              />
              <div
                style={{
                  position: 'absolute',
                  left: `${percent(w.best)}%`,
                  top: 0,
                  bottom: 0,
                  width: 2,
                  background: 'var(--ink)',
                }}
              />
              <span
                className="small"
                style={{
                  position: 'absolute',
                  ...(right ? { right: `${100.8 - from}%` } : { left: `${to + 0.8}%` }),
                  whiteSpace: 'nowrap',
                }}
              >
                {t(`season.jobNames.${w.job}`)}
              </span>
            </div>
          )
        })}
    </div>
  )
}
