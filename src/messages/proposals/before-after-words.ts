import { formatNumber, formatQuantity } from '@/core/units/format'
import type { BeforeAfterRow, ComparedFilter } from '@/domain/proposals/before-after'
import type { ProposalContent } from '@/domain/proposals/proposal'
import type { Texts } from '@/messages/texts'

const DAYS_PER_MONTH = 365 / 12

/** What a column of the comparison is called: today, or the option. */
export const comparedName = ({ option }: ComparedFilter, { options }: ProposalContent, t: Texts): string => {
  if (option === null) return t('proposals.beforeAfter.today')
  return options[option]!.label || t('proposals.beforeAfter.proposed')
}

/** A figure of one filter in the units of the proposal. */
export function comparedFigure(
  row: BeforeAfterRow,
  filter: ComparedFilter,
  content: ProposalContent,
  t: Texts,
): string {
  const show = (value: number, kind: 'flow' | 'concentration') => formatQuantity(value, kind, content.units)
  switch (row) {
    case 'ammonia': {
      const [low, high] = filter.ammoniaMgL
      // past what anything could hold it rises without end: said as that, not as a number
      return Number.isFinite(high)
        ? t('proposals.beforeAfter.range', { low: show(low, 'concentration'), high: show(high, 'concentration') })
        : t('proposals.beforeAfter.noLimit')
    }
    case 'bedFlow':
      return show(filter.bedFlowM3PerH, 'flow')
    case 'electricity':
      return t('proposals.beforeAfter.kwh', { energy: Math.round(filter.electricityKWh) })
    case 'care':
      return t('proposals.beforeAfter.hours', { hours: formatNumber(filter.careHours) })
    case 'flush':
      return filter.flushDays === null
        ? t('proposals.beforeAfter.none')
        : t('proposals.beforeAfter.months', { months: Math.max(1, Math.round(filter.flushDays / DAYS_PER_MONTH)) })
  }
}
