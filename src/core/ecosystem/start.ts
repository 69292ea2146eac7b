import { inorganicCarbonMgL } from '../water/carbonate'
import { oxygenSaturationMgL } from '../water/dissolved-oxygen'
import type { ParameterValues } from './parameters'
import type { EcoPond } from './pond'
import { bedSurfaceM2, maxOxidisers, wallSurfaceM2 } from './processes/nitrification'
import { CROWNS, fullStands } from './processes/plants'
import { SECCHI } from './secchi'
import type { PondState } from './running'
import { STATE, STATE_COUNT, type StateName } from './states'

/** What the water is known to be at the start, mg/L; what is not given is guessed from the kind of start. */
export interface KnownWater {
  readonly waterC?: number
  readonly tan?: number
  readonly nitrite?: number
  readonly nitrate?: number
  readonly phosphate?: number
  readonly oxygen?: number
  readonly ph?: number
  readonly alkalinity?: number
  readonly saltMgL?: number
  /** µg/L; from a clarity depth where one was read. */
  readonly chlorophyll?: number
  /** Where the floor was seen: at most so much, µg/L. */
  readonly chlorophyllAtMost?: number
}

export const START_KINDS = ['new', 'settled', 'green', 'neglected'] as const
export type StartKind = (typeof START_KINDS)[number]

/**
 * How far each kind of start has come; a share of what the surfaces can hold, concentrations in mg/L, floor in g
 * dry/m².
 * @source house defaults; a run-in of a year takes their place where one is made
 */
const KINDS: Readonly<Record<StartKind, Start>> = {
  new: {
    bacteria: 2e-5,
    film: 0,
    cells: 0.05,
    nitrate: 1,
    phosphate: 0.02,
    floor: 2,
    muck: 0,
    sorbed: 0.02,
    sludge: 0,
    tufts: 0.2,
    plants: 0.15,
  },
  settled: {
    bacteria: 0.15,
    film: 0.9,
    cells: 0.6,
    nitrate: 4,
    phosphate: 0.06,
    floor: 20,
    muck: 150,
    sorbed: 0.4,
    sludge: 150,
    tufts: 4,
    plants: 0.5,
  },
  green: {
    bacteria: 0.1,
    film: 0.8,
    cells: 30,
    nitrate: 5,
    phosphate: 0.15,
    floor: 40,
    muck: 200,
    sorbed: 0.5,
    sludge: 100,
    tufts: 2,
    plants: 0.3,
  },
  neglected: {
    bacteria: 0.2,
    film: 1,
    cells: 6,
    nitrate: 8,
    phosphate: 0.3,
    floor: 70,
    muck: 1500,
    sorbed: 0.9,
    sludge: 3000,
    tufts: 20,
    plants: 0.8,
  },
}

interface Start {
  readonly bacteria: number
  readonly film: number
  readonly cells: number
  readonly nitrate: number
  readonly phosphate: number
  readonly floor: number
  readonly muck: number
  readonly sorbed: number
  /** Dry sludge in the bed, g per m² of bed. */
  readonly sludge: number
  readonly tufts: number
  readonly plants: number
}

const SETTLED_PH = 7.6
/** Grazers of string algae in a pond that has stood a year. @source house default */
const SETTLED_GRAZERS = 0.6
/**
 * In a new pond nitrite oxidisers are rarer still than ammonia oxidisers: there has been nothing for them.
 * @source house default
 */
const NEW_NITRITE_OXIDISERS = 0.3

/** A state vector to begin from. @param dayOfYear plants stand as the season has them: crowns only in winter */
export function startState(
  pond: EcoPond,
  p: ParameterValues,
  kind: StartKind,
  dayOfYear: number,
  known: KnownWater = {},
): Float64Array {
  const start = KINDS[kind]
  const y = new Float64Array(STATE_COUNT)
  const set = (name: StateName, value: number) => (y[STATE[name]] = value)
  const v = pond.volumeM3
  const waterC = known.waterC ?? 12
  const alkalinity = known.alkalinity ?? pond.source.alkalinityMgL
  set('tan', (known.tan ?? 0.05) * v)
  set('nitrite', (known.nitrite ?? 0.02) * v)
  set('nitrate', (known.nitrate ?? Math.max(start.nitrate, pond.source.nitrateMgL)) * v)
  set('phosphate', (known.phosphate ?? Math.max(start.phosphate, pond.source.phosphateMgL)) * v)
  set('oxygen', (known.oxygen ?? 0.92 * oxygenSaturationMgL(Math.min(40, Math.max(0, waterC)), pond.altitudeM)) * v)
  set('alkalinity', alkalinity * v)
  set('inorganicCarbon', inorganicCarbonMgL(alkalinity, known.ph ?? SETTLED_PH, Math.max(0, waterC)) * v)
  set('phytoplankton', cellsKnown(start.cells, known, p) * v)
  set('filamentous', start.tufts * pond.areaM2)
  set('seston', 0.5 * v)
  set('sediment', start.floor * pond.areaM2)
  set('muck', start.muck * pond.areaM2)
  set('bedSludge', start.sludge * pond.filter.areaM2)
  set('sorbedPhosphorus', start.sorbed * p.sorptionRoom * (pond.areaM2 + pond.filter.areaM2))
  set('salt', (known.saltMgL ?? 0) * v)
  set('bedMaturity', start.film)
  set('bedOxygen', 7)
  set('tuftGrazers', kind === 'new' ? 0 : SETTLED_GRAZERS)
  const lag = kind === 'new' ? NEW_NITRITE_OXIDISERS : 1
  const bed = maxOxidisers(p, bedSurfaceM2(p, pond))
  const wall = maxOxidisers(p, wallSurfaceM2(p, pond))
  set('bedAmmoniaOxidisers', start.bacteria * bed.ammonia)
  set('bedNitriteOxidisers', start.bacteria * lag * bed.nitrite)
  set('pondAmmoniaOxidisers', start.bacteria * wall.ammonia)
  set('pondNitriteOxidisers', start.bacteria * lag * wall.nitrite)
  const summer = dayOfYear > 120 && dayOfYear < 300 ? 1 : 0
  for (const stand of fullStands(p, pond))
    y[stand.state] = (CROWNS + summer * Math.max(0, start.plants - CROWNS)) * stand.maxG
  return y
}

/** A pond's state with what has been read put in its place; the rest stays as the run-in left it. */
export function takeKnownWater(state: PondState, known: KnownWater, pond: EcoPond, p: ParameterValues): PondState {
  const y = state.y.slice()
  const v = state.running.volumeM3
  const waterC = known.waterC ?? state.running.waterC
  const put = (name: StateName, mgL: number | undefined) => {
    if (mgL !== undefined) y[STATE[name]] = mgL * v
  }
  put('tan', known.tan)
  put('nitrite', known.nitrite)
  put('nitrate', known.nitrate)
  put('phosphate', known.phosphate)
  put('oxygen', known.oxygen)
  put('alkalinity', known.alkalinity)
  put('salt', known.saltMgL)
  y[STATE.phytoplankton] = cellsKnown(y[STATE.phytoplankton]! / v, known, p) * v
  if (known.ph !== undefined)
    y[STATE.inorganicCarbon] = inorganicCarbonMgL(y[STATE.alkalinity]! / v, known.ph, Math.max(0, waterC)) * v
  return { y, running: { ...state.running, waterC, iceM: waterC > 1 ? 0 : state.running.iceM } }
}

/** Cells by what is known of them, else as they were taken to be, mg/L. */
function cellsKnown(taken: number, { chlorophyll, chlorophyllAtMost }: KnownWater, p: ParameterValues): number {
  const cells = (microgramsL: number) => microgramsL / 1000 / p.chlorophyllShare
  if (chlorophyll !== undefined) return cells(chlorophyll)
  return chlorophyllAtMost === undefined ? taken : Math.min(taken, cells(chlorophyllAtMost))
}

/** Chlorophyll that explains how deep a hand is seen, µg/L; 0 in water clearer than the model's own. */
export function chlorophyllOfClarity(clarityM: number, p: ParameterValues): number {
  return Math.max(0, (SECCHI / clarityM - p.waterExtinction) / p.chlorophyllExtinction)
}
