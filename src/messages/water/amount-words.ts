import type { RemedyAmount } from '@/domain/diagnosis/remedy-doses'

/** "1.2 kg", "350 mL" or "12" of a product's own unit. */
export function amountWords(amount: number, unit: string): string {
  const figure = (value: number) => String(Number(value.toPrecision(3)))
  if (unit === 'each') return figure(Math.ceil(amount))
  const big = amount >= 1000
  const unitWords = () => {
    if (unit === 'g') {
      if (big) return 'kg'
      return 'g'
    }
    if (big) return 'L'
    return 'mL'
  }
  return `${figure(big ? amount / 1000 : amount)} ${unitWords()}`
}

/** "Pond salt: 31 kg" for a step's title. */
export const remedyAmountWords = ({ product, amount }: RemedyAmount): string =>
  `${product.name}: ${amountWords(amount, product.unit)}`
