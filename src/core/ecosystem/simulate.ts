import { assertInRange, DomainError } from '../errors'
import { EmbeddedPair } from '../numeric/embedded-pair'
import { heatCapacityMJPerK, heatStep } from '../season/water-temperature'
import type { WeatherDay } from '../season/weather-year'
import { carbonateConstants, carbonDioxideShare, hydrogenMolL } from '../water/carbonate'
import { applyEvent, fillWith } from './apply-event'
import { airAt, ecoDay, sunAt, type EcoDay } from './day'
import { Environment } from './environment'
import { assertEvents, weatherWithEvents, type PondEvent } from './events'
import { Ledger, type NutrientBudget } from './ledger'
import { feed, visit } from './feeding'
import { FishDays } from './fish-days'
import { extinctionPerM, Recorder, type Every, type Series } from './outputs'
import { parameterValues, type ParameterValues } from './parameters'
import { assertEcoPond, type EcoPond } from './pond'
import { capturePerDay } from './processes/bed-capture'
import { OPEN_IN_ICE } from './processes/gas'
import { leafCover } from './processes/plants'
import { startRunning, type PondState, type Running } from './running'
import { startState, type KnownWater, type StartKind } from './start'
import { COMPOSITION, STATE, STATE_COUNT } from './states'
import { PondSystem } from './system'

export interface EcoRun {
  readonly pond: EcoPond
  /** One row a day from the first day on; at least as many as days are run. */
  readonly weather: readonly WeatherDay[]
  /** Day of the year of the first day, 1..365. */
  readonly startDay: number
  readonly days: number
  readonly events: readonly PondEvent[]
  /** A kind of pond to begin from, or the end of an earlier run. */
  readonly start: { readonly kind: StartKind; readonly known?: KnownWater } | PondState
  readonly parameters?: ParameterValues
  readonly every?: Every
  /** Hours through which weather and feeding stay the same, 1 or 2. */
  readonly stepH?: 1 | 2
  /** The fish are known to be well through the run: a past in which nobody found any dead. */
  readonly fishKept?: boolean
  /** Asked at the start of every day; a run that is told to stop reports what it has. */
  readonly shouldStop?: () => boolean
}

export interface EcoResult {
  readonly status: 'done' | 'stopped' | 'gave-up'
  readonly series: Series
  readonly nitrogen: NutrientBudget
  readonly phosphorus: NutrientBudget
  readonly end: PondState
}

export const RUN_RANGE = { days: [1, 4000], startDay: [1, 365] } as const

/** Accuracy of a run: a thousandth a step, and what nobody could measure, per m³. */
const RELATIVE = 2e-3
const ABSOLUTE_PER_M3 = 2e-3
/** What rain and roofs bring, mg/L. @source usual of rain and roof water in temperate countryside */
const RAIN = { tan: 0.3, nitrate: 0.3, phosphate: 0.01 } as const
/**
 * Dry sludge per volume of pores it fills, g/m³, and the part of it that lies in stone rather than the chamber.
 * @source as in the clogging of the sizing
 */
const SLUDGE = { gPerM3: 40_000, inStone: 0.3 } as const
const EVAPORATION_WITH_FALLS = 1.2
/**
 * Weather, light and feeding stay the same for two hours, for four in the dark and in cold water, where little
 * changes; what is reported between lies on a line. A test holds it to hourly steps.
 */
const STEP_H = { usual: 2, calm: 4 } as const
/** Water so cold that life is slow, °C. */
const SLOW_BELOW_C = 6
/**
 * A bed that is drained for winter stops when the water falls below this in autumn, and runs again above it in
 * spring, °C.
 */
const DRAINED_BELOW_C = 5

/**
 * Runs one pond for some days, hour by hour: events, then heat and water level, then all processes together by an
 * adaptive integrator.
 * Deterministic: the same input gives the same run.
 * @returns series by hour or by day, budgets of nitrogen and phosphorus, and the state to go on from
 * @throws {DomainError} a figure out of range, or weather that is too short
 */
export function simulate(run: EcoRun): EcoResult {
  assertEcoPond(run.pond)
  assertInRange('days', run.days, RUN_RANGE.days)
  assertInRange('startDay', run.startDay, RUN_RANGE.startDay)
  if (run.weather.length < run.days) throw new DomainError('weather', run.weather.length, `at least ${run.days} days`)
  assertEvents(run.events, run.days)
  const simulation = new Simulation(run)
  const result = simulation.go()
  lastSystem = simulation.system
  return result
}

/**
 * The processes of the last run, held and never read. JavaScript engines drop what they have optimised when the last
 * object of its kind
 * is gone; hundreds of short runs in a row would be optimised anew every few runs.
 */
// eslint-disable-next-line @typescript-eslint/no-unused-vars -- held, see above
let lastSystem: PondSystem | undefined

class Simulation {
  private readonly p: ParameterValues
  private readonly y: Float64Array
  private readonly running: Running
  private readonly env = new Environment()
  readonly system: PondSystem
  private readonly integrator: EmbeddedPair
  private readonly ledger: Ledger
  private readonly fishDays: FishDays
  private readonly recorder: Recorder
  private readonly events: readonly PondEvent[]
  private readonly weather: readonly WeatherDay[]
  private readonly capacity: number
  private hydrogen = 3e-8
  private carbonateAtC = Number.NaN
  private carbonate = carbonateConstants(12)
  private wasRunning = true
  /** Length of the step under way, h. */
  private stepH: number = STEP_H.usual

  constructor(private readonly run: EcoRun) {
    const { pond } = run
    // a plain literal copy: figures looked up in every hour must not sit in a slow dictionary
    this.p = JSON.parse(JSON.stringify(run.parameters ?? parameterValues())) as ParameterValues
    if ('y' in run.start) {
      this.y = run.start.y.slice()
      this.running = { ...run.start.running }
    } else {
      const { kind, known } = run.start
      this.y = startState(pond, this.p, kind, run.startDay, known)
      this.running = startRunning(
        pond,
        known?.waterC ?? Math.max(0, (run.weather[0]!.minAirC + run.weather[0]!.maxAirC) / 2),
      )
    }
    this.system = new PondSystem(this.p, pond)
    const absolute = new Float64Array(STATE_COUNT).fill(ABSOLUTE_PER_M3 * pond.volumeM3)
    absolute[STATE.bedMaturity] = absolute[STATE.bedOxygen] = absolute[STATE.tuftGrazers] = 0.01
    absolute[STATE.denitrified] = Infinity
    this.integrator = new EmbeddedPair(this.system, { relative: RELATIVE, absolute })
    this.ledger = new Ledger(this.y)
    this.fishDays = new FishDays(this.p)
    this.recorder = new Recorder(pond, this.p, run.days, run.every ?? 'hour')
    this.events = [...run.events].sort((a, b) => a.day - b.day)
    this.weather = weatherWithEvents(run.weather, run.events)
    this.capacity = heatCapacityMJPerK(pond)
    this.seeFirst()
    this.recorder.begin(this.y, this.env, this.running)
  }

  /** What can be read before the first step, so that a run's first hour is of this water and no other. */
  private seeFirst(): void {
    const { env, running, y, p } = this
    env.perM3 = 1 / running.volumeM3
    env.waterC = running.waterC
    env.iceM = running.iceM
    env.extinctionPerM = extinctionPerM(y, env.perM3, p)
    env.leafCover = leafCover(y, p, this.run.pond)
    this.carbonateAtC = running.waterC
    this.carbonate = carbonateConstants(Math.max(0, running.waterC))
    this.acidity()
  }

  go(): EcoResult {
    const status = this.allDays()
    return {
      status,
      series: this.recorder.series,
      nitrogen: this.ledger.budget(this.y, 'nitrogen'),
      phosphorus: this.ledger.budget(this.y, 'phosphorus'),
      end: { y: this.y, running: this.running },
    }
  }

  private allDays(): EcoResult['status'] {
    let nextEvent = 0
    for (let d = 0; d < this.run.days; d++) {
      if (this.run.shouldStop?.()) return 'stopped'
      const day = ecoDay(this.run.pond, this.weather[d]!, ((this.run.startDay + d - 1) % 365) + 1)
      this.env.dayOfYear = day.dayOfYear
      this.env.dayLengthH = day.dayLengthH
      this.env.daysShorten = day.daysShorten
      this.env.windMPerS = day.windMPerS
      for (let h = 0; h < 24; h += this.stepH) {
        const hour = d * 24 + h
        this.stepH = this.run.stepH ?? this.stepFrom(day, h, (this.events[nextEvent]?.day ?? Infinity) * 24 - hour)
        while (nextEvent < this.events.length && this.events[nextEvent]!.day * 24 < hour + this.stepH) {
          applyEvent(this.events[nextEvent]!, this.y, this.running, this.run.pond, this.p, this.ledger)
          nextEvent++
          this.acidity()
          this.recorder.begin(this.y, this.env, this.running)
        }
        if (!this.step(day, hour, h)) return 'gave-up'
        if (!this.run.fishKept) this.fishDays.note(this.y, this.env, this.stepH)
      }
      if (!this.run.fishKept) this.fishDays.end(this.y, this.running, this.ledger)
    }
    return 'done'
  }

  /** How long things stay as they are from an hour of the day on. @param untilEventH hours to the next event */
  private stepFrom(day: EcoDay, h: number, untilEventH: number): number {
    const { usual, calm } = STEP_H
    if (h % calm !== 0 || untilEventH < calm) return usual
    const dark = h + calm <= 12 - day.dayLengthH / 2 || h >= 12 + day.dayLengthH / 2
    return dark || this.running.waterC < SLOW_BELOW_C ? calm : usual
  }

  private step(day: EcoDay, hour: number, hourOfDay: number): boolean {
    const { env, y, running } = this
    const sun = this.heat(day, hourOfDay)
    this.level(day)
    this.look(day, sun)
    this.system.hour(env)
    this.bookForcing()
    if (this.integrator.advance(y, hour / 24, (hour + this.stepH) / 24) !== 'done') return false
    this.acidity()
    this.recorder.record(hour, this.stepH, y, env, running)
    return true
  }

  /**
   * Heat and ice through a step; ice comes and goes within hours, so that they keep to the usual one.
   * @returns the step's sun as a multiple of the day's mean
   */
  private heat(day: EcoDay, from: number): number {
    const { running, stepH } = this
    const hours = Math.min(stepH, STEP_H.usual)
    const { dewC, windMPerS } = day
    let sum = 0
    for (let h = from; h < from + stepH; h += hours) {
      const middle = h + hours / 2
      const sun = sunAt(day, middle)
      sum += sun * hours
      const air = { airC: airAt(day, middle), dewC, windMPerS, solarW: day.solarW * sun }
      const next = heatStep({ waterC: running.waterC, iceM: running.iceM }, air, this.capacity, hours / 24)
      running.waterC = next.waterC
      running.iceM = next.iceM
    }
    return sum / stepH
  }

  /** Rain, evaporation, leak and filling; what rises over the brim leaves with what is in it. */
  private level(day: EcoDay): void {
    const { running, y, ledger } = this
    const { pond } = this.run
    const rainM3 = ((day.rainMm * this.stepH) / 24000) * (pond.areaM2 + pond.runoffAreaM2)
    if (rainM3 > 0) {
      ledger.change(y, 'tan', RAIN.tan * rainM3, 'water')
      ledger.change(y, 'nitrate', RAIN.nitrate * rainM3, 'water')
      ledger.change(y, 'phosphate', RAIN.phosphate * rainM3, 'water')
      y[STATE.oxygen]! += 9 * rainM3
    }
    const lostMm =
      (running.iceM > 0 ? 0 : day.evaporationMm * (running.pump ? EVAPORATION_WITH_FALLS : 1) * this.stepH) / 24
    const leakMm = (pond.leakMmPerD * this.stepH) / 24
    this.losses(leakMm / 1000)
    running.levelMm += (rainM3 / pond.areaM2) * 1000 - lostMm - leakMm
    if (running.levelMm > 0) {
      this.losses(running.levelMm / 1000)
      running.levelMm = 0
    }
    const low = pond.autoFill ? 3 : pond.topUpAtMm
    if (running.levelMm < -low) {
      fillWith((-running.levelMm / 1000) * pond.areaM2, pond.source.chlorineMgL, y, pond, ledger)
      running.levelMm = 0
    }
    running.volumeM3 = Math.max(0.02 * pond.volumeM3, pond.volumeM3 + (running.levelMm / 1000) * pond.areaM2)
  }

  /** Water that leaves with what is dissolved in it. @param depthM over the pond's surface */
  private losses(depthM: number): void {
    if (depthM <= 0) return
    const share = Math.min(0.9, (depthM * this.run.pond.areaM2) / this.running.volumeM3)
    this.ledger.dissolvedLeaves(this.y, share)
  }

  /** Everything the processes ask of this hour. */
  private look(day: EcoDay, sun: number): void {
    const { env, running, y, p } = this
    const { pond } = this.run
    const drained =
      pond.filter.winter === 'drained' &&
      running.waterC < DRAINED_BELOW_C &&
      (day.dayOfYear > 270 || day.dayOfYear < 120)
    const pump = running.pump && !drained
    const wetShareStopped = drained ? 0 : pond.filter.wetShareStopped
    if (this.wasRunning && !pump) y[STATE.bedOxygen] = this.system.nitrification.insideMgL
    this.wasRunning = pump
    const sludge = ((y[STATE.bedSludge]! + y[STATE.bedMineral]!) * SLUDGE.inStone) / SLUDGE.gPerM3
    const pores = pond.filter.stoneM3 * pond.filter.porosity
    env.waterC = running.waterC
    env.iceM = running.iceM
    env.perM3 = 1 / running.volumeM3
    env.areaM2 = pond.areaM2
    env.depthM = running.volumeM3 / pond.areaM2
    env.poreLoss = pores > 0 ? Math.min(0.6, sludge / pores) : 0
    env.bedRunning = pump
    env.bedFlowM3PerD = pump ? pond.filter.flowM3PerH * 24 * (1 - env.poreLoss) : 0
    env.bedWetShare = pump ? 1 : wetShareStopped
    env.uvFlowM3PerD = pump && running.uv ? pond.filter.uvFlowM3PerH * 24 : 0
    env.aeratorGPerD = running.aeratorGPerD
    env.fishMassKg = running.fishMassKg
    env.fishKgPerM3 = running.fishMassKg * env.perM3
    env.iceShare = iceShare(running, pump)
    env.iceHole = running.iceHole && running.iceM > 0
    env.leafCover = leafCover(y, p, pond)
    env.lightW = day.lightW * sun * (1 - 0.7 * env.iceShare)
    env.extinctionPerM = extinctionPerM(y, env.perM3, p)
    env.leavesGPerD = day.leavesG * (1 - running.leafKeptShare)
    feed(env, running, y, p, this.stepH / 24, pond.guests.feedGPerD)
    visit(env, running.waterC, pond.guests)
    env.capturePerD = capturePerDay(p, pond, env, y)
    if (!(Math.abs(running.waterC - this.carbonateAtC) < 0.1)) {
      this.carbonateAtC = running.waterC
      this.carbonate = carbonateConstants(Math.max(0, running.waterC))
    }
  }

  private acidity(): void {
    const { env, y } = this
    const h = hydrogenMolL(
      this.carbonate,
      y[STATE.alkalinity]! * env.perM3,
      y[STATE.inorganicCarbon]! * env.perM3,
      this.hydrogen,
    )
    this.hydrogen = h
    env.carbonDioxideShare = carbonDioxideShare(this.carbonate, h)
    env.ph = -Math.log10(h)
  }

  /** What comes in evenly through the hour. */
  private bookForcing(): void {
    const { fish } = this.system
    const { ledger, env } = this
    const days = this.stepH / 24
    ledger.add('feed', fish.nitrogenIn * days, fish.phosphorusIn * days)
    ledger.add('fish', fish.nitrogenKept * days, fish.phosphorusKept * days)
    const { nitrogen, phosphorus } = COMPOSITION.leaves
    ledger.add('leaves', env.leavesGPerD * nitrogen * days, env.leavesGPerD * phosphorus * days)
  }
}

/** Share of the surface under ice: thin ice has gaps, moving water and a kept hole stay open. */
function iceShare(running: Running, pump: boolean): number {
  if (running.iceM <= 0) return 0
  const open =
    (running.iceHole ? OPEN_IN_ICE.hole : 0) +
    (pump ? OPEN_IN_ICE.movingWater : 0) +
    (running.aeratorGPerD > 0 ? OPEN_IN_ICE.movingWater : 0)
  return Math.min(1, running.iceM / 0.01) * (1 - open)
}
