'use client'
import { useTexts } from '@/ui/kit/texts'
import type { FlowIntake } from '@/core/filter/flow/flow-plan'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { orNaN } from '@/ui/or-nan'
import type { PlanRows } from './plan-rows'

/** Where the pumps draw from in which season, and the pumps beside the first. */
export function IntakeRows(part: PlanRows) {
  const t = useTexts()
  const { bed, plan, change, errorOf } = part
  const intake = (i: number, next: Partial<FlowIntake>) =>
    change({ intakes: plan.intakes.map((b, n) => (n === i ? { ...b, ...next } : b)) }, `intake${i}`)
  return (
    <section className="sheet">
      <h2>{t('design.networkPart.intakes')}</h2>
      {plan.intakes.map((n, i) => (
        <div key={i} className="design-row">
          <strong>{t(`design.intakeNames.${n.kind}`)}</strong>
          <div className="d-flex gap-3">
            <CheckField
              label={t('design.networkPart.openSummer')}
              checked={n.summer}
              onChange={(summer) => intake(i, { summer })}
            />
            <CheckField
              label={t('design.networkPart.openWinter')}
              checked={n.winter}
              onChange={(winter) => intake(i, { winter })}
            />
          </div>
          <div className="field-grid">
            <QuantityField
              label={t('design.networkPart.bore')}
              kind="length"
              scale="small"
              value={n.boreM}
              onChange={(v) => intake(i, { boreM: orNaN(v) })}
              error={errorOf(`network.intakes.${i}.boreM`)}
            />
            <QuantityField
              label={t('design.networkPart.length')}
              kind="length"
              value={n.lengthM}
              onChange={(v) => intake(i, { lengthM: orNaN(v) })}
              error={errorOf(`network.intakes.${i}.lengthM`)}
            />
          </div>
        </div>
      ))}
      {plan.intakes.some((n) => n.kind === 'skimmer') ? null : (
        <button
          type="button"
          className="btn btn-sm btn-outline-primary"
          onClick={() =>
            change(
              {
                intakes: [
                  ...plan.intakes,
                  { kind: 'skimmer', boreM: bed.delivery.diameterM, lengthM: 4, k: 2, summer: true, winter: false },
                ],
              },
              '',
            )
          }
        >
          {t('design.networkPart.addSkimmerLine')}
        </button>
      )}
      <MorePumps {...part} />
    </section>
  )
}

function MorePumps({ bed, plan, pumps, change }: PlanRows) {
  const t = useTexts()
  return (
    <>
      <h2 className="mt-3">{t('design.networkPart.morePumpsSideSide')}</h2>
      {plan.morePumps.map((id, i) => (
        <div key={i} className="d-flex gap-2 align-items-end mb-1">
          <ChoiceField
            label={t('design.networkPart.pump', { i: i + 2 })}
            value={id}
            onChange={(e) => change({ morePumps: plan.morePumps.map((p, n) => (n === i ? e.target.value : p)) }, '')}
            options={pumps.map((p) => ({ value: p.id, label: `${p.name}, ${p.powerW} W` }))}
          />
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary"
            aria-label={t('design.networkPart.removePump', { i: i + 2 })}
            onClick={() => change({ morePumps: plan.morePumps.filter((_, n) => n !== i) }, '')}
          >
            ×
          </button>
        </div>
      ))}
      <button
        type="button"
        className="btn btn-sm btn-outline-primary"
        disabled={plan.morePumps.length >= 4 || bed.pumpId === null}
        onClick={() => bed.pumpId && change({ morePumps: [...plan.morePumps, bed.pumpId] }, '')}
      >
        {t('design.networkPart.addPump')}
      </button>
    </>
  )
}
