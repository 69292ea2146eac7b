import { addDays, daysBetween, type IsoDate } from '../numeric/calendar'
import { recordOf } from '../numeric/record-of'
import { type DatedWeather } from '../season/weather-ahead'
import { plainDayOfYear } from '../season/season-year'
import type { PondEvent } from '../ecosystem/events'
import { simulate } from '../ecosystem/simulate'
import { nextBias, type Wander } from './bias'
import { learn, type Outcome } from './learn'
import { chanceOf, type Member } from './member'
import { OBSERVED, OBSERVED_KINDS, onScale } from './observed'
import type { FilterInput } from './filter-input'
import { eventsAsFed, parametersOf, pondOf, stateAsKept, stateOnFile } from './traits'

/** What is known of a pond at the beginning of a day. */
export interface EnsembleFilter {
  readonly day: IsoDate
  readonly members: readonly Member[]
  readonly wander: Wander
}

/**
 * Brings a pond's ensemble forward through observed days. On a day with readings every member is moved by them: in
 * what was read by the reading's likelihood, in everything else by how it goes with that. Each reading is used once.
 * @source ensemble Kalman filters: Evensen 2009; the two-step form of Anderson 2003
 */
export function advanceFilter(filter: EnsembleFilter, input: FilterInput, to: IsoDate): EnsembleFilter {
  const { weather, events, readings } = input
  let now = filter
  const days = [...new Set(readings.filter((r) => r.day >= filter.day && r.day < to).map((r) => r.day))].sort()
  for (const day of [...days, null]) {
    const gone = daysBetween(filter.day, now.day)
    const span = daysBetween(now.day, day === null ? to : addDays(day, 1))
    const ran = span > 0 ? run(now, input, weather.slice(gone), eventsWithin(events, gone, span), span) : null
    if (ran) now = { ...now, day: addDays(now.day, span), members: ran.map(({ member }) => member) }
    if (day === null || !ran) continue
    const those = readings.filter((r) => r.day === day)
    now = { ...now, ...learn({ outcomes: ran, wander: now.wander, readings: those }, input) }
  }
  return now
}

function run(
  filter: EnsembleFilter,
  { pond }: FilterInput,
  weather: readonly DatedWeather[],
  events: readonly PondEvent[],
  days: number,
): Outcome[] {
  return filter.members.map((member, i) => {
    const { traits, volumeShare } = member
    const { series, end } = simulate({
      pond: pondOf(pond, traits, volumeShare),
      weather,
      startDay: plainDayOfYear(filter.day),
      days,
      events: eventsAsFed(events, traits),
      start: stateAsKept(member.state, traits),
      parameters: parametersOf(traits),
      every: 'day',
      // the fish are those on file, whatever a member makes of their water
      fishKept: true,
    })
    const bias = nextBias(member.bias, days, chanceOf(i, filter.day), filter.wander)
    const model = recordOf(OBSERVED_KINDS, (kind) => onScale(kind, series[OBSERVED[kind].output][days - 1]!))
    return { member: { traits, volumeShare, state: stateOnFile(end, traits), bias }, model }
  })
}

const eventsWithin = (events: readonly PondEvent[], from: number, days: number): PondEvent[] =>
  events.filter((e) => e.day >= from && e.day < from + days).map((e) => ({ ...e, day: e.day - from }))
