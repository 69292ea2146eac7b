'use client'
import type { Product } from '@/core/water/dosing/products'
import { useTexts } from '@/ui/kit/texts'
import { useShow } from '@/ui/person-context'

const PERMILLE = 1000

interface DoseRangeProps {
  readonly product: Product
  readonly amount: number
  /** Between which the whole water lies in four of five ponds, m³. */
  readonly system: { readonly lowM3: number; readonly highM3: number }
}

/** What an amount does in the least and in the most water that the system may hold. */
export function DoseRange({ product, amount, system: { lowM3, highM3 } }: DoseRangeProps) {
  const t = useTexts()
  const show = useShow()
  // water that is let in is measured as it is treated
  if (product.treats === 'new-water' || amount <= 0 || !(highM3 > lowM3)) return null
  const effect = (waterM3: number): string => {
    const steps = amount / (product.rate * waterM3)
    switch (product.basis) {
      case 'hardness':
        return show(steps, 'hardness')
      case 'salt':
        return show(steps / PERMILLE, 'share')
      case 'chlorine':
        return show(steps, 'concentration')
      case 'volume':
        return String(Number((amount / waterM3).toPrecision(3)))
    }
  }
  return (
    <p className="soft small mb-1">
      {t(`water.doseRange.${product.basis}`, {
        lowM3: show(lowM3, 'volume'),
        highM3: show(highM3, 'volume'),
        least: effect(highM3),
        most: effect(lowM3),
        unit: product.unit,
      })}
    </p>
  )
}
