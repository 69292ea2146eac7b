import type { KIT } from '@/core/visits/planning-facts'
import { textId, type Texts } from './texts'
import type { LoadList } from '../domain/rounds/load-list'

type Show = (value: number, kind: 'volume' | 'length' | 'mass', options?: { scale: 'small' }) => string

/** What to load, line by line; the same words on screen and paper. */
export function loadLines(load: LoadList, show: Show, t: Texts): string[] {
  return [
    ...load.kit.filter((key) => !(key === 'tank' && load.tank)).map((key) => t(`people.kitNames.${key as (typeof KIT)[number]}`)),
    ...(load.tank
      ? [
          t('rounds.loadWords.holdingTankLeastAcross', {
            volumeM3: show(load.tank.volumeM3, 'volume', { scale: 'small' }),
            leastWidthM: show(load.tank.leastWidthM, 'length'),
          }),
        ]
      : []),
    ...load.products.map((p) => t('rounds.loadWords.testSiteDecides', { name: p.name, amount: amountWords(p.amount, p.unit) })),
    ...(load.tapWaterM3 > 0 ? [t('rounds.loadWords.hoseTapWater', { tapWaterM3: show(load.tapWaterM3, 'volume') })] : []),
    ...load.parts,
    t('rounds.loadWords.firstAidKitRcd'),
  ]
}

export const LOAD_CAUTION = textId('rounds.loadWords.liftTwoPeopleMachine')

/** "1.2 kg", "350 mL" or "12" of a product's own unit. */
export function amountWords(amount: number, unit: string): string {
  const figure = (value: number) => String(Number(value.toPrecision(3)))
  if (unit === 'each') return figure(Math.ceil(amount))
  const big = amount >= 1000
  return `${figure(big ? amount / 1000 : amount)} ${unit === 'g' ? (big ? 'kg' : 'g') : big ? 'L' : 'mL'}`
}
