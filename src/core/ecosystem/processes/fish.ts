import { TAN_PER_FEED_PROTEIN } from '../../fish/load'
import type { Environment } from '../environment'
import type { ParameterValues } from '../parameters'
import type { Process } from '../process'
import { ALKALINITY_PER_AMMONIUM, COMPOSITION, STATE } from '../states'
import { TemperatureFactor } from '../temperature-factor'

const { tan, phosphate, oxygen, alkalinity, inorganicCarbon, seston, sediment } = STATE

/** Nitrogen in feed per unit protein. @source protein is 16 % nitrogen */
const NITROGEN_PER_PROTEIN = 0.16
/** Droppings that float on at first; the rest sinks at once. @source house default */
const AFLOAT = 0.5
/** Carbon breathed out per oxygen breathed in, g/g. @source respiratory quotient 0.9 */
const CARBON_PER_OXYGEN = 0.9 * (12 / 32)
/** Fish cannot take up the last of the oxygen. */
const OXYGEN_HALF_MG_L = 0.5

/**
 * What fish and their feed put into the water: ammonia, phosphorus, droppings and left-over feed; and the oxygen they
 * breathe.
 */
export class FishAndFeed implements Process {
  private tanGPerD = 0
  private phosphorusGPerD = 0
  private solidsGPerD = 0
  private leftGPerD = 0
  private oxygenGPerD = 0
  private perM3 = 1
  /** Nitrogen and phosphorus that come in with feed and stay in the fish, g/d: for the budget. */
  nitrogenIn = 0
  nitrogenKept = 0
  phosphorusIn = 0
  phosphorusKept = 0

  private readonly warmth: TemperatureFactor

  constructor(private readonly p: ParameterValues) {
    this.warmth = new TemperatureFactor(p.fishOxygenTheta)
  }

  hour(env: Environment): void {
    const { p } = this
    const { feedEatenGPerD: eaten, feedLeftGPerD: left, feedProtein: protein } = env
    const feedNitrogen = protein * NITROGEN_PER_PROTEIN
    const feedPhosphorus = p.phosphorusPerFeed + p.phosphorusKeptPerFeed
    this.perM3 = env.perM3
    this.solidsGPerD = p.solidsPerFeed * eaten
    const excretedTan = protein * TAN_PER_FEED_PROTEIN * eaten
    const droppingsNitrogen = Math.min(
      this.solidsGPerD * COMPOSITION.detritus.nitrogen,
      feedNitrogen * eaten - excretedTan,
    )
    this.solidsGPerD = droppingsNitrogen / COMPOSITION.detritus.nitrogen
    const droppingsPhosphorus = this.solidsGPerD * COMPOSITION.detritus.phosphorus
    const excretedPhosphorus = Math.max(0, p.phosphorusPerFeed * eaten - droppingsPhosphorus)
    // feed left lying turns to detritus; what is richer than that dissolves
    const leftShare = Math.min(
      1,
      feedNitrogen / COMPOSITION.detritus.nitrogen,
      feedPhosphorus / COMPOSITION.detritus.phosphorus,
    )
    this.leftGPerD = leftShare * left
    this.tanGPerD = excretedTan + (feedNitrogen - leftShare * COMPOSITION.detritus.nitrogen) * left
    this.phosphorusGPerD = excretedPhosphorus + (feedPhosphorus - leftShare * COMPOSITION.detritus.phosphorus) * left
    this.oxygenGPerD = env.fishMassKg * p.fishOxygen * this.warmth.at(env.waterC) + 0.2 * eaten
    this.nitrogenIn = feedNitrogen * (eaten + left)
    this.phosphorusIn = feedPhosphorus * (eaten + left)
    this.nitrogenKept = feedNitrogen * eaten - excretedTan - droppingsNitrogen
    this.phosphorusKept = feedPhosphorus * eaten - excretedPhosphorus - droppingsPhosphorus
  }

  rates(y: Float64Array, dy: Float64Array): void {
    const o = y[oxygen]! * this.perM3
    const breathed = (this.oxygenGPerD * o) / (OXYGEN_HALF_MG_L + o)
    dy[tan]! += this.tanGPerD
    dy[alkalinity]! += ALKALINITY_PER_AMMONIUM * this.tanGPerD
    dy[phosphate]! += this.phosphorusGPerD
    dy[seston]! += AFLOAT * this.solidsGPerD
    dy[sediment]! += (1 - AFLOAT) * this.solidsGPerD + this.leftGPerD
    dy[oxygen]! -= breathed
    dy[inorganicCarbon]! += CARBON_PER_OXYGEN * breathed
  }
}
