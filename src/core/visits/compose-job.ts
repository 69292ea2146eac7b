import type { VisitStep, VisitType } from './step'

/** A task on a visit is a step of its own, under this key. */
export const taskStepKey = (taskId: string): string => `task-${taskId}`

const FINISH = 'Finish'

/**
 * One visit for several jobs and tasks: the first job's steps, then what the others add, then the tasks, then the
 * close.
 * Steps that two jobs share (arriving, tests, leaving) are done once.
 */
export function composeJob(
  host: VisitType,
  also: readonly VisitType[],
  tasks: readonly { readonly id: string; readonly title: string }[],
): VisitType {
  if (also.length === 0 && tasks.length === 0) return host
  const steps: VisitStep[] = [...host.steps]
  for (const job of also)
    for (const step of job.steps)
      if (!steps.some((s) => s.key === step.key))
        steps.push({ ...step, section: step.section === FINISH ? FINISH : step.section })
  const extra: VisitStep[] = tasks.map((task) => ({
    key: taskStepKey(task.id),
    section: 'While we are there',
    kind: 'do',
    title: task.title,
  }))
  return {
    ...host,
    name: [host.name, ...also.map((job) => job.name.toLowerCase())].join(' with '),
    steps: [...steps.filter((s) => s.section !== FINISH), ...extra, ...steps.filter((s) => s.section === FINISH)],
  }
}
