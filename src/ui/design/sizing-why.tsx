'use client'
import type { DesignResult } from '@/core/filter/design'
import type { DesignPond } from '@/core/filter/design-input'
import type { FilterPractice } from '@/core/filter/house-rules'
import { Why } from '@/ui/kit/why'
import { useShow } from '@/ui/person-context'

/** How the four schools came to their figures, with this pond's own inputs. */
export function SizingWhy({ designPond, practice, result }: { designPond: DesignPond; practice: FilterPractice; result: DesignResult }) {
  const show = useShow()
  const nitrogen = result.grown.schools.find((s) => s.school === 'nitrogen')!
  const worst = result.grown.months[nitrogen.month]
  return (
    <Why>
      <ul className="mb-1 ps-3">
        <li>
          Share of volume: {show(practice.volumeShare[designPond.use], 'share')} of {show(designPond.volumeM3, 'volume')}; {practice.emptyBedVolumesPerH} bed
          volumes an hour. Trade rule.
        </li>
        <li>
          Share of surface: {show(practice.surfaceShare[designPond.use], 'share')} of {show(designPond.areaM2, 'area')}, less above{' '}
          {show(practice.surfaceCurve.fullToM2, 'area')}; {practice.hydraulicLoadingMPerH} m of water an hour. Trade rule.
        </li>
        <li>
          Nitrogen and oxygen: {show(worst.feedKgPerD, 'mass')} feed a day at {show(worst.tempC, 'temperature')}, {show(practice.feedProtein, 'share')} protein
          × 0.092 = {show(worst.tanLoadGPerD / 1000, 'mass', { scale: 'small' })} ammonia a day (Timmons & Ebeling), nitrified on the stone’s surface at{' '}
          {show(practice.targetTanMgL, 'concentration')}; 4.57 g oxygen per g.
          {practice.plantsCounted ? ' What the planting draws is taken off.' : ' Plants are a bonus and not counted.'}
        </li>
        <li>Closed loop: removal per pass of three tanks in series, level = background + load ÷ (flow × removal) (Kadlec & Wallace).</li>
      </ul>
    </Why>
  )
}
