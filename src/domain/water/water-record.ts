import type { Band } from '../../core/ecosystem/comparison/comparison'
import type { OutlookOutput } from '../../core/assimilation/hazards'
import { OUTLOOK_DAYS, type Outlook } from '../../core/assimilation/outlook'
import { addDays, daysBetween } from '../../core/numeric/calendar'
import { NH3_THRESHOLDS, tanThresholds } from '../../core/water/ammonia'
import { READING_KINDS, thresholdsOf, type ReadingKindName, type WaterBand } from '../../core/water/readings'
import { newestOfEach, TOGETHER_DAYS, toxicAmmoniaOverTime } from '../../core/water/verdict'
import type { VisitId } from '../shared/ids'
import type { Reading } from './reading'

/** What changes the water by hand, as it was written down on a visit. */
export type WaterWork =
  | { readonly code: 'dose'; readonly name: string; readonly amount: number; readonly unit: string }
  | { readonly code: 'changedM3' | 'toppedUpM3' | 'flushedM3'; readonly amount: number }

/** Figures of visits that stand in the water's record. */
export const WATER_FIGURES = ['changedM3', 'toppedUpM3', 'flushedM3'] as const

export interface DatedWaterWork {
  readonly day: string
  readonly visitId: VisitId
  readonly work: WaterWork
}

/** A line of the record: a kind of test, or toxic ammonia as it follows from three of them. */
export type LaneKey = ReadingKindName | 'nh3'

export interface LanePoint {
  /** ISO time. */
  readonly at: string
  readonly value: number
  readonly noneFound: boolean
}

export interface Threshold {
  readonly value: number
  readonly side: 'above' | 'below'
  readonly band: WaterBand
}

/** One figure of the water over time: what was measured, where it begins to ask for something, what is forecast. */
export interface WaterLane {
  readonly key: LaneKey
  /** Oldest first, canonical units. */
  readonly points: readonly LanePoint[]
  /** Days from the forecast's first; null where it says nothing of this figure. */
  readonly ahead: Band | null
  readonly limits: readonly Threshold[]
}

/** What a forecast says about a figure that is also tested. */
const AHEAD: Partial<Record<LaneKey, OutlookOutput>> = {
  waterTemp: 'waterC',
  tan: 'tan',
  nh3: 'nh3',
  nitrite: 'nitrite',
  ph: 'ph',
  dissolvedOxygen: 'oxygen',
  clarityDepth: 'clarityM',
}

/** What decides first stands first. */
const FIRST: readonly LaneKey[] = ['waterTemp', 'tan', 'nh3', 'nitrite', 'ph', 'dissolvedOxygen', 'kh', 'nitrate']

/** Every lane that a pond's tests give something to draw, those that decide first. */
export function waterLanes(readings: readonly Reading[], outlook: Outlook | null): WaterLane[] {
  const tested = (Object.keys(READING_KINDS) as ReadingKindName[]).map((key): WaterLane => {
    const points = readings
      .filter((r) => r.kind === key)
      .map((r) => ({ at: r.takenAt, value: r.belowStep ? 0 : r.value, noneFound: r.belowStep }))
      .sort((a, b) => Date.parse(a.at) - Date.parse(b.at))
    return { key, points, ahead: aheadOf(key, outlook), limits: limitsOf(key, readings) }
  })
  const toxic: WaterLane = {
    key: 'nh3',
    points: toxicAmmoniaOverTime(readings).map((r) => ({ at: r.takenAt, value: r.nh3MgL, noneFound: false })),
    ahead: aheadOf('nh3', outlook),
    limits: NH3_THRESHOLDS,
  }
  const rank = (key: LaneKey) => (FIRST.includes(key) ? FIRST.indexOf(key) : FIRST.length)
  return [...tested, toxic].filter(({ points }) => points.length > 0).sort((a, b) => rank(a.key) - rank(b.key))
}

const aheadOf = (key: LaneKey, outlook: Outlook | null): Band | null => {
  const output = AHEAD[key]
  const band = outlook && output ? outlook.bands[output] : null
  // a forecast of an older version says nothing of some figures
  return band && band.p50.length > 0 ? band : null
}

/**
 * Total ammonia has its lines where its toxic share meets them at the pH and temperature of the newest tests; else
 * those of the total alone.
 */
function limitsOf(kind: ReadingKindName, readings: readonly Reading[]): readonly Threshold[] {
  const newest = newestOfEach(readings)
  const [tan, ph, temp] = [newest.get('tan'), newest.get('ph'), newest.get('waterTemp')]
  if (kind !== 'tan' || !tan || !ph || !temp) return thresholdsOf(kind)
  const together = [ph, temp].every(
    (r) => Math.abs(daysBetween(r.takenAt.slice(0, 10), tan.takenAt.slice(0, 10))) <= TOGETHER_DAYS,
  )
  return together ? tanThresholds(ph.value, temp.value) : thresholdsOf(kind)
}

/** How far back the record is looked at. */
export const RECORD_SPANS = ['quarter', 'year', 'all'] as const
export type RecordSpan = (typeof RECORD_SPANS)[number]
const SPAN_DAYS: Readonly<Record<RecordSpan, number>> = { quarter: 91, year: 365, all: Infinity }

/**
 * The days that all lanes share: back as far as is asked for and something is on file, ahead as far as a forecast goes.
 * @returns calendar days, both counted in
 */
export function recordDays(
  span: RecordSpan,
  input: { readonly today: string; readonly onFile: readonly string[]; readonly hasForecast: boolean },
): { from: string; to: string } {
  const { today, onFile, hasForecast } = input
  const days = onFile.map((at) => at.slice(0, 10)).filter((day) => day <= today)
  const first = days.reduce((least, day) => (day < least ? day : least), today)
  const back = Math.min(SPAN_DAYS[span], Math.max(MIN_DAYS, daysBetween(first, today) + 1))
  return { from: addDays(today, -back), to: addDays(today, hasForecast ? OUTLOOK_DAYS : 1) }
}

/** A record of a few days is not drawn out over the whole page. */
const MIN_DAYS = 14
