'use client'
import { useMemo } from 'react'
import { useTexts } from '@/ui/kit/texts'
import type { DesignResult } from '@/core/filter/design'
import { designBands } from '@/core/filter/bands'
import { DEFAULT_LAYERS, treatingGravel } from '@/core/filter/bed/layers'
import type { DesignPond, FilterDesign } from '@/core/filter/design-input'
import type { FilterRules } from '@/core/filter/house-rules'
import { LOAD_SOURCES } from '@/core/filter/load/monthly-load'
import { specificSurfaceM2PerM3 } from '@/core/filter/sizing/nitrification'
import { CLOSED_LOOP } from '@/core/filter/sizing/recirculating-model'
import { formatNumber } from '@/core/units/format'
import { oxygenSaturationMgL } from '@/core/water/dissolved-oxygen'
import type { ChangedConstant } from '@/domain/house-rules/house-constants'
import { ChangedConstants } from '@/ui/house-rules/changed-constants'
import { Why } from '@/ui/kit/why'
import { useShow } from '@/ui/person-context'

/** How the four sizing methods came to their figures, with this pond's own inputs. */
export function SizingWhy({
  designPond,
  rules,
  result,
  design,
  changed,
}: {
  designPond: DesignPond
  rules: FilterRules
  result: DesignResult
  design: FilterDesign
  changed: readonly ChangedConstant[]
}) {
  const t = useTexts()

  const show = useShow()
  const nitrogen = result.grown.sizingMethods.find((s) => s.sizingMethod === 'nitrogen')!
  const worst = result.grown.months[nitrogen.month]!
  const own = treatingGravel(design.layers, rules.materials)
  const bed = own.depthM === 0 ? treatingGravel(DEFAULT_LAYERS, rules.materials) : own
  const inflowOxygenMgL =
    rules.nitrification.inflowSaturation * oxygenSaturationMgL(worst.tempC, Math.max(0, designPond.altitudeM))
  const throughput = result.bedFlowM3PerH * 24 * (result.monthlyTanMgL[nitrogen.month]! - CLOSED_LOOP.backgroundMgL)
  const eta = throughput > 0 && Number.isFinite(throughput) ? worst.tanLoadGPerD / throughput : 0
  // two hundred draws: not with every figure that is typed
  const bands = useMemo(
    () => designBands({ pond: designPond, design, rules }, result),
    [designPond, design, rules, result],
  )
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
        <li>
          {t('design.sizingWhy.constants', {
            depthM: show(bed.depthM, 'length', { scale: 'small' }),
            surface: formatNumber(specificSurfaceM2PerM3(bed, rules.nitrification.angularity)),
            usable: show(rules.nitrification.usableShare, 'share'),
            r20: rules.nitrification.r20GPerM2D,
            theta: rules.nitrification.theta,
            half: show(rules.nitrification.halfSaturationMgL, 'concentration'),
            oxygen: show(inflowOxygenMgL, 'concentration'),
            least: show(rules.nitrification.minOxygenMgL, 'concentration'),
            eta: show(eta, 'share'),
          })}
        </li>
        <li>
          {t('design.sizingWhy.loads', {
            parts: LOAD_SOURCES.filter((source) => worst.load.tanGPerD[source] > 0)
              .map(
                (source) =>
                  `${t(`design.loadNames.${source}`)} ${show(worst.load.tanGPerD[source] / 1000, 'mass', { scale: 'small' })}`,
              )
              .join(', '),
          })}
        </li>
        <ChangedConstants changed={changed} />
        <li>
          {t('design.sizingWhy.bands', {
            lowArea: show(bands.neededAreaM2[0], 'area'),
            highArea: show(bands.neededAreaM2[1], 'area'),
            lowTan: show(bands.worstTanMgL[0], 'concentration'),
            highTan: show(bands.worstTanMgL[1], 'concentration'),
          })}
        </li>
      </ul>
    </Why>
  )
}
