'use client'
import { useTexts } from '@/ui/kit/texts'
import { useMemo } from 'react'
import { apartM, longestCrossing } from '@/core/site-plan/geometry'
import { leafFallKgPerYear } from '@/core/site-plan/leaf-fall'
import type { PondGround } from '@/core/site-plan/pond-ground'
import { objectsOf } from '@/core/site-plan/site-survey'
import { useShow } from '@/ui/person-context'

/** What the site alone says: leaves of its trees, the longest way across for a net, how the ground falls. */
export function SiteFigures({ ground }: { ground: PondGround }) {
  const t = useTexts()
  const show = useShow()
  const { survey, outline } = ground
  const leafKg = useMemo(() => leafFallKgPerYear(survey, outline), [survey, outline])
  const crossingM = useMemo(() => apartM(...longestCrossing(outline)), [outline])
  const trees = objectsOf(survey, 'tree').length
  const spots = objectsOf(survey, 'spot-level').map((s) => s.levelM)
  return (
    <dl className="figures mt-2" aria-live="polite">
      <div>
        <dt>{t('sitePlan.figures.leaves', { count: trees })}</dt>
        <dd>{trees === 0 ? t('sitePlan.figures.byEye') : show(leafKg, 'mass')}</dd>
      </div>
      <div>
        <dt>{t('sitePlan.figures.crossing')}</dt>
        <dd>{show(crossingM, 'length')}</dd>
      </div>
      <div>
        <dt>{t('sitePlan.figures.levels', { count: spots.length })}</dt>
        <dd>
          {spots.length === 0
            ? t('sitePlan.figures.noLevels')
            : show(Math.max(...spots) - Math.min(...spots), 'length', { scale: 'small' })}
        </dd>
      </div>
    </dl>
  )
}
