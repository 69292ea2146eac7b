import type { Environment } from '../environment'
import type { ParameterValues } from '../parameters'
import type { Process } from '../process'
import { CARBON_PER_DRY, COMPOSITION, OXYGEN_PER_DRY, STATE, turnoverOf } from '../states'
import { nutrientShare, takeNutrients } from './nutrients'
import { carbonReach } from './phytoplankton'
import { TemperatureFactor } from '../temperature-factor'

const { tan, nitrate, phosphate, oxygen, inorganicCarbon, filamentous, sediment, tuftGrazers } = STATE

const DYING = turnoverOf(COMPOSITION.algae)
/**
 * Share of the pond's surface over ground shallow enough, and how deep it sits, m.
 * @source house default for shelved garden ponds
 */
const SHALLOW = { share: 0.5, depthM: 0.25 } as const
/**
 * Likes cool bright water, °C: begins at, is at its best after so many more, fades over so many up to its end.
 * @source Auer & Canale 1982: best at 13–17 °C, little above 25
 */
const COOL = { from: 3, rises: 9, falls: 10, ends: 28 } as const
/** Snails and their like: awake from, °C, fully after so many more; lost in the cold, 1/d. @source house default */
const SNAILS = { from: 6, rises: 8, losses: 0.002 } as const
/** What outlives winter and want on stones, g dry/m². @source house default */
const HOLDFASTS = 0.4
/** Light at half growth, W/m² PAR. @source Auer & Canale 1982, rounded */
const LIGHT_HALF_W = 80
/** New tufts from spores, g dry/m²/d. */
const STRAYS = 0.002
const RESPIRATION_WARMTH = new TemperatureFactor(1.07)

/** String algae on stones and shelves. */
export class Filamentous implements Process {
  private growth = 0
  private respiration = 0
  private slough = 0
  private most = 1
  private holdfasts = 0
  private eaten = 0
  private settling = 0
  private starving = 0
  private strays = 0
  private perM3 = 1

  constructor(private readonly p: ParameterValues) {}

  hour(env: Environment): void {
    const { p } = this
    const light = env.lightW * (1 - env.leafCover) * Math.exp(-env.extinctionPerM * SHALLOW.depthM)
    const warmth = Math.max(
      0,
      Math.min(1, (env.waterC - COOL.from) / COOL.rises, (COOL.ends - env.waterC) / COOL.falls),
    )
    const area = SHALLOW.share * env.areaM2
    this.growth = p.filamentGrowth * warmth * (light / (LIGHT_HALF_W + light)) * carbonReach(env.ph, p.algaeStopPh)
    this.respiration = p.filamentRespiration * RESPIRATION_WARMTH.at(env.waterC)
    this.slough = p.filamentSlough * sloughFactor(env.waterC)
    this.most = p.filamentMost * area
    this.holdfasts = HOLDFASTS * area
    const awake = Math.max(0, Math.min(1, (env.waterC - SNAILS.from) / SNAILS.rises))
    this.eaten = p.tuftGrazing * awake
    this.settling = p.tuftGrazersSettle * awake
    this.starving = SNAILS.losses * (1 - awake)
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
    const loose = Math.max(0, tufts - this.holdfasts)
    const breathed = this.respiration * (o / (0.2 + o)) * loose
    const grazers = y[tuftGrazers]!
    const lost = (this.slough + this.eaten * grazers) * loose
    dy[tuftGrazers]! += this.settling * (1 - grazers) - this.starving * grazers
    dy[filamentous]! += grown - breathed - lost
    takeNutrients(y, dy, perM3, grown, COMPOSITION.algae)
    dy[tan]! += COMPOSITION.algae.nitrogen * breathed + DYING.nitrogen * lost
    dy[phosphate]! += COMPOSITION.algae.phosphorus * breathed + DYING.phosphorus * lost
    dy[oxygen]! += OXYGEN_PER_DRY * (grown - breathed)
    dy[inorganicCarbon]! += CARBON_PER_DRY * (breathed - grown)
    dy[sediment]! += lost
  }
}

/**
 * Mats come loose in the cold of winter and as soon as it is warm.
 * @source Auer & Canale 1982: sloughing above 20 °C
 */
function sloughFactor(waterC: number): number {
  if (waterC < 5) return 3
  return 1 + Math.max(0, waterC - 17) / 2
}
