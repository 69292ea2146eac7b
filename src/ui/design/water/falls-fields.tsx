'use client'
import { useTexts } from '@/ui/kit/texts'
import { fallsReaeration } from '@/core/hydraulics/falls'
import { CheckField } from '@/ui/kit/check-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { useShow } from '@/ui/person-context'
import { type DesignPart } from '@/ui/design/use-design'
import { orNaN } from '@/ui/or-nan'

/** The lip the water falls over on its way back. */
export function FallsFields({ bed, shown: { result }, set, errorOf }: DesignPart) {
  const t = useTexts()
  const show = useShow()
  // the last fall of a stream is the one that the pond sees
  const fromPlan = (bed.layout?.stream?.places.at(-1)?.dropM ?? 0) > 0
  const m = (value: number) => show(value, 'length', { scale: Math.abs(value) < 0.1 ? 'small' : 'usual' })
  return (
    <section className="sheet">
      <h2>{t('design.waterPart.falls')}</h2>
      <CheckField
        label={t('design.waterPart.waterFallsBackOver')}
        checked={bed.falls !== null}
        onChange={(has) => set({ falls: has ? { widthM: 0.6, dropM: 0.4 } : null })}
      />
      {bed.falls ? (
        <>
          <div className="field-grid">
            <QuantityField
              label={t('design.waterPart.lipWidth')}
              kind="length"
              value={bed.falls.widthM}
              disabled={fromPlan}
              hint={fromPlan ? t('sitePlan.layout.fromPlan') : undefined}
              onChange={(v) => set({ falls: { ...bed.falls!, widthM: orNaN(v) } }, 'lip')}
              error={errorOf('falls.widthM')}
            />
            <QuantityField
              label={t('design.waterPart.drop')}
              kind="length"
              value={bed.falls.dropM}
              disabled={fromPlan}
              hint={fromPlan ? t('sitePlan.layout.fromPlan') : undefined}
              onChange={(v) => set({ falls: { ...bed.falls!, dropM: orNaN(v) } }, 'drop')}
              error={errorOf('falls.dropM')}
            />
          </div>
          {result.falls ? (
            <p className="soft small mb-0">
              {t('design.waterPart.thickDropMakesGood', {
                sheetM: m(result.falls.sheetM),
                look: t(`design.lookNames.${result.falls.look}`),
                dropM: show(fallsReaeration(bed.falls.dropM, 20), 'share'),
              })}
            </p>
          ) : null}
        </>
      ) : null}
    </section>
  )
}
