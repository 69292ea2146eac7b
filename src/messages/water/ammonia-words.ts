import { type Texts } from '../texts'
import { formatQuantity } from '../../core/units/format'
import type { UnitSystem } from '../../core/units/systems'
import type { ReadingKindName } from '../../core/water/readings'

/** Smaller figures say nothing to anyone. */
const SMALLEST_SHOWN_MGL = 0.01

/**
 * What stands beside a verdict on ammonia: the toxic share it was judged by, or what to test where only the total is
 * known.
 */
export function ammoniaWords(
  { nh3MgL, missing }: { nh3MgL: number | null; missing: readonly ReadingKindName[] },
  units: UnitSystem,
  t: Texts,
): string {
  if (nh3MgL !== null)
    return nh3MgL < SMALLEST_SHOWN_MGL
      ? t('water.ammoniaWords.nhBelow', {
          smallestShownMgl: formatQuantity(SMALLEST_SHOWN_MGL, 'concentration', units),
        })
      : t('water.ammoniaWords.nh', { nh3MgL: formatQuantity(nh3MgL, 'concentration', units, { significant: 2 }) })
  if (missing.length === 0) return ''
  const names = missing.map((kind) =>
    kind === 'ph' ? t('water.readingNames.ph') : t(`water.readingNames.${kind}`).toLowerCase(),
  )
  return t('water.ammoniaWords.judgedTotalAloneTest', { names: names.join(' and ') })
}
