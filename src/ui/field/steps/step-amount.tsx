'use client'
import { useTexts } from '@/ui/kit/texts'
import { HOLDING_KG_PER_M3 } from '@/core/fish/load'
import type { VisitAmounts } from '@/core/visits/visit-amounts'
import type { Portions } from '@/core/water/dosing/dechlorination'
import { measuredDose } from '@/core/water/dosing/measured-dose'
import { portions } from '@/core/water/dosing/portions'
import { DOSE_RULES } from '@/core/water/dosing/products'
import type { StepQuantity } from '@/core/visits/step'
import { duration } from '@/domain/shared/dates'
import { useShow } from '@/ui/person-context'

/** The amounts of a step, worked out for this pond today: rate × volume = amount. */
export function StepAmount({
  quantity,
  amounts,
  sourceName,
}: {
  quantity: StepQuantity
  amounts: VisitAmounts
  sourceName: string
}) {
  const t = useTexts()

  const show = useShow()
  switch (quantity) {
    case 'holding-tank':
      return amounts.holding.volumeM3 > 0 ? (
        <div className="amount">
          {t('field.stepAmount.holdingTankLeast')}{' '}
          <strong>{show(amounts.holding.volumeM3, 'volume', { scale: 'small' })}</strong>
          {t('field.stepAmount.acrossAeratedFish', {
            minWidthM: show(amounts.holding.minWidthM, 'length'),
            holdingKgPerM3: show(HOLDING_KG_PER_M3, 'mass'),
            value: show(1, 'volume'),
          })}
        </div>
      ) : (
        <div className="amount">{t('field.stepAmount.noFishNotedPond')}</div>
      )
    case 'pump-out':
      return (
        <div className="amount">
          <strong>{show(amounts.savedM3 + amounts.refillM3, 'volume')}</strong> {t('field.stepAmount.pumpAbout')}{' '}
          <strong>{duration(amounts.pumpOutMinutes)}</strong>.
        </div>
      )
    case 'saved-water':
      return (
        <div className="amount">
          {t('field.stepAmount.keepAbout')} <strong>{show(amounts.savedM3, 'volume')}</strong>{' '}
          {t('field.stepAmount.pondWater')}
        </div>
      )
    case 'refill':
      return (
        <div className="amount">
          <strong>{show(amounts.refillM3, 'volume')}</strong> {t('field.stepAmount.fromTapAbout')}{' '}
          <strong>{duration(amounts.refillMinutes)}</strong> {t('field.stepAmount.hose')}
        </div>
      )
    case 'dechlorinator':
      return (
        <DechlorinatorAmount
          amounts={amounts}
          portions={amounts.dechlorinator}
          volumeM3={amounts.refillM3}
          sourceName={sourceName}
        />
      )
    case 'partial-change':
      return (
        <>
          <div className="amount">
            {t('field.stepAmount.most')} <strong>{show(amounts.partialChange.volumeM3, 'volume')}</strong>{' '}
            {t('field.stepAmount.aboutOutHose', {
              systemM3: show(amounts.systemM3, 'volume'),
              outMinutes: duration(amounts.partialChange.outMinutes),
              inMinutes: duration(amounts.partialChange.inMinutes),
            })}
          </div>
          <DechlorinatorAmount
            amounts={amounts}
            portions={amounts.partialChange.dechlorinator}
            volumeM3={amounts.partialChange.volumeM3}
            sourceName={sourceName}
          />
        </>
      )
    case 'winter-salt':
      return (
        <div className="amount">
          {t('field.stepAmount.most')} <strong>{show(amounts.winterSalt.kg, 'mass')}</strong>{' '}
          {t('field.stepAmount.saltWhatKnownWater', {
            systemM3: show(amounts.systemM3, 'volume'),
            share: show(amounts.winterSalt.share, 'share'),
          })}
        </div>
      )
    case 'kh-rise':
      return <KhAmount amounts={amounts} />
  }
}

function KhAmount({ amounts: { khRise, systemM3 } }: { amounts: VisitAmounts }) {
  const t = useTexts()

  const show = useShow()
  if (!khRise) return <div className="amount">{t('field.stepAmount.khNotTestedYet')}</div>
  if (khRise.riseDH === 0)
    return (
      <div className="amount">{t('field.stepAmount.khNoneNeeded', { fromDH: show(khRise.fromDH, 'hardness') })}</div>
    )
  return (
    <div className="amount">
      <strong>
        {show(measuredDose(khRise.bicarbonateG, [], DOSE_RULES.kh).givenG / 1000, 'mass', { scale: 'small' })}
      </strong>{' '}
      {t('field.stepAmount.sodiumBicarbonateRaiseKh', { riseDH: show(khRise.riseDH, 'hardness') })}
      <div className="soft mt-1">
        {t('field.stepAmount.n2996GPer', {
          systemM3: show(systemM3, 'volume'),
          riseDH: show(khRise.riseDH, 'hardness'),
          fromDH: show(khRise.fromDH, 'hardness'),
          targetDH: show(khRise.targetDH, 'hardness'),
        })}
      </div>
    </div>
  )
}

interface DechlorinatorProps {
  readonly amounts: VisitAmounts
  readonly portions: Portions
  readonly volumeM3: number
  readonly sourceName: string
}

/** What chemistry asks for: the firm's own product and its measure stand below, with the tally. */
function DechlorinatorAmount({ amounts, portions: d, volumeM3, sourceName }: DechlorinatorProps) {
  const t = useTexts()

  const show = useShow()
  if (d.totalG === 0)
    return <div className="amount">{t('field.stepAmount.waterWithoutChlorineNeeds', { sourceName })}</div>
  const { givenG } = measuredDose(d.totalG, [], DOSE_RULES.dechlorinator)
  const parts = portions(givenG, d.everyRiseM * d.count * 1000, d.everyMinutes * d.count)
  return (
    <div className="amount" data-testid="dechlorinator">
      <strong>
        {t('field.stepAmount.portions', {
          count: parts.length,
          givenG: show(givenG / 1000, 'mass', { scale: 'small' }),
        })}
      </strong>{' '}
      {t('field.stepAmount.sodiumThiosulfatePentahydrateAll', {
        everyRiseM: show(d.everyRiseM, 'length', { scale: 'small' }),
        everyMinutes: duration(d.everyMinutes),
      })}
      <ol className="mb-0 mt-1" aria-label={t('field.stepAmount.portions2')}>
        {parts.map((p) => (
          <li key={p.afterMin}>
            {show(p.amountG / 1000, 'mass', { scale: 'small' })}{' '}
            {p.afterMin === 0
              ? t('field.stepAmount.beforeAnyWater')
              : t('field.stepAmount.after', { afterMin: duration(p.afterMin) })}
          </li>
        ))}
      </ol>
      <div className="soft mt-1">
        {t('field.stepAmount.chlorine70G', {
          volumeM3: show(volumeM3, 'volume'),
          chlorineMgL: show(amounts.chlorineMgL, 'concentration'),
          totalG: show(d.totalG / 1000, 'mass', { scale: 'small' }),
          chlorineFrom: amounts.chlorineFrom,
        })}
      </div>
      {amounts.newWaterTanMgL > 0 ? (
        <div className="mt-1">
          {t('field.stepAmount.chloramineLeaves', { tan: show(amounts.newWaterTanMgL, 'concentration') })}
        </div>
      ) : null}
    </div>
  )
}
