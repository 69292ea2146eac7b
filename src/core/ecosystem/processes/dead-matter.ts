import type { Environment } from '../environment'
import type { ParameterValues } from '../parameters'
import type { Process } from '../process'
import { ALKALINITY_PER_AMMONIUM, CARBON_PER_DRY, COMPOSITION, OXYGEN_PER_DRY, STATE, turnoverOf } from '../states'
import { TemperatureFactor } from '../temperature-factor'

const {
  tan,
  phosphate,
  oxygen,
  alkalinity,
  inorganicCarbon,
  seston,
  sediment,
  muck,
  leaves,
  straw,
  bedSludge,
  bedMineral,
} = STATE

const FROM_LEAVES = turnoverOf(COMPOSITION.leaves)
const FROM_STRAW = turnoverOf(COMPOSITION.marginals)
/** How much slower things rot without oxygen. @source usual of sediment models */
const ANAEROBIC = 0.3
/** Part of what rots in a bed that stays there as mineral. @source ash of faeces and algae */
const ASH = 0.15

/** Rotting of everything dead: it takes oxygen, gives back ammonia, phosphate and CO2, and leaves muck. */
export class DeadMatter implements Process {
  private seston = 0
  private sediment = 0
  private muck = 0
  private leaves = 0
  private straw = 0
  private bedSludge = 0
  private settle = 0
  private leavesIn = 0
  private perM3 = 1

  private readonly warmth: TemperatureFactor

  constructor(private readonly p: ParameterValues) {
    this.warmth = new TemperatureFactor(p.decayTheta)
  }

  hour(env: Environment): void {
    const { p } = this
    const warmth = this.warmth.at(env.waterC)
    this.seston = p.sestonDecay * warmth
    this.sediment = p.sedimentDecay * warmth
    this.muck = p.muckDecay * warmth
    this.leaves = p.leafDecay * warmth
    this.straw = p.strawDecay * warmth
    this.bedSludge = p.bedSludgeDecay * warmth
    this.settle = p.sestonSettling / env.depthM
    this.leavesIn = env.leavesGPerD
    this.perM3 = env.perM3
  }

  rates(y: Float64Array, dy: Float64Array): void {
    const o = y[oxygen]! * this.perM3
    const aerobic = o / (this.p.decayOxygenHalf + o)
    const speed = ANAEROBIC + (1 - ANAEROBIC) * aerobic
    const afloat = this.seston * speed * y[seston]!
    const settled = this.settle * y[seston]!
    const fresh = this.sediment * speed * y[sediment]!
    const old = this.muck * speed * y[muck]!
    const inBed = this.bedSludge * speed * y[bedSludge]!
    const leaf = this.leaves * speed * y[leaves]!
    const stalks = this.straw * y[straw]!
    const kept = this.p.muckShare * fresh
    const leached = leaf * FROM_LEAVES.yield + stalks * FROM_STRAW.yield
    dy[seston]! += leached - afloat - settled
    dy[sediment]! += settled - fresh
    dy[muck]! += kept - old
    dy[bedSludge]! -= inBed
    dy[bedMineral]! += ASH * inBed
    dy[leaves]! += this.leavesIn - leaf
    dy[straw]! -= stalks
    const rotted = afloat + fresh - kept + old + inBed
    const nitrogen = rotted * COMPOSITION.detritus.nitrogen + leaf * FROM_LEAVES.nitrogen + stalks * FROM_STRAW.nitrogen
    dy[tan]! += nitrogen
    dy[alkalinity]! += ALKALINITY_PER_AMMONIUM * nitrogen
    dy[phosphate]! +=
      rotted * COMPOSITION.detritus.phosphorus + leaf * FROM_LEAVES.phosphorus + stalks * FROM_STRAW.phosphorus
    const burnt = rotted + leaf * (1 - FROM_LEAVES.yield) + stalks * (1 - FROM_STRAW.yield)
    dy[oxygen]! -= OXYGEN_PER_DRY * aerobic * burnt
    dy[inorganicCarbon]! += CARBON_PER_DRY * burnt
  }
}
