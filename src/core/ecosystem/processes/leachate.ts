import type { Environment } from '../environment'
import type { ParameterValues } from '../parameters'
import type { Process } from '../process'
import { STATE } from '../states'
import { TemperatureFactor } from '../temperature-factor'

const { leachable, tannin, carbonRoom } = STATE

/** Room in activated carbon at which it works at half its pace, g Pt. @source house default: it fades as it fills */
const CARBON_HALF_FULL_G = 5

/** Colour that leaves let go into the water, how it fades, and what activated carbon takes of it until it is full. */
export class Leachate implements Process {
  private leaching = 0
  private newly = 0
  private fade = 0
  private carbonTakes = 0

  private readonly warmth: TemperatureFactor

  constructor(private readonly p: ParameterValues) {
    this.warmth = new TemperatureFactor(p.decayTheta)
  }

  hour(env: Environment): void {
    const { p } = this
    this.leaching = p.leaching * this.warmth.at(env.waterC)
    this.newly = p.leachPerLeaf * env.leavesGPerD
    this.fade = p.tanninFade * (1 - env.iceShare)
    this.carbonTakes = p.carbonTakesPerPass * env.bedFlowM3PerD * env.perM3
  }

  rates(y: Float64Array, dy: Float64Array): void {
    const soaked = this.leaching * y[leachable]!
    const room = y[carbonRoom]!
    const onCarbon = (this.carbonTakes * y[tannin]! * room) / (CARBON_HALF_FULL_G + room)
    dy[leachable]! += this.newly - soaked
    dy[tannin]! += this.p.colourPerCarbon * soaked - this.fade * y[tannin]! - onCarbon
    dy[carbonRoom]! -= onCarbon
  }
}
