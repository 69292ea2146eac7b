import type { Environment } from '../environment'
import type { ParameterValues } from '../parameters'
import type { EcoPond } from '../pond'
import type { Process } from '../process'
import { STATE } from '../states'
import { TemperatureFactor } from '../temperature-factor'

const { seston, silt, dust, bedSludge, bedMineral, bedMaturity } = STATE

/**
 * How much the fines that the water brings burden a bed, beside droppings and feed.
 * @source house default: they lie loosely and rot fast
 */
const FINES_WEIGH = 0.15
/** A bed without any film begins from this. */
const FIRST_FILM = 0.01
const FILM_WARMTH = new TemperatureFactor(1.07)

/** What the bed holds back of dead matter and silt, and how its film matures; drought and lack of flow set it back. */
export class BedCapture implements Process {
  private held = 0
  private maturing = 0
  private dying = 0
  private siltSettles = 0
  private dustSettles = 0

  constructor(private readonly p: ParameterValues) {}

  hour(env: Environment): void {
    const { p } = this
    this.held = env.capturePerD
    const warmth = FILM_WARMTH.at(env.waterC)
    this.maturing = env.bedFlowM3PerD > 0 ? p.maturing * warmth : 0
    this.dying = env.bedRunning ? 0 : p.nitrifierDecay * warmth * (1 + (p.dryDecay - 1) * (1 - env.bedWetShare))
    this.siltSettles = p.siltSettling / env.depthM
    this.dustSettles = p.dustSettling / env.depthM
  }

  rates(y: Float64Array, dy: Float64Array): void {
    const caught = this.held * y[seston]!
    const caughtSilt = this.p.siltHeldByBed * this.held * y[silt]!
    const caughtDust = this.held * y[dust]!
    dy[seston]! -= caught
    dy[bedSludge]! += caught
    dy[silt]! -= caughtSilt + this.siltSettles * y[silt]!
    dy[dust]! -= caughtDust + this.dustSettles * y[dust]!
    dy[bedMineral]! += caughtSilt + caughtDust
    const film = y[bedMaturity]!
    const room = film < 1 ? 1 - film : 0
    dy[bedMaturity]! += this.maturing * (film + FIRST_FILM) * room - this.dying * film
  }
}

/**
 * Fine matter that the bed takes out of the pond's water, 1/d: a share of each pass, by the time the water spends in
 * the stone, its film and its open pores; less of it the more droppings and left-over feed it is given for its size.
 */
export function capturePerDay(p: ParameterValues, pond: EcoPond, env: Environment, y: Float64Array): number {
  const { stoneM3 } = pond.filter
  if (env.bedFlowM3PerD <= 0 || stoneM3 <= 0) return 0
  const emptyBedH = (stoneM3 / env.bedFlowM3PerD) * 24
  const film = (0.15 + 0.85 * y[STATE.bedMaturity]!) * Math.max(0.2, 1 - env.poreLoss)
  const unloaded = (1 - Math.exp(-p.captureRate * emptyBedH * film)) * env.bedFlowM3PerD * env.perM3
  const givenG = p.solidsPerFeed * env.feedEatenGPerD + env.feedLeftGPerD + FINES_WEIGH * unloaded * y[seston]!
  return unloaded / (1 + givenG / stoneM3 / p.captureLoadHalf)
}
