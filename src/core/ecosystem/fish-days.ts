import { shoalAfterDay, stressOf } from '../fish/health'
import type { Environment } from './environment'
import type { Ledger } from './ledger'
import type { ParameterValues } from './parameters'
import type { Running } from './running'
import { COMPOSITION, STATE } from './states'
import { unionisedShare } from './unionised-share'

/** Dry matter of a fish. @source whole carps and goldfish, rounded */
const DRY_SHARE = 0.25

/**
 * How the fish fare day by day: the worst hours of a day wear on them, worn fish die, and the dead that nobody finds
 * are load.
 */
export class FishDays {
  private nh3 = 0
  private oxygen = Infinity
  private chlorine = 0
  private nitrite = 0
  private hours = 0

  constructor(private readonly p: ParameterValues) {}

  /** Takes note of the water of a step. */
  note(y: Float64Array, env: Environment, hours: number): void {
    const { perM3 } = env
    this.nh3 = Math.max(this.nh3, y[STATE.tan]! * perM3 * unionisedShare(env.ph, env.waterC))
    this.oxygen = Math.min(this.oxygen, y[STATE.oxygen]! * perM3)
    this.chlorine = Math.max(this.chlorine, y[STATE.chlorine]! * perM3)
    this.nitrite += y[STATE.nitrite]! * perM3 * hours
    this.hours += hours
  }

  /** The day's end: what it did to the shoal. */
  end(y: Float64Array, running: Running, ledger: Ledger): void {
    const stress = stressOf({
      nh3: this.nh3,
      oxygen: this.oxygen,
      chlorine: this.chlorine,
      nitrite: this.nitrite / this.hours,
      saltMgL: y[STATE.salt]! / running.volumeM3,
    })
    const { condition, alive } = shoalAfterDay({ condition: running.fishCondition, alive: running.fishAlive }, stress)
    const left = running.fishAlive > 0 ? alive / running.fishAlive : 1
    const deadG = (1 - left) * running.fishMassKg * 1000 * DRY_SHARE * (1 - this.p.carcassesFound)
    y[STATE.carcasses]! += deadG
    ledger.add('deadFish', deadG * COMPOSITION.fish.nitrogen, deadG * COMPOSITION.fish.phosphorus)
    running.fishMassKg *= left
    running.fishCondition = condition
    running.fishAlive = alive
    this.nh3 = this.chlorine = this.nitrite = this.hours = 0
    this.oxygen = Infinity
  }
}
