'use client'
import { useTexts } from '@/ui/kit/texts'
import { CUTTING_RANGE, type Roll } from '@/core/survey/roll-cutting'
import { QuantityField } from '@/ui/kit/quantity-field'

const within = (value: number, [min, max]: readonly [number, number]): boolean => value >= min && value <= max

/** Whether sheets can be cut from these rolls: there is one, and each has a size that rolls have. */
export const rollsFine = (stock: readonly Roll[]): boolean =>
  stock.length > 0 &&
  stock.every((r) => within(r.widthM, CUTTING_RANGE.rollWidthM) && within(r.lengthM, CUTTING_RANGE.rollLengthM))

interface RollRowsProps {
  readonly stock: readonly Roll[]
  readonly onStock: (stock: readonly Roll[]) => void
}

/** The rolls that sheets may be cut from. */
export function RollRows({ stock, onStock }: RollRowsProps) {
  const t = useTexts()
  return (
    <>
      {stock.map((roll, i) => (
        <div key={i} className="repeat-row" style={{ gridTemplateColumns: '1fr 1fr 2.4rem' }}>
          <QuantityField
            label={t('design.cuttingView.rollWidth', { i: i + 1 })}
            kind="length"
            value={roll.widthM}
            onChange={(v) => onStock(stock.map((r, n) => (n === i ? { ...r, widthM: v ?? Number.NaN } : r)))}
            error={within(roll.widthM, CUTTING_RANGE.rollWidthM) ? undefined : t('design.cuttingView.between0230')}
          />
          <QuantityField
            label={t('design.cuttingView.rollLength', { i: i + 1 })}
            kind="length"
            value={roll.lengthM}
            onChange={(v) => onStock(stock.map((r, n) => (n === i ? { ...r, lengthM: v ?? Number.NaN } : r)))}
            error={within(roll.lengthM, CUTTING_RANGE.rollLengthM) ? undefined : t('design.cuttingView.between1500M')}
          />
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary align-self-center"
            aria-label={t('design.cuttingView.removeRoll', { i: i + 1 })}
            disabled={stock.length === 1}
            onClick={() => onStock(stock.filter((_, n) => n !== i))}
          >
            ×
          </button>
        </div>
      ))}
    </>
  )
}
