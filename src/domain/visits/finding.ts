import type { PondId } from '../shared/ids'
import type { FindingUse } from './visit'

/** Something found at a pond that is not settled yet. */
export interface Finding {
  readonly id: string
  readonly pondId: PondId
  readonly pondName: string
  readonly siteName: string
  readonly becomes: FindingUse
  readonly text: string
  readonly foundOn: string
}
