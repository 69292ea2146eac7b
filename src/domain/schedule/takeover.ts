import type { Visit } from '../visits/visit'
import type { TakeoverId, VisitId } from '../shared/ids'

/** One visit of a plan that was taken over: how it stood before; null when it was not there. */
export interface TakenVisit {
  readonly visitId: VisitId
  /** Only its hour shifted, within what nobody has to hear of. */
  readonly shifted?: boolean
  readonly before:
    | (Pick<Visit, 'day' | 'startTime' | 'crewId'> &
        Partial<Pick<Visit, 'plannedMinutes' | 'estimate' | 'tasks' | 'job'>>)
    | null
}

/** Why a plan that was taken over cannot be undone any more. */
export interface UndoBarred {
  readonly code: 'begun' | 'notified'
  readonly siteName: string
}

/** The plan that was taken over last. */
export interface Takeover {
  readonly id: TakeoverId
  readonly at: string
  readonly byName: string
  readonly visits: number
  /** Null while it can be undone. */
  readonly barred: UndoBarred | null
}
