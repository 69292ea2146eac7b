import { USUAL_PRICES, type PriceBook } from '@/core/pricing/price-book'
import type { TextKey, Texts } from '@/messages/texts'

/** Items that stand for a row of another table: where the names of its rows are. */
const NAMED_ELSEWHERE: Readonly<Record<string, string>> = {
  stone: 'design.bedMaterialNames',
  fitting: 'design.fittingNames',
  companion: 'design.companionNames',
}

function nameOf(key: string, t: Texts): string {
  const [kind, of] = key.split(':') as [string, string?]
  if (of === undefined) return t(`prices.items.${kind}` as TextKey)
  if (kind === 'vessel') return t('prices.items.vessel', { size: of })
  return kind === 'pipe' ? t('prices.items.pipe', { size: of }) : t(`${NAMED_ELSEWHERE[kind]}.${of}` as TextKey)
}

/** The price book that a firm begins with, in its language; from then on the names are the firm's own words. */
export const usualPriceBook = (t: Texts): PriceBook => ({
  ...USUAL_PRICES,
  items: USUAL_PRICES.items.map((item) => ({
    ...item,
    name: nameOf(item.key, t),
    unit: t(`prices.units.${item.unit}`),
  })),
})
