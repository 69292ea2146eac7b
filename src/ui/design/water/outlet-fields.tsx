'use client'
import { useTexts } from '@/ui/kit/texts'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { useShow } from '@/ui/person-context'
import { type DesignPart } from '@/ui/design/use-design'
import { orNaN } from '@/ui/or-nan'
import { boreOptions } from './bore-options'

/** The pipes that carry the water back to the pond. */
export function OutletFields({ data, bed, shown: { result }, set, errorOf }: DesignPart) {
  const t = useTexts()
  const show = useShow()
  const { tables } = data.rules
  const outlet = (change: Partial<typeof bed.outlet>, what: string) =>
    set({ outlet: { ...bed.outlet, ...change } }, what)
  return (
    <section className="sheet">
      <h2>{t('design.waterPart.wayBack')}</h2>
      <div className="field-grid">
        <QuantityField
          label={t('design.waterPart.returnPipes')}
          kind="number"
          value={bed.outlet.count}
          onChange={(v) => outlet({ count: orNaN(v) }, 'outlets')}
          error={errorOf('outlet.count')}
        />
        <ChoiceField
          label={t('design.waterPart.returnSize')}
          value={String(bed.outlet.diameterM)}
          onChange={(e) => outlet({ diameterM: Number(e.target.value) }, 'outletBore')}
          options={boreOptions(bed.outlet.diameterM, tables.pipes, t)}
        />
        <QuantityField
          label={t('design.waterPart.returnLength')}
          kind="length"
          value={bed.outlet.lengthM}
          disabled={bed.layout !== null}
          hint={bed.layout === null ? undefined : t('sitePlan.layout.fromPlan')}
          onChange={(v) => outlet({ lengthM: orNaN(v) }, 'outletLength')}
          error={errorOf('outlet.lengthM')}
        />
        <QuantityField
          label={t('design.waterPart.returnFall')}
          kind="length"
          scale="small"
          value={bed.outlet.dropM}
          onChange={(v) => outlet({ dropM: orNaN(v) }, 'outletDrop')}
          error={errorOf('outlet.dropM')}
        />
      </div>
      <p className="soft small mb-0">
        {t('design.waterPart.oneCarriesHalfFull', {
          halfFullM3PerH: show(result.outlet.halfFullM3PerH, 'flow'),
          by: result.outlet.halfFullBy,
          fullM3PerH: show(result.outlet.fullM3PerH, 'flow'),
        })}
      </p>
    </section>
  )
}
