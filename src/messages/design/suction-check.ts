import type { Check } from '@/core/filter/checks'
import type { Texts } from '../texts'
import type { CheckWords, Show } from './checks'

/** Whether a dry-mounted pump can draw its water. */
export function suctionCheckWords({ figure, limit, also }: Check, show: Show, t: Texts): CheckWords {
  const title = t('design.suction.title')
  if (also.problem === 'no-line')
    return {
      title,
      figure: t('design.suction.noLine'),
      reason: t('design.suction.noLineReason'),
      remedy: t('design.suction.noLineRemedy'),
    }
  const m = (value: number | string) => show(Number(value), 'length')
  const prime = also.problem === 'prime'
  return {
    title,
    figure: t('design.suction.figure', {
      available: m(figure),
      required: m(limit),
      lift: m(also.lift!),
      loss: m(also.loss!),
    }),
    reason: t(prime ? 'design.suction.primeReason' : 'design.suction.reason'),
    remedy: t(prime ? 'design.suction.primeRemedy' : 'design.suction.headRemedy'),
  }
}
