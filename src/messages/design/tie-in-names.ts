import type { TieIn } from '@/core/site-plan/tie-in'
import { textId, type TextId } from '../texts'

/** What is set out, by its kind. */
export const TIE_IN_NAMES = {
  'bed-corner': textId('sitePlan.tieIn.bedCorner'),
  vessel: textId('sitePlan.tieIn.vessel'),
  vault: textId('sitePlan.tieIn.vault'),
  pump: textId('sitePlan.tieIn.pump'),
  'pipe-corner': textId('sitePlan.tieIn.pipeCorner'),
  skimmer: textId('sitePlan.tieIn.skimmer'),
  stream: textId('sitePlan.tieIn.stream'),
} as const satisfies Record<TieIn['kind'], TextId>

/** Which side of the line between the fixed points something lies on. */
export const SIDE_NAMES = {
  left: textId('sitePlan.tieIn.left'),
  right: textId('sitePlan.tieIn.right'),
  'on-line': textId('sitePlan.tieIn.onLine'),
} as const satisfies Record<TieIn['side'], TextId>
