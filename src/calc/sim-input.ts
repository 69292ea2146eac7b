import { z } from 'zod'
import { CUT_PLANTS } from '../core/ecosystem/events'
import { RUNOFF_FROM } from '../core/ecosystem/runoff'
import { NO_ECO_GUESTS } from '../core/ecosystem/guests'
import { USUAL_SOURCE, type EcoPond } from '../core/ecosystem/pond'
import { LATITUDE_RANGE } from '../core/season/sun'
import { numberIn, protein } from './define'

const share = numberIn([0, 1])
const day = numberIn([0, 4000], 'days from the start of the run')

export const weatherDay = z
  .strictObject({
    min_C: numberIn([-50, 50]),
    max_C: numberIn([-50, 60]),
    humidity_percent: numberIn([1, 100]).default(75),
    wind_m_s: numberIn([0, 40]).default(2.5),
    sunshine_h: numberIn([0, 24]),
    rain_mm: numberIn([0, 500]).default(0),
  })
  .refine((d) => d.max_C >= d.min_C, { path: ['max_C'], error: 'must be at least min_C' })

export const pond = z.strictObject({
  latitude_deg: numberIn(LATITUDE_RANGE),
  altitude_m: numberIn([-400, 5000]).default(0),
  volume_m3: z.number().positive().max(1e5),
  area_m2: z.number().positive().max(2e5),
  wallArea_m2: z.number().min(0).max(1e6).optional(),
  shade: numberIn([0, 0.95]).default(0.2),
  windShare: numberIn([0.05, 1.5]).default(0.5),
  fall_m: numberIn([0, 20]).default(0.4),
  aerator_g_d: z.number().min(0).max(1e6).default(0),
  leaf_kg_a: z.number().min(0).max(1e5).default(2),
  leafKeptShare: share.default(0.3),
  publicFeed_g_d: z.number().min(0).max(1e5).default(0),
  guestNitrogen_g_d: z.number().min(0).max(1e5).default(0),
  guestPhosphorus_g_d: z.number().min(0).max(1e5).default(0),
  autoFill: z.boolean().default(true),
  topUpAt_mm: numberIn([1, 2000]).default(40),
  leak_mm_d: numberIn([0, 500]).default(0),
  runoffArea_m2: z.number().min(0).max(1e5).default(0),
  iceHole: z.boolean().default(false),
  fish: z.strictObject({
    mass_kg: z.number().min(0).max(1e5),
    feedFactor: numberIn([0, 10]).default(1),
    protein: protein.default(0.35),
    feedFrom_C: numberIn([0, 30]).default(10),
    lowProteinBelow_C: numberIn([0, 30]).nullable().default(null),
  }),
  plants: z
    .strictObject({
      marginalShare: share.default(0.6),
      lilyShare: share.default(0.1),
      floatingShare: share.default(0),
      submergedShare: share.default(0.05),
    })
    .prefault({}),
  source: z
    .strictObject({
      temp_C: numberIn([0, 40]).default(USUAL_SOURCE.tempC),
      alkalinity_mg_L: numberIn([0, 1000]).default(USUAL_SOURCE.alkalinityMgL),
      nitrate_mg_L: numberIn([0, 100]).default(USUAL_SOURCE.nitrateMgL),
      phosphate_mg_L: numberIn([0, 10]).default(USUAL_SOURCE.phosphateMgL),
      tan_mg_L: numberIn([0, 10]).default(USUAL_SOURCE.tanMgL),
      chlorine_mg_L: numberIn([0, 10]).default(USUAL_SOURCE.chlorineMgL),
    })
    .prefault({}),
})

export const filter = z.strictObject({
  stone_m3: z.number().min(0).max(1e5),
  area_m2: z.number().min(0).max(1e5),
  porosity: numberIn([0.05, 1]).default(0.4),
  surface_m2_m3: numberIn([0, 5000]).default(290),
  flow_m3_h: z.number().min(0).max(1e5),
  wetShareStopped: share.default(1),
  uvFlow_m3_h: z.number().min(0).max(1e5).default(0),
  winter: z.enum(['runs', 'drained']).default('runs'),
})

export const event = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('feed'),
    day,
    factor: numberIn([0, 10]).optional(),
    protein: protein.optional(),
    feedFrom_C: numberIn([0, 30]).optional(),
    lowProteinBelow_C: numberIn([0, 30]).nullable().optional(),
  }),
  z.strictObject({ kind: z.literal('fish'), day, mass_kg: numberIn([-1e5, 1e5]) }),
  z.strictObject({ kind: z.literal('pump'), day, running: z.boolean() }),
  z.strictObject({ kind: z.literal('uv'), day, on: z.boolean() }),
  z.strictObject({ kind: z.literal('aerator'), day, g_d: numberIn([0, 1e6]) }),
  z.strictObject({ kind: z.literal('ice-hole'), day, open: z.boolean() }),
  z.strictObject({ kind: z.literal('rinse-media'), day, share, water: z.enum(['pond', 'tap']) }),
  z.strictObject({ kind: z.literal('flush'), day, share }),
  z.strictObject({ kind: z.literal('water-change'), day, fraction: share, dechlorinated: z.boolean().default(true) }),
  z.strictObject({ kind: z.literal('vacuum'), day, share }),
  z.strictObject({ kind: z.literal('cut'), day, plants: z.enum(CUT_PLANTS), share }),
  z.strictObject({ kind: z.literal('pull-string-algae'), day, share }),
  z.strictObject({ kind: z.literal('net'), day, keptShare: share }),
  z.strictObject({ kind: z.literal('raise-kh'), day, by_dKH: numberIn([0, 20]) }),
  z.strictObject({ kind: z.literal('salt'), day, mass_kg: numberIn([0, 1e6]) }),
  z.strictObject({ kind: z.literal('dechlorinate'), day }),
  z.strictObject({ kind: z.literal('seed-bacteria'), day, share }),
  z.strictObject({ kind: z.literal('flocculant'), day }),
  z.strictObject({ kind: z.literal('carbon'), day, mass_kg: numberIn([0, 1e5]) }),
  z.strictObject({ kind: z.literal('leaves'), day, mass_kg: numberIn([0, 1e5]) }),
  z.strictObject({ kind: z.literal('dust'), day, g_m3: numberIn([0, 5000]) }),
  z.strictObject({ kind: z.literal('runoff'), day, from: z.enum(RUNOFF_FROM), volume_m3: numberIn([0, 1e5]) }),
  z.strictObject({ kind: z.literal('kill-algae'), day, share }),
  z.strictObject({ kind: z.literal('heatwave'), day, days_d: numberIn([0, 120]), warmer_C: numberIn([-15, 15]) }),
  z.strictObject({
    kind: z.literal('storm'),
    day,
    rain_mm: numberIn([0, 500]),
    silt_g_m3: numberIn([0, 5000]).default(0),
  }),
])

/** Events of the contract in the core's words. */
export function asEvent(e: z.output<typeof event>) {
  switch (e.kind) {
    case 'feed':
      return {
        kind: e.kind,
        day: e.day,
        factor: e.factor,
        protein: e.protein,
        feedFromC: e.feedFrom_C,
        lowProteinBelowC: e.lowProteinBelow_C,
      }
    case 'fish':
      return { kind: e.kind, day: e.day, massKg: e.mass_kg }
    case 'aerator':
      return { kind: e.kind, day: e.day, gPerD: e.g_d }
    case 'raise-kh':
      return { kind: e.kind, day: e.day, byDKH: e.by_dKH }
    case 'carbon':
    case 'leaves':
    case 'salt':
      return { kind: e.kind, day: e.day, kg: e.mass_kg }
    case 'dust':
      return { kind: e.kind, day: e.day, gPerM3: e.g_m3 }
    case 'runoff':
      return { kind: e.kind, day: e.day, from: e.from, volumeM3: e.volume_m3 }
    case 'heatwave':
      return { kind: e.kind, day: e.day, days: e.days_d, warmerC: e.warmer_C }
    case 'storm':
      return { kind: e.kind, day: e.day, rainMm: e.rain_mm, siltGPerM3: e.silt_g_m3 }
    default:
      return e
  }
}

/** A pond and its filter as the simulator runs them. */
export function asPond({ fish, plants, source, ...p }: z.output<typeof pond>, f: z.output<typeof filter>): EcoPond {
  return {
    latitudeDeg: p.latitude_deg,
    altitudeM: p.altitude_m,
    meanDepthM: p.volume_m3 / p.area_m2,
    shade: p.shade,
    windShare: p.windShare,
    volumeM3: p.volume_m3,
    areaM2: p.area_m2,
    // a basin's floor and sides: its surface and a fifth, with the depth's own walls
    wallAreaM2: p.wallArea_m2 ?? p.area_m2 * 1.2 + 4 * Math.sqrt(p.area_m2) * (p.volume_m3 / p.area_m2),
    fallM: p.fall_m,
    aeratorGPerD: p.aerator_g_d,
    fish: {
      massKg: fish.mass_kg,
      feedFactor: fish.feedFactor,
      protein: fish.protein,
      feedFromC: fish.feedFrom_C,
      lowProteinBelowC: fish.lowProteinBelow_C,
    },
    guests: {
      ...NO_ECO_GUESTS,
      feedGPerD: p.publicFeed_g_d,
      nitrogenGPerD: p.guestNitrogen_g_d,
      phosphorusGPerD: p.guestPhosphorus_g_d,
    },
    plants,
    leafKgPerYear: p.leaf_kg_a,
    leafKeptShare: p.leafKeptShare,
    source: {
      tempC: source.temp_C,
      alkalinityMgL: source.alkalinity_mg_L,
      nitrateMgL: source.nitrate_mg_L,
      phosphateMgL: source.phosphate_mg_L,
      tanMgL: source.tan_mg_L,
      chlorineMgL: source.chlorine_mg_L,
    },
    autoFill: p.autoFill,
    topUpAtMm: p.topUpAt_mm,
    leakMmPerD: p.leak_mm_d,
    runoffAreaM2: p.runoffArea_m2,
    iceHole: p.iceHole,
    filter: {
      stoneM3: f.stone_m3,
      areaM2: f.area_m2,
      porosity: f.porosity,
      surfaceM2PerM3: f.surface_m2_m3,
      flowM3PerH: f.flow_m3_h,
      wetShareStopped: f.wetShareStopped,
      uvFlowM3PerH: f.uvFlow_m3_h,
      winter: f.winter,
    },
  }
}

export const asWeather = (days: readonly z.output<typeof weatherDay>[]) =>
  days.map((d) => ({
    minAirC: d.min_C,
    maxAirC: d.max_C,
    humidityPercent: d.humidity_percent,
    windMPerS: d.wind_m_s,
    sunshineH: d.sunshine_h,
    rainMm: d.rain_mm,
  }))
