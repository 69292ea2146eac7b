import { textId } from '@/ui/kit/texts'

/** How a check is called in the list and beside a change. */
export const VERDICT_NAMES = {
  pass: textId('design.checkPanel.pass'),
  look: textId('design.checkPanel.look'),
  stop: textId('design.checkPanel.stop'),
} as const
