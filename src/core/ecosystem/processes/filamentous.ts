import type { Environment } from '../environment'
import type { ParameterValues } from '../parameters'
import type { Process } from '../process'
import { CARBON_PER_DRY, COMPOSITION, OXYGEN_PER_DRY, STATE, turnoverOf } from '../states'
import { nutrientShare, takeNutrients } from './nutrients'
import { carbonReach } from './phytoplankton'
import { TemperatureFactor } from '../temperature-factor'

const { tan, nitrate, phosphate, oxygen, inorganicCarbon, filamentous, sediment } = STATE

const DYING = turnoverOf(COMPOSITION.algae)
/**
 * Share of the pond's surface over ground shallow enough, and how deep it sits, m.
 * @source house default for shelved garden ponds
 */
const SHALLOW = { share: 0.5, depthM: 0.25 } as const
/** Light at half growth, W/m² PAR. @source Auer & Canale 1982, rounded */
const LIGHT_HALF_W = 25
/** New tufts from spores, g dry/m²/d. */
const STRAYS = 0.002
const RESPIRATION_WARMTH = new TemperatureFactor(1.07)

/** String algae on stones and shelves. */
export class Filamentous implements Process {
  private growth = 0
  private respiration = 0
  private slough = 0
  private most = 1
  private strays = 0
  private perM3 = 1

  constructor(private readonly p: ParameterValues) {}

  hour(env: Environment): void {
    const { p } = this
    const light = env.lightW * (1 - env.leafCover) * Math.exp(-env.extinctionPerM * SHALLOW.depthM)
    // likes cool bright water: best near 18 °C, nothing below 3 or above 32
    const warmth = Math.max(0, Math.min(1, (env.waterC - 3) / 12, (32 - env.waterC) / 8))
    const area = SHALLOW.share * env.areaM2
    this.growth = p.filamentGrowth * warmth * (light / (LIGHT_HALF_W + light)) * carbonReach(env.ph, p.algaeStopPh)
    this.respiration = p.filamentRespiration * RESPIRATION_WARMTH.at(env.waterC)
    this.slough = p.filamentSlough * sloughFactor(env.waterC)
    this.most = p.filamentMost * area
    this.strays = STRAYS * area * this.growth
    this.perM3 = env.perM3
  }

  rates(y: Float64Array, dy: Float64Array): void {
    const { p, perM3 } = this
    const tufts = y[filamentous]!
    const food = nutrientShare(
      (y[tan]! + y[nitrate]!) * perM3,
      y[phosphate]! * perM3,
      p.filamentNitrogenHalf,
      p.filamentPhosphorusHalf,
    )
    const room = Math.max(0, 1 - tufts / this.most)
    const carbon = y[inorganicCarbon]! * perM3
    const grown = food * room * (carbon / (0.3 + carbon)) * (this.growth * tufts + this.strays)
    const o = y[oxygen]! * perM3
    const breathed = this.respiration * (o / (0.2 + o)) * tufts
    const lost = this.slough * tufts
    dy[filamentous]! += grown - breathed - lost
    takeNutrients(y, dy, perM3, grown, COMPOSITION.algae)
    dy[tan]! += COMPOSITION.algae.nitrogen * breathed + DYING.nitrogen * lost
    dy[phosphate]! += COMPOSITION.algae.phosphorus * breathed + DYING.phosphorus * lost
    dy[oxygen]! += OXYGEN_PER_DRY * (grown - breathed)
    dy[inorganicCarbon]! += CARBON_PER_DRY * (breathed - grown)
    dy[sediment]! += lost
  }
}

/** Mats come loose sooner in the cold of winter and in great heat. */
function sloughFactor(waterC: number): number {
  if (waterC < 5) return 3
  return waterC > 26 ? 2 : 1
}
