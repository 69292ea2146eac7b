import { thresholdsOf } from '../../water/readings'
import { isAnswer, missingReadings, outcomeOf, type GateContext, type GateOutcome, type GateReason } from './gate'

/** How much a new filter's fish are fed until the next test. */
export const FEEDING_ANSWERS = ['no-fish', 'no-feed', 'quarter-feed', 'half-feed', 'full-feed'] as const

const edge = (kind: 'tan' | 'nitrite', band: 'watch' | 'act'): number =>
  thresholdsOf(kind).find((t) => t.band === band)!.value

/**
 * Full feed only while ammonia and nitrite stay under the watch line, a part of it while they stay under the act
 * line.
 */
export function feedingGate({ readings, choice }: GateContext): GateOutcome {
  if (!isAnswer(FEEDING_ANSWERS, choice)) return outcomeOf([{ code: 'needs-answer' }])
  if (choice === null || choice === 'no-fish' || choice === 'no-feed') return outcomeOf([])
  const missing = missingReadings(readings, ['tan', 'nitrite'])
  if (missing.length > 0) return outcomeOf([{ code: 'needs-test', missing }])
  const band = choice === 'full-feed' ? 'watch' : 'act'
  const [tanLimit, nitriteLimit] = [edge('tan', band), edge('nitrite', band)]
  const reasons: GateReason[] = []
  if (readings.tan! > tanLimit) reasons.push({ code: 'feed-ammonia', mgL: readings.tan!, limitMgL: tanLimit })
  if (readings.nitrite! > nitriteLimit)
    reasons.push({ code: 'feed-nitrite', mgL: readings.nitrite!, limitMgL: nitriteLimit })
  return outcomeOf(reasons)
}
