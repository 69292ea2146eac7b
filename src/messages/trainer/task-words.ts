import { taskOptionKey, type TaskChoice } from '@/core/trainer/tasks'
import type { Texts } from '../texts'

/** "Pump: started", as it was chosen for a visit to the training pond. */
export function taskChoiceWords(choice: TaskChoice, t: Texts): string {
  const key = taskOptionKey(choice)
  const name = t(`trainer.tasks.${choice.task}`)
  return key ? `${name}: ${t(`trainer.taskOptions.${key}`)}` : name
}
