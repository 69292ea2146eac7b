import type { PondDeed, PondEvent } from '../core/ecosystem/events'
import { daysBetween } from '../core/numeric/calendar'

/** What a finished visit of each kind did to the water, for the simulator. @source the kinds' own steps, usual amounts */
const DEEDS: Readonly<Record<string, readonly PondDeed[]>> = {
  'spring-cleanout': [
    { kind: 'water-change', fraction: 0.85, dechlorinated: true },
    { kind: 'vacuum', share: 0.85 },
    { kind: 'rinse-media', share: 0.5, water: 'pond' },
    { kind: 'pull-string-algae', share: 0.8 },
  ],
  'spring-startup': [
    { kind: 'pump', running: true },
    { kind: 'seed-bacteria', share: 0.02 },
  ],
  'wetland-flush': [{ kind: 'flush', share: 0.7 }],
  netting: [{ kind: 'net', keptShare: 0.9 }],
  'winter-shutdown': [
    { kind: 'pump', running: false },
    { kind: 'cut', plants: 'marginals', share: 0.8 },
  ],
  'winter-running': [{ kind: 'ice-hole', open: true }],
  'rescue-floor': [
    { kind: 'water-change', fraction: 0.3, dechlorinated: true },
    { kind: 'vacuum', share: 0.5 },
  ],
  'rescue-media': [{ kind: 'rinse-media', share: 0.5, water: 'pond' }],
  'rescue-rocks': [{ kind: 'vacuum', share: 0.3 }],
}

/** Middle of a working day. */
const AT_NOON = 0.5

/** Done visits as events of a run. @param from the run's first day */
export const eventsOfVisits = (visits: readonly { readonly day: string; readonly jobKey: string }[], from: string): PondEvent[] =>
  visits.flatMap(({ day, jobKey }) => (DEEDS[jobKey] ?? []).map((deed) => ({ ...deed, day: daysBetween(from, day) + AT_NOON }) as PondEvent))
