import type { LoadList } from './load-list'
import { KIT_NAMES } from '../people/crew-setup'

type Show = (value: number, kind: 'volume' | 'length' | 'mass', options?: { scale: 'small' }) => string

/** What to load, line by line; the same words on screen and paper. */
export function loadLines(load: LoadList, show: Show): string[] {
  return [
    ...load.kit.filter((key) => !(key === 'tank' && load.tank)).map((key) => KIT_NAMES[key as keyof typeof KIT_NAMES]),
    ...(load.tank
      ? [
          `Holding tank of at least ${show(load.tank.volumeM3, 'volume', { scale: 'small' })}, ${show(load.tank.leastWidthM, 'length')} across, with cover net and aerator`,
        ]
      : []),
    ...load.products.map((p) => `${p.name}: ${amountWords(p.amount, p.unit)}; the test on site decides`),
    ...(load.tapWaterM3 > 0 ? [`Hose for ${show(load.tapWaterM3, 'volume')} of tap water`] : []),
    ...load.parts,
    'First-aid kit, RCD/GFCI adapter, gloves, goggles, waders, life line; labels and safety data sheets of what is carried',
  ]
}

export const LOAD_CAUTION = 'Lift with two people or a machine above 25 kg. Chemicals are carried closed, apart, and never mixed.'

/** "1.2 kg", "350 mL" or "12" of a product's own unit. */
export function amountWords(amount: number, unit: string): string {
  const figure = (value: number) => String(Number(value.toPrecision(3)))
  if (unit === 'each') return figure(Math.ceil(amount))
  const big = amount >= 1000
  return `${figure(big ? amount / 1000 : amount)} ${unit === 'g' ? (big ? 'kg' : 'g') : big ? 'L' : 'mL'}`
}
