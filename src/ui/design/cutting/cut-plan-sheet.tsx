'use client'
import { useTexts } from '@/ui/kit/texts'
import type { CutPlan } from '@/core/survey/roll-cutting'
import type { WantedSheet } from '@/server/design/cutting'
import { useShow } from '@/ui/person-context'
import { CutDrawing, cutScale } from './cut-drawing'

/** How the sheets are cut from the rolls, what is wasted, and what is too wide for any roll. */
export function CutPlanSheet({ plan, sheets }: { plan: CutPlan; sheets: readonly WantedSheet[] }) {
  const t = useTexts()

  const show = useShow()
  const nameOf = (id: string) => sheets.find((s) => s.id === id)?.name ?? id
  return (
    <>
      <p>
        <strong data-testid="cut-waste">{show(plan.wasteShare, 'share')}</strong>{' '}
        {t('design.cuttingView.wasteCutFrom', {
          usedM2: show(plan.usedM2, 'area'),
          count: plan.rolls.length,
        })}{' '}
        <span className="soft">
          {plan.exact ? t('design.cuttingView.everyWayCuttingTried') : t('design.cuttingView.bestFoundSearch')}
        </span>
      </p>
      {plan.unplaced.length > 0 ? (
        <div className="stop-note" role="alert">
          {t('design.cuttingView.widerThanAnyRoll', { nameOf: plan.unplaced.map(nameOf).join('; ') })}
        </div>
      ) : null}
      {plan.rolls.map((roll, i) => (
        <CutDrawing key={i} roll={roll} pxPerM={cutScale(plan.rolls)} nameOf={nameOf} />
      ))}
    </>
  )
}
