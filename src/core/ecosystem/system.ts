import type { RateSystem } from '../numeric/embedded-pair'
import type { Environment } from './environment'
import type { ParameterValues } from './parameters'
import type { EcoPond } from './pond'
import { BedCapture } from './processes/bed-capture'
import { Carcasses } from './processes/carcasses'
import { DeadMatter } from './processes/dead-matter'
import { Filamentous } from './processes/filamentous'
import { FishAndFeed } from './processes/fish'
import { GasExchange } from './processes/gas'
import { Leachate } from './processes/leachate'
import { Nitrification } from './processes/nitrification'
import { Phytoplankton } from './processes/phytoplankton'
import { Plants } from './processes/plants'
import { Chlorine, Denitrification, PhosphorusSorption } from './processes/sinks'
import { STATE_COUNT } from './states'

/**
 * All processes of one pond as the right-hand side. Each is called by its own name and not from a list: a list's
 * calls are looked up anew every time, and this runs millions of times.
 */
export class PondSystem implements RateSystem {
  readonly size = STATE_COUNT
  readonly fish: FishAndFeed
  readonly nitrification: Nitrification
  private readonly deadMatter: DeadMatter
  private readonly phytoplankton: Phytoplankton
  private readonly filamentous: Filamentous
  private readonly plants: Plants
  private readonly gas: GasExchange
  private readonly capture: BedCapture
  private readonly denitrification: Denitrification
  private readonly sorption: PhosphorusSorption
  private readonly chlorine: Chlorine
  private readonly leachate: Leachate
  private readonly carcasses: Carcasses

  constructor(p: ParameterValues, pond: EcoPond) {
    this.fish = new FishAndFeed(p)
    this.nitrification = new Nitrification(p, pond)
    this.deadMatter = new DeadMatter(p)
    this.phytoplankton = new Phytoplankton(p)
    this.filamentous = new Filamentous(p)
    this.plants = new Plants(p, pond)
    this.gas = new GasExchange(p, pond)
    this.capture = new BedCapture(p)
    this.denitrification = new Denitrification(p, pond)
    this.sorption = new PhosphorusSorption(p, pond)
    this.chlorine = new Chlorine(p)
    this.leachate = new Leachate(p)
    this.carcasses = new Carcasses(p)
  }

  hour(env: Environment): void {
    this.fish.hour(env)
    this.nitrification.hour(env)
    this.deadMatter.hour(env)
    this.phytoplankton.hour(env)
    this.filamentous.hour(env)
    this.plants.hour(env)
    this.gas.hour(env)
    this.capture.hour(env)
    this.denitrification.hour(env)
    this.sorption.hour(env)
    this.chlorine.hour(env)
    this.leachate.hour(env)
    this.carcasses.hour(env)
  }

  rates(_t: number, y: Float64Array, dy: Float64Array): void {
    for (let i = 0; i < STATE_COUNT; i++) dy[i] = 0
    this.fish.rates(y, dy)
    this.nitrification.rates(y, dy)
    this.deadMatter.rates(y, dy)
    this.phytoplankton.rates(y, dy)
    this.filamentous.rates(y, dy)
    this.plants.rates(y, dy)
    this.gas.rates(y, dy)
    this.capture.rates(y, dy)
    this.denitrification.rates(y, dy)
    this.sorption.rates(y, dy)
    this.chlorine.rates(y, dy)
    this.leachate.rates(y, dy)
    this.carcasses.rates(y, dy)
  }
}
