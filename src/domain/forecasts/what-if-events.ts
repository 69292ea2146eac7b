import { z } from 'zod'
import { CUT_PLANTS, type PondEvent } from '../../core/ecosystem/events'
import { RUNOFF_FROM } from '../../core/ecosystem/runoff'
import { numberWithin } from '../shared/fields'
import type { TextKey } from '@/messages/keys'

const share = (noun: TextKey) => numberWithin([0, 1], noun, '')
const day = numberWithin([0, 730], 'forecasts.fields.day', '')

/** One thing that happens in a what-if; days count from its first day. */
export const WhatIfEvent = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('feed'), day, factor: numberWithin([0, 10], 'forecasts.fields.feed', '') }),
  z.strictObject({
    kind: z.literal('fish'),
    day,
    massKg: numberWithin([-10_000, 10_000], 'forecasts.fields.fish', 'kg'),
  }),
  z.strictObject({ kind: z.literal('pump'), day, running: z.boolean() }),
  z.strictObject({ kind: z.literal('uv'), day, on: z.boolean() }),
  z.strictObject({
    kind: z.literal('aerator'),
    day,
    gPerD: numberWithin([0, 100_000], 'forecasts.fields.oxygen', { text: 'kit.units.gramsADay' }),
  }),
  z.strictObject({ kind: z.literal('ice-hole'), day, open: z.boolean() }),
  z.strictObject({
    kind: z.literal('rinse-media'),
    day,
    share: share('forecasts.fields.mediaRinsed'),
    water: z.enum(['pond', 'tap']),
  }),
  z.strictObject({ kind: z.literal('flush'), day, share: share('forecasts.fields.sludgeFlushedOut') }),
  z.strictObject({ kind: z.literal('wash-surfaces'), day, share: share('forecasts.fields.stonesWashed') }),
  z.strictObject({
    kind: z.literal('water-change'),
    day,
    fraction: share('forecasts.fields.waterChanged'),
    dechlorinated: z.boolean(),
  }),
  z.strictObject({ kind: z.literal('vacuum'), day, share: share('forecasts.fields.sludgeLifted') }),
  z.strictObject({
    kind: z.literal('cut'),
    day,
    plants: z.enum(CUT_PLANTS),
    share: share('forecasts.fields.plantsCut'),
  }),
  z.strictObject({ kind: z.literal('pull-string-algae'), day, share: share('forecasts.fields.stringAlgaePulled') }),
  z.strictObject({ kind: z.literal('net'), day, keptShare: share('forecasts.fields.leavesKeptOut') }),
  z.strictObject({ kind: z.literal('raise-kh'), day, byDKH: numberWithin([0, 20], 'forecasts.fields.kh', '°dH') }),
  z.strictObject({ kind: z.literal('seed-bacteria'), day, share: share('forecasts.fields.bacteria') }),
  z.strictObject({ kind: z.literal('flocculant'), day }),
  z.strictObject({ kind: z.literal('carbon'), day, kg: numberWithin([0, 1000], 'forecasts.fields.weight', 'kg') }),
  z.strictObject({ kind: z.literal('leaves'), day, kg: numberWithin([0, 10_000], 'forecasts.fields.weight', 'kg') }),
  z.strictObject({
    kind: z.literal('runoff'),
    day,
    from: z.enum(RUNOFF_FROM),
    volumeM3: numberWithin([0, 10_000], 'forecasts.fields.waterThatRunsIn', 'm³'),
  }),
  z.strictObject({ kind: z.literal('kill-algae'), day, share: share('forecasts.fields.algaeKilled') }),
  z.strictObject({
    kind: z.literal('heatwave'),
    day,
    days: numberWithin([1, 60], 'forecasts.fields.days', ''),
    warmerC: numberWithin([-15, 15], 'forecasts.fields.warmerBy', '°C'),
  }),
  z.strictObject({
    kind: z.literal('storm'),
    day,
    rainMm: numberWithin([0, 500], 'forecasts.fields.rain', 'mm'),
    siltGPerM3: numberWithin([0, 2000], 'forecasts.fields.mud', 'g/m³'),
  }),
]) satisfies z.ZodType<PondEvent>
export type WhatIfEvent = z.infer<typeof WhatIfEvent>

/** A new event as it usually is. */
export const USUAL_EVENT: {
  readonly [Kind in WhatIfEvent['kind']]: Omit<Extract<WhatIfEvent, { kind: Kind }>, 'day'>
} = {
  'rinse-media': { kind: 'rinse-media', share: 0.5, water: 'pond' },
  flush: { kind: 'flush', share: 0.7 },
  'wash-surfaces': { kind: 'wash-surfaces', share: 1 },
  'water-change': { kind: 'water-change', fraction: 0.3, dechlorinated: true },
  vacuum: { kind: 'vacuum', share: 0.7 },
  pump: { kind: 'pump', running: false },
  uv: { kind: 'uv', on: true },
  aerator: { kind: 'aerator', gPerD: 200 },
  feed: { kind: 'feed', factor: 0.5 },
  fish: { kind: 'fish', massKg: 2 },
  'seed-bacteria': { kind: 'seed-bacteria', share: 0.1 },
  'raise-kh': { kind: 'raise-kh', byDKH: 1 },
  flocculant: { kind: 'flocculant' },
  carbon: { kind: 'carbon', kg: 5 },
  leaves: { kind: 'leaves', kg: 10 },
  runoff: { kind: 'runoff', from: 'lawn', volumeM3: 2 },
  'kill-algae': { kind: 'kill-algae', share: 0.9 },
  'pull-string-algae': { kind: 'pull-string-algae', share: 0.7 },
  cut: { kind: 'cut', plants: 'marginals', share: 0.8 },
  net: { kind: 'net', keptShare: 0.9 },
  'ice-hole': { kind: 'ice-hole', open: true },
  heatwave: { kind: 'heatwave', days: 7, warmerC: 6 },
  storm: { kind: 'storm', rainMm: 40, siltGPerM3: 20 },
}

export const EVENT_KINDS = Object.keys(USUAL_EVENT) as WhatIfEvent['kind'][]
