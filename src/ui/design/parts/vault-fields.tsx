'use client'
import { useTexts } from '@/ui/kit/texts'
import { FILTER_TYPE_FACTS } from '@/core/filter/types'
import { CheckField } from '@/ui/kit/check-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { type DesignPart } from '@/ui/design/use-design'
import { orNaN } from '@/ui/or-nan'

/** What the bed is flushed through: a vault, or a drain at the bottom of a vessel. */
export function VaultFields({ data, bed, set, errorOf }: DesignPart) {
  const t = useTexts()
  const { vessels } = FILTER_TYPE_FACTS[bed.type]
  const marked = data.designPond.ground?.survey.objects.some((o) => o.kind === 'discharge') ?? false
  const fromPlan = bed.layout !== null && marked
  return (
    <>
      <CheckField
        label={vessels ? t('design.bedPart.bottomDrainValve') : t('design.bedPart.cleanoutVault')}
        checked={bed.vault !== null}
        onChange={(has) =>
          set({
            vault: has ? { diameterM: vessels ? 0.1 : 0.4, atLowPoint: true, valveInReach: true, dischargeM: 8 } : null,
          })
        }
      />
      {bed.vault ? (
        <>
          <div className="field-grid">
            <QuantityField
              label={vessels ? t('design.bedPart.drainBore') : t('design.bedPart.vaultDiameter')}
              kind="length"
              scale="small"
              value={bed.vault.diameterM}
              onChange={(v) => set({ vault: { ...bed.vault!, diameterM: orNaN(v) } }, 'vault')}
              error={errorOf('vault.diameterM')}
            />
            <QuantityField
              label={t('design.bedPart.wayWhereMayDrain')}
              kind="length"
              value={bed.vault.dischargeM}
              disabled={fromPlan}
              hint={fromPlan ? t('sitePlan.layout.fromPlan') : undefined}
              onChange={(v) => set({ vault: { ...bed.vault!, dischargeM: orNaN(v) } }, 'discharge')}
              error={errorOf('vault.dischargeM')}
            />
          </div>
          <CheckField
            label={t('design.bedPart.lowPoint')}
            checked={bed.vault.atLowPoint}
            onChange={(atLowPoint) => set({ vault: { ...bed.vault!, atLowPoint } })}
          />
          <CheckField
            label={t('design.bedPart.valveWithinReach')}
            checked={bed.vault.valveInReach}
            onChange={(valveInReach) => set({ vault: { ...bed.vault!, valveInReach } })}
          />
        </>
      ) : null}
    </>
  )
}
