'use client'
import { useTexts } from '@/ui/kit/texts'
import { BED_MATERIALS } from '@/core/filter/bed/layers'
import { formatNumber } from '@/core/units/format'
import { Why } from '@/ui/kit/why'
import { useShow } from '@/ui/person-context'
import type { DesignPart } from '@/ui/design/use-design'

/** What the bed weighs, holds, and lets run when the pump stops. */
export function BedLoads({ shown }: DesignPart) {
  const t = useTexts()

  const show = useShow()
  const { weights, quantities, stop } = shown.result
  return (
    <>
      <Why
        title={t('design.bedPart.stoneTruckBulkBags', {
          stoneT: show(weights.stoneT * 1000, 'mass'),
          trucks: weights.trucks,
          bulkBags: weights.bulkBags,
          waterT: show(weights.waterT, 'volume'),
        })}
      >
        {quantities.map((q, i) => (
          <div key={i}>
            {t('design.bedPart.holdingWater', {
              name: t(`design.bedMaterialNames.${q.material}`),
              volumeM3: show(q.volumeM3, 'volume'),
              massT: q.massT > 0.05 && BED_MATERIALS[q.material].granular ? `, ${show(q.massT * 1000, 'mass')}` : '',
              voidM3: show(q.voidM3, 'volume'),
            })}
          </div>
        ))}
        <div>{t('design.bedPart.loadFloorKnM', { floorKnPerM2: formatNumber(weights.floorKnPerM2) })}</div>
      </Why>
      <p className="soft small mb-0">
        {t('design.bedPart.whenPumpStopsRun', {
          drainBackM3: show(stop.drainBackM3, 'volume'),
          pondRiseMm: show(stop.pondRiseMm / 1000, 'length', { scale: 'small' }),
          flushDays: Number.isFinite(shown.result.flushDays)
            ? t('design.bedPart.months', { flushDays: formatNumber(shown.result.flushDays / 30.4, 'en', 2) })
            : t('design.bedPart.fewYears'),
        })}
      </p>
    </>
  )
}
