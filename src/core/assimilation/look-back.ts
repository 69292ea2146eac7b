import { addDays, type IsoDate } from '../numeric/calendar'
import type { ForecastTask } from './forecast-pond'
import type { Issued } from './issued'
import { LEAD_KEYS, LEADS } from './leads'
import { issuedOf, outlookOf } from './outlook'
import type { EnsembleFilter } from './ensemble-filter'
import type { DatedReading } from './reading'
import { SCORED } from './scored'
import { UNSTRETCHED } from './stretch'

/** So many of a filter's members tell what it would have said: the middle and a band need no more. */
const MEMBERS = 34
/** A pond with a probe is tested every day: so many days, spread evenly, tell as much as all of them. */
const MOST_DAYS = 18
/** As far as the furthest lead looks. */
const DAYS = LEADS.far.best + 1

/**
 * Days on which a forecast would have had to be given out so that each test is met at each lead.
 * @param from first day the filter knows of; @param before day that it is brought to
 * @returns in order
 */
export function lookBackDays(readings: readonly DatedReading[], from: IsoDate, before: IsoDate): IsoDate[] {
  const days = readings
    .filter((r) => r.kind in SCORED)
    .flatMap((r) => LEAD_KEYS.map((lead) => addDays(r.day, -LEADS[lead].best)))
    .filter((day) => day > from && day < before)
  const all = [...new Set(days)].sort()
  if (all.length <= MOST_DAYS) return all
  return Array.from({ length: MOST_DAYS }, (_, i) => all[Math.floor((i * all.length) / MOST_DAYS)]!)
}

/** What a filter says at its day, knowing nothing of the weather that came after. */
export function lookedBackAt(filter: EnsembleFilter, { pond, deepestM, station, known }: ForecastTask): Issued {
  const observed = known.observed.filter((d) => d.date < filter.day)
  const every = Math.ceil(filter.members.length / MEMBERS)
  const few = { ...filter, members: filter.members.filter((_, i) => i % every === 0) }
  const then = { today: filter.day, observed, forecast: [] }
  const setting = { pond, deepestM, station, known: then, stretch: UNSTRETCHED }
  return issuedOf(outlookOf(few, setting, DAYS), filter.day, UNSTRETCHED)
}
