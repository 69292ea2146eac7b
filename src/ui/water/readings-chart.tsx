'use client'
import { useTexts, type Texts } from '@/ui/kit/texts'
import { useMemo, useState } from 'react'
import { fromCanonical, unitBySymbol } from '@/core/units/convert'
import { SHOWN_UNIT } from '@/core/units/systems'
import { tanThresholds } from '@/core/water/ammonia'
import { READING_KINDS, thresholdsOf, type ReadingKindName, type WaterBand } from '@/core/water/readings'
import { newestOfEach, TOGETHER_DAYS } from '@/core/water/verdict'
import { daysBetween } from '@/core/numeric/calendar'
import { shortDate } from '@/domain/shared/dates'
import { readingQuantity, readingScale } from '@/domain/water/reading-names'
import type { Reading } from '@/domain/water/reading'
import { axis, chartInk, FONT, type ChartInk } from '@/ui/kit/charts/chart-style'
import { useShownTheme } from '@/ui/kit/use-shown-theme'
import { Chart } from '@/ui/kit/charts/chart'
import { usePerson } from '@/ui/person-context'

/** Something that was done at the pond. */
export interface PondEvent {
  readonly day: string
  readonly name: string
}

const EVENTS_SHOWN = 40

/** One kind of reading over time, with its thresholds and what was done at the pond. */
export function ReadingsChart({ readings, events }: { readings: readonly Reading[]; events: readonly PondEvent[] }) {
  const t = useTexts()

  const { preferences } = usePerson()
  const kinds = useMemo(
    () =>
      (Object.keys(READING_KINDS) as ReadingKindName[]).filter(
        (kind) => readings.filter((r) => r.kind === kind).length > 1,
      ),
    [readings],
  )
  const [chosen, setChosen] = useState<ReadingKindName | null>(null)
  const kind = chosen ?? (kinds.includes('tan') ? 'tan' : kinds[0])
  const ink = chartInk(useShownTheme())
  const option = useMemo(() => {
    if (!kind) return {}
    const quantity = readingQuantity(kind)
    const symbol = SHOWN_UNIT[preferences.units][quantity][readingScale(kind)]
    const unit = unitBySymbol(quantity, symbol)
    const data = readings
      .filter((r) => r.kind === kind)
      .map((r) => [r.takenAt, Number(fromCanonical(r.value, unit).toFixed(3))])
      .reverse()
    const values = readings.filter((r) => r.kind === kind).map((r) => r.value)
    const first = String(data[0]?.[0] ?? '')
    const shown = events.filter((e) => `${e.day}T23:59` >= first).slice(-EVENTS_SHOWN)
    const limitLines = linesOf(values, thresholdsHere(kind, readings), (v) => fromCanonical(v, unit), ink, t)
    return {
      grid: { left: 50, right: 14, top: 26, bottom: 26 },
      tooltip: { trigger: 'axis', valueFormatter: (v: unknown) => `${String(v)} ${symbol}` },
      xAxis: { ...axis(ink, ''), type: 'time', splitLine: { show: false } },
      yAxis: {
        ...axis(ink, symbol || t(`water.readingNames.${kind}`)),
        type: 'value',
        scale: kind === 'ph',
        // the next limits stay in sight, also while all is well
        max: ({ max }: { max: number }) => Math.max(max, ...limitLines.map((l) => l.yAxis)),
        min: ({ min }: { min: number }) =>
          kind === 'ph' ? Math.min(min, ...limitLines.map((l) => l.yAxis)) : Math.min(0, min),
      },
      series: [
        {
          name: t(`water.readingNames.${kind}`),
          type: 'line',
          data,
          symbolSize: 5,
          itemStyle: { color: ink.reed },
          lineStyle: { width: 1.6, color: ink.reed },
          markLine: {
            silent: true,
            symbol: 'none',
            animation: false,
            data: [...limitLines, ...eventLines(shown, ink)],
          },
        },
      ],
    }
  }, [kind, readings, events, preferences.units, ink, t])
  if (!kind) return null
  return (
    <>
      <div className="btn-group btn-group-sm flex-wrap" role="group" aria-label={t('water.readingsChart.readingShown')}>
        {kinds.map((k) => (
          <button
            key={k}
            className={`btn btn-outline-secondary ${k === kind ? 'active' : ''}`}
            aria-pressed={k === kind}
            onClick={() => setChosen(k)}
          >
            {t(`water.readingNames.${k}`)}
          </button>
        ))}
      </div>
      <Chart
        option={option}
        heightPx={220}
        label={t('water.readingsChart.overTime', {
          kind: t(`water.readingNames.${kind}`),
          kind2: limits(thresholdsHere(kind, readings), t),
        })}
      />
      {events.length > 0 ? (
        <details className="soft small">
          <summary>{t('water.readingsChart.whatDoneMeanwhile', { count: events.length })}</summary>
          <ul className="plain-list">
            {[...events].reverse().map((e) => (
              <li key={`${e.day}${e.name}`}>
                {shortDate(e.day)} {e.day.slice(0, 4)}: {e.name}
              </li>
            ))}
          </ul>
        </details>
      ) : null}
    </>
  )
}

interface Threshold {
  readonly value: number
  readonly side: 'above' | 'below'
  readonly band: WaterBand
}

/**
 * Total ammonia has its lines where its toxic share meets them at the pH and temperature of the newest tests; else
 * those of the total alone.
 */
function thresholdsHere(kind: ReadingKindName, readings: readonly Reading[]): readonly Threshold[] {
  const newest = newestOfEach(readings)
  const [tan, ph, temp] = [newest.get('tan'), newest.get('ph'), newest.get('waterTemp')]
  if (kind !== 'tan' || !tan || !ph || !temp) return thresholdsOf(kind)
  const together = [ph, temp].every(
    (r) => Math.abs(daysBetween(r.takenAt.slice(0, 10), tan.takenAt.slice(0, 10))) <= TOGETHER_DAYS,
  )
  return together ? tanThresholds(ph.value, temp.value) : thresholdsOf(kind)
}

const limits = (thresholds: readonly Threshold[], t: Texts): string => {
  const said = thresholds.map(
    (limit) =>
      `${t(`water.bandNames.${limit.band}`).toLowerCase()} ${limit.side} ${Number(limit.value.toPrecision(2))}`,
  )
  return said.length > 0 ? `; ${said.join(', ')}` : ''
}

/** A limit far beyond all readings would flatten them: it is left off until they come near. */
const NEAR = 2

function linesOf(
  values: readonly number[],
  thresholds: readonly Threshold[],
  shownAs: (value: number) => number,
  ink: ChartInk,
  t: Texts,
) {
  const [min, max] = [Math.min(...values), Math.max(...values)]
  const colours = { fine: ink.soft, watch: ink.amber, act: ink.rust, emergency: ink.rust }
  return thresholds
    .filter((limit) =>
      limit.side === 'above' ? limit.value <= Math.max(max * NEAR, thresholds[0]!.value) : limit.value >= min / NEAR,
    )
    .map((limit) => ({
      yAxis: Number(shownAs(limit.value).toFixed(3)),
      lineStyle: {
        color: colours[limit.band],
        type: limit.band === 'emergency' ? ('solid' as const) : ('dashed' as const),
        width: 1,
      },
      label: {
        formatter: t(`water.bandNames.${limit.band}`),
        position: 'insideEndTop' as const,
        color: colours[limit.band],
        fontFamily: FONT,
        fontSize: 11,
      },
    }))
}

const eventLines = (events: readonly PondEvent[], ink: ChartInk) =>
  events.map((e) => ({
    xAxis: `${e.day}T12:00:00Z`,
    lineStyle: { color: ink.iris, type: 'dotted' as const, width: 1 },
    label: { show: false },
  }))
