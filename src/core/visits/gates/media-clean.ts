import { isAnswer, outcomeOf, type GateContext, type GateOutcome, type GateReason } from './gate'

/** Share of the biological media that may be cleaned on one visit while fish are in the pond. @source house default */
export const MEDIA_LIMIT_SHARE = 0.5
/** Answers of steps that rinse media. */
export const MEDIA_WATER = ['pond-water', 'tap-water'] as const

/**
 * Never all media at once with fish in the pond, and in pond water; tap water only as a reset that makes it a new
 * filter.
 */
export function mediaCleanGate({ figures, choice, fishOut }: GateContext): GateOutcome {
  if (figures.mediaShare === undefined) return outcomeOf([{ code: 'needs-figure', missing: ['mediaShare'] }])
  const reasons: GateReason[] = []
  if (!fishOut && figures.mediaShare > MEDIA_LIMIT_SHARE)
    reasons.push({ code: 'media-at-once', share: figures.mediaShare, mostShare: MEDIA_LIMIT_SHARE })
  if (!isAnswer(MEDIA_WATER, choice)) reasons.push({ code: 'needs-answer' })
  else if (choice === 'tap-water' && figures.mediaShare > 0) reasons.push({ code: 'media-tap-water' })
  return outcomeOf(reasons)
}
