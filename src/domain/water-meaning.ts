import type { JobStep } from '../core/jobs/step'
import { unionisedAmmonia } from '../core/water/ammonia'
import { readingBand, VISIT_ONLY_READINGS, type ReadingKindName, type WaterBand } from '../core/water/readings'
import type { StepState } from './visit-progress'

export interface WaterMeaning {
  readonly kind: ReadingKindName
  /** Value in the first and the last test of the visit. */
  readonly before: number | null
  readonly after: number
  /** The last test saw nothing: less than its first step. */
  readonly noneFound: boolean
  readonly band: WaterBand
  /** Ammonia is judged by its toxic share where pH and temperature were tested with it. */
  readonly nh3MgL: number | null
}

/** What the visit's tests mean, kind by kind, the last test counting. */
export function judgeWater(steps: readonly JobStep[], states: ReadonlyMap<string, StepState>): WaterMeaning[] {
  const tests = steps.flatMap((step) => {
    const state = states.get(step.key)
    return state?.status === 'done' && state.entry.answer.readings ? [state.entry.answer.readings] : []
  })
  const kinds = [...new Set(tests.flatMap((test) => Object.keys(test) as ReadingKindName[]))].filter((kind) => !VISIT_ONLY_READINGS.includes(kind))
  return kinds.map((kind) => {
    const values = tests.flatMap((test) => (test[kind] ? [test[kind].value] : []))
    const last = tests.findLast((test) => test[kind])
    const ammonia = kind === 'tan' && last?.tan && last.ph && last.waterTemp ? unionisedAmmonia(last.tan.value, last.ph.value, last.waterTemp.value) : null
    const after = values[values.length - 1]
    return {
      kind,
      before: values.length > 1 ? values[0] : null,
      after,
      noneFound: last?.[kind]?.belowStep ?? false,
      band: ammonia?.band ?? readingBand(kind, after),
      nh3MgL: ammonia?.nh3MgL ?? null,
    }
  })
}
