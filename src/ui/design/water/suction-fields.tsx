'use client'
import { suctionFor } from '@/core/filter/first/suction'
import { type DesignPart } from '@/ui/design/use-design'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { useTexts } from '@/ui/kit/texts'
import { orNaN } from '@/ui/or-nan'
import { boreOptions } from './bore-options'

/** The line by which a dry-mounted pump draws its water. */
export function SuctionFields({ data, bed, shown, set, errorOf }: DesignPart) {
  const t = useTexts()
  const { pipes } = data.rules.tables
  const { suction } = bed
  const change = (next: Partial<NonNullable<typeof suction>>, what: string) =>
    suction && set({ suction: { ...suction, ...next } }, what)
  const first = () => suctionFor({ ...bed, suction: null }, { dry: true }, shown.result.flowM3PerH, pipes)
  return (
    <>
      <CheckField
        label={t('design.suction.line')}
        checked={suction !== null}
        onChange={(dry) => set({ suction: dry ? first() : null })}
      />
      {suction === null ? null : (
        <>
          <div className="field-grid">
            <ChoiceField
              label={t('design.suction.bore')}
              value={String(suction.diameterM)}
              onChange={(e) => change({ diameterM: Number(e.target.value) }, 'suction-bore')}
              options={boreOptions(suction.diameterM, pipes, t)}
            />
            <QuantityField
              label={t('design.suction.length')}
              kind="length"
              value={suction.lengthM}
              onChange={(v) => change({ lengthM: orNaN(v) }, 'suction-length')}
              error={errorOf('suction.lengthM')}
            />
            <QuantityField
              label={t('design.suction.lift')}
              kind="length"
              value={suction.liftM}
              onChange={(v) => change({ liftM: orNaN(v) }, 'suction-lift')}
              error={errorOf('suction.liftM')}
              hint={t('design.suction.liftHint')}
            />
          </div>
          <CheckField
            label={t('design.suction.footValve')}
            checked={suction.footValve}
            onChange={(footValve) => change({ footValve }, 'foot-valve')}
          />
        </>
      )}
    </>
  )
}
