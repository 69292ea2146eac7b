import type { Texts } from '../texts'
import type { CheckWords, Show } from './checks'
import type { Check } from '@/core/filter/checks'
import { formatNumber } from '@/core/units/format'

type PondCheck =
  | 'phosphorus'
  | 'regeneration'
  | 'stock-limit'
  | 'surface-to-volume'
  | 'fits-shore'
  | 'levels'
  | 'trench'
  | 'spare-return'
  | 'power'

/** Phosphorus is told in µg/L: its limits are hundredths of a mg. */
const micrograms = (mgL: number): string => `${formatNumber(mgL * 1000)} µg/L`

/** Checks of the pond as a whole: nutrients, stock, levels, power. */
export function pondCheckWords(id: PondCheck, { figure, limit, also }: Check, show: Show, t: Texts): CheckWords {
  switch (id) {
    case 'phosphorus':
      return {
        title: t('design.pondChecks.phosphorus'),
        figure: t('design.pondChecks.phosphorusFigure', {
          figure: micrograms(figure),
          good: micrograms(Number(also.good)),
          limit: micrograms(limit),
        }),
        reason: t('design.pondChecks.phosphorusReason'),
        remedy: t('design.pondChecks.phosphorusRemedy'),
      }
    case 'regeneration':
      return {
        title: t('design.pondChecks.regeneration'),
        figure: t('design.checks.of', { figure: show(figure, 'share'), limit: show(limit, 'share') }),
        reason: t('design.pondChecks.regenerationReason'),
        remedy: t('design.pondChecks.regenerationRemedy'),
      }
    case 'stock-limit':
      return {
        title: t('design.pondChecks.stockLimit'),
        figure: Number.isFinite(figure)
          ? t('design.pondChecks.stockLimitFigure', {
              figure: formatNumber(figure),
              limit,
              kgPerM3: formatNumber(Number(also.kgPerM3)),
              kgPerM3Most: formatNumber(Number(also.kgPerM3Most)),
            })
          : t('design.pondChecks.noFish'),
        reason: t('design.pondChecks.stockLimitReason'),
        remedy: t('design.pondChecks.stockLimitRemedy'),
      }
    case 'surface-to-volume':
      return {
        title: t('design.pondChecks.surface'),
        figure: t('design.pondChecks.surfaceFigure', { figure: formatNumber(figure), limit }),
        reason: t('design.pondChecks.surfaceReason'),
        remedy: t('design.pondChecks.surfaceRemedy'),
      }
    case 'fits-shore':
      return {
        title: t('design.pondChecks.fitsShore'),
        figure: t('design.checks.of', { figure: show(figure, 'length'), limit: show(limit, 'length') }),
        reason: t('design.pondChecks.fitsShoreReason'),
        remedy: t('design.pondChecks.fitsShoreRemedy'),
      }
    case 'trench':
      return {
        title: t('design.pondChecks.trench'),
        figure: t('design.pondChecks.trenchFigure', {
          figure: show(figure, 'length', { scale: 'small' }),
          limit: show(limit, 'length', { scale: 'small' }),
          pitch: formatNumber(Number(also.pitch)),
        }),
        reason: t('design.pondChecks.trenchReason'),
        remedy: t('design.pondChecks.trenchRemedy'),
      }
    case 'levels':
      return {
        title: t('design.pondChecks.levels'),
        figure: t(also.which === 'falls' ? 'design.pondChecks.levelsFalls' : 'design.pondChecks.levelsReturn', {
          figure: show(figure, 'length'),
          limit: show(limit, 'length'),
        }),
        reason: t('design.pondChecks.levelsReason'),
        remedy: t('design.pondChecks.levelsRemedy'),
      }
    case 'spare-return':
      return {
        title: t('design.pondChecks.spareReturn'),
        figure: t('design.pondChecks.spareReturnFigure', { count: figure }),
        reason:
          also.stand === 'ground'
            ? t('design.pondChecks.spareReturnReason')
            : t('design.pondChecks.spareReturnIndoors'),
        remedy: t('design.pondChecks.spareReturnRemedy'),
      }
    case 'power':
      return {
        title: t('design.pondChecks.power'),
        figure: t('design.pondChecks.powerFigure', {
          figure: Math.round(figure),
          limit: Math.round(limit),
          energy: formatNumber(Number(also.energy), 'en', 4),
        }),
        reason: t('design.pondChecks.powerReason'),
        remedy: t('design.pondChecks.powerRemedy'),
      }
  }
}
