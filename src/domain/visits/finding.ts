import type { PondId } from '../shared/ids'
import type { FindingUse } from './visit'

export const FINDING_USE_NAMES: Readonly<Record<FindingUse, string>> = {
  'follow-up': 'Come back for it',
  quote: 'Line for a quote',
  'next-season': 'Note for next season',
}

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
