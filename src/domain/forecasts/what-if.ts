import { z } from 'zod'
import type { Comparison, Scenario } from '../../core/ecosystem/comparison/comparison'
import type { EcoFilter, EcoPond } from '../../core/ecosystem/pond'
import { START_KINDS, type KnownWater } from '../../core/ecosystem/start'
import { seasonFromOf } from '../../core/season/season-year'
import type { StationNormals } from '../../core/season/station'
import { monthDayIn } from '../season/season-dates'
import type { KnownWeather } from '../../core/season/weather-ahead'
import { calendarDay, numberWithin, shortText } from '../shared/fields'
import { WhatIfEvent } from './what-if-events'
import { DAY_MS } from '../../core/numeric/time'
import { said } from '../shared/said'

/** The filter as it stands; anything else is the id of a saved design. */
export const AS_IT_IS = 'as-it-is'
const MAX_EVENTS = 30
export const MAX_OPTIONS = 4

/** One way a what-if goes: filter, fish, feed and equipment, and what happens when. */
export const WhatIfOption = z.strictObject({
  name: shortText('forecasts.fields.nameOfThisWay', 60),
  /** 'as-it-is' or the id of a design. */
  filter: z.union([z.literal(AS_IT_IS), z.uuid()]),
  filterSize: numberWithin([0.1, 5], 'forecasts.fields.sizeOfTheFilter', { text: 'kit.units.times' }),
  fish: numberWithin([0, 5], 'forecasts.fields.fish', { text: 'kit.units.times' }),
  feed: numberWithin([0, 5], 'forecasts.fields.feed', { text: 'kit.units.times' }),
  uv: z.enum(['as-it-is', 'on', 'off']),
  aerator: z.enum(['as-it-is', 'on', 'off']),
  /** What the bed does when its pump stops. */
  airBreak: z.enum(['as-it-is', 'stays-wet', 'drains']),
  events: z
    .array(WhatIfEvent)
    .max(MAX_EVENTS, { error: said('forecasts.problems.mostEventsOneWay', { maxEvents: MAX_EVENTS }) }),
})
export type WhatIfOption = z.infer<typeof WhatIfOption>

export const WhatIfInput = z.strictObject({
  name: shortText('forecasts.fields.name', 80),
  from: calendarDay,
  days: z
    .int()
    .min(7, { error: said('forecasts.problems.leastWeek') })
    .max(730, { error: said('forecasts.problems.mostTwoYears') }),
  start: z.enum(START_KINDS),
  members: z.int().min(20).max(500),
  options: z
    .array(WhatIfOption)
    .min(1)
    .max(MAX_OPTIONS, { error: said('forecasts.problems.mostOptionsSideSide', { maxOptions: MAX_OPTIONS }) }),
})
export type WhatIfInput = z.infer<typeof WhatIfInput>

/** A filter that a way can be run with. */
export interface ModelFilter {
  /** AS_IT_IS or a design's id. */
  readonly key: string
  readonly name: string
  readonly filter: EcoFilter
  readonly fallM: number
}

/** Everything a pond brings to a what-if. */
export interface PondModel {
  readonly eco: EcoPond
  readonly filters: readonly ModelFilter[]
  /** No filter is saved: it is taken as the house would size it. */
  readonly filterAssumed: boolean
  readonly station: StationNormals
  readonly known: KnownWeather
  /** The newest readings of the water, for runs that begin about today. */
  readonly water: KnownWater
}

/** UV of a usual clarifier for this pond: its whole flow. */
const lampFlow = (filter: EcoFilter): number => (filter.uvFlowM3PerH > 0 ? filter.uvFlowM3PerH : filter.flowM3PerH)
const USUAL_AERATOR_G_PER_D = 200
const DRAINED_WET_SHARE = 0.1

const plainOption: Omit<WhatIfOption, 'name'> = {
  filter: AS_IT_IS,
  filterSize: 1,
  fish: 1,
  feed: 1,
  uv: 'as-it-is',
  aerator: 'as-it-is',
  airBreak: 'as-it-is',
  events: [],
}
export const newOption = (name: string, changes: Partial<WhatIfOption> = {}): WhatIfOption => ({
  ...plainOption,
  ...changes,
  name,
})

/** A way as the simulator runs it. A design that is gone is read as the filter that stands. */
export function scenarioOf(option: WhatIfOption, model: PondModel): Scenario {
  const chosen = model.filters.find((f) => f.key === option.filter) ?? model.filters[0]
  const sized: EcoFilter = {
    ...chosen!.filter,
    stoneM3: chosen!.filter.stoneM3 * option.filterSize,
    areaM2: chosen!.filter.areaM2 * option.filterSize,
    flowM3PerH: chosen!.filter.flowM3PerH * option.filterSize,
  }
  const uvFlow = () => {
    if (option.uv === 'on' || (option.uv === 'as-it-is' && hasEvent(option, 'uv'))) return lampFlow(sized)
    return option.uv === 'off' ? 0 : sized.uvFlowM3PerH
  }
  const wetShare = () => {
    if (option.airBreak === 'as-it-is') return sized.wetShareStopped
    if (option.airBreak === 'stays-wet') return 1
    return DRAINED_WET_SHARE
  }
  const filter: EcoFilter = {
    ...sized,
    uvFlowM3PerH: uvFlow(),
    wetShareStopped: wetShare(),
  }
  const { eco } = model
  const aerator = () => {
    if (option.aerator === 'as-it-is') return eco.aeratorGPerD
    if (option.aerator === 'on') return Math.max(eco.aeratorGPerD, USUAL_AERATOR_G_PER_D)
    return 0
  }
  const aeratorGPerD = aerator()
  const pond: EcoPond = {
    ...eco,
    filter,
    fallM: chosen!.fallM,
    aeratorGPerD,
    fish: { ...eco.fish, massKg: eco.fish.massKg * option.fish, feedFactor: eco.fish.feedFactor * option.feed },
  }
  // a lamp that is switched on only later stands dark until then
  const dark = option.uv === 'as-it-is' && sized.uvFlowM3PerH === 0 && hasEvent(option, 'uv')
  return { pond, events: dark ? [{ kind: 'uv', day: 0, on: false }, ...option.events] : option.events }
}

const hasEvent = (option: WhatIfOption, kind: WhatIfEvent['kind']): boolean =>
  option.events.some((event) => event.kind === kind)

const SEED = 20270410

/**
 * A what-if as the simulator compares it. Readings count only where the run begins near today and the pond as it is.
 */
export function comparisonOf(whatIf: WhatIfInput, model: PondModel): Comparison {
  const near = Math.abs(Date.parse(whatIf.from) - Date.parse(model.known.today)) <= 7 * DAY_MS
  return {
    pond: model.eco,
    station: model.station,
    known: model.known,
    from: whatIf.from,
    days: whatIf.days,
    scenarios: whatIf.options.map((option) => scenarioOf(option, model)),
    start: whatIf.start,
    water: near && whatIf.start === 'settled' ? model.water : {},
    seed: SEED,
  }
}

/**
 * The next time a day of the season comes at a pond, today included.
 * @param northern its month and day where the season year begins in January
 */
export function nextTime(northern: string, today: string, model: Pick<PondModel, 'station'> | null): string {
  const monthDay = monthDayIn(northern, model ? seasonFromOf(model.station) : 1)
  const thisYear = `${today.slice(0, 4)}-${monthDay}`
  return thisYear >= today ? thisYear : `${Number(today.slice(0, 4)) + 1}-${monthDay}`
}
