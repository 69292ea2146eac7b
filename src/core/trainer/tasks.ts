import type { PondDeed } from '../ecosystem/events'
import type { Fittings } from './view'

/** One way a task can be done. */
export interface TaskOption {
  readonly name: string
  readonly minutes: number
  /** Materials and hire, whole money. */
  readonly cost: number
  readonly deeds: readonly PondDeed[]
  /** Health that catching and holding costs the fish, 0..1. @source house default */
  readonly wear?: number
}

export interface TrainerTask {
  readonly name: string
  readonly group: TaskGroup
  /** Said where the work can hurt fish, people or the bed. */
  readonly caution?: string
  /** Cannot be done through ice. */
  readonly openWater?: true
  readonly options: Readonly<Record<string, TaskOption>>
}

export const TASK_GROUPS = ['fish', 'water', 'bed', 'floor', 'plants', 'gear'] as const
export type TaskGroup = (typeof TASK_GROUPS)[number]

const option = (name: string, minutes: number, cost: number, ...deeds: PondDeed[]): TaskOption => ({
  name,
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
    name: 'Tell the customer how to feed',
    group: 'fish',
    options: {
      none: option('nothing', 5, 0, { kind: 'feed', factor: 0 }),
      half: option('half the ration', 5, 0, { kind: 'feed', factor: 0.5 }),
      usual: option('the full ration', 5, 0, { kind: 'feed', factor: 1 }),
    },
  },
  'feed-kind': {
    name: 'Choose the feed for cool water',
    group: 'fish',
    options: {
      light: option('one of little protein', 5, 12, { kind: 'feed', lowProteinBelowC: LOW_PROTEIN_BELOW_C }),
      same: option('the same all year', 5, 0, { kind: 'feed', lowProteinBelowC: null }),
    },
  },
  salt: {
    name: 'Salt the water',
    group: 'fish',
    caution: 'Salt protects fish from nitrite. It stays until water is changed, and plants suffer from much of it.',
    options: { tenth: option('0.1 %', 20, 15, { kind: 'salt', kg: 20 }) },
  },
  'water-change': {
    name: 'Change water',
    group: 'water',
    openWater: true,
    caution: 'Tap water carries chlorine: it kills fish and bacteria unless it is neutralised first.',
    options: {
      tenth: option('a tenth, chlorine neutralised', 20, 4, {
        kind: 'water-change',
        fraction: 0.1,
        dechlorinated: true,
      }),
      third: option('a third, chlorine neutralised', 40, 9, {
        kind: 'water-change',
        fraction: 0.33,
        dechlorinated: true,
      }),
      'third-tap': option('a third, straight from the tap', 35, 0, {
        kind: 'water-change',
        fraction: 0.33,
        dechlorinated: false,
      }),
      most: option('two thirds, chlorine neutralised', 75, 18, {
        kind: 'water-change',
        fraction: 0.67,
        dechlorinated: true,
      }),
    },
  },
  kh: {
    name: 'Raise KH',
    group: 'water',
    options: {
      one: option('by 1 °dH', 10, 3, { kind: 'raise-kh', byDKH: 1 }),
      three: option('by 3 °dH', 15, 9, { kind: 'raise-kh', byDKH: 3 }),
    },
  },
  flocculant: {
    name: 'Flocculant',
    group: 'water',
    openWater: true,
    caution: 'Only with KH in order and air running: what sinks rots and takes oxygen.',
    options: { dose: option('one dose', 15, 25, { kind: 'flocculant' }) },
  },
  algaecide: {
    name: 'Algaecide',
    group: 'water',
    openWater: true,
    caution:
      'Dying algae take the oxygen of the night: never in warm, green water without an aerator. Read the label; local rules decide.',
    options: { dose: option('one dose', 15, 35, { kind: 'kill-algae', share: 0.9 }) },
  },
  'rinse-media': {
    name: 'Rinse the media',
    group: 'bed',
    caution: 'The bacteria live on the media.',
    options: {
      half: option('half of them, in pond water', 50, 0, { kind: 'rinse-media', share: 0.5, water: 'pond' }),
      all: option('all of them, in pond water', 90, 0, { kind: 'rinse-media', share: 1, water: 'pond' }),
      tap: option('all of them, under the hose', 60, 0, { kind: 'rinse-media', share: 1, water: 'tap' }),
    },
  },
  flush: {
    name: 'Flush the bed',
    group: 'bed',
    options: { once: option('until it runs clear', 40, 0, { kind: 'flush', share: 0.7 }) },
  },
  bacteria: {
    name: 'Bring bacteria',
    group: 'bed',
    options: {
      media: option('a net of mature media from another pond of the firm', 15, 20, {
        kind: 'seed-bacteria',
        share: 0.1,
      }),
      bottle: option('a bottled culture', 5, 25, { kind: 'seed-bacteria', share: 0.01 }),
    },
  },
  vacuum: {
    name: 'Lift sludge off the floor',
    group: 'floor',
    openWater: true,
    caution: 'Stirred sludge sets free what it holds: never the whole floor of a neglected pond at once.',
    options: {
      third: option('a third of the floor', 35, 0, { kind: 'vacuum', share: 0.33 }),
      all: option('the whole floor', 90, 0, { kind: 'vacuum', share: 0.9 }),
    },
  },
  overhaul: {
    name: 'Everything in one day',
    group: 'floor',
    openWater: true,
    caution: 'Fish are caught and kept in a tank; nothing that lives in the bed stays.',
    options: {
      day: {
        name: 'drain, jet-wash, refill',
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
    name: 'Pull string algae',
    group: 'plants',
    openWater: true,
    options: { most: option('what a fork reaches', 30, 0, { kind: 'pull-string-algae', share: 0.7 }) },
  },
  cut: {
    name: 'Cut plants and take them away',
    group: 'plants',
    options: {
      bed: option('the bed’s, four fifths', 45, 0, { kind: 'cut', plants: 'marginals', share: 0.8 }),
      lilies: option('lilies, four fifths', 35, 0, { kind: 'cut', plants: 'lilies', share: 0.8 }),
      all: option(
        'all that has gone yellow',
        80,
        0,
        { kind: 'cut', plants: 'marginals', share: 0.8 },
        { kind: 'cut', plants: 'lilies', share: 0.8 },
        { kind: 'cut', plants: 'submerged', share: 0.4 },
      ),
    },
  },
  net: {
    name: 'Leaf net',
    group: 'gear',
    openWater: true,
    options: {
      on: option('put over', 45, 15, { kind: 'net', keptShare: 0.9 }),
      off: option('taken off with its leaves', 30, 0, { kind: 'net', keptShare: 0.15 }),
    },
  },
  uv: {
    name: 'UV clarifier',
    group: 'gear',
    options: {
      on: option('hired and fitted', 30, 120, { kind: 'uv', on: true }),
      off: option('taken out', 10, 0, { kind: 'uv', on: false }),
    },
  },
  aerator: {
    name: 'Aerator',
    group: 'gear',
    options: {
      on: option('set in and running', 20, 40, { kind: 'aerator', gPerD: AERATOR_G_PER_D }),
      off: option('taken out', 10, 0, { kind: 'aerator', gPerD: 0 }),
    },
  },
  pump: {
    name: 'Pump',
    group: 'gear',
    caution: 'A plug with wet hands can kill: the circuit is off and protected before anyone reaches into the water.',
    options: {
      on: option('started', 15, 0, { kind: 'pump', running: true }),
      off: option('stopped', 10, 0, { kind: 'pump', running: false }),
    },
  },
  'ice-hole': {
    name: 'Hole in the ice',
    group: 'gear',
    caution: 'Nobody steps on the ice. Melt the hole with warm water; hammering harms the fish.',
    options: {
      open: option('melted, and a de-icer set in', 25, 30, { kind: 'ice-hole', open: true }),
      shut: option('de-icer taken out', 10, 0, { kind: 'ice-hole', open: false }),
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
