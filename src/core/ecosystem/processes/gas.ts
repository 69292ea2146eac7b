import { oxygenSaturationMgL } from '../../water/dissolved-oxygen'
import type { Environment } from '../environment'
import type { ParameterValues } from '../parameters'
import type { EcoPond } from '../pond'
import type { Process } from '../process'
import { STATE } from '../states'
import { TemperatureFactor } from '../temperature-factor'

const { oxygen, inorganicCarbon } = STATE

/**
 * CO2 of water in balance with the air at 20 °C, mg C/L, and how it falls with warmth, K.
 * @source Henry's law at 420 ppm
 */
const CARBON_DIOXIDE = { at20MgL: 0.2, enthalpyK: 2400 } as const
/** CO2 crosses the surface a little slower than oxygen. @source diffusivities */
const CARBON_SPEED = 0.92
/** Reaeration with warmth. @source usual θ of reaeration */
const GAS_WARMTH = new TemperatureFactor(1.024)
/** Oxygen of saturated water at 20 °C, mg/L: what an aerator's rating refers to. */
const RATED_SATURATION = 9.09
/** Share of the surface that falls and rings of an aerator keep free of ice, or a hole does. @source house default */
export const OPEN_IN_ICE = { hole: 0.06, movingWater: 0.06 } as const
/**
 * Over a kept hole the de-icer's warm water rises and the cold sinks: it breathes so many times faster than a still
 * surface.
 * @source house default, wide range
 */
const HOLE_STIRS = 6

/**
 * Oxygen and CO2 between water and air: through the surface, over the falls and by an aerator; ice seals the surface.
 */
export class GasExchange implements Process {
  /** Water that is brought into balance with the air, m³/d. */
  private exchange = 0
  private oxygenSat = 9
  private carbonSat = 0.2
  private carbonShare = 0.05
  private perM3 = 1
  private satAt = Number.NaN

  constructor(
    private readonly p: ParameterValues,
    private readonly pond: EcoPond,
  ) {}

  hour(env: Environment): void {
    const { p, pond } = this
    const waterC = Math.max(0, env.waterC)
    // saturation changes slowly: worked out anew when the water has moved by a tenth of a degree
    if (!(Math.abs(waterC - this.satAt) < 0.1)) {
      this.satAt = waterC
      this.oxygenSat = oxygenSaturationMgL(Math.min(40, waterC), pond.altitudeM)
      this.carbonSat =
        CARBON_DIOXIDE.at20MgL * Math.exp(CARBON_DIOXIDE.enthalpyK * (1 / (waterC + 273.15) - 1 / 293.15))
    }
    const theta = GAS_WARMTH.at(waterC)
    const open = (1 - env.iceShare) * (1 - 0.7 * env.leafCover)
    const surface =
      (p.stillReaeration * (env.iceHole ? HOLE_STIRS : 1) + p.windReaeration * env.windMPerS * env.windMPerS) *
      theta *
      env.areaM2 *
      open
    const falls = env.bedFlowM3PerD > 0 ? fallsShare(pond.fallM, p.fallsQuality, waterC) * env.bedFlowM3PerD : 0
    this.exchange = surface + falls + (env.aeratorGPerD / RATED_SATURATION) * theta
    this.carbonShare = env.carbonDioxideShare
    this.perM3 = env.perM3
  }

  rates(y: Float64Array, dy: Float64Array): void {
    dy[oxygen]! += this.exchange * (this.oxygenSat - y[oxygen]! * this.perM3)
    dy[inorganicCarbon]! +=
      CARBON_SPEED * this.exchange * (this.carbonSat - this.carbonShare * y[inorganicCarbon]! * this.perM3)
  }
}

/**
 * Share of the oxygen deficit that a fall makes good: 1 − 1/r, r = 1 + 0.38·a·h(1 − 0.11h)(1 + 0.046T).
 * @param quality a·b: 1.8 clean water over a cascade, 0.8 dirty water over a sharp lip
 * @source Gameson 1957; Water Research Centre 1973
 */
export function fallsShare(fallM: number, quality: number, waterC: number): number {
  const h = Math.min(fallM, 4)
  return 1 - 1 / (1 + 0.38 * quality * h * (1 - 0.11 * h) * (1 + 0.046 * waterC))
}
