import { SAMPLE_POND } from '../../ecosystem/trials/sample-pond'
import type { EcoPond } from '../../ecosystem/pond'
import type { WeekChoice } from '../play'
import type { TrainerTaskKey, TaskChoice } from '../tasks'
import type { SightKey } from '../sights'
import type { Surprise } from '../scenario'
import type { WeekView } from '../view'

/** The training pond: the sample pond on tap water, with room for a lamp that is not fitted. */
export const TRAINING_POND: EcoPond = {
  ...SAMPLE_POND,
  source: { ...SAMPLE_POND.source, alkalinityMgL: 110, nitrateMgL: 3, phosphateMgL: 0.05, chlorineMgL: 0.4 },
  filter: { ...SAMPLE_POND.filter, uvFlowM3PerH: SAMPLE_POND.filter.flowM3PerH },
}

/** A lamp stands in the store until somebody fits it. */
export const NO_LAMP = { kind: 'uv', on: false, daysBefore: 1 } as const

export const task = (key: TrainerTaskKey, option: string): TaskChoice => ({ task: key, option })
export const sees = (view: WeekView, ...keys: SightKey[]): boolean =>
  view.sights.some((sight) => keys.includes(sight.key))
export const done = (past: readonly WeekChoice[], key: TrainerTaskKey): boolean =>
  past.some((choice) => choice.tasks.some((t) => t.task === key))
/** Weeks since a task was last done; Infinity when never. */
export function weeksSince(past: readonly WeekChoice[], key: TrainerTaskKey): number {
  for (let i = past.length - 1; i >= 0; i--) if (past[i]!.tasks.some((t) => t.task === key)) return past.length - i
  return Infinity
}

const FEED_CHOICES = { 0: 'none', 0.5: 'half', 1: 'usual' } as const

/** Feeding is told anew only where it changes. */
export function feedAt(view: WeekView, factor: 0 | 0.5 | 1): TaskChoice[] {
  if (Math.abs(view.fittings.feedFactor - factor) < 0.01) return []
  return [task('feed', FEED_CHOICES[factor])]
}

/** First aid, and air whether fish gasp yet or not. */
export const aidWithAir = (view: WeekView): TaskChoice[] => [
  ...firstAid(view).filter((aid) => aid.task !== 'aerator'),
  ...(view.fittings.aerator ? [] : [task('aerator', 'on')]),
]

/** What always comes first: air for fish that gasp, a pump that stands. */
export function firstAid(view: WeekView): TaskChoice[] {
  return [
    ...(sees(view, 'pump-stands') ? [task('pump', 'on')] : []),
    ...(sees(view, 'fish-gasping', 'fish-at-falls') && !view.fittings.aerator ? [task('aerator', 'on')] : []),
  ]
}

/** A week or more of heat that nobody ordered. @param weeks first and last week it may begin in */
export const heatwave = (
  key: string,
  chance: number,
  weeks: readonly [number, number],
  days: number,
  warmerC: number,
): Surprise => ({
  key,
  chance,
  weeks,
  told: 'weekHeatLiesOver',
  deeds: [{ kind: 'heatwave', days, warmerC, day: 0 }],
})

/** A day and a half without power. */
export const powerCut = (chance: number, weeks: readonly [number, number]): Surprise => ({
  key: 'power',
  chance,
  weeks,
  told: 'powerOutFromWednesday',
  deeds: [
    { kind: 'pump', running: false, day: 2.5 },
    { kind: 'pump', running: true, day: 3.9 },
  ],
})
