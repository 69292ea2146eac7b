'use client'
import { useTexts } from '@/ui/kit/texts'
import { suctionFor } from '@/core/filter/first/suction'
import { isDryMounted } from '@/core/filter/flow/pump-catalogue'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { type DesignPart } from '@/ui/design/use-design'
import { orNaN } from '@/ui/or-nan'
import { SuctionFields } from './suction-fields'

const NO_PUMP = ''

/** Which pumps, how many, how they work together, and how high they lift. */
export function PumpFields(part: DesignPart) {
  const { data, bed, shown, set, errorOf } = part
  const t = useTexts()
  const choose = (pumpId: string | null) => {
    const pump = data.pumps.find(({ id }) => id === pumpId)
    const dry = pump !== undefined && isDryMounted(pump)
    set({ pumpId, suction: suctionFor(bed, { dry }, shown.result.flowM3PerH, data.rules.tables.pipes) })
  }
  const spots = data.designPond.ground?.survey.objects.some((o) => o.kind === 'spot-level') ?? false
  const liftFromPlan = bed.layout !== null && spots
  return (
    <>
      <h2>{t('design.waterPart.pump')}</h2>
      <div className="field-grid">
        <ChoiceField
          label={t('design.waterPart.pump')}
          value={bed.pumpId ?? NO_PUMP}
          onChange={(e) => choose(e.target.value === NO_PUMP ? null : e.target.value)}
          options={[
            ...(bed.type === 'none' ? [{ value: NO_PUMP, label: t('design.waterPart.noPump') }] : []),
            ...data.pumps.map((p) => ({ value: p.id, label: `${p.name}, ${p.powerW} W` })),
          ]}
        />
        <ChoiceField
          label={t('design.waterPart.working')}
          value={bed.pumpSet.arrangement}
          onChange={(e) => {
            const arrangement = e.target.value as typeof bed.pumpSet.arrangement
            set({
              pumpSet: {
                ...bed.pumpSet,
                arrangement,
                count: arrangement === 'single' ? 1 : Math.max(2, bed.pumpSet.count),
              },
            })
          }}
          options={[
            { value: 'single', label: t('design.waterPart.onePump') },
            { value: 'parallel', label: t('design.waterPart.sideSide') },
            { value: 'series', label: t('design.waterPart.oneAfterOther') },
          ]}
        />
        {bed.pumpSet.arrangement === 'single' ? null : (
          <QuantityField
            label={t('design.waterPart.howMany')}
            kind="number"
            value={bed.pumpSet.count}
            onChange={(v) => set({ pumpSet: { ...bed.pumpSet, count: orNaN(v) } }, 'count')}
            error={errorOf('pumpSet.count')}
          />
        )}
        <QuantityField
          label={t('design.waterPart.speed')}
          kind="share"
          value={bed.pumpSet.speed}
          onChange={(v) => set({ pumpSet: { ...bed.pumpSet, speed: orNaN(v) } }, 'speed')}
          error={errorOf('pumpSet.speed')}
        />
        <QuantityField
          label={t('design.waterPart.liftBedsWater')}
          kind="length"
          value={bed.staticLiftM}
          disabled={liftFromPlan}
          hint={liftFromPlan ? t('sitePlan.layout.fromPlan') : undefined}
          onChange={(v) => set({ staticLiftM: orNaN(v) }, 'lift')}
          error={errorOf('staticLiftM')}
        />
        {bed.type === 'none' ? (
          <QuantityField
            label={t('design.waterPart.weeklyExchange')}
            kind="share"
            value={bed.weeklyExchange}
            onChange={(v) => set({ weeklyExchange: orNaN(v) }, 'exchange')}
            error={errorOf('weeklyExchange')}
          />
        ) : null}
        <QuantityField
          label={t('design.waterPart.sharePastBed')}
          kind="share"
          value={bed.bypassShare}
          onChange={(v) => set({ bypassShare: orNaN(v) }, 'bypass')}
          error={errorOf('bypassShare')}
        />
      </div>
      {bed.pumpId === null ? null : <SuctionFields {...part} />}
    </>
  )
}
