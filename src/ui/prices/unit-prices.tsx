'use client'
import { useState } from 'react'
import type { PriceItem } from '@/core/pricing/price-book'
import { useTexts } from '@/ui/kit/texts'
import { PriceRows, type PriceRowsProps } from './price-rows'

/** Whether a line is of a unit of the filter train in one of its sizes. */
export const isUnit = ({ key }: PriceItem): boolean => key.startsWith('unit:')

const FIELDS = ['costMinor', 'step', 'waste'] as const

/** Equipment of filter trains by size: many lines that are seldom changed, folded until asked for or amiss. */
export function UnitPrices(props: PriceRowsProps) {
  const t = useTexts()
  const [unfolded, setUnfolded] = useState(false)
  const { rows, errorOf } = props
  const amiss = rows.some(({ place }) => FIELDS.some((field) => errorOf(`items.${place}.${field}`) !== undefined))
  const open = unfolded || amiss
  return (
    <div className="mb-3">
      <button
        type="button"
        className="btn btn-sm btn-outline-secondary"
        aria-expanded={open}
        onClick={() => setUnfolded(!open)}
      >
        {open ? t('prices.pricesView.hideUnits') : t('prices.pricesView.showUnits', { count: rows.length })}
      </button>
      {open ? <PriceRows {...props} label={t('prices.pricesView.unitPrices')} /> : null}
    </div>
  )
}
