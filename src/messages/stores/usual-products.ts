import type { Product } from '@/core/water/dosing/products'
import { USUAL_PRODUCTS } from '@/core/water/dosing/usual-products'
import type { Texts } from '@/messages/texts'

/** The products that a firm begins with, in its language; from then on they are the firm's own words. */
export const usualProducts = (t: Texts): readonly Product[] =>
  USUAL_PRODUCTS.map((product) => ({
    ...product,
    name: t(`stores.productNames.${product.key}`),
    safety: t(`stores.productSafety.${product.key}`),
    measure: product.measure && { ...product.measure, name: t(`stores.measureNames.${product.measure.name}`) },
  }))
