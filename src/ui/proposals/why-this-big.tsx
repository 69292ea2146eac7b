'use client'
import type { DesignResult } from '@/core/filter/design'
import type { FilterDesign } from '@/core/filter/design-input'
import { grownFish, fishLoad } from '@/core/fish/load'
import type { ProposalContent } from '@/domain/proposals/proposal'
import { useShow } from '@/ui/person-context'

/** "Why this big", for someone who has never sized a filter. */
export function WhyThisBig({
  content: { pond, practice },
  result,
  design,
}: {
  content: Pick<ProposalContent, 'pond' | 'practice'>
  result: DesignResult
  design: FilterDesign
}) {
  const show = useShow()
  const adult = fishLoad(grownFish(pond.fish, practice.growthYears), 20, practice.feedProtein).massKg
  const today = fishLoad(pond.fish, 20, practice.feedProtein).massKg
  const count = pond.fish.reduce((sum, f) => sum + f.count, 0)
  const areas = result.grown.schools.map((s) => s.areaM2)
  const warmest = result.grown.months.reduce((a, b) => (b.feedKgPerD > a.feedKgPerD ? b : a))
  return (
    <div className="why-big">
      <h3>Why this big</h3>
      <ul>
        <li>
          Your pond holds {show(pond.volumeM3, 'volume')} under a surface of {show(pond.areaM2, 'area')}.
        </li>
        {count > 0 ? (
          <li>
            Its {count} fish weigh about {show(today, 'mass')} today and will weigh about {show(adult, 'mass')} in {practice.growthYears} years; at the height
            of the season they then eat {show(warmest.feedKgPerD, 'mass')} a day. What they eat, the filter has to deal with.
          </li>
        ) : (
          <li>No fish are planned, so the filter keeps the water clear and the plants fed.</li>
        )}
        {design.type === 'none' ? null : (
          <li>
            Four ways of sizing ask for {show(Math.min(...areas), 'area')} to {show(Math.max(...areas), 'area')}. This bed has {show(result.areaM2, 'area')},
            and {show(result.bedFlowM3PerH, 'flow')} pass slowly up through its stone and roots.
          </li>
        )}
        {result.worstTanMgL <= practice.targetTanMgL && count > 0 ? (
          <li>Ammonia is then expected to stay at or below {show(result.worstTanMgL, 'concentration')} all year.</li>
        ) : null}
        <li>
          It asks for a flush about every {Number.isFinite(result.flushDays) ? `${Math.max(1, Math.round(result.flushDays / 30.4))} months` : 'few years'}, and{' '}
          {Math.round(result.energyKWhPerYear)} kWh of power a year.
        </li>
      </ul>
    </div>
  )
}
