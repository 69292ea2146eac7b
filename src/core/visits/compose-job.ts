import type { VisitStep, VisitType } from './step'
import type { VisitWords } from './worded'

/** A task on a visit is a step of its own, under this key. */
export const taskStepKey = (taskId: string): string => `task-${taskId}`

/** Steps that close a visit; a firm may name their section as it likes. */
const CLOSING: ReadonlySet<string> = new Set(['after-photos', 'tools', 'clean-up', 'sign'])

/** A job in two: what is done, and how it is closed. */
function parted({ steps }: VisitType): readonly [readonly VisitStep[], readonly VisitStep[]] {
  const at = steps.findIndex((step) => CLOSING.has(step.key))
  return at < 0 ? [steps, []] : [steps.slice(0, at), steps.slice(at)]
}

/**
 * One visit for several jobs and tasks: the first job's steps, then what the others add, then the tasks, then the
 * close, which ends with the signature.
 * Steps that two jobs share (arriving, tests, leaving) are done once.
 */
export function composeJob(
  host: VisitType,
  also: readonly VisitType[],
  tasks: readonly { readonly id: string; readonly title: string }[],
  words: VisitWords,
): VisitType {
  if (also.length === 0 && tasks.length === 0) return host
  const jobs = [host, ...also].map(parted)
  const work = jobs.flatMap(([steps]) => steps)
  const close = jobs.flatMap(([, steps]) => steps)
  const extra: VisitStep[] = tasks.map((task) => ({
    key: taskStepKey(task.id),
    section: words.whileThere,
    kind: 'do',
    title: task.title,
  }))
  const signed = (step: VisitStep) => step.kind === 'sign'
  const all = [...work, ...extra, ...close.filter((step) => !signed(step)), ...close.filter(signed)]
  return {
    ...host,
    name: words.together(host, also),
    steps: all.filter((step, i) => all.findIndex(({ key }) => key === step.key) === i),
  }
}
