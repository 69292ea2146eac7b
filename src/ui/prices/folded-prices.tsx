'use client'
import { useState } from 'react'
import type { PriceItem } from '@/core/pricing/price-book'
import { textId, useTexts, type TextId } from '@/ui/kit/texts'
import { PriceRows, type PriceRowsProps } from './price-rows'

/** Lines of one thing in many sizes, which are seldom changed: what they are called, and what their keys begin with. */
const FOLDS = [
  { start: 'fitting:', name: textId('prices.pricesView.fittingPrices') },
  { start: 'vault:', name: textId('prices.pricesView.vaultPrices') },
  { start: 'vessel:', name: textId('prices.pricesView.vesselPrices') },
  { start: 'unit:', name: textId('prices.pricesView.unitPrices') },
] as const

/** Whether a line stands folded with others of its kind. */
export const isFolded = ({ key }: PriceItem): boolean => FOLDS.some(({ start }) => key.startsWith(start))

const FIELDS = ['costMinor', 'step', 'waste'] as const

/** Lines by size, kind by kind, folded until asked for or amiss. */
export function FoldedPrices({ rows, ...rest }: PriceRowsProps) {
  return FOLDS.map(({ start, name }) => (
    <Fold key={start} rows={rows.filter(({ item }) => item.key.startsWith(start))} name={name} {...rest} />
  ))
}

function Fold({ name, ...props }: PriceRowsProps & { readonly name: TextId }) {
  const t = useTexts()
  const [unfolded, setUnfolded] = useState(false)
  const { rows, errorOf } = props
  const amiss = rows.some(({ place }) => FIELDS.some((field) => errorOf(`items.${place}.${field}`) !== undefined))
  const open = unfolded || amiss
  if (rows.length === 0) return null
  return (
    <div className="mb-3">
      <button
        type="button"
        className="btn btn-sm btn-outline-secondary"
        aria-expanded={open}
        onClick={() => setUnfolded(!open)}
      >
        {t(open ? 'prices.pricesView.hideFold' : 'prices.pricesView.showFold', { name: t(name), count: rows.length })}
      </button>
      {open ? <PriceRows {...props} label={t(name)} /> : null}
    </div>
  )
}
