import { z } from 'zod'
import { KIT_TESTS } from '../../core/trainer/kit'
import type { WeekChoice } from '../../core/trainer/play'
import { SCENARIO_KEYS, type ScenarioKey } from '../../core/trainer/scenarios'
import { TRAINER_TASK_KEYS } from '../../core/trainer/tasks'
import type { TrainerGameId, UserId } from '../shared/ids'
import { said } from '../shared/said'

const MAX_WEEKS = 60

/** What was done on one visit. */
export const WeekChoiceInput = z.strictObject({
  tests: z
    .array(z.enum(KIT_TESTS))
    .max(KIT_TESTS.length)
    .refine((tests) => new Set(tests).size === tests.length, { error: said('trainer.problems.testNamedTwiceOneWeek') }),
  tasks: z
    .array(z.strictObject({ task: z.enum(TRAINER_TASK_KEYS), option: z.string().max(40) }))
    .max(TRAINER_TASK_KEYS.length),
  asked: z.boolean(),
}) satisfies z.ZodType<WeekChoice>

export const WeeksInput = z.strictObject({
  choices: z
    .array(WeekChoiceInput)
    .max(MAX_WEEKS, { error: said('trainer.problems.mostWeeks', { maxWeeks: MAX_WEEKS }) }),
})

export const NewGameInput = z.strictObject({
  scenario: z.enum(SCENARIO_KEYS, { error: said('trainer.problems.chooseOneScenarios') }),
  /** The year of an earlier season is played again; null: a year that nobody knows. */
  seed: z
    .int()
    .min(0)
    .max(2 ** 31 - 1)
    .nullable(),
})
export type NewGameInput = z.infer<typeof NewGameInput>

/** A season on the training pond that somebody plays or has played. */
export interface TrainerGame {
  readonly id: TrainerGameId
  readonly userId: UserId
  readonly scenario: ScenarioKey
  readonly seed: number
  readonly choices: readonly WeekChoice[]
  readonly points: number | null
  readonly stars: number | null
  readonly startedAt: string
  readonly finishedAt: string | null
}

/** Whether weeks go on from those that are kept: what is done cannot be done otherwise. */
export const goesOnFrom = (kept: readonly WeekChoice[], weeks: readonly WeekChoice[]): boolean =>
  weeks.length >= kept.length &&
  kept.every((week, i) => JSON.stringify(ordered(week)) === JSON.stringify(ordered(weeks[i]!)))

const ordered = ({ tests, tasks, asked }: WeekChoice) => [
  [...tests].sort(),
  tasks.map(({ task, option }) => [task, option]),
  asked,
]
