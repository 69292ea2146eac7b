import { TAN_PER_FEED_PROTEIN } from '../../fish/load'
import type { Environment } from '../environment'
import type { ParameterValues } from '../parameters'
import type { Process } from '../process'
import { ALKALINITY_PER_AMMONIUM, COMPOSITION, STATE } from '../states'
import { TemperatureFactor } from '../temperature-factor'

const { tan, phosphate, oxygen, alkalinity, inorganicCarbon, seston, sediment, muck } = STATE

/** Nitrogen in feed per unit protein. @source protein is 16 % nitrogen */
const NITROGEN_PER_PROTEIN = 0.16
/** Droppings that float on at first; the rest sinks at once. @source house default */
const AFLOAT = 0.5
/** Part of left-over feed that falls apart into fines. @source house default */
const LEFT_AFLOAT = 0.3
/** Sediment so sparse that fish find half of what they look for, g/m³ of water. @source house default */
const SPARSE_G_PER_M3 = 20
/**
 * How much less old muck is stirred than what has just settled, by fish that are fed and by hungry ones.
 * @source house default
 */
const MUCK_STIRRED = { fed: 0.02, hungry: 0.172 } as const
/** However deep it lies, fish reach only the top of it, g dry/m². @source house default */
const MUCK_REACHED_G_PER_M2 = 150
/** Carbon breathed out per oxygen breathed in, g/g. @source respiratory quotient 0.9 */
const CARBON_PER_OXYGEN = 0.9 * (12 / 32)
/** Fish cannot take up the last of the oxygen. */
const OXYGEN_HALF_MG_L = 0.5

/**
 * What fish, their feed and the pond's guests put into the water: ammonia, phosphorus, droppings and left-over feed;
 * the oxygen they breathe; and the sediment they stir up in search of food.
 */
export class FishAndFeed implements Process {
  private tanGPerD = 0
  private phosphorusGPerD = 0
  private solidsGPerD = 0
  private leftGPerD = 0
  private oxygenGPerD = 0
  private stirs = 0
  private stirsMuck = 0
  private reached = 1
  private forages = 0
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
    this.tanGPerD =
      env.guestNitrogenGPerD + excretedTan + (feedNitrogen - leftShare * COMPOSITION.detritus.nitrogen) * left
    this.phosphorusGPerD =
      env.guestPhosphorusGPerD +
      excretedPhosphorus +
      (feedPhosphorus - leftShare * COMPOSITION.detritus.phosphorus) * left
    this.oxygenGPerD = env.fishMassKg * p.fishOxygen * this.warmth.at(env.waterC) + 0.2 * eaten
    const search = 1 + (p.hungryHunt - 1) * env.fishHunger
    this.stirs = p.fishStir * env.fishKgPerM3 * search * this.warmth.at(env.waterC)
    this.stirsMuck = this.stirs * (MUCK_STIRRED.fed + (MUCK_STIRRED.hungry - MUCK_STIRRED.fed) * env.fishHunger)
    this.reached = MUCK_REACHED_G_PER_M2 * env.areaM2
    this.forages = p.foraging * env.fishMassKg * env.fishHunger * this.warmth.at(env.waterC)
    this.nitrogenIn = feedNitrogen * (eaten + left) + env.guestNitrogenGPerD
    this.phosphorusIn = feedPhosphorus * (eaten + left) + env.guestPhosphorusGPerD
    this.nitrogenKept = feedNitrogen * eaten - excretedTan - droppingsNitrogen
    this.phosphorusKept = feedPhosphorus * eaten - excretedPhosphorus - droppingsPhosphorus
  }

  rates(y: Float64Array, dy: Float64Array): void {
    const o = y[oxygen]! * this.perM3
    const breathed = (this.oxygenGPerD * o) / (OXYGEN_HALF_MG_L + o)
    const found = (this.forages * y[sediment]!) / (SPARSE_G_PER_M3 / this.perM3 + y[sediment]!)
    const ammonia = this.tanGPerD + COMPOSITION.detritus.nitrogen * found
    dy[tan]! += ammonia
    dy[alkalinity]! += ALKALINITY_PER_AMMONIUM * ammonia
    dy[phosphate]! += this.phosphorusGPerD + COMPOSITION.detritus.phosphorus * found
    const fresh = this.stirs * y[sediment]!
    const old = (this.stirsMuck * y[muck]!) / (1 + y[muck]! / this.reached)
    dy[seston]! += AFLOAT * this.solidsGPerD + LEFT_AFLOAT * this.leftGPerD + fresh + old
    dy[sediment]! += (1 - AFLOAT) * this.solidsGPerD + (1 - LEFT_AFLOAT) * this.leftGPerD - fresh - found
    dy[muck]! -= old
    dy[oxygen]! -= breathed
    dy[inorganicCarbon]! += CARBON_PER_OXYGEN * breathed
  }
}
