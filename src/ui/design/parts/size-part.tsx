'use client'
import { STANDS } from '@/core/filter/design-input'
import { useTexts } from '@/ui/kit/texts'
import { useMemo } from 'react'
import { FILTER_TYPES, FILTER_TYPE_FACTS, type FilterType } from '@/core/filter/types'
import { sizedBy } from '@/core/filter/resize'
import { suggestDesign } from '@/core/filter/suggest'
import { methodCosts } from '@/core/filter/sizing/method-costs'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { SizingMethodTable } from '@/ui/design/method-table'
import { SizingWhy } from '../sizing-why'
import { MonthsChart } from '../months-chart'
import { TornadoChart } from '../tornado-chart'
import { useShow } from '@/ui/person-context'
import { type DesignPart } from '@/ui/design/use-design'
import { orNaN } from '@/ui/or-nan'

/**
 * Which kind of filter, and how large: four sizing methods side by side, month by month, and what the answer hangs
 * on.
 */
export function SizePart({ data, bed, shown, set, errorOf }: DesignPart) {
  const t = useTexts()

  const show = useShow()
  const facts = FILTER_TYPE_FACTS[bed.type]
  const begin = (type: FilterType) => {
    const fresh = suggestDesign(data.designPond, bed.sizingMethod, data.rules, data.pumps, type)
    // what does not hang on the kind of bed stays as the designer had it
    const { train, intakePipe, winter, confirmed, layout } = bed
    set({ ...fresh, train, intakePipe, winter, confirmed, layout })
  }
  const costs = useMemo(
    () => methodCosts(data.designPond, shown.bed.type, data.rules, data.pumps, data.priceBook),
    [data, shown.bed.type],
  )
  const inputs = useMemo(
    () => ({
      pond: data.designPond,
      design: shown.bed,
      rules: data.rules,
      houseMethod: data.houseMethod,
      pumps: data.pumps,
    }),
    [data, shown.bed],
  )
  const { alongShore } = FILTER_TYPE_FACTS[bed.type]
  const lengthLabel = () => {
    if (bed.round) return t('design.sizePart.vesselDiameter')
    if (alongShore) return t('design.sizePart.lengthAlongShore')
    return t('design.sizePart.bedLength')
  }
  return (
    <>
      <section className="sheet">
        <div className="columns two">
          <div>
            <ChoiceField
              label={t('design.sizePart.kindFilter')}
              value={bed.type}
              onChange={(e) => begin(e.target.value as FilterType)}
              options={FILTER_TYPES.map((type) => ({ value: type, label: t(`design.filterTypeNames.${type}`) }))}
            />
            <p className="soft small mb-0 mt-1">{t(`design.filterTypeWhen.${bed.type}`)}</p>
          </div>
          {bed.type === 'none' ? null : (
            <div className="field-grid">
              <QuantityField
                label={lengthLabel()}
                kind="length"
                value={bed.lengthM}
                onChange={(v) => set({ lengthM: orNaN(v), ...(bed.round ? { widthM: orNaN(v) } : {}) }, 'length')}
                error={errorOf('lengthM')}
              />
              {bed.round ? null : (
                <QuantityField
                  label={alongShore ? t('design.sizePart.widthBand') : t('design.sizePart.bedWidth')}
                  kind="length"
                  value={bed.widthM}
                  onChange={(v) => set({ widthM: orNaN(v) }, 'width')}
                  error={errorOf('widthM')}
                />
              )}
              {facts.vessels ? (
                <QuantityField
                  label={t('design.sizePart.vessels')}
                  kind="number"
                  value={bed.vessels}
                  onChange={(v) => set({ vessels: orNaN(v) }, 'vessels')}
                  error={errorOf('vessels')}
                />
              ) : null}
              {facts.walled || bed.raisedM > 0 ? (
                <QuantityField
                  label={t('design.sizePart.wallsAboveGround')}
                  kind="length"
                  value={bed.raisedM}
                  onChange={(v) => set({ raisedM: orNaN(v) }, 'raised')}
                  error={errorOf('raisedM')}
                />
              ) : null}
              <ChoiceField
                label={t('design.sizePart.stands')}
                value={bed.stand}
                onChange={(e) => set({ stand: e.target.value as typeof bed.stand })}
                options={STANDS.map((stand) => ({ value: stand, label: t(`design.standNames.${stand}`) }))}
              />
            </div>
          )}
        </div>
        {bed.type === 'none' ? null : (
          <p className="mb-0">
            <strong data-testid="bed-area">{show(shown.result.areaM2, 'area')}</strong>{' '}
            {t('design.sizePart.bedTanSettlesWorst', {
              type: t(`design.filterTypeNames.${bed.type}`).toLowerCase(),
              worstTanMgL: show(shown.result.worstTanMgL, 'concentration'),
            })}
          </p>
        )}
      </section>
      <section className="sheet" aria-label={t('design.sizePart.sizing')}>
        <h2>{t('design.sizePart.fourMethodsSideSide')}</h2>
        <SizingMethodTable
          result={shown.result}
          use={data.designPond.use}
          chosen={bed.sizingMethod}
          house={data.houseMethod}
          onChoose={(sizingMethod) => set(sizedBy(sizingMethod, shown.bed, data.designPond, data.rules, data.pumps))}
          costs={costs}
          currency={data.priceBook?.currency ?? null}
        />
        <SizingWhy
          designPond={data.designPond}
          rules={data.rules}
          result={shown.result}
          design={shown.bed}
          changed={data.constants}
        />
      </section>
      <div className="columns two">
        <section className="sheet">
          <h2>{t('design.sizePart.monthMonth')}</h2>
          <MonthsChart result={shown.result} targetTanMgL={data.rules.targetTanMgL} />
        </section>
        <section className="sheet">
          <h2>{t('design.sizePart.whatMovesAnswerMost')}</h2>
          <TornadoChart input={inputs} />
        </section>
      </div>
    </>
  )
}
