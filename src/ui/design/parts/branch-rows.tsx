'use client'
import { useTexts } from '@/ui/kit/texts'
import { linkIds } from '@/core/filter/flow/flow-network'
import { BRANCH_KINDS, type BranchKind, type FlowBranch } from '@/core/filter/flow/flow-plan'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { useShow } from '@/ui/person-context'
import { type DesignPart } from '@/ui/design/use-design'
import { orNaN } from '@/ui/or-nan'
import type { PlanRows } from './plan-rows'

/** The branches into which the flow is split, each with its valve, pipe and level. */
export function BranchRows({ bed, plan, change, errorOf, flowOf }: PlanRows) {
  const t = useTexts()
  const show = useShow()
  const flows = plan.branches.map((_, i) => flowOf(linkIds.branch(i)))
  const branch = (i: number, next: Partial<FlowBranch>) =>
    change({ branches: plan.branches.map((b, n) => (n === i ? { ...b, ...next } : b)) }, `branch${i}`)
  return (
    <section className="sheet">
      <h2>{t('design.networkPart.branches')}</h2>
      {plan.branches.map((b, i) => (
        <div key={i} className="design-row">
          <div className="d-flex gap-2 align-items-baseline">
            <strong>{t(`design.branchNames.${b.kind}`)}</strong>
            <span className="soft">{flows[i] === null || flows[i] === undefined ? '' : show(flows[i], 'flow')}</span>
            <button
              type="button"
              className="btn btn-sm btn-outline-secondary ms-auto"
              aria-label={t('design.networkPart.remove', { kind: t(`design.branchNames.${b.kind}`) })}
              disabled={plan.branches.length === 1}
              onClick={() => change({ branches: plan.branches.filter((_, n) => n !== i) }, '')}
            >
              ×
            </button>
          </div>
          <div className="field-grid">
            <QuantityField
              label={t('design.networkPart.valveOpen')}
              kind="share"
              value={b.valve}
              onChange={(v) => branch(i, { valve: orNaN(v) })}
              error={errorOf(`network.branches.${i}.valve`)}
            />
            <QuantityField
              label={t('design.networkPart.bore')}
              kind="length"
              scale="small"
              value={b.boreM}
              onChange={(v) => branch(i, { boreM: orNaN(v) })}
              error={errorOf(`network.branches.${i}.boreM`)}
            />
            <QuantityField
              label={t('design.networkPart.length')}
              kind="length"
              value={b.lengthM}
              onChange={(v) => branch(i, { lengthM: orNaN(v) })}
              error={errorOf(`network.branches.${i}.lengthM`)}
            />
            <QuantityField
              label={t('design.networkPart.levelOverPond')}
              kind="length"
              value={b.levelM}
              onChange={(v) => branch(i, { levelM: orNaN(v) })}
              error={errorOf(`network.branches.${i}.levelM`)}
            />
            <QuantityField
              label={t('design.networkPart.fittingsK')}
              kind="number"
              value={b.k}
              onChange={(v) => branch(i, { k: orNaN(v) })}
              error={errorOf(`network.branches.${i}.k`)}
            />
          </div>
        </div>
      ))}
      <ChoiceField
        label={t('design.networkPart.addBranch')}
        value=""
        onChange={(e) =>
          e.target.value && change({ branches: [...plan.branches, newBranch(e.target.value as BranchKind, bed)] }, '')
        }
        options={[
          { value: '', label: t('design.networkPart.choose') },
          ...BRANCH_KINDS.map((kind) => ({ value: kind, label: t(`design.branchNames.${kind}`) })),
        ]}
      />
    </section>
  )
}

const newBranch = (kind: BranchKind, bed: DesignPart['bed']): FlowBranch => {
  const levelM = () => {
    if (kind === 'trickle-tower') return 1.6
    if (kind === 'stream') return Math.max(0.3, bed.staticLiftM)
    if (kind === 'heater') return 0
    return bed.staticLiftM
  }

  return {
    kind,
    boreM: bed.delivery.diameterM,
    lengthM: kind === 'stream' ? 8 : 3,
    k: 1.5,
    valve: kind === 'heater' ? 0.3 : 0.6,
    levelM: levelM(),
  }
}
