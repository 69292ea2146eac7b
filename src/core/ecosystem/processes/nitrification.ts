import type { Environment } from '../environment'
import type { ParameterValues } from '../parameters'
import type { EcoPond } from '../pond'
import type { Process } from '../process'
import { OXYGEN_PER_DRY, STATE } from '../states'
import { TemperatureFactor } from '../temperature-factor'

const { tan, nitrite, nitrate, oxygen, alkalinity, bedSludge, bedOxygen } = STATE
const { bedAmmoniaOxidisers, bedNitriteOxidisers, pondAmmoniaOxidisers, pondNitriteOxidisers } = STATE

/** Oxygen and alkalinity per gram of nitrogen oxidised. @source stoichiometry, 4.57 g O2 and 7.14 g CaCO3 in all */
const FIRST_STEP_OXYGEN = 3.43
const SECOND_STEP_OXYGEN = 1.14
const ALKALINITY_PER_NITROGEN = 7.14
/** Below this there is no carbon left to nitrify with, mg/L. */
const ALKALINITY_HALF = 10
/** Tanks in series of a bed. @source as in the sizing */
const TANKS = 3
/**
 * Water that creeps through a stopped bed that stays wet, as a share of its pores a day.
 * @source house default: warm and cool water change places
 */
const CREEP_PER_D = 0.3
/** Bacteria that fish, plants and hands bring in all the time, as a share of what the surface can hold, per day. */
const STRAYS_PER_D = 2e-6
/** Oxygen below which nitrifiers begin to suffer, mg/L. */
const SUFFOCATION_MG_L = 0.3

/** The most bacteria that a surface holds, g COD. */
export function maxOxidisers(p: ParameterValues, surfaceM2: number): { ammonia: number; nitrite: number } {
  const nitrogenGPerD = p.arealNitrification * surfaceM2
  return {
    ammonia: (nitrogenGPerD * p.ammoniaOxidiserYield) / p.ammoniaOxidiserGrowth,
    nitrite: (nitrogenGPerD * p.nitriteOxidiserYield) / p.nitriteOxidiserGrowth,
  }
}

/** Surface that bacteria use: in the bed, and on the pond's own walls and stones, m². */
export const bedSurfaceM2 = (p: ParameterValues, pond: EcoPond): number =>
  pond.filter.stoneM3 * pond.filter.surfaceM2PerM3 * p.usableStone
export const wallSurfaceM2 = (p: ParameterValues, pond: EcoPond): number => pond.wallAreaM2 * p.pondSurfaceUse

/**
 * Two-step nitrification in the bed and on the pond's surfaces, and the life and death of the bacteria.
 * The bed sees the pond by its flow: what passes is treated as by tanks in series (Kadlec & Wallace), and its oxygen
 * is what
 * flow brings less what is used (a quadratic, as the use is Monod in it). With the pump off the pores' oxygen runs
 * out as computed.
 */
export class Nitrification implements Process {
  private growthA = 0
  private growthN = 0
  private decay = 0
  private bedMostA = 0
  private bedMostN = 0
  private wallMostA = 0
  private wallMostN = 0
  private sludgeDemand = 0
  private flow = 0
  private running = true
  private wet = 1
  private poreM3 = 0
  private perM3 = 1
  /** Oxygen inside the bed at the last look, mg/L: what it starts from when the pump stops. */
  insideMgL = 8
  private readonly bedSurface: number
  private readonly wallSurface: number
  private readonly growthWarmth: TemperatureFactor
  private readonly decayWarmth: TemperatureFactor
  private readonly sludgeWarmth: TemperatureFactor
  private readonly perSurface: { ammonia: number; nitrite: number }

  constructor(
    private readonly p: ParameterValues,
    private readonly pond: EcoPond,
  ) {
    this.bedSurface = bedSurfaceM2(p, pond)
    this.wallSurface = wallSurfaceM2(p, pond)
    this.perSurface = maxOxidisers(p, 1)
    this.growthWarmth = new TemperatureFactor(p.nitrifierTheta)
    this.decayWarmth = new TemperatureFactor(p.nitrifierDecayTheta)
    this.sludgeWarmth = new TemperatureFactor(p.decayTheta)
  }

  hour(env: Environment): void {
    const { p, perSurface } = this
    const theta = this.growthWarmth.at(env.waterC)
    this.growthA = p.ammoniaOxidiserGrowth * theta
    this.growthN = p.nitriteOxidiserGrowth * theta
    this.decay = p.nitrifierDecay * this.decayWarmth.at(env.waterC)
    const open = this.bedSurface * Math.max(0.1, 1 - 2 * env.poreLoss)
    this.bedMostA = open * perSurface.ammonia
    this.bedMostN = open * perSurface.nitrite
    this.wallMostA = this.wallSurface * perSurface.ammonia
    this.wallMostN = this.wallSurface * perSurface.nitrite
    this.sludgeDemand = p.bedSludgeDecay * this.sludgeWarmth.at(env.waterC) * OXYGEN_PER_DRY
    this.running = env.bedRunning
    this.wet = env.bedWetShare
    this.poreM3 = this.pond.filter.stoneM3 * this.pond.filter.porosity * this.wet
    this.flow = this.running ? env.bedFlowM3PerD : CREEP_PER_D * this.poreM3
    this.perM3 = env.perM3
  }

  rates(y: Float64Array, dy: Float64Array): void {
    const { p, perM3 } = this
    const s1 = y[tan]! * perM3
    const s2 = y[nitrite]! * perM3
    const o = y[oxygen]! * perM3
    const buffer = (y[alkalinity]! * perM3) / (ALKALINITY_HALF + y[alkalinity]! * perM3)
    this.inBed(y, dy, s1, s2, o, buffer)
    const use = o / (p.nitrifierOxygenHalf + o)
    const first =
      ((this.growthA * y[pondAmmoniaOxidisers]!) / p.ammoniaOxidiserYield) * (s1 / (p.ammoniaHalf + s1)) * use * buffer
    const second =
      ((this.growthN * y[pondNitriteOxidisers]!) / p.nitriteOxidiserYield) * (s2 / (p.nitriteHalf + s2)) * use
    this.oxidise(dy, first, second)
    dy[oxygen]! -= FIRST_STEP_OXYGEN * first + SECOND_STEP_OXYGEN * second
    const stress = 1 + (p.anoxicDecay - 1) * suffocation(o)
    this.live(y, dy, pondAmmoniaOxidisers, first * p.ammoniaOxidiserYield, this.wallMostA, stress)
    this.live(y, dy, pondNitriteOxidisers, second * p.nitriteOxidiserYield, this.wallMostN, stress)
  }

  private inBed(y: Float64Array, dy: Float64Array, s1: number, s2: number, o: number, buffer: number): void {
    if (this.bedMostA === 0) return
    const { p, flow, wet } = this
    const maxFirst = ((this.growthA * y[bedAmmoniaOxidisers]! * wet) / p.ammoniaOxidiserYield) * buffer
    const maxSecond = (this.growthN * y[bedNitriteOxidisers]! * wet) / p.nitriteOxidiserYield
    const sludge = this.sludgeDemand * y[bedSludge]!
    const demand =
      FIRST_STEP_OXYGEN * maxFirst * (s1 / (p.ammoniaHalf + s1)) +
      SECOND_STEP_OXYGEN * maxSecond * (s2 / (p.nitriteHalf + s2)) +
      sludge
    const inside = this.running ? oxygenInside(o, demand, flow, p.nitrifierOxygenHalf) : y[bedOxygen]
    this.insideMgL = inside!
    const use = inside! / (p.nitrifierOxygenHalf + inside!)
    const first = flow <= 0 ? 0 : flow * s1 * removal((maxFirst * use) / ((p.ammoniaHalf + s1) * flow))
    const second = flow <= 0 ? 0 : flow * s2 * removal((maxSecond * use) / ((p.nitriteHalf + s2) * flow))
    this.oxidise(dy, first, second)
    if (this.running) dy[oxygen]! -= FIRST_STEP_OXYGEN * first + SECOND_STEP_OXYGEN * second
    else if (this.poreM3 > 0) dy[bedOxygen]! += (flow * (o - inside!) - demand * use) / this.poreM3
    const dry = 1 - wet
    const stress = 1 + (p.dryDecay - 1) * dry + (p.anoxicDecay - 1) * wet * suffocation(inside!)
    this.live(y, dy, bedAmmoniaOxidisers, first * p.ammoniaOxidiserYield, this.bedMostA, stress)
    this.live(y, dy, bedNitriteOxidisers, second * p.nitriteOxidiserYield, this.bedMostN, stress)
  }

  private oxidise(dy: Float64Array, first: number, second: number): void {
    dy[tan]! -= first
    dy[nitrite]! += first - second
    dy[nitrate]! += second
    dy[alkalinity]! -= ALKALINITY_PER_NITROGEN * first
  }

  private live(y: Float64Array, dy: Float64Array, state: number, grown: number, max: number, stress: number): void {
    const room = 1 - y[state]! / max
    dy[state]! += (room > 0 ? grown * room + STRAYS_PER_D * max * room : 0) - this.decay * stress * y[state]!
  }
}

/** Share removed in one pass by tanks in series. @param x rate constant × volume / flow */
function removal(x: number): number {
  const per = 1 + x / TANKS
  return 1 - 1 / (per * per * per)
}

/** Oxygen inside a bed that flow feeds and bacteria draw on, mg/L: flow·(in − O) = demand·O/(half + O). */
function oxygenInside(inMgL: number, demandGPerD: number, flowM3PerD: number, half: number): number {
  if (flowM3PerD <= 0) return 0
  const b = half + demandGPerD / flowM3PerD - inMgL
  return 0.5 * (-b + Math.sqrt(b * b + 4 * half * inMgL))
}

/** 0 with air enough, 1 without any. */
const suffocation = (oxygenMgL: number): number =>
  oxygenMgL >= SUFFOCATION_MG_L ? 0 : 1 - oxygenMgL / SUFFOCATION_MG_L
