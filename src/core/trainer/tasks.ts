import type { PondDeed } from '../ecosystem/events'
import type { Fittings } from './view'

/** One way a task can be done. */
export interface TaskOption {
  readonly minutes: number
  /** Materials and hire, whole money. */
  readonly cost: number
  readonly deeds: readonly PondDeed[]
  /** Health that catching and holding costs the fish, 0..1. @source house default */
  readonly wear?: number
}

export interface TrainerTask {
  readonly group: TaskGroup
  /** Said where the work can hurt fish, people or the bed. */
  readonly caution?: true
  /** Cannot be done through ice. */
  readonly openWater?: true
  readonly options: Readonly<Record<string, TaskOption>>
}

export const TASK_GROUPS = ['fish', 'water', 'bed', 'floor', 'plants', 'gear'] as const
export type TaskGroup = (typeof TASK_GROUPS)[number]

const option = (minutes: number, cost: number, ...deeds: PondDeed[]): TaskOption => ({
  minutes,
  cost,
  deeds,
})

/** A hired clarifier takes the pump's whole flow; whether it is on is all that changes. */
const AERATOR_G_PER_D = 200
/** Feed of little protein is given while the water is colder than this, °C. @source as the house rules */
const LOW_PROTEIN_BELOW_C = 17

/**
 * What can be done on a visit to the training pond, with the time it takes one person and what it costs.
 * @source times and amounts as in the visit types and their doses, rounded for a pond of 20 m³
 */
const TRAINER_TASKS = {
  feed: {
    group: 'fish',
    options: {
      none: option(5, 0, { kind: 'feed', factor: 0 }),
      half: option(5, 0, { kind: 'feed', factor: 0.5 }),
      usual: option(5, 0, { kind: 'feed', factor: 1 }),
    },
  },
  'feed-kind': {
    group: 'fish',
    options: {
      light: option(5, 12, { kind: 'feed', lowProteinBelowC: LOW_PROTEIN_BELOW_C }),
      same: option(5, 0, { kind: 'feed', lowProteinBelowC: null }),
    },
  },
  salt: {
    group: 'fish',
    caution: true,
    options: { tenth: option(20, 15, { kind: 'salt', kg: 20 }) },
  },
  'water-change': {
    group: 'water',
    openWater: true,
    caution: true,
    options: {
      tenth: option(20, 4, {
        kind: 'water-change',
        fraction: 0.1,
        dechlorinated: true,
      }),
      third: option(40, 9, {
        kind: 'water-change',
        fraction: 0.33,
        dechlorinated: true,
      }),
      'third-tap': option(35, 0, {
        kind: 'water-change',
        fraction: 0.33,
        dechlorinated: false,
      }),
      most: option(75, 18, {
        kind: 'water-change',
        fraction: 0.67,
        dechlorinated: true,
      }),
    },
  },
  kh: {
    group: 'water',
    options: {
      one: option(10, 3, { kind: 'raise-kh', byDKH: 1 }),
      three: option(15, 9, { kind: 'raise-kh', byDKH: 3 }),
    },
  },
  flocculant: {
    group: 'water',
    openWater: true,
    caution: true,
    options: { dose: option(15, 25, { kind: 'flocculant' }) },
  },
  algaecide: {
    group: 'water',
    openWater: true,
    caution: true,
    options: { dose: option(15, 35, { kind: 'kill-algae', share: 0.9 }) },
  },
  'rinse-media': {
    group: 'bed',
    caution: true,
    options: {
      half: option(50, 0, { kind: 'rinse-media', share: 0.5, water: 'pond' }),
      all: option(90, 0, { kind: 'rinse-media', share: 1, water: 'pond' }),
      tap: option(60, 0, { kind: 'rinse-media', share: 1, water: 'tap' }),
    },
  },
  flush: {
    group: 'bed',
    options: { once: option(40, 0, { kind: 'flush', share: 0.7 }) },
  },
  bacteria: {
    group: 'bed',
    options: {
      media: option(15, 20, {
        kind: 'seed-bacteria',
        share: 0.1,
      }),
      bottle: option(5, 25, { kind: 'seed-bacteria', share: 0.01 }),
    },
  },
  vacuum: {
    group: 'floor',
    openWater: true,
    caution: true,
    options: {
      third: option(35, 0, { kind: 'vacuum', share: 0.33 }),
      all: option(90, 0, { kind: 'vacuum', share: 0.9 }),
    },
  },
  overhaul: {
    group: 'floor',
    openWater: true,
    caution: true,
    options: {
      day: {
        minutes: 240,
        cost: 60,
        wear: 0.4,
        deeds: [
          { kind: 'water-change', fraction: 0.9, dechlorinated: true },
          { kind: 'vacuum', share: 0.95 },
          { kind: 'rinse-media', share: 1, water: 'tap' },
          { kind: 'wash-surfaces', share: 0.9 },
        ],
      },
    },
  },
  'string-algae': {
    group: 'plants',
    openWater: true,
    options: { most: option(30, 0, { kind: 'pull-string-algae', share: 0.7 }) },
  },
  cut: {
    group: 'plants',
    options: {
      bed: option(45, 0, { kind: 'cut', plants: 'marginals', share: 0.8 }),
      lilies: option(35, 0, { kind: 'cut', plants: 'lilies', share: 0.8 }),
      all: option(
        80,
        0,
        { kind: 'cut', plants: 'marginals', share: 0.8 },
        { kind: 'cut', plants: 'lilies', share: 0.8 },
        { kind: 'cut', plants: 'submerged', share: 0.4 },
      ),
    },
  },
  net: {
    group: 'gear',
    openWater: true,
    options: {
      on: option(45, 15, { kind: 'net', keptShare: 0.9 }),
      off: option(30, 0, { kind: 'net', keptShare: 0.15 }),
    },
  },
  uv: {
    group: 'gear',
    options: {
      on: option(30, 120, { kind: 'uv', on: true }),
      off: option(10, 0, { kind: 'uv', on: false }),
    },
  },
  aerator: {
    group: 'gear',
    options: {
      on: option(20, 40, { kind: 'aerator', gPerD: AERATOR_G_PER_D }),
      off: option(10, 0, { kind: 'aerator', gPerD: 0 }),
    },
  },
  pump: {
    group: 'gear',
    caution: true,
    options: {
      on: option(15, 0, { kind: 'pump', running: true }),
      off: option(10, 0, { kind: 'pump', running: false }),
    },
  },
  'ice-hole': {
    group: 'gear',
    caution: true,
    options: {
      open: option(25, 30, { kind: 'ice-hole', open: true }),
      shut: option(10, 0, { kind: 'ice-hole', open: false }),
    },
  },
} as const satisfies Readonly<Record<string, TrainerTask>>
export type TrainerTaskKey = keyof typeof TRAINER_TASKS
export const TRAINER_TASK_KEYS = Object.keys(TRAINER_TASKS) as TrainerTaskKey[]

export const trainerTask = (key: TrainerTaskKey): TrainerTask => TRAINER_TASKS[key]

/** A task done in one of its ways; one a week. */
export interface TaskChoice {
  readonly task: TrainerTaskKey
  readonly option: string
}

/** Whether an option would only set what is set already: a lamp that is out cannot be taken out. */
export function changesNothing({ deeds }: TaskOption, now: Fittings): boolean {
  const [deed] = deeds
  switch (deed!.kind) {
    case 'feed':
      return deed.factor === undefined
        ? (deed.lowProteinBelowC !== null) === now.lightFeed
        : Math.abs(deed.factor - now.feedFactor) < 0.01
    case 'pump':
      return deed.running === now.pump
    case 'uv':
      return deed.on === now.uv
    case 'aerator':
      return deed.gPerD > 0 === now.aerator
    case 'ice-hole':
      return deed.open === now.iceHole
    case 'net':
      return deed.keptShare > 0.5 === now.net
    default:
      return false
  }
}

export const optionOf = ({ task, option: key }: TaskChoice): TaskOption | undefined => trainerTask(task).options[key]

type Tasks = typeof TRAINER_TASKS
/** A task in one of its ways, by name: "pump-on". */
export type TaskOptionKey = { [K in TrainerTaskKey]: `${K}-${keyof Tasks[K]['options'] & string}` }[TrainerTaskKey]

/** Names a choice; null for one that there is not. */
export const taskOptionKey = (choice: TaskChoice): TaskOptionKey | null =>
  optionOf(choice) ? (`${choice.task}-${choice.option}` as TaskOptionKey) : null

type CautionedTask = { [K in TrainerTaskKey]: Tasks[K] extends { caution: true } ? K : never }[TrainerTaskKey]
/** Whether the work can hurt fish, people or the bed. */
export const isCautioned = (key: TrainerTaskKey): key is CautionedTask => trainerTask(key).caution === true
