import type { PondEvent } from '../ecosystem/events'
import { SHOWN_OUTPUTS, type ShownOutput } from '../ecosystem/comparison/comparison'
import { measuresOf, type Measures } from '../ecosystem/measures'
import { asRead } from '../assimilation/observed'
import { OUTPUT_NAMES, type OutputName, type Series } from '../ecosystem/outputs'
import { fullStands } from '../ecosystem/processes/plants'
import type { PondState } from '../ecosystem/running'
import { simulate } from '../ecosystem/simulate'
import { STATE } from '../ecosystem/states'
import { DomainError } from '../errors'
import { addDays } from '../numeric/calendar'
import { seededRandom } from '../numeric/random'
import { plainDayOfYear } from '../season/season-year'
import { KIT, KIT_TESTS, readKit, type KitTest } from './kit'
import { optionOf, trainerTask, type TrainerTaskKey, type TaskChoice } from './tasks'
import { sightsOf } from './sights'
import type { Scene, WeekView } from './view'
import { TRAINING_DEPTH_M, type TrainingWorld } from './world'
import { recordOf } from '../numeric/record-of'
import type { ToldCode } from './scenario'

/** What the player did on one visit. */
export interface WeekChoice {
  readonly tests: readonly KitTest[]
  readonly tasks: readonly TaskChoice[]
  /** The foreman was asked what he would do. */
  readonly asked: boolean
}

export const NOTHING: WeekChoice = { tests: [], tasks: [], asked: false }

/** Why a visit cannot be done as chosen. */
export type Refusal =
  | { readonly code: 'too-long'; readonly minutes: number; readonly have: number }
  | { readonly code: 'ice' | 'unknown' | 'twice'; readonly task: string }

/** Time that a visit's tests and tasks take, min. */
export const minutesOf = ({ tests, tasks }: WeekChoice): number =>
  tests.reduce((sum, test) => sum + KIT[test].minutes, 0) +
  tasks.reduce((sum, choice) => sum + (optionOf(choice)?.minutes ?? 0), 0)
export const costOf = ({ tasks }: WeekChoice): number =>
  tasks.reduce((sum, choice) => sum + (optionOf(choice)?.cost ?? 0), 0)

/** What keeps a choice from being done; empty when it can be. */
export function refusalsOf(choice: WeekChoice, view: Pick<WeekView, 'scene'>, minutesPerWeek: number): Refusal[] {
  const refusals: Refusal[] = []
  const minutes = minutesOf(choice)
  if (minutes > minutesPerWeek) refusals.push({ code: 'too-long', minutes, have: minutesPerWeek })
  const seen = new Set<string>()
  for (const done of choice.tasks) {
    if (!optionOf(done)) refusals.push({ code: 'unknown', task: done.task })
    else if (underIce(done.task, view)) refusals.push({ code: 'ice', task: done.task })
    if (seen.has(done.task)) refusals.push({ code: 'twice', task: done.task })
    seen.add(done.task)
  }
  return refusals
}

/** Ice that closes the pond to nets, forks and hoses, m. */
const CLOSING_ICE_M = 0.01

/** Whether a task cannot be done today because of ice. */
export const underIce = (task: TrainerTaskKey, { scene }: Pick<WeekView, 'scene'>): boolean =>
  trainerTask(task).openWater === true && scene.iceM > CLOSING_ICE_M

/**
 * Edges at which fish begin to look unwell, mg/L and share of full health.
 * @source usual behaviour of carp and goldfish; house defaults for the trainer
 */
const FISH_SHOW = {
  gaspOxygen: 2.8,
  atFallsOxygen: 4.5,
  uneasyNh3: 0.1,
  uneasyNitrite: 1,
  uneasyCondition: 0.6,
} as const
/** Visits are in the morning; what is done works from noon on. */
const AT_NOON = 0.5
const AERATED_FROM_G_PER_D = 1
const NETTED_FROM = 0.5
/** String algae that fill a pond, g dry/m². */
const FULL_STRING_ALGAE_GM2 = 120
/** Sludge that is drawn to the ankles, g dry/m². */
const FULL_SLUDGE_GM2 = 2000
const LEAVES_FALL = { from: 275, to: 335 } as const
const COLD_C = 8
const KIT_SEED = 104_729

/** What a play leaves behind. */
export interface PlayResult {
  readonly days: number
  /** By output in the order of SHOWN_OUTPUTS, days in a row each. */
  readonly daily: Float32Array
  readonly measures: Measures
  /** Health of the shoal and fish alive at the end of each day. */
  readonly condition: readonly number[]
  readonly alive: readonly number[]
  /** What lies on the floor at the end, and string algae, g dry/m². */
  readonly floorGM2: number
  readonly stringAlgaeGM2: number
  /** Feed given as a share of the full ration, week by week; NaN when it was too cold to eat. */
  readonly fed: readonly number[]
  readonly choices: readonly WeekChoice[]
  readonly fishAtStart: number
}

/** A training pond looked after week by week. */
export class Play {
  week = 0
  private state: PondState
  private last: Series
  private lostThisWeek = 0
  private told: ToldCode[] = []
  private readonly columns: Record<OutputName, number[]>
  private readonly conditionByDay: number[] = []
  private readonly aliveByDay: number[] = []
  private readonly fed: number[] = []
  private readonly choices: WeekChoice[] = []

  constructor(private readonly world: TrainingWorld) {
    this.state = world.start.end
    this.last = world.start.series
    this.columns = recordOf(OUTPUT_NAMES, (): number[] => [])
  }

  get over(): boolean {
    return this.week >= this.world.scenario.weeks
  }

  /** The pond this morning. */
  view(): WeekView {
    const { world, week } = this
    const { running, y } = this.state
    const { feedFactor, pump, uv, iceHole } = running
    const random = seededRandom(world.seed * 31 + KIT_SEED * (week + 1))
    const fittings = {
      feedFactor,
      lightFeed: running.lowProteinBelowC !== null,
      pump,
      uv,
      aerator: running.aeratorGPerD >= AERATED_FROM_G_PER_D,
      iceHole,
      net: running.leafKeptShare > NETTED_FROM,
    }
    const scene = this.scene()
    const { areaM2 } = world.scenario.pond
    return {
      week,
      date: addDays(world.from, week * 7),
      sights: sightsOf({
        scene,
        fittings,
        lostFish: this.lostThisWeek,
        floorGM2: this.now('floorGM2'),
        leavesGM2: y[STATE.leaves]! / areaM2,
        poreLoss: this.now('poreLoss'),
      }),
      told: this.told,
      fish: { alive: Math.round(this.alive), lostThisWeek: this.lostThisWeek },
      fittings,
      scene,
      kit: Object.fromEntries(
        KIT_TESTS.map((test) => [
          test,
          asRead(test, readKit(test, this.now(KIT[test].output), random), TRAINING_DEPTH_M),
        ]),
      ) as Record<KitTest, number>,
    }
  }

  /**
   * Does a visit and lets the week pass.
   * @throws {DomainError} a visit that cannot be done as chosen, or a play that is over
   */
  advance(choice: WeekChoice): void {
    const { world, week } = this
    const { scenario } = world
    if (this.over) throw new DomainError('week', week, `below ${scenario.weeks}`)
    const [refusal] = refusalsOf(choice, { scene: this.scene() }, scenario.minutesPerWeek)
    if (refusal) throw new DomainError('choice', refusal.code, 'a visit that can be done')
    const surprises = world.surprises.filter((s) => s.week === week)
    const done = choice.tasks.flatMap((task) =>
      optionOf(task)!.deeds.map((deed) => ({ ...deed, day: AT_NOON }) as PondEvent),
    )
    const wear = choice.tasks.reduce((sum, task) => sum + (optionOf(task)!.wear ?? 0), 0)
    const { y, running } = this.state
    const start = { y, running: { ...running, fishCondition: Math.max(0, running.fishCondition - wear) } }
    const before = this.alive
    const result = simulate({
      pond: scenario.pond,
      parameters: world.parameters,
      weather: world.weather.slice(week * 7, week * 7 + 7),
      startDay: plainDayOfYear(addDays(world.from, week * 7)),
      days: 7,
      events: [...done, ...surprises.flatMap((s) => s.events)],
      every: 'day',
      start,
    })
    this.state = result.end
    this.last = result.series
    this.told = surprises.map((s) => s.told)
    this.choices.push(choice)
    this.live(result.series)
    this.lostThisWeek = Math.round(before) - Math.round(this.alive)
    this.week++
  }

  result(): PlayResult {
    const days = this.columns.tan.length
    const daily = new Float32Array(SHOWN_OUTPUTS.length * days)
    SHOWN_OUTPUTS.forEach((name: ShownOutput, i) => daily.set(this.columns[name], i * days))
    const series = recordOf(OUTPUT_NAMES, (name) => Float64Array.from(this.columns[name]))
    return {
      days,
      daily,
      measures: measuresOf(series),
      condition: this.conditionByDay,
      alive: this.aliveByDay,
      fed: this.fed,
      floorGM2: this.now('floorGM2'),
      stringAlgaeGM2: this.now('filamentousGM2'),
      choices: this.choices,
      fishAtStart: this.world.scenario.fish,
    }
  }

  private now(output: OutputName): number {
    const values = this.last[output]
    return values[values.length - 1]!
  }

  /** Fish alive; parts of a fish until a whole one is lost. */
  private get alive(): number {
    return this.world.scenario.fish * this.state.running.fishAlive
  }

  /** Keeps a week's days. */
  private live(series: Series): void {
    const { fish } = this.world.scenario
    for (let d = 0; d < series.tan.length; d++) {
      for (const name of OUTPUT_NAMES) this.columns[name].push(series[name][d]!)
      this.conditionByDay.push(series.fishCondition[d]!)
      this.aliveByDay.push(fish * series.fishAlive[d]!)
    }
    const { running } = this.state
    const eats = series.waterC[series.waterC.length - 1]! >= running.feedFromC
    this.fed.push(eats ? running.feedFactor : Number.NaN)
  }

  private scene(): Scene {
    const { world, state } = this
    const { y, running } = state
    const { pond } = world.scenario
    const perM3 = 1 / running.volumeM3
    const p = world.parameters
    const green = p.chlorophyllExtinction * y[STATE.phytoplankton]! * perM3 * p.chlorophyllShare * 1000
    const brown = p.colourExtinction * y[STATE.tannin]! * perM3
    const grey = p.siltExtinction * y[STATE.silt]! * perM3 + p.sestonExtinction * y[STATE.seston]! * perM3
    const all = Math.max(1e-9, green + brown + grey)
    const full = fullStands(p, pond).find((stand) => stand.state === STATE.marginals)?.maxG ?? 0
    const day = plainDayOfYear(addDays(world.from, this.week * 7))
    return {
      clarityM: this.now('clarityM'),
      murk: { green: green / all, brown: brown / all, grey: grey / all },
      iceM: this.now('iceM'),
      leafCover: this.now('leafCover'),
      stringAlgae: Math.min(1, this.now('filamentousGM2') / FULL_STRING_ALGAE_GM2),
      plants: full > 0 ? Math.min(1, y[STATE.marginals]! / full) : 0,
      plantsDead: full > 0 ? Math.min(1, y[STATE.straw]! / full) : 0,
      sludge: Math.min(1, this.now('floorGM2') / FULL_SLUDGE_GM2),
      fallingLeaves: day >= LEAVES_FALL.from && day <= LEAVES_FALL.to,
      fish: this.fishLook(),
      levelMm: this.now('levelMm'),
    }
  }

  /** Fish show what is wrong before it kills. */
  private fishLook(): Scene['fish'] {
    const oxygen = this.now('oxygen')
    if (oxygen < FISH_SHOW.gaspOxygen) return 'gasping'
    if (oxygen < FISH_SHOW.atFallsOxygen) return 'at-falls'
    if (
      this.now('nh3') > FISH_SHOW.uneasyNh3 ||
      this.now('nitrite') > FISH_SHOW.uneasyNitrite ||
      this.state.running.fishCondition < FISH_SHOW.uneasyCondition
    )
      return 'uneasy'
    return this.now('waterC') < COLD_C ? 'still' : 'calm'
  }
}
