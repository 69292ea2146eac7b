import type { RemedyDose } from '../../core/diagnosis/cause'
import {
  productDose,
  type Dose,
  type GivenDose,
  type Product,
  type ProductPurpose,
} from '../../core/water/dosing/products'

/** What is known of a pond for the doses of a remedy. */
export interface RemedyDosingFacts {
  readonly products: readonly Product[]
  /** Pond, streams and the voids of its filter, m³. */
  readonly systemM3: number
  /** The least that they may hold, as far as it is known, m³. */
  readonly systemLeastM3?: number
  /** A test of the last days, °C; null without one. */
  readonly waterC: number | null
  readonly recent: readonly GivenDose[]
}

export interface RemedyAmount extends Dose {
  readonly product: Product
}

const PURPOSES: Readonly<Record<RemedyDose, readonly ProductPurpose[]>> = {
  bacteria: ['bacteria', 'cold-bacteria'],
  binder: ['binder'],
  carbon: ['carbon'],
  flocculant: ['flocculant'],
  kh: ['kh'],
  salt: ['salt'],
}
/** Salt against nitrite, parts of a thousand. @source trade practice: 0.1 % */
const SALT_PERMILLE = 1

/**
 * What each of the firm's products for a remedy comes to here; those that the water's warmth speaks against only
 * where no other is left.
 */
export function remedyAmounts(
  dose: RemedyDose,
  { products, systemM3, systemLeastM3, waterC, recent }: RemedyDosingFacts,
): RemedyAmount[] {
  const amounts = products
    .filter((product) => PURPOSES[dose].includes(product.purpose))
    .map((product) => ({
      product,
      ...productDose(product, {
        volumeM3: systemM3,
        leastM3: systemLeastM3,
        steps: product.basis === 'salt' ? SALT_PERMILLE : 1,
        waterC,
        recent,
      }),
    }))
  const fitting = amounts.filter(
    ({ problems }) => !problems.some((p) => p.code === 'too-cold' || p.code === 'too-warm'),
  )
  return fitting.length > 0 ? fitting : amounts
}
