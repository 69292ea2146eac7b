import type { FlowPlan } from '@/core/filter/flow/flow-plan'
import type { DesignPart } from '@/ui/design/use-design'

/** What a part of the flow plan works on. */
export interface PlanRows extends DesignPart {
  readonly plan: FlowPlan
  readonly pumps: DesignPart['data']['pumps']
  /** Flow of a solved network's link, m³/h; null while it is not solved. */
  readonly flowOf: (link: string) => number | null
  /** @param what names the change, so that keystrokes in one field are undone together */
  readonly change: (next: Partial<FlowPlan>, what: string) => void
}
