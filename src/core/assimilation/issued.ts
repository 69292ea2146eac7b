import { daysBetween, type IsoDate } from '../numeric/calendar'
import { recordOf } from '../numeric/record-of'
import { quantileOfSorted } from '../statistics/quantile'
import { plainDayOfYear } from '../season/season-year'
import type { Band } from '../ecosystem/comparison/comparison'
import { shareBelow, type Spread } from '../statistics/two-piece-normal'
import type { Placed } from '../statistics/pit'
import { asRead, misfit, OBSERVED, onScale } from './observed'
import { isPast, type Hazard, type OutlookOutput } from './hazards'
import { LEAD_KEYS, LEADS, type Lead } from './leads'
import { intervalOf, readValue, type DatedReading, type Interval } from './reading'
import { SCORED, SCORED_KINDS, type ScoredKind } from './scored'
import type { PastScore, Stretches } from './stretch'

/** A forecast as it was given out: what was known on its day is in it, and nothing that came later. */
export interface Issued {
  /** Day it was given out. */
  readonly on: IsoDate
  /** Day of the bands' first figure: the same, or the next where the pond had been tested that day. */
  readonly from: IsoDate
  readonly bands: Readonly<Record<OutlookOutput, Band>>
  /** Share of the runs that are past each hazard's line, day by day. */
  readonly past: Readonly<Record<Hazard, readonly number[]>>
  /** By how much the bands are wider than the model's own; left out by those of an older model. */
  readonly stretch?: Stretches
}

/** One test held against the forecast that had been given out so many days before. */
export interface Score {
  readonly kind: ScoredKind
  readonly day: IsoDate
  readonly lead: Lead
  readonly leadDays: number
  readonly issuedOn: IsoDate
  /** The forecast's 10, 50 and 90 % for the day, in the reading's unit. */
  readonly low: number
  readonly middle: number
  readonly high: number
  readonly read: number
  /** Where the test fell in the forecast, by shares of it; a range where the test tells one. */
  readonly placed: Placed
  /** What the test says, on its kind's scale, and by how much the band had been made wider than the model's own. */
  readonly test: Omit<Interval, 'slip'>
  readonly stretch: number
  /** The reading that was known when the forecast was given out; null where there was none. */
  readonly last: number | null
  /** The pond's usual at this time of year, from its tests of earlier years; null where there was none. */
  readonly usual: number | null
  /** How far the forecast's middle, the last reading and the usual were off, in standard deviations of such a test. */
  readonly off: { readonly forecast: number; readonly last: number | null; readonly usual: number | null }
  /** Share of the runs past the line of the kind's hazard, and whether the test was; null where it has none. */
  readonly past: number | null
  readonly crossed: boolean | null
}

/** Tests of earlier years tell the usual of a day so far around it. */
const USUAL_WITHIN_DAYS = 30
const YEAR_DAYS = 365

/**
 * Holds tests against the forecasts that were given out before them.
 * @param issued of one pond, in any order
 * @param readings of the pond, one a day and kind; those before the first forecast serve as last and usual readings
 * @param deepestM the pond's deepest water, m: clarity is read no deeper
 * @returns one score for each test and lead for which a forecast is there
 */
export function scoresOf(issued: readonly Issued[], readings: readonly DatedReading[], deepestM: number): Score[] {
  const byKind = recordOf(SCORED_KINDS, (kind) =>
    readings
      .filter((r) => r.kind === kind)
      .map((r) => ({ ...r, value: readValue(r, deepestM) }))
      .sort((a, b) => a.day.localeCompare(b.day)),
  )
  return SCORED_KINDS.flatMap((kind) =>
    byKind[kind].flatMap((reading) =>
      LEAD_KEYS.flatMap((lead): Score[] => {
        const forecast = nearest(issued, reading.day, lead)
        if (!forecast) return []
        const at = daysBetween(forecast.from, reading.day)
        const band = forecast.bands[OBSERVED[kind].output as OutlookOutput]
        if (at < 0 || band.p50[at] === undefined) return []
        const known = byKind[kind].filter((r) => r.day <= forecast.on)
        return [scoreOf({ kind, reading, lead, forecast, at, band, known, deepestM })]
      }),
    ),
  )
}

function nearest(issued: readonly Issued[], day: IsoDate, lead: Lead): Issued | undefined {
  const { from, to, best } = LEADS[lead]
  return issued
    .filter(({ on }) => daysBetween(on, day) >= from && daysBetween(on, day) <= to)
    .sort((a, b) => Math.abs(daysBetween(a.on, day) - best) - Math.abs(daysBetween(b.on, day) - best))[0]
}

interface Held {
  readonly kind: ScoredKind
  readonly reading: DatedReading
  readonly lead: Lead
  readonly forecast: Issued
  readonly at: number
  readonly band: Band
  readonly known: readonly { readonly day: IsoDate; readonly value: number }[]
  readonly deepestM: number
}

function scoreOf({ kind, reading, lead, forecast, at, band, known, deepestM }: Held): Score {
  const { day, value } = reading
  const { slip: _, ...test } = intervalOf(reading, deepestM)
  const last = known.at(-1)?.value ?? null
  const earlier = known
    .filter((r) => daysBetween(r.day, day) > YEAR_DAYS / 2 && daysApartInYear(r.day, day) <= USUAL_WITHIN_DAYS)
    .map((r) => r.value)
    .sort((a, b) => a - b)
  const usual = earlier.length > 0 ? quantileOfSorted(earlier, 0.5) : null
  const off = (said: number) => Math.abs(misfit(kind, said, value))
  const [low, middle, high] = [band.p10[at]!, band.p50[at]!, band.p90[at]!].map((v) => asRead(kind, v, deepestM))
  const hazard = SCORED[kind]
  return {
    kind,
    day,
    lead,
    leadDays: daysBetween(forecast.on, day),
    issuedOn: forecast.on,
    low: low!,
    middle: middle!,
    high: high!,
    read: value,
    placed: placedIn(scaledBand(kind, { low: low!, middle: middle!, high: high! }), test),
    test,
    stretch: forecast.stretch?.[kind][lead] ?? 1,
    last,
    usual,
    off: { forecast: off(middle!), last: last === null ? null : off(last), usual: usual === null ? null : off(usual) },
    past: hazard && (forecast.past[hazard][at] ?? null),
    crossed: hazard && isPast(hazard, value, deepestM),
  }
}

const scaledBand = (kind: ScoredKind, { low, middle, high }: Pick<Score, 'low' | 'middle' | 'high'>): Spread => ({
  p10: onScale(kind, low),
  p50: onScale(kind, middle),
  p90: onScale(kind, high),
})

/** Where a test fell in a band: what the test itself adds to the spread is counted with it. */
const placedIn = (band: Spread, { low, high, scatter }: Score['test']): Placed => ({
  low: shareBelow(band, low, scatter),
  high: shareBelow(band, high, scatter),
})

/** A score as later bands learn from it: beside the band as the model itself had it. */
export function pastScoreOf(
  score: Pick<Score, 'kind' | 'lead' | 'day' | 'low' | 'middle' | 'high' | 'test' | 'stretch'>,
): PastScore {
  const { kind, lead, day, test, stretch } = score
  const { p10, p50, p90 } = scaledBand(kind, score)
  const forecast = { p10: p50 - (p50 - p10) / stretch, p50, p90: p50 + (p90 - p50) / stretch }
  const { low, high, scatter } = test
  return { kind, lead, day, forecast, low, high, scatter }
}

function daysApartInYear(a: IsoDate, b: IsoDate): number {
  const apart = Math.abs(plainDayOfYear(a) - plainDayOfYear(b))
  return Math.min(apart, YEAR_DAYS - apart)
}
