'use client'
import { useTexts } from '@/ui/kit/texts'
import type { DesignResult } from '@/core/filter/design'
import type { DesignPond } from '@/core/filter/design-input'
import type { FilterRules } from '@/core/filter/house-rules'
import { Why } from '@/ui/kit/why'
import { useShow } from '@/ui/person-context'

/** How the four sizing methods came to their figures, with this pond's own inputs. */
export function SizingWhy({
  designPond,
  rules,
  result,
}: {
  designPond: DesignPond
  rules: FilterRules
  result: DesignResult
}) {
  const t = useTexts()

  const show = useShow()
  const nitrogen = result.grown.sizingMethods.find((s) => s.sizingMethod === 'nitrogen')!
  const worst = result.grown.months[nitrogen.month]!
  return (
    <Why>
      <ul className="mb-1 ps-3">
        <li>
          {t('design.sizingWhy.shareVolumeBedVolumes', {
            use: show(rules.volumeShare[designPond.use], 'share'),
            volumeM3: show(designPond.volumeM3, 'volume'),
            emptyBedVolumesPerH: rules.emptyBedVolumesPerH,
          })}
        </li>
        <li>
          {t('design.sizingWhy.shareSurfaceLessAbove', {
            use: show(rules.surfaceShare[designPond.use], 'share'),
            areaM2: show(designPond.areaM2, 'area'),
            fullToM2: show(rules.surfaceCurve.fullToM2, 'area'),
            hydraulicLoadingMPerH: rules.hydraulicLoadingMPerH,
          })}
        </li>
        <li>
          {t('design.sizingWhy.nitrogenOxygenFeedDay', {
            feedKgPerD: show(worst.feedKgPerD, 'mass'),
            tempC: show(worst.tempC, 'temperature'),
            feedProtein: show(rules.feedProtein, 'share'),
            tanLoadGPerD: show(worst.tanLoadGPerD / 1000, 'mass', { scale: 'small' }),
            targetTanMgL: show(rules.targetTanMgL, 'concentration'),
            plantsCounted: rules.plantsCounted
              ? t('design.sizingWhy.whatPlantingDrawsTaken')
              : t('design.sizingWhy.plantsBonusNotCounted'),
          })}
        </li>
        <li>{t('design.sizingWhy.closedLoopRemovalPer')}</li>
      </ul>
    </Why>
  )
}
