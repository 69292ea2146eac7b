import type { ReadingKindName } from '../../core/water/readings'
import type { PondId, VisitId } from '../shared/ids'

export interface Reading {
  readonly pondId: PondId
  readonly visitId: VisitId | null
  readonly kind: ReadingKindName
  readonly value: number
  readonly belowStep: boolean
  readonly method: string
  readonly takenAt: string
  readonly byName: string
}

export interface FollowUp {
  readonly id: string
  readonly pondId: PondId
  readonly pondName: string
  readonly siteName: string
  readonly title: string
  readonly dueFrom: string
  readonly dueTo: string
  readonly minutes: number
  readonly doneAt: string | null
  /** Asked for by the customer on their own page. */
  readonly askedByCustomer: boolean
  /** It cannot wait for the next round. */
  readonly urgent: boolean
}
