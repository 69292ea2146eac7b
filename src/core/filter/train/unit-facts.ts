import type { TrainKind, TrainLine } from './train-unit'

/** Figures of a kind of unit; usual ones of generic equipment. */
export interface UnitFacts {
  /** Where it may stand, the usual place first. */
  readonly lines: readonly [TrainLine, ...TrainLine[]]
  /** Head lost at its rated flow, m. */
  readonly headM: number
  /** Head that its water is lifted anew because it falls out freely, m, beside the height of a tower. */
  readonly freeFallM: number
  /** Surface that bacteria really use, m² per litre of media: rated area less what fouling takes. */
  readonly mediaM2PerL: number
  /** Tanks in series that describe how its water mixes. */
  readonly tanks: number
  /** It brings its own air: its bacteria ask nothing of the oxygen in the water. */
  readonly aerated: boolean
  /** Share of suspended solids that its media keep; screens go by their mesh instead. */
  readonly solidsShare: number
  /** Share of leaf litter that comes to it and stays. */
  readonly litterShare: number
  /** Openings of a screen as usual, µm; 0 where there is none. */
  readonly meshUm: number
  /** Solids that it holds before it is washed, g dry, and the water of one wash, m³, at a rated flow of 10 m³/h. */
  readonly washAtG: number
  readonly washM3: number
  /** Washed at least so often, a day. */
  readonly washesPerDayLeast: number
  /** Electric power at a rated flow of 10 m³/h, W, without lamps and pumps. */
  readonly powerWPer10M3PerH: number
  readonly serviceMonths: number
  /** Free space that its service wants, m. */
  readonly clearanceM: number
  /** Can be fitted to an existing rigid or concrete pond. */
  readonly retrofit: boolean
}

const facts = (given: Partial<UnitFacts> & Pick<UnitFacts, 'lines'>): UnitFacts => ({
  headM: 0,
  freeFallM: 0,
  mediaM2PerL: 0,
  tanks: 3,
  aerated: false,
  solidsShare: 0,
  litterShare: 0,
  meshUm: 0,
  washAtG: 0,
  washM3: 0,
  washesPerDayLeast: 0,
  powerWPer10M3PerH: 0,
  serviceMonths: 12,
  clearanceM: 0,
  retrofit: true,
  ...given,
})

/**
 * @source house defaults: rated areas of generic pads, beads and carriers rounded down to what fouled media keep;
 * wash volumes of small screens; space from the length of what is drawn out
 */
export const UNIT_FACTS: Readonly<Record<TrainKind, UnitFacts>> = {
  'skimmer-wall': facts({
    lines: ['intake'],
    headM: 0.05,
    litterShare: 0.5,
    serviceMonths: 1,
    clearanceM: 0.5,
    retrofit: false,
  }),
  'skimmer-floating': facts({ lines: ['intake'], headM: 0.1, litterShare: 0.4, serviceMonths: 1, clearanceM: 0.3 }),
  'skimmer-pump-fed': facts({ lines: ['pond'], litterShare: 0.3, serviceMonths: 1, powerWPer10M3PerH: 60 }),
  basket: facts({
    lines: ['intake', 'pressure'],
    headM: 0.05,
    litterShare: 0.8,
    meshUm: 3000,
    serviceMonths: 1,
    clearanceM: 0.5,
  }),
  sieve: facts({
    lines: ['intake', 'pressure'],
    headM: 0.12,
    litterShare: 0.95,
    meshUm: 300,
    washAtG: 60,
    washM3: 0.02,
    washesPerDayLeast: 1 / 7,
    serviceMonths: 3,
    clearanceM: 0.5,
  }),
  drum: facts({
    lines: ['intake', 'pressure'],
    headM: 0.1,
    litterShare: 0.95,
    meshUm: 60,
    washAtG: 4,
    washM3: 0.012,
    washesPerDayLeast: 4,
    powerWPer10M3PerH: 25,
    serviceMonths: 3,
    clearanceM: 0.6,
  }),
  'static-bed': facts({
    lines: ['pressure', 'intake'],
    headM: 0.1,
    mediaM2PerL: 0.25,
    solidsShare: 0.45,
    litterShare: 0.45,
    washAtG: 250,
    washM3: 0.35,
    washesPerDayLeast: 1 / 30,
    serviceMonths: 6,
    clearanceM: 0.6,
  }),
  'moving-bed': facts({
    lines: ['pressure', 'intake', 'side'],
    headM: 0.1,
    mediaM2PerL: 0.4,
    tanks: 1,
    aerated: true,
    powerWPer10M3PerH: 40,
    clearanceM: 0.6,
  }),
  pressurised: facts({
    lines: ['pressure', 'side'],
    headM: 1.2,
    mediaM2PerL: 0.35,
    solidsShare: 0.4,
    litterShare: 0.4,
    washAtG: 150,
    washM3: 0.2,
    washesPerDayLeast: 1 / 14,
    serviceMonths: 3,
    clearanceM: 0.4,
  }),
  'foam-fractionator': facts({
    lines: ['side'],
    headM: 0.8,
    solidsShare: 0.1,
    aerated: true,
    washAtG: 20,
    washM3: 0.01,
    washesPerDayLeast: 1,
    serviceMonths: 1,
    clearanceM: 0.5,
  }),
  uv: facts({ lines: ['pressure', 'intake', 'side'], headM: 0.1, serviceMonths: 12, clearanceM: 0.9 }),
  ioniser: facts({
    lines: ['pressure', 'side'],
    headM: 0.05,
    powerWPer10M3PerH: 15,
    serviceMonths: 2,
    clearanceM: 0.3,
  }),
  heater: facts({ lines: ['pressure', 'side'], headM: 0.6, serviceMonths: 12, clearanceM: 0.6 }),
  'trickle-tower': facts({
    lines: ['side', 'pressure'],
    headM: 0.3,
    freeFallM: 0.3,
    mediaM2PerL: 0.2,
    aerated: true,
    serviceMonths: 6,
    clearanceM: 0.6,
  }),
  'falls-box': facts({
    lines: ['pressure'],
    headM: 0.15,
    mediaM2PerL: 0.12,
    solidsShare: 0.15,
    litterShare: 0.15,
    serviceMonths: 6,
    clearanceM: 0.5,
  }),
  'dosing-unit': facts({ lines: ['pond'], powerWPer10M3PerH: 2, serviceMonths: 1, clearanceM: 0.2 }),
  aerator: facts({ lines: ['pond'], powerWPer10M3PerH: 150, serviceMonths: 12, clearanceM: 0.2 }),
}
