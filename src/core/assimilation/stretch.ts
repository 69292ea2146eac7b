import { recordOf } from '../numeric/record-of'
import { conformalStretch } from '../statistics/conformal'
import { reachesOf, type Placed } from '../statistics/pit'
import { LEAD_KEYS, type Lead } from './leads'
import { SCORED_KINDS, type ScoredKind } from './scored'

/** Where one past test fell in what had been forecast of it, and by how much that band had been stretched. */
export interface PastScore {
  readonly kind: ScoredKind
  readonly lead: Lead
  readonly placed: Placed
  readonly stretch: number
}

/** By how much bands are made wider than the model's own, by what was forecast and how far ahead. */
export type Stretches = Readonly<Record<ScoredKind, Readonly<Record<Lead, number>>>>

/** Bands as the model has them: of a pond that was never held to account. */
export const UNSTRETCHED: Stretches = recordOf(SCORED_KINDS, () => recordOf(LEAD_KEYS, () => 1))

/** What a pond's past scores ask of its next bands. */
export const stretchesOf = (past: readonly PastScore[]): Stretches =>
  recordOf(SCORED_KINDS, (kind) =>
    recordOf(LEAD_KEYS, (lead) =>
      conformalStretch(
        past
          .filter((score) => score.kind === kind && score.lead === lead)
          .map(({ placed, stretch }) => reachesOf(placed).map((reach) => reach * stretch)),
      ),
    ),
  )
