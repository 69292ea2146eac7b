import type { OutputName } from '../ecosystem/outputs'
import { LINES } from '../ecosystem/measures'
import { thresholdsOf } from '../water/readings'
import { seenToFloor } from './observed'

/** What a forecast shows. */
export const OUTLOOK_OUTPUTS = [
  'waterC',
  'tan',
  'ph',
  'nh3',
  'nitrite',
  'oxygen',
  'clarityM',
  'levelMm',
] as const satisfies readonly OutputName[]
export type OutlookOutput = (typeof OUTLOOK_OUTPUTS)[number]

/** What can go wrong, with the line past which it has. @source lines of the readings; heat and level: house defaults */
export const HAZARDS = {
  ammonia: { output: 'nh3', side: 'above', line: LINES.nh3 },
  nitrite: { output: 'nitrite', side: 'above', line: LINES.nitrite },
  oxygen: { output: 'oxygen', side: 'below', line: LINES.oxygen },
  murk: { output: 'clarityM', side: 'below', line: LINES.clarityM },
  heat: { output: 'waterC', side: 'above', line: thresholdsOf('waterTemp').find((t) => t.band === 'act')!.value },
  level: { output: 'levelMm', side: 'below', line: -35 },
} as const satisfies Record<string, { output: OutlookOutput; side: 'above' | 'below'; line: number }>
export type Hazard = keyof typeof HAZARDS
export const HAZARD_KEYS = Object.keys(HAZARDS) as Hazard[]

/**
 * Whether a value is past a hazard's line; a shallow pond that is seen to its floor is not murky.
 * @param deepestM the pond's deepest water, m
 */
export function isPast(hazard: Hazard, value: number, deepestM: number): boolean {
  const { side, line } = HAZARDS[hazard]
  return side === 'above' ? value > line : value < line && !(hazard === 'murk' && seenToFloor(value, deepestM))
}
