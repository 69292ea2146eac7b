import { CHECK_IDS, type Check } from '@/core/filter/checks'
import { estimate } from '@/core/pricing/estimate'
import { runningCost } from '@/core/pricing/running-cost'
import { formatNumber } from '@/core/units/format'
import { money } from '@/domain/prices/pricing'
import { checkWords, type Show } from '@/messages/design/checks'
import { trainWords } from '@/messages/design/train-words'
import type { Texts } from '@/ui/kit/texts'
import type { DesignPart, Worked } from './use-design'
import { VERDICT_NAMES } from './verdict-names'

/** Inputs, results, price, a year's upkeep and checks of two designs; checks only where they differ. */
export function comparison(
  a: Worked,
  b: Worked,
  data: DesignPart['data'],
  show: Show,
  t: Texts,
): [string, string, string][] {
  const row = (what: string, of: (w: Worked) => string): [string, string, string] => [what, of(a), of(b)]
  const book = data.priceBook
  return [
    row(t('design.versionsPart.kind'), (w) => t(`design.filterTypeNames.${w.bed.type}`)),
    row(t('design.versionsPart.method'), (w) => t(`design.methodNames.${w.bed.sizingMethod}`)),
    row(
      t('design.versionsPart.size'),
      (w) =>
        `${show(w.bed.lengthM, 'length')} × ${show(w.bed.widthM, 'length')}${w.bed.vessels > 1 ? ` × ${w.bed.vessels}` : ''}`,
    ),
    row(t('design.versionsPart.area'), (w) => show(w.result.areaM2, 'area')),
    row(t('design.versionsPart.depth'), (w) => show(w.result.depthM, 'length', { scale: 'small' })),
    row(t('design.versionsPart.pump'), (w) => w.result.pump?.name ?? t('design.waterPart.noPump')),
    row(t('design.versionsPart.flow'), (w) => show(w.result.flowM3PerH, 'flow')),
    row(t('design.versionsPart.head'), (w) => show(w.result.head.totalM, 'length')),
    row(t('design.versionsPart.energyYear'), (w) =>
      t('design.versionsPart.kwh', { energyKWhPerYear: Math.round(w.result.upkeep.energyKWhPerYear) }),
    ),
    row(t('design.whatChanged.train'), (w) => trainWords(w.bed, w.result, show, t) || t('train.page.none')),
    row(t('design.pricePart.careHours'), (w) =>
      t('design.pricePart.hours', { hours: formatNumber(w.result.upkeep.hoursPerYear) }),
    ),
    row(t('design.versionsPart.tanWorstMonth'), (w) => show(w.result.worstTanMgL, 'concentration')),
    row(t('design.versionsPart.flushDueEvery'), (w) =>
      Number.isFinite(w.result.flushDays)
        ? t('design.versionsPart.months', { flushDays: Math.round(w.result.flushDays / 30.4) })
        : t('design.versionsPart.fewYears'),
    ),
    row(t('design.versionsPart.stone'), (w) => show(w.result.weights.stoneT * 1000, 'mass')),
    row(t('design.versionsPart.plants'), (w) => String(w.result.planting.plants)),
    ...(book
      ? [
          row(t('design.versionsPart.price'), (w) =>
            money(
              estimate(w.bed, book, { pumps: data.pumps, rules: data.rules, pond: data.designPond }).totalMinor,
              book.currency,
            ),
          ),
          row(t('design.pricePart.upkeepYear'), (w) =>
            money(runningCost(w.bed, w.result.upkeep, book, data.pumps).totalMinor, book.currency),
          ),
        ]
      : []),
    ...checkRows(a, b, show, t),
  ]
}

/** Checks that one has otherwise than the other, or does not have. */
function checkRows(a: Worked, b: Worked, show: Show, t: Texts): [string, string, string][] {
  const verdict = (check: Check | undefined) =>
    check ? t(VERDICT_NAMES[check.verdict]) : t('design.versionsPart.noCheck')
  return CHECK_IDS.flatMap((id): [string, string, string][] => {
    const [left, right] = [a, b].map((w) => w.checks.find((check) => check.id === id))
    const either = left ?? right
    return either && left?.verdict !== right?.verdict
      ? [[checkWords(either, show, t).title, verdict(left), verdict(right)]]
      : []
  })
}
