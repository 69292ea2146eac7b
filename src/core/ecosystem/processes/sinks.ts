import type { Environment } from '../environment'
import type { ParameterValues } from '../parameters'
import type { EcoPond } from '../pond'
import type { Process } from '../process'
import { ALKALINITY_PER_AMMONIUM, STATE } from '../states'
import { TemperatureFactor } from '../temperature-factor'

const {
  nitrate,
  phosphate,
  oxygen,
  alkalinity,
  sediment,
  muck,
  chlorine,
  denitrified,
  sorbedPhosphorus,
  bedAmmoniaOxidisers,
} = STATE
const { bedNitriteOxidisers, pondAmmoniaOxidisers, pondNitriteOxidisers } = STATE

/** Organic matter on the floor at which denitrification runs at half its pace, g/m². @source house default */
const FLOOR_HALF_G_PER_M2 = 60
/** Less than this is none, g. */
const CHLORINE_FLOOR = 1e-6
/** @source usual of sediment models */
const DENITRIFYING_WARMTH = new TemperatureFactor(1.08)
const RELEASE_WARMTH = new TemperatureFactor(1.05)

/** Nitrate that leaves as gas from the floor and from places in the bed without oxygen. */
export class Denitrification implements Process {
  private floor = 0
  private bed = 0
  private area = 1
  private perM3 = 1

  constructor(
    private readonly p: ParameterValues,
    private readonly pond: EcoPond,
  ) {}

  hour(env: Environment): void {
    const warmth = DENITRIFYING_WARMTH.at(env.waterC)
    this.floor = this.p.sedimentDenitrification * warmth * env.areaM2 * env.perM3
    this.bed = this.p.bedDenitrification * warmth * this.pond.filter.areaM2 * env.bedWetShare * env.perM3
    this.area = env.areaM2
    this.perM3 = env.perM3
  }

  rates(y: Float64Array, dy: Float64Array): void {
    const mud = (y[sediment]! + y[muck]!) / this.area
    const gone = (this.floor * (mud / (FLOOR_HALF_G_PER_M2 + mud)) + this.bed) * y[nitrate]!
    dy[nitrate]! -= gone
    dy[denitrified]! += gone
    dy[alkalinity]! += ALKALINITY_PER_AMMONIUM * gone
  }
}

/** Phosphate bound to floor and stone, and let go again when the water over it runs out of oxygen. */
export class PhosphorusSorption implements Process {
  private exchange = 0
  private release = 0
  private most = 1
  private perM3 = 1

  constructor(
    private readonly p: ParameterValues,
    private readonly pond: EcoPond,
  ) {}

  hour(env: Environment): void {
    this.exchange = this.p.phosphorusSorption * env.areaM2
    this.release = this.p.anoxicPhosphorusRelease * RELEASE_WARMTH.at(env.waterC)
    this.most = this.p.sorptionRoom * (env.areaM2 + this.pond.filter.areaM2)
    this.perM3 = env.perM3
  }

  rates(y: Float64Array, dy: Float64Array): void {
    const balance = (this.p.sorptionEquilibrium * y[sorbedPhosphorus]!) / this.most
    const o = y[oxygen]! * this.perM3
    const bound =
      this.exchange * (y[phosphate]! * this.perM3 - balance) - (this.release * y[sorbedPhosphorus]!) / (1 + 4 * o)
    dy[phosphate]! -= bound
    dy[sorbedPhosphorus]! += bound
  }
}

/** Free chlorine fades in sun and dirt, and kills nitrifying films by concentration × time. */
export class Chlorine implements Process {
  private decay = 0
  private perM3 = 1

  constructor(private readonly p: ParameterValues) {}

  hour(env: Environment): void {
    this.decay = this.p.chlorineDecay * (1 + Math.min(1, env.lightW / 100))
    this.perM3 = env.perM3
  }

  rates(y: Float64Array, dy: Float64Array): void {
    if (y[chlorine]! < CHLORINE_FLOOR) return
    dy[chlorine]! -= this.decay * y[chlorine]!
    const kill = this.p.chlorineKill * y[chlorine]! * this.perM3
    dy[bedAmmoniaOxidisers]! -= kill * y[bedAmmoniaOxidisers]!
    dy[bedNitriteOxidisers]! -= kill * y[bedNitriteOxidisers]!
    dy[pondAmmoniaOxidisers]! -= kill * y[pondAmmoniaOxidisers]!
    dy[pondNitriteOxidisers]! -= kill * y[pondNitriteOxidisers]!
  }
}
