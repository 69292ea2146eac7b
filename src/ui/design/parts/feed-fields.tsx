'use client'
import { useTexts } from '@/ui/kit/texts'
import { FEEDS } from '@/core/filter/design-input'
import { buildUpM } from '@/core/filter/bed/bed-geometry'
import { FILTER_TYPE_FACTS } from '@/core/filter/types'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { type DesignPart } from '@/ui/design/use-design'
import { orNaN } from '@/ui/or-nan'
import { VaultFields } from './vault-fields'

/** How water enters the bed, how far it can drain back, and what becomes of it in winter. */
export function FeedFields(part: DesignPart) {
  const t = useTexts()
  const { bed, set, errorOf } = part
  const { path, vessels } = FILTER_TYPE_FACTS[bed.type]
  return (
    <section className="sheet">
      <h2>{t('design.bedPart.feedCleanout')}</h2>
      <div className="field-grid">
        <ChoiceField
          label={t('design.bedPart.waterEnters')}
          value={bed.feed}
          onChange={(e) => set({ feed: e.target.value as typeof bed.feed })}
          options={FEEDS.filter((feed) => (path === 'along') === feed.endsWith('header')).map((feed) => ({
            value: feed,
            label: t(`design.feedNames.${feed}`),
          }))}
        />
        {bed.feed === 'chamber' ? null : (
          <>
            <QuantityField
              label={t('design.bedPart.distributionPipeBore')}
              kind="length"
              scale="small"
              value={bed.manifold.diameterM}
              onChange={(v) => set({ manifold: { ...bed.manifold, diameterM: orNaN(v) } }, 'manifold')}
              error={errorOf('manifold.diameterM')}
            />
            {path === 'up' && !vessels ? (
              <QuantityField
                label={t('design.bedPart.laterals')}
                kind="number"
                value={bed.manifold.laterals}
                onChange={(v) => set({ manifold: { ...bed.manifold, laterals: orNaN(v) } }, 'laterals')}
                error={errorOf('manifold.laterals')}
              />
            ) : null}
            <QuantityField
              label={t('design.bedPart.slots')}
              kind="number"
              value={bed.manifold.slots}
              onChange={(v) => set({ manifold: { ...bed.manifold, slots: orNaN(v) } }, 'slots')}
              error={errorOf('manifold.slots')}
            />
          </>
        )}
        {path === 'up' && !vessels ? (
          <QuantityField
            label={t('design.bedPart.pitchVault')}
            kind="share"
            value={bed.manifold.pitchPercent / 100}
            onChange={(v) => set({ manifold: { ...bed.manifold, pitchPercent: orNaN(v) * 100 } }, 'pitch')}
            error={errorOf('manifold.pitchPercent')}
          />
        ) : null}
        <QuantityField
          label={t('design.bedPart.waterOverGravel')}
          kind="length"
          scale="small"
          value={bed.waterOverGravelM}
          onChange={(v) => set({ waterOverGravelM: orNaN(v) }, 'over')}
          error={errorOf('waterOverGravelM')}
          hint={t('design.bedPart.negativeGravelStandsDry')}
        />
        {bed.airBreakM === null ? null : (
          <QuantityField
            label={t('design.bedPart.highestAirBreakAbove')}
            kind="length"
            scale="small"
            value={bed.airBreakM}
            onChange={(v) => set({ airBreakM: orNaN(v) }, 'break')}
            error={errorOf('airBreakM')}
          />
        )}
      </div>
      <CheckField
        label={t('design.bedPart.airBreakFeed')}
        checked={bed.airBreakM !== null}
        onChange={(on) => set({ airBreakM: on ? buildUpM(bed.layers) + Math.max(0, bed.waterOverGravelM) : null })}
      />
      <CheckField
        label={t('design.bedPart.checkValveDelivery')}
        checked={bed.checkValve}
        onChange={(checkValve) => set({ checkValve })}
      />
      <VaultFields {...part} />
      <ChoiceField
        label={t('design.bedPart.winterBed')}
        value={bed.winter}
        onChange={(e) => set({ winter: e.target.value as typeof bed.winter })}
        options={[
          { value: 'runs', label: t('design.bedPart.runsIceWatch') },
          { value: 'drained', label: t('design.bedPart.drained') },
        ]}
      />
    </section>
  )
}
