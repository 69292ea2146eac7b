import type { Environment } from './environment'
import type { ParameterValues } from './parameters'
import type { EcoPond } from './pond'
import { bedSurfaceM2, maxOxidisers } from './processes/nitrification'
import type { Running } from './running'
import { SECCHI } from './secchi'
import { STATE } from './states'
import { recordOf } from '../numeric/record-of'
import { unionisedShare } from './unionised-share'

/** What a run reports, and how a day's figure is made from its hours: the worst where one hour can hurt. */
const OUTPUTS = {
  waterC: 'mean',
  iceM: 'mean',
  levelMm: 'mean',
  tan: 'mean', // mg N/L
  nh3: 'most', // mg N/L un-ionised
  nitrite: 'mean', // mg N/L
  nitrate: 'mean', // mg N/L
  phosphate: 'mean', // mg P/L
  oxygen: 'least', // mg/L
  ph: 'mean',
  khDH: 'mean',
  carbonDioxide: 'mean', // mg/L
  clarityM: 'mean',
  chlorophyll: 'mean', // µg/L
  filamentousGM2: 'mean', // g dry/m² of pond
  bacteriaShare: 'mean', // ammonia oxidisers of the bed, of the most it holds
  nitriteBacteriaShare: 'mean',
  poreLoss: 'mean',
  floorGM2: 'mean', // organic matter on the floor, g dry/m²
  plantsG: 'mean', // all plants, g dry
  leafCover: 'mean',
  colour: 'mean', // mg Pt/L
  chlorine: 'most', // mg/L
  fishKg: 'least',
  fishCondition: 'least', // 1: in full health
  fishAlive: 'least', // share of the shoal since the first run
  carcassesG: 'mean', // g dry
} as const
export type OutputName = keyof typeof OUTPUTS
export const OUTPUT_NAMES = Object.keys(OUTPUTS) as readonly OutputName[]
/** Where each output stands in a recorder's row: by name, so that the list above can grow anywhere. */
const AT = recordOf(OUTPUT_NAMES, (_, i) => i)
export type Series = Readonly<Record<OutputName, Float64Array>>

const MG_PER_DKH = 17.848
const CO2_PER_CARBON = 44.01 / 12.011
const hoursPerRow = { hour: 1, day: 24 } as const
export type Every = keyof typeof hoursPerRow

/** Collects a run's outputs hour by hour or day by day. */
export class Recorder {
  readonly series: Series
  private readonly columns: readonly Float64Array[]
  private readonly fold: readonly ('mean' | 'least' | 'most')[]
  private now = new Float64Array(OUTPUT_NAMES.length)
  /** What was read when the step under way began. */
  private before = new Float64Array(OUTPUT_NAMES.length)
  private readonly between = new Float64Array(OUTPUT_NAMES.length)
  private readonly per: number
  private readonly most: { ammonia: number; nitrite: number }

  constructor(
    private readonly pond: EcoPond,
    private readonly p: ParameterValues,
    days: number,
    every: Every,
  ) {
    this.per = hoursPerRow[every]
    const rows = (days * 24) / this.per
    this.columns = OUTPUT_NAMES.map(() => new Float64Array(rows))
    this.fold = OUTPUT_NAMES.map((name) => OUTPUTS[name])
    this.series = recordOf(OUTPUT_NAMES, (_, i) => this.columns[i]!)
    this.most = maxOxidisers(p, bedSurfaceM2(p, pond))
  }

  /** What is there as a step begins; to be said where something has changed since the last one ended. */
  begin(y: Float64Array, env: Environment, running: Running): void {
    this.read(y, env, running)
  }

  /** A step's hours, up to the state it ends with; between, what is reported lies on a line. */
  record(hour: number, hours: number, y: Float64Array, env: Environment, running: Running): void {
    const { before, now, between } = this
    this.now = before
    this.before = now
    this.read(y, env, running)
    for (let i = 1; i < hours; i++) {
      const share = i / hours
      for (let k = 0; k < between.length; k++) between[k] = now[k]! + share * (before[k]! - now[k]!)
      this.write(hour + i - 1, between)
    }
    this.write(hour + hours - 1, this.now)
  }

  private write(hour: number, values: Float64Array): void {
    const { columns, fold, per } = this
    const row = Math.floor(hour / per)
    if (per === 1) {
      for (let i = 0; i < columns.length; i++) columns[i]![row] = values[i]!
      return
    }
    const first = hour % per === 0
    for (let i = 0; i < columns.length; i++) {
      const column = columns[i]!
      const value = values[i]!
      const how = fold[i]
      if (how === 'mean') column[row]! += value / per
      else if (first || (how === 'least' ? value < column[row]! : value > column[row]!)) column[row]! = value
    }
  }

  private read(y: Float64Array, env: Environment, running: Running): void {
    const { now, p, pond } = this
    const per = env.perM3
    const tan = y[STATE.tan]! * per
    now[AT.waterC] = env.waterC
    now[AT.iceM] = env.iceM
    now[AT.levelMm] = running.levelMm
    now[AT.tan] = tan
    now[AT.nh3] = tan * unionisedShare(env.ph, env.waterC)
    now[AT.nitrite] = y[STATE.nitrite]! * per
    now[AT.nitrate] = y[STATE.nitrate]! * per
    now[AT.phosphate] = y[STATE.phosphate]! * per
    now[AT.oxygen] = y[STATE.oxygen]! * per
    now[AT.ph] = env.ph
    now[AT.khDH] = (y[STATE.alkalinity]! * per) / MG_PER_DKH
    now[AT.carbonDioxide] = y[STATE.inorganicCarbon]! * per * env.carbonDioxideShare * CO2_PER_CARBON
    now[AT.clarityM] = SECCHI / env.extinctionPerM
    now[AT.chlorophyll] = y[STATE.phytoplankton]! * per * p.chlorophyllShare * 1000
    now[AT.filamentousGM2] = y[STATE.filamentous]! / pond.areaM2
    now[AT.bacteriaShare] = this.most.ammonia > 0 ? y[STATE.bedAmmoniaOxidisers]! / this.most.ammonia : 0
    now[AT.nitriteBacteriaShare] = this.most.nitrite > 0 ? y[STATE.bedNitriteOxidisers]! / this.most.nitrite : 0
    now[AT.poreLoss] = env.poreLoss
    now[AT.floorGM2] = (y[STATE.sediment]! + y[STATE.muck]! + y[STATE.leaves]!) / pond.areaM2
    now[AT.plantsG] =
      y[STATE.marginals]! + y[STATE.straw]! + y[STATE.floating]! + y[STATE.lilies]! + y[STATE.submerged]!
    now[AT.leafCover] = env.leafCover
    now[AT.colour] = y[STATE.tannin]! * per
    now[AT.chlorine] = y[STATE.chlorine]! * per
    now[AT.fishKg] = running.fishMassKg
    now[AT.fishCondition] = running.fishCondition
    now[AT.fishAlive] = running.fishAlive
    now[AT.carcassesG] = y[STATE.carcasses]!
  }
}

/** Extinction of light from what floats in the water, 1/m. @param perM3 1/volume */
export function extinctionPerM(y: Float64Array, perM3: number, p: ParameterValues): number {
  return (
    p.waterExtinction +
    p.chlorophyllExtinction * y[STATE.phytoplankton]! * perM3 * p.chlorophyllShare * 1000 +
    p.sestonExtinction * y[STATE.seston]! * perM3 +
    p.siltExtinction * y[STATE.silt]! * perM3 +
    p.dustExtinction * y[STATE.dust]! * perM3 +
    p.colourExtinction * y[STATE.tannin]! * perM3
  )
}
