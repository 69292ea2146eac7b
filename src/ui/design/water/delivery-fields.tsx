'use client'
import { useTexts } from '@/ui/kit/texts'
import { fittingsK } from '@/core/hydraulics/fittings'
import { formatNumber } from '@/core/units/format'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { fittingName } from '@/messages/house-rules/usual-tables'
import { type DesignPart } from '@/ui/design/use-design'
import { orNaN } from '@/ui/or-nan'
import { boreOptions } from './bore-options'

/** The pipe to the bed and its fittings. */
export function DeliveryFields({ data, bed, shown, set, errorOf }: DesignPart) {
  const t = useTexts()
  const { tables } = data.rules
  const delivery = (change: Partial<typeof bed.delivery>, what: string) =>
    set({ delivery: { ...bed.delivery, ...change } }, what)
  return (
    <>
      <h2 className="mt-3">{t('design.waterPart.deliveryPipe')}</h2>
      <div className="field-grid">
        <ChoiceField
          label={t('design.waterPart.pipeSize')}
          value={String(bed.delivery.diameterM)}
          onChange={(e) => delivery({ diameterM: Number(e.target.value) }, 'bore')}
          options={boreOptions(bed.delivery.diameterM, tables.pipes, t)}
        />
        <QuantityField
          label={t('design.waterPart.length')}
          kind="length"
          value={bed.delivery.lengthM}
          disabled={bed.layout !== null}
          hint={bed.layout === null ? undefined : t('sitePlan.layout.fromPlan')}
          onChange={(v) => delivery({ lengthM: orNaN(v) }, 'run')}
          error={errorOf('delivery.lengthM')}
        />
      </div>
      <CheckField
        label={t('design.waterPart.flexiblePipe')}
        checked={bed.delivery.flexible}
        onChange={(flexible) => delivery({ flexible }, 'flexible')}
      />
      <details className="mt-2">
        <summary>
          {t('design.waterPart.fittingsKAll', {
            fittings: formatNumber(fittingsK(shown.bed.delivery.fittings, tables.fittings) + shown.bed.delivery.otherK),
          })}
        </summary>
        <div className="field-grid mt-1">
          {tables.fittings.map(({ key, name, k }) => (
            <QuantityField
              key={key}
              label={`${fittingName({ key, name }, t)} (${k})`}
              kind="number"
              value={bed.delivery.fittings[key] ?? 0}
              onChange={(v) => delivery({ fittings: { ...bed.delivery.fittings, [key]: orNaN(v) } }, key)}
              error={errorOf(`delivery.fittings.${key}`)}
            />
          ))}
          <QuantityField
            label={t('design.waterPart.anythingElseK')}
            kind="number"
            value={bed.delivery.otherK}
            onChange={(v) => delivery({ otherK: orNaN(v) }, 'otherK')}
            error={errorOf('delivery.otherK')}
          />
        </div>
      </details>
    </>
  )
}
