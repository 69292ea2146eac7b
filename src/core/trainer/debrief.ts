import { SHOWN_OUTPUTS, type ShownOutput } from '../ecosystem/comparison/comparison'
import { addDays, type IsoDate } from '../numeric/calendar'
import type { Random } from '../numeric/random'
import { minutesOf, NOTHING, Play, refusalsOf, type PlayResult, type WeekChoice } from './play'
import type { ToldCode, Policy, ScenarioKey, TrainerScenario, WeekPlan } from './scenario'
import { fishPart, scoreOf, type Score } from './score'
import type { KitTest } from './kit'
import type { WeekView } from './view'
import { worldOf, type TrainingWorld } from './world'

/** What a policy does this week: its tests as it asks for them, then its tasks. */
export function planBy(
  policy: Policy,
  view: WeekView,
  past: readonly WeekChoice[],
): { choice: WeekChoice; why: WeekPlan['why'] } {
  const tests = new Set<KitTest>()
  const plan: WeekPlan = policy(
    view,
    (kind) => {
      tests.add(kind)
      return view.kit[kind]
    },
    past,
  )
  return { choice: { tests: [...tests], tasks: plan.tasks, asked: false }, why: plan.why }
}

/** What there is no time for, or what ice forbids, is left, the last first. */
function fitted(choice: WeekChoice, view: WeekView, minutesPerWeek: number): WeekChoice {
  let tasks = choice.tasks
  while (tasks.length > 0 && refusalsOf({ ...choice, tasks }, view, minutesPerWeek).length > 0)
    tasks = tasks.slice(0, -1)
  return minutesOf({ ...choice, tasks }) > minutesPerWeek ? NOTHING : { ...choice, tasks }
}

/** A whole season by a policy. */
export const playBy = (world: TrainingWorld, policy: Policy): PlayResult =>
  playWeeks(world, (view, past) => planBy(policy, view, past).choice)

/** The same choices through another year; what ice forbids then is left. */
const repeat = (world: TrainingWorld, choices: readonly WeekChoice[]): PlayResult =>
  playWeeks(world, (view) => choices[view.week] ?? NOTHING)

function playWeeks(
  world: TrainingWorld,
  choose: (view: WeekView, past: readonly WeekChoice[]) => WeekChoice,
): PlayResult {
  const play = new Play(world)
  const past: WeekChoice[] = []
  while (!play.over) {
    const view = play.view()
    const choice = fitted(choose(view, past), view, world.scenario.minutesPerWeek)
    past.push(choice)
    play.advance(choice)
  }
  return play.result()
}

/** @throws {DomainError} a choice that could not be done in its week */
export function playChoices(world: TrainingWorld, choices: readonly WeekChoice[]): Play {
  const play = new Play(world)
  for (const choice of choices) play.advance(choice)
  return play
}

export interface DebriefOptionPlayed {
  readonly result: PlayResult
  readonly score: Score
}

const NOTHING_DONE: Policy = () => ({ tasks: [], why: null })

/** The ways of a debrief in their order: the player's, the house's, nothing done, and what many would do. */
export const DEBRIEF_OPTIONS = ['yours', 'house', 'nothing', 'temptation'] as const
export type DebriefOption = (typeof DEBRIEF_OPTIONS)[number]

/**
 * Years that the same choices are played through beside their own, to tell risk from luck: one draw of biology,
 * weather and surprises each.
 */
const RISK_SEEDS = [1009, 2003, 3001, 4001, 5003] as const
const riskWorlds = new Map<ScenarioKey, readonly TrainingWorld[]>()

function worldsOfRisk(scenario: TrainerScenario): readonly TrainingWorld[] {
  const known = riskWorlds.get(scenario.key)
  if (known) return known
  const worlds = RISK_SEEDS.map((seed) => worldOf(scenario, seed))
  riskWorlds.set(scenario.key, worlds)
  return worlds
}

/**
 * How the fish are to be expected to fare by these choices, 0..1: their own year and the years of risk alike.
 */
export function expectedFish(scenario: TrainerScenario, own: PlayResult): number {
  const others = worldsOfRisk(scenario).map((world) => fishPart(repeat(world, own.choices)))
  return [fishPart(own), ...others].reduce((a, b) => a + b, 0) / (others.length + 1)
}

/**
 * All ways through one world, scored by what their choices risk.
 * @param alone scored by this one year only: where years are compared
 */
export function waysThrough(
  world: TrainingWorld,
  choices: readonly WeekChoice[],
  alone = false,
): Readonly<Record<DebriefOption, DebriefOptionPlayed>> {
  const { scenario } = world
  const house = playBy(world, scenario.house.policy)
  const scored = (result: PlayResult): DebriefOptionPlayed => ({
    result,
    score: scoreOf(scenario, result, house, alone ? fishPart(result) : expectedFish(scenario, result)),
  })
  return {
    yours: scored(repeat(world, choices)),
    house: scored(house),
    nothing: scored(playBy(world, NOTHING_DONE)),
    temptation: scored(playBy(world, scenario.temptation.policy)),
  }
}

/** The mornings of all weeks begun: the last is the one that waits for a visit, unless the season is over. */
export function morningsOf(world: TrainingWorld, choices: readonly WeekChoice[]): WeekView[] {
  const play = new Play(world)
  const mornings = [play.view()]
  for (const choice of choices) {
    play.advance(choice)
    mornings.push(play.view())
  }
  return mornings
}

/** What went on in a week, with what nobody could see. */
export interface WeekStory {
  readonly week: number
  readonly date: IsoDate
  readonly told: readonly ToldCode[]
  readonly done: WeekChoice
  readonly houseDone: WeekChoice
  readonly lost: number
  /** The worst of the week, mg/L, and the bacteria of the bed as a share of its room. */
  readonly nh3: number
  readonly nitrite: number
  readonly oxygen: number
  readonly bacteria: number
}

export function weekStories(world: TrainingWorld, yours: PlayResult, house: PlayResult): WeekStory[] {
  const values = (output: ShownOutput, week: number) => {
    const at = SHOWN_OUTPUTS.indexOf(output) * yours.days + week * 7
    return [...yours.daily.subarray(at, at + 7)]
  }
  const aliveAt = (day: number) => Math.round(day < 0 ? yours.fishAtStart : yours.alive[day]!)
  return yours.choices.map((done, week) => ({
    week,
    date: addDays(world.from, week * 7),
    told: world.surprises.filter((s) => s.week === week).map((s) => s.told),
    done,
    houseDone: house.choices[week]!,
    lost: aliveAt(week * 7 - 1) - aliveAt(week * 7 + 6),
    nh3: Math.max(...values('nh3', week)),
    nitrite: Math.max(...values('nitrite', week)),
    oxygen: Math.min(...values('oxygen', week)),
    bacteria: Math.min(...values('bacteriaShare', week)),
  }))
}

/** Points of a finished season. @throws {DomainError} choices that could not be done */
export function seasonScore(scenario: TrainerScenario, seed: number, choices: readonly WeekChoice[]): Score {
  const world = worldOf(scenario, seed)
  const result = playChoices(world, choices).result()
  return scoreOf(scenario, result, playBy(world, scenario.house.policy), expectedFish(scenario, result))
}

/** The same ways through other years of the same scenario: whether it was judgement or luck. */
export const otherYear = (scenario: TrainerScenario, random: Random, choices: readonly WeekChoice[]) =>
  waysThrough(worldOf(scenario, Math.floor(random() * 2 ** 31)), choices, true)
