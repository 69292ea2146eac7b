import type { Environment } from '../environment'
import type { ParameterValues } from '../parameters'
import type { Process } from '../process'
import { CARBON_PER_DRY, COMPOSITION, OXYGEN_PER_DRY, STATE, turnoverOf } from '../states'
import { takeNutrients, nutrientShare } from './nutrients'
import { TemperatureFactor } from '../temperature-factor'

const { tan, nitrate, phosphate, oxygen, inorganicCarbon, phytoplankton, seston, sediment, bedSludge, chlorine } = STATE

const DYING = turnoverOf(COMPOSITION.algae)
/** CO2 and bicarbonate below this slow growth, mg C/L. */
const CARBON_HALF = 0.3
/** Kill by free chlorine, 1/d per mg/L. @source order of magnitude of cooling-water studies */
const CHLORINE_KILL = 8
/**
 * Spores and cells that wind and birds bring, g dry/m²/d.
 * @source house default: keeps a lamp or a bed from clearing a pond for good
 */
const STRAYS = 5e-4

/** Single-celled algae: the green in green water. */
export class Phytoplankton implements Process {
  private growth = 0
  private respiration = 0
  private death = 0
  private settle = 0
  private capture = 0
  private lamp = 0
  private strays = 0
  private readonly warmth: TemperatureFactor
  private perM3 = 1

  constructor(private readonly p: ParameterValues) {
    this.warmth = new TemperatureFactor(p.algaeTheta)
  }

  hour(env: Environment): void {
    const { p } = this
    const theta = this.warmth.at(env.waterC)
    // warm-blooded as they are, single cells stop at about 36 °C
    const heat = env.waterC > 32 ? Math.max(0, (38 - env.waterC) / 6) : 1
    this.growth = p.algaeGrowth * theta * heat * lightShare(env, p.algaeLightHalf) * carbonReach(env.ph, p.algaeStopPh)
    this.respiration = p.algaeRespiration * theta
    // half of the water fleas are left at so many fish, a fifth at twice as many
    const hunters = env.fishKgPerM3 * (1 + (p.hungryHunt - 1) * env.fishHunger)
    const grazers = p.algaeGrazing / (1 + (hunters / p.grazersHalf) ** 2)
    this.death = (p.algaeDeath + grazers * Math.min(1, Math.max(0, env.waterC / 18))) * theta
    this.settle = p.algaeSettling / env.depthM
    this.capture = p.algaeCapture * env.capturePerD
    this.lamp = p.uvKill * env.uvFlowM3PerD * env.perM3
    this.strays = STRAYS * env.areaM2
    this.perM3 = env.perM3
  }

  rates(y: Float64Array, dy: Float64Array): void {
    const { p, perM3 } = this
    const cells = y[phytoplankton]!
    const nitrogen = (y[tan]! + y[nitrate]!) * perM3
    const carbon = y[inorganicCarbon]! * perM3
    const food = nutrientShare(nitrogen, y[phosphate]! * perM3, p.algaeNitrogenHalf, p.algaePhosphorusHalf)
    const grown = food * (carbon / (CARBON_HALF + carbon)) * (this.growth * cells + this.strays)
    const o = y[oxygen]! * perM3
    const breathed = this.respiration * (o / (0.2 + o)) * cells
    const died = (this.death + this.lamp + CHLORINE_KILL * y[chlorine]! * perM3) * cells
    const sunk = this.settle * cells
    const held = this.capture * cells
    dy[phytoplankton]! += grown - breathed - died - sunk - held
    takeNutrients(y, dy, perM3, grown, COMPOSITION.algae)
    dy[tan]! += COMPOSITION.algae.nitrogen * breathed + DYING.nitrogen * (died + sunk + held)
    dy[phosphate]! += COMPOSITION.algae.phosphorus * breathed + DYING.phosphorus * (died + sunk + held)
    dy[oxygen]! += OXYGEN_PER_DRY * (grown - breathed)
    dy[inorganicCarbon]! += CARBON_PER_DRY * (breathed - grown)
    dy[seston]! += died
    dy[sediment]! += sunk
    dy[bedSludge]! += held
  }
}

/** Share of full growth that a pH leaves: carbon turns into carbonate, which algae do not take up. */
export const carbonReach = (ph: number, stopPh: number): number => 1 / (1 + Math.exp(Math.LN10 * (ph - stopPh)))

/** Mean over the depth of light/(half + light) with Beer–Lambert loss, 0..1. */
function lightShare(env: Environment, halfW: number): number {
  const surface = env.lightW * (1 - env.leafCover)
  if (surface <= 0) return 0
  const optical = env.extinctionPerM * env.depthM
  return Math.log((halfW + surface) / (halfW + surface * Math.exp(-optical))) / optical
}
