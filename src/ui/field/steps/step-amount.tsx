'use client'
import { HOLDING_KG_PER_M3 } from '@/core/fish/load'
import type { VisitAmounts } from '@/core/visits/visit-amounts'
import type { Portions } from '@/core/water/dechlorination'
import { measuredDose } from '@/core/water/measured-dose'
import { portions } from '@/core/water/portions'
import { DOSE_RULES } from '@/core/water/products'
import type { StepQuantity } from '@/core/visits/step'
import { duration } from '@/domain/shared/dates'
import { useShow } from '@/ui/person-context'

/** The amounts of a step, worked out for this pond today: rate × volume = amount. */
export function StepAmount({ quantity, amounts, sourceName }: { quantity: StepQuantity; amounts: VisitAmounts; sourceName: string }) {
  const show = useShow()
  switch (quantity) {
    case 'holding-tank':
      return amounts.holding.volumeM3 > 0 ? (
        <div className="amount">
          Holding tank at least <strong>{show(amounts.holding.volumeM3, 'volume', { scale: 'small' })}</strong>, {show(amounts.holding.leastWidthM, 'length')}{' '}
          across, aerated: {show(HOLDING_KG_PER_M3, 'mass')} of fish to {show(1, 'volume')}.
        </div>
      ) : (
        <div className="amount">No fish are noted for this pond.</div>
      )
    case 'pump-out':
      return (
        <div className="amount">
          <strong>{show(amounts.savedM3 + amounts.refillM3, 'volume')}</strong> to pump, about <strong>{duration(amounts.pumpOutMinutes)}</strong>.
        </div>
      )
    case 'saved-water':
      return (
        <div className="amount">
          Keep about <strong>{show(amounts.savedM3, 'volume')}</strong> of pond water.
        </div>
      )
    case 'refill':
      return (
        <div className="amount">
          <strong>{show(amounts.refillM3, 'volume')}</strong> from the tap, about <strong>{duration(amounts.refillMinutes)}</strong> by hose.
        </div>
      )
    case 'dechlorinator':
      return <DechlorinatorAmount amounts={amounts} portions={amounts.dechlorinator} volumeM3={amounts.refillM3} sourceName={sourceName} />
    case 'partial-change':
      return (
        <>
          <div className="amount">
            At most <strong>{show(amounts.partialChange.volumeM3, 'volume')}</strong> of {show(amounts.systemM3, 'volume')}: about{' '}
            {duration(amounts.partialChange.outMinutes)} out and {duration(amounts.partialChange.inMinutes)} in by hose.
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
          At most <strong>{show(amounts.winterSalt.kg, 'mass')}</strong> of salt: {show(amounts.systemM3, 'volume')} × {show(amounts.winterSalt.share, 'share')}
          . What is known to be in the water already is taken off.
        </div>
      )
    case 'kh-rise':
      return <KhAmount amounts={amounts} />
  }
}

function KhAmount({ amounts: { khRise, systemM3 } }: { amounts: VisitAmounts }) {
  const show = useShow()
  if (!khRise) return <div className="amount">KH is not tested yet.</div>
  if (khRise.riseDH === 0) return <div className="amount">KH is {show(khRise.fromDH, 'hardness')}: none needed.</div>
  return (
    <div className="amount">
      <strong>{show(measuredDose(khRise.bicarbonateG, [], DOSE_RULES.kh).givenG / 1000, 'mass', { scale: 'small' })}</strong> of sodium bicarbonate raise KH by{' '}
      {show(khRise.riseDH, 'hardness')} today.
      <div className="soft mt-1">
        {show(systemM3, 'volume')} × {show(khRise.riseDH, 'hardness')} × 29.96 g per m³ and degree; from {show(khRise.fromDH, 'hardness')} toward{' '}
        {show(khRise.targetDH, 'hardness')}.
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
  const show = useShow()
  if (d.totalG === 0) return <div className="amount">{sourceName} water without chlorine needs no dechlorinator.</div>
  const { givenG } = measuredDose(d.totalG, [], DOSE_RULES.dechlorinator)
  const parts = portions(givenG, d.everyRiseM * d.count * 1000, d.everyMinutes * d.count)
  return (
    <div className="amount" data-testid="dechlorinator">
      <strong>
        {parts.length} portions, {show(givenG / 1000, 'mass', { scale: 'small' })}
      </strong>{' '}
      of sodium thiosulfate (pentahydrate) in all: one before any water, then one each {show(d.everyRiseM, 'length', { scale: 'small' })} of rise, about every{' '}
      {duration(d.everyMinutes)}.
      <ol className="mb-0 mt-1" aria-label="Portions">
        {parts.map((p) => (
          <li key={p.afterMin}>
            {show(p.amountG / 1000, 'mass', { scale: 'small' })} {p.afterMin === 0 ? 'before any water' : `after ${duration(p.afterMin)}`}
          </li>
        ))}
      </ol>
      <div className="soft mt-1">
        {show(volumeM3, 'volume')} × {show(amounts.chlorineMgL, 'concentration')} chlorine × 7.0 g per g = {show(d.totalG / 1000, 'mass', { scale: 'small' })}{' '}
        in all.
        {amounts.chlorineAssumed ? ' The tap is not tested yet: chlorine is assumed.' : ''}
      </div>
    </div>
  )
}
