'use client'
import { useTexts } from '@/ui/kit/texts'
import type { savedPondFacts } from '@/domain/ponds/pond-facts'
import type { PondOverviewData } from '@/server/ponds/pond-pages'
import { objectsOf } from '@/core/site-plan/site-survey'
import { PondPlan } from '@/ui/drawing/pond-plan'
import { NetNote } from '@/ui/equipment/net-note'
import { useShow } from '@/ui/person-context'
import { SystemVolume } from '@/ui/survey/system-volume'
import { AdoptedVolume, VolumeEvidenceNote } from '@/ui/survey/volume-evidence-note'
import { OwnRulesNote } from './own-rules-note'
import { Sheet } from './sheet'
import { StockNote } from './stock-note'

/** The pond as it was measured: plan, figures, how sure they are, and what its fish grow to. */
export function Measures({
  data: { pond, rules, season, designs, materials },
  facts,
}: {
  data: PondOverviewData
  facts: ReturnType<typeof savedPondFacts>
}) {
  const t = useTexts()

  const markedTrees = objectsOf(pond.siteSurvey, 'tree').length
  const show = useShow()
  return (
    <Sheet title={t('ponds.pondView.measuredUp')}>
      <PondPlan basin={facts.basin} />
      <dl className="figures mt-2">
        <div>
          <dt>{t('ponds.pondView.water')}</dt>
          <dd>
            <AdoptedVolume adopted={facts.adopted} />
          </dd>
        </div>
        <div>
          <dt>{t('ponds.pondView.deepest')}</dt>
          <dd>{show(facts.basin.maxDepthM, 'length')}</dd>
        </div>
        <div>
          <dt>{t('ponds.pondView.use')}</dt>
          <dd>{t(`ponds.pondUseNames.${pond.use}`)}</dd>
        </div>
        <div>
          <dt>{t('ponds.pondView.filledFrom')}</dt>
          <dd>{t(`ponds.waterSourceNames.${pond.waterSource}`)}</dd>
        </div>
        <div>
          <dt>{t('ponds.pondView.trees')}</dt>
          <dd>
            {markedTrees > 0
              ? t('sitePlan.figures.treesMarked', { count: markedTrees })
              : t(`ponds.treeNames.${pond.trees}`)}
          </dd>
        </div>
        <div>
          <dt>{t('ponds.pondView.aboveSea')}</dt>
          <dd>{show(pond.altitudeM, 'length')}</dd>
        </div>
      </dl>
      <SystemVolume pond={pond} adopted={facts.adopted} designs={designs} materials={materials} />
      <NetNote pond={pond} basin={facts.basin} />
      <OwnRulesNote own={pond.ownRules} constants={pond.ownConstants} />
      <VolumeEvidenceNote
        evidence={facts.evidence}
        adopted={facts.adopted}
        setAside={facts.setAside}
        why={pond.setAside?.reason}
        basin={facts.basin}
        rockShare={pond.rockShare}
      />
      <StockNote
        pond={pond}
        volumeM3={facts.adopted.volumeM3}
        maxDepthM={facts.basin.maxDepthM}
        years={rules.growthYears}
        coldestMonthC={season ? Math.min(...season.monthlyMedianC) : null}
      />
    </Sheet>
  )
}
