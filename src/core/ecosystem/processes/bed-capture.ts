import type { Environment } from '../environment'
import type { ParameterValues } from '../parameters'
import type { EcoPond } from '../pond'
import type { Process } from '../process'
import { STATE } from '../states'
import { TemperatureFactor } from '../temperature-factor'

const { seston, silt, bedSludge, bedMineral, bedMaturity } = STATE

/** Fine silt is held less well than organic flocs. @source a bog does not clear mud: trade experience */
const SILT_SHARE = 0.25
/** A bed without any film begins from this. */
const FIRST_FILM = 0.01
const FILM_WARMTH = new TemperatureFactor(1.07)

/** What the bed holds back of dead matter and silt, and how its film matures; drought and lack of flow set it back. */
export class BedCapture implements Process {
  private held = 0
  private maturing = 0
  private dying = 0
  private siltSettles = 0

  constructor(private readonly p: ParameterValues) {}

  hour(env: Environment): void {
    const { p } = this
    this.held = env.capturePerD
    const warmth = FILM_WARMTH.at(env.waterC)
    this.maturing = env.bedFlowM3PerD > 0 ? p.maturing * warmth : 0
    this.dying = env.bedRunning ? 0 : p.nitrifierDecay * warmth * (1 + (p.dryDecay - 1) * (1 - env.bedWetShare))
    this.siltSettles = p.siltSettling / env.depthM
  }

  rates(y: Float64Array, dy: Float64Array): void {
    const caught = this.held * y[seston]!
    const caughtSilt = SILT_SHARE * this.held * y[silt]!
    dy[seston]! -= caught
    dy[bedSludge]! += caught
    dy[silt]! -= caughtSilt + this.siltSettles * y[silt]!
    dy[bedMineral]! += caughtSilt
    const film = y[bedMaturity]!
    const room = film < 1 ? 1 - film : 0
    dy[bedMaturity]! += this.maturing * (film + FIRST_FILM) * room - this.dying * film
  }
}

/** Share of fine matter that one pass through the bed holds back. */
export function captureShare(p: ParameterValues, pond: EcoPond, env: Environment, y: Float64Array): number {
  if (env.bedFlowM3PerD <= 0 || pond.filter.stoneM3 <= 0) return 0
  const emptyBedH = (pond.filter.stoneM3 / env.bedFlowM3PerD) * 24
  return (
    1 - Math.exp(-p.captureRate * emptyBedH * (0.15 + 0.85 * y[STATE.bedMaturity]!) * Math.max(0.2, 1 - env.poreLoss))
  )
}
