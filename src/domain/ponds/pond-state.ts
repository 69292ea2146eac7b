import type { DesignState } from '../design/design'
import type { Risk } from '../forecasts/forecast'
import type { WaterBand } from '@/core/water/readings'
import type { VisitId } from '../shared/ids'

/** A visit as the state of a pond names it. */
export interface StateVisit {
  readonly id: VisitId
  readonly jobName: string
  readonly day: string
}

/** How a pond stands today, in what lists and its head say of it. */
export interface PondState {
  /** The worst of the latest water tests; null where no test is recent enough to say. */
  readonly water: WaterBand | null
  /** The heaviest risk of a forecast that still counts. */
  readonly risk: Risk | null
  readonly lastVisit: StateVisit | null
  readonly nextVisit: StateVisit | null
  /** The design that is built, else approved, else saved last. */
  readonly filter: { readonly number: number; readonly name: string; readonly state: DesignState } | null
  /** How many kinds of visits its customer has agreed to. */
  readonly agreed: number
  /** Open follow-ups that are due by today. */
  readonly followUpsDue: number
}

/** What of a pond asks for a decision, in one word for chips and filters; the worst that holds. */
export const ATTENTION = ['emergency', 'act', 'risk', 'follow-up', 'watch', 'none'] as const
export type Attention = (typeof ATTENTION)[number]

/** A risk this likely within three weeks is worth a chip. */
const LIKELY = 0.2

/** @returns the first of ATTENTION that holds for the pond */
export function attentionOf({ water, risk, followUpsDue }: PondState): Attention {
  if (water === 'emergency' || water === 'act') return water
  if (risk && risk.whole >= LIKELY) return 'risk'
  if (followUpsDue > 0) return 'follow-up'
  return water === 'watch' ? 'watch' : 'none'
}
