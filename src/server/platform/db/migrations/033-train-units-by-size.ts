import type { Knex } from 'knex'
import { rewriteItems } from '../price-book-items'

/**
 * Each kind of equipment had one price; now each size has its own. What a firm paid for the one it had is taken for
 * the size that it was most like, and the others follow as larger ones cost more.
 */
const SIZES: Readonly<Record<string, { sizes: readonly number[]; was: number; growth: number }>> = {
  'skimmer-wall': { sizes: [5, 10, 20, 40, 80], was: 10, growth: 0.5 },
  'skimmer-floating': { sizes: [5, 10, 20, 40, 80], was: 10, growth: 0.5 },
  'skimmer-pump-fed': { sizes: [2.5, 5, 10], was: 5, growth: 0.5 },
  'falls-box': { sizes: [30, 60, 120, 250], was: 60, growth: 0.6 },
  pressurised: { sizes: [30, 60, 120, 250, 500], was: 60, growth: 0.6 },
  drum: { sizes: [10, 20, 35, 60, 100], was: 20, growth: 0.6 },
  'moving-bed': { sizes: [60, 120, 250, 500, 1000], was: 120, growth: 0.6 },
  'trickle-tower': { sizes: [60, 120, 250, 500, 1000], was: 120, growth: 0.6 },
  uv: { sizes: [11, 18, 36, 55, 75, 110, 150, 220, 300], was: 75, growth: 0.55 },
  ioniser: { sizes: [5, 10, 20, 40, 80], was: 10, growth: 0.4 },
  'dosing-unit': { sizes: [10, 50], was: 10, growth: 0.2 },
}

export async function up(knex: Knex): Promise<void> {
  await rewriteItems(knex, (item) => {
    const kind = item.key.startsWith('companion:') ? item.key.slice('companion:'.length) : ''
    const known = SIZES[kind]
    if (!known) return [item]
    return known.sizes.map((size) => ({
      ...item,
      key: `unit:${kind}:${size}`,
      name: `${item.name} ${size}`,
      costMinor: Math.round(item.costMinor * (size / known.was) ** known.growth),
    }))
  })
}

export async function down(knex: Knex): Promise<void> {
  await rewriteItems(knex, (item) => {
    const [group, kind, size] = item.key.split(':')
    if (group !== 'unit' || kind === undefined) return [item]
    const known = SIZES[kind]
    return known && Number(size) === known.was
      ? [{ ...item, key: `companion:${kind}`, name: item.name.replace(new RegExp(` ${known.was}$`), '') }]
      : []
  })
}
