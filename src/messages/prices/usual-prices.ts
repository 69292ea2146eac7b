import { USUAL_PRICES, type PriceBook } from '@/core/pricing/price-book'
import type { TrainKind } from '@/core/filter/train/train-unit'
import { UNIT_SIZES, type UnitSizes } from '@/core/filter/train/unit-sizes'
import { fittingName } from '@/messages/house-rules/usual-tables'
import { textId, type TextId, type TextKey, type Texts } from '@/messages/texts'

/** Items that stand for a row of another table: where the names of its rows are. */
const NAMED_ELSEWHERE: Readonly<Record<string, string>> = {
  stone: 'design.bedMaterialNames',
}

function nameOf(key: string, t: Texts): string {
  const [kind, of, size] = key.split(':') as [string, string?, string?]
  if (of === undefined) return t(`prices.items.${kind}` as TextKey)
  if (kind === 'unit') return unitName(key, t)
  if (kind === 'vessel') return t('prices.items.vessel', { size: of })
  if (kind === 'vault') return t('prices.items.vault', { size: of })
  if (kind === 'fitting') return t('prices.items.fitting', { name: fittingName({ key: of }, t), size: size! })
  return kind === 'pipe' ? t('prices.items.pipe', { size: of }) : t(`${NAMED_ELSEWHERE[kind]}.${of}` as TextKey)
}

const SIZE_NAMES = {
  ratedFlowM3PerH: textId('prices.items.unitByFlow'),
  mediaL: textId('prices.items.unitByMedia'),
  lampW: textId('prices.items.unitByLamp'),
} as const satisfies Record<UnitSizes['by'], TextId>

/** A unit of the filter train with the size it is sold by. */
function unitName(key: string, t: Texts): string {
  const [, kind, size] = key.split(':') as [string, TrainKind, string]
  return t(SIZE_NAMES[UNIT_SIZES[kind].by], { name: t(`design.trainNames.${kind}`), size })
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
