'use client'
import { trainWords } from '@/messages/design/train-words'
import { useTexts } from '@/ui/kit/texts'
import type { DesignBands } from '@/core/filter/bands'
import type { DesignResult } from '@/core/filter/design'
import type { FilterDesign } from '@/core/filter/design-input'
import { grownFish, fishLoad } from '@/core/fish/load'
import type { ProposalContent } from '@/domain/proposals/proposal'
import { useShow } from '@/ui/person-context'

/** "Why this big", for someone who has never sized a filter. */
export function WhyThisBig({
  content: { pond, rules },
  result,
  bands,
  design,
}: {
  content: Pick<ProposalContent, 'pond' | 'rules'>
  result: DesignResult
  bands: DesignBands
  design: FilterDesign
}) {
  const t = useTexts()

  const show = useShow()
  const adult = fishLoad(grownFish(pond.fish, rules.growthYears), 20, rules.feedProtein).massKg
  const today = fishLoad(pond.fish, 20, rules.feedProtein).massKg
  const count = pond.fish.reduce((sum, f) => sum + f.count, 0)
  const areas = result.grown.sizingMethods.map((s) => s.areaM2)
  const warmest = result.grown.months.reduce((a, b) => (b.feedKgPerD > a.feedKgPerD ? b : a))
  const equipment = trainWords(design, result, show, t)
  return (
    <div className="why-big">
      <h3>{t('proposals.whyThisBig.whyBig')}</h3>
      <ul>
        <li>
          {t('proposals.whyThisBig.yourPondHoldsUnder', {
            volumeM3: show(pond.volumeM3, 'volume'),
            areaM2: show(pond.areaM2, 'area'),
          })}
        </li>
        {count > 0 ? (
          <li>
            {t('proposals.whyThisBig.fishWeighAboutToday', {
              count,
              today: show(today, 'mass'),
              adult: show(adult, 'mass'),
              growthYears: rules.growthYears,
              feedKgPerD: show(warmest.feedKgPerD, 'mass'),
            })}
          </li>
        ) : (
          <li>{t('proposals.whyThisBig.noFishPlannedSo')}</li>
        )}
        {design.type === 'none' ? null : (
          <li>
            {t('proposals.whyThisBig.fourWaysSizingAsk', {
              value: show(Math.min(...areas), 'area'),
              value2: show(Math.max(...areas), 'area'),
              areaM2: show(result.areaM2, 'area'),
              bedFlowM3PerH: show(result.bedFlowM3PerH, 'flow'),
            })}
          </li>
        )}
        {result.worstTanMgL <= rules.targetTanMgL && count > 0 ? (
          <li>
            {t('proposals.whyThisBig.ammoniaThenExpectedStay', {
              low: show(bands.worstTanMgL[0], 'concentration'),
              high: show(bands.worstTanMgL[1], 'concentration'),
            })}
          </li>
        ) : null}
        {equipment ? <li>{t('proposals.whyThisBig.equipment', { equipment })}</li> : null}
        <li>
          {t('proposals.whyThisBig.asksFlushAboutEvery', {
            flushDays: Number.isFinite(result.flushDays)
              ? t('proposals.whyThisBig.months', { value: Math.max(1, Math.round(result.flushDays / 30.4)) })
              : t('proposals.whyThisBig.fewYears'),
            energyKWhPerYear: Math.round(result.upkeep.energyKWhPerYear),
          })}
        </li>
      </ul>
    </div>
  )
}
