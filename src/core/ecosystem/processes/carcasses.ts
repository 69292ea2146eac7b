import type { Environment } from '../environment'
import type { ParameterValues } from '../parameters'
import type { Process } from '../process'
import { ALKALINITY_PER_AMMONIUM, CARBON_PER_DRY, COMPOSITION, OXYGEN_PER_DRY, STATE } from '../states'
import { TemperatureFactor } from '../temperature-factor'

const { tan, phosphate, oxygen, alkalinity, inorganicCarbon, sediment, carcasses } = STATE

/** Part of a carcass that is burnt as it falls apart; the rest is sediment. @source house default */
const BURNT = 0.4

/** Dead fish that nobody found: they rot, and are load. */
export class Carcasses implements Process {
  private decay = 0
  private perM3 = 1

  private readonly warmth: TemperatureFactor

  constructor(private readonly p: ParameterValues) {
    this.warmth = new TemperatureFactor(p.decayTheta)
  }

  hour(env: Environment): void {
    this.decay = this.p.carcassDecay * this.warmth.at(env.waterC)
    this.perM3 = env.perM3
  }

  rates(y: Float64Array, dy: Float64Array): void {
    if (y[carcasses]! <= 0) return
    const rots = this.decay * y[carcasses]!
    const o = y[oxygen]! * this.perM3
    const nitrogen = COMPOSITION.fish.nitrogen - (1 - BURNT) * COMPOSITION.detritus.nitrogen
    const phosphorus = COMPOSITION.fish.phosphorus - (1 - BURNT) * COMPOSITION.detritus.phosphorus
    dy[carcasses]! -= rots
    dy[sediment]! += (1 - BURNT) * rots
    dy[tan]! += nitrogen * rots
    dy[alkalinity]! += ALKALINITY_PER_AMMONIUM * nitrogen * rots
    dy[phosphate]! += phosphorus * rots
    dy[oxygen]! -= (OXYGEN_PER_DRY * BURNT * rots * o) / (this.p.decayOxygenHalf + o)
    dy[inorganicCarbon]! += CARBON_PER_DRY * BURNT * rots
  }
}
