import type { Environment } from '../environment'
import type { ParameterValues } from '../parameters'
import type { EcoPond } from '../pond'
import type { Process } from '../process'
import { CARBON_PER_DRY, COMPOSITION, OXYGEN_PER_DRY, STATE, turnoverOf } from '../states'
import { nutrientShare, takeNutrients } from './nutrients'

const { tan, nitrate, phosphate, oxygen, inorganicCarbon, marginals, straw, floating, lilies, submerged, sediment } =
  STATE

/** Short days send plants to rest in cool water only: where it stays warm they grow all year. @source house default */
const RESTS_BELOW_C = 20

/** Part of a full stand that outlives winter as crowns and buds. @source house default */
export const CROWNS = 0.04
/**
 * Water below which summer growth dies back, °C, and leaves of tender floating plants rot.
 * @source usual of temperate emergent plants
 */
const DIE_BACK_C = { marginals: 9, lilies: 10, floating: 8, submerged: 3 } as const
/** Warmth from which growth is full, and from which it begins, °C. @source as the planting's uptake */
const WARMTH = { marginals: [6, 20], lilies: [10, 20], floating: [10, 22], submerged: [5, 18] } as const
const SUBMERGED_LIGHT_HALF_W = 15

/** What a kind of plants is before the model runs. */
interface StandData {
  readonly state: number
  readonly dead: number
  readonly content: (typeof COMPOSITION)[keyof typeof WARMTH]
  readonly kind: keyof typeof WARMTH
  readonly growthPerD: number
  readonly maxG: number
}

/** One kind of plants: its place in the vector, its most, and its pace of this hour. */
class Stand {
  private readonly state: number
  private readonly maxG: number
  private readonly crownsG: number
  private readonly inWater: boolean
  private readonly toStraw: boolean
  private readonly deadShare: number
  private readonly deadNitrogen: number
  private readonly deadPhosphorus: number
  private growth = 0
  private dieBack = 0

  constructor(
    private readonly data: StandData,
    private readonly dieBackPerD: number,
  ) {
    const turnover = turnoverOf(data.content)
    this.state = data.state
    this.maxG = data.maxG
    this.crownsG = CROWNS * data.maxG
    this.inWater = data.kind === 'submerged'
    this.toStraw = data.dead === straw
    this.deadShare = turnover.yield
    this.deadNitrogen = turnover.nitrogen
    this.deadPhosphorus = turnover.phosphorus
  }

  hour(env: Environment): void {
    const [from, full] = WARMTH[this.data.kind]
    const autumn = env.daysShorten || env.dayLengthH < 10
    const warmth = Math.max(0, Math.min(1, (env.waterC - from) / (full - from)))
    const season = autumn && env.dayLengthH < 11.5 && env.waterC < RESTS_BELOW_C ? 0 : 1
    // a day's growth is made while it is light
    const day = env.lightW > 0 ? 24 / Math.max(6, env.dayLengthH) : 0
    const light = this.inWater ? submergedLight(env) : Math.min(1, env.lightW / 60)
    this.growth = this.data.growthPerD * warmth * season * day * light
    this.dieBack = autumn && env.waterC < DIE_BACK_C[this.data.kind] ? this.dieBackPerD : 0
  }

  rates(y: Float64Array, dy: Float64Array, perM3: number, food: number): void {
    const mass = y[this.state]!
    const room = 1 - mass / this.maxG
    if (room > 0 && this.growth > 0) {
      const grown = this.growth * food * room * mass
      dy[this.state]! += grown
      takeNutrients(y, dy, perM3, grown, this.data.content)
      if (this.inWater) {
        const carbon = y[inorganicCarbon]! * perM3
        dy[oxygen]! += OXYGEN_PER_DRY * grown
        dy[inorganicCarbon]! -= (CARBON_PER_DRY * grown * carbon) / (0.3 + carbon)
      }
    }
    const above = mass - this.crownsG
    if (above <= 0 || this.dieBack === 0) return
    const died = this.dieBack * above
    dy[this.state]! -= died
    if (this.toStraw) {
      dy[straw]! += died
      return
    }
    dy[sediment]! += this.deadShare * died
    dy[tan]! += this.deadNitrogen * died
    dy[phosphate]! += this.deadPhosphorus * died
  }
}

/**
 * Plants of the bed, lilies, floating plants and oxygenators: they grow with warmth and nutrients toward a full
 * stand, die back
 * in autumn to their crowns, and what dies goes where it rots. Only oxygenators give their oxygen to the water.
 */
export class Plants implements Process {
  private readonly stands: readonly Stand[]
  private perM3 = 1

  constructor(
    private readonly p: ParameterValues,
    pond: EcoPond,
  ) {
    this.stands = fullStands(p, pond)
      .filter((stand) => stand.maxG > 0)
      .map((stand) => new Stand(stand, p.dieBack))
  }

  hour(env: Environment): void {
    for (const stand of this.stands) stand.hour(env)
    this.perM3 = env.perM3
  }

  rates(y: Float64Array, dy: Float64Array): void {
    const { p, perM3, stands } = this
    const food = nutrientShare(
      (y[tan]! + y[nitrate]!) * perM3,
      y[phosphate]! * perM3,
      p.plantNitrogenHalf,
      p.plantPhosphorusHalf,
    )
    for (let i = 0; i < stands.length; i++) stands[i]!.rates(y, dy, perM3, food)
  }
}

/** Full stands of a pond's plants. */
export function fullStands(p: ParameterValues, pond: EcoPond): StandData[] {
  const { plants, areaM2, filter } = pond
  return [
    {
      kind: 'marginals',
      state: marginals,
      dead: straw,
      content: COMPOSITION.marginals,
      growthPerD: p.marginalGrowth,
      maxG: p.marginalMost * filter.areaM2 * plants.marginalShare,
    },
    {
      kind: 'lilies',
      state: lilies,
      dead: sediment,
      content: COMPOSITION.lilies,
      growthPerD: p.lilyGrowth,
      maxG: p.lilyMost * areaM2 * plants.lilyShare,
    },
    {
      kind: 'floating',
      state: floating,
      dead: sediment,
      content: COMPOSITION.floating,
      growthPerD: p.floatingGrowth,
      maxG: p.floatingMost * areaM2 * plants.floatingShare,
    },
    {
      kind: 'submerged',
      state: submerged,
      dead: sediment,
      content: COMPOSITION.submerged,
      growthPerD: p.submergedGrowth,
      maxG: p.submergedMost * areaM2 * plants.submergedShare,
    },
  ]
}

/** Oxygenators see the light of the middle of the water. */
function submergedLight(env: Environment): number {
  const light = env.lightW * (1 - env.leafCover) * Math.exp(-0.5 * env.extinctionPerM * env.depthM)
  return light / (SUBMERGED_LIGHT_HALF_W + light)
}

/** Share of the pond's surface under leaves that lie on it. */
export function leafCover(y: Float64Array, p: ParameterValues, pond: EcoPond): number {
  const lily = y[lilies]! / (p.lilyMost * pond.areaM2)
  const float = y[floating]! / (p.floatingMost * pond.areaM2)
  return Math.min(0.95, Math.min(pond.plants.lilyShare, lily) + Math.min(pond.plants.floatingShare, float))
}
