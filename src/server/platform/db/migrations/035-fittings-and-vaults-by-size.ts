import type { Knex } from 'knex'
import { rewriteItems } from '../price-book-items'

/**
 * A fitting had one price for pipe of every size, and so had vaults; now each size has its own. What a firm paid is
 * taken for the usual size, and the others follow as wider ones cost more.
 */
const PIPES = [
  ['25 mm', 0.021],
  ['32 mm', 0.028],
  ['40 mm', 0.036],
  ['50 mm', 0.045],
  ['63 mm', 0.057],
  ['75 mm', 0.068],
  ['90 mm', 0.082],
  ['110 mm', 0.101],
  ['125 mm', 0.115],
  ['160 mm', 0.148],
  ['200 mm', 0.185],
  ['250 mm', 0.231],
] as const
const PIPE_WAS = 0.045
const PIPE_GROWTH = 1.35
const USUAL_FITTINGS = new Set([
  'elbow-90',
  'sweep-90',
  'elbow-45',
  'tee-through',
  'tee-branch',
  'union',
  'ball-valve',
  'gate-valve',
  'check-valve',
  'bulkhead-in',
  'reducer',
  'strainer',
])
const VAULTS_CM = [20, 30, 40, 50, 60, 80, 100] as const
const VAULT_WAS_CM = 40
const VAULT_GROWTH = 1.2

const grown = (costMinor: number, ratio: number, growth: number): number => Math.round(costMinor * ratio ** growth)

export async function up(knex: Knex): Promise<void> {
  await rewriteItems(knex, (item) => {
    const [kind, of] = item.key.split(':')
    if (item.key === 'vault')
      return VAULTS_CM.map((cm) => ({
        ...item,
        key: `vault:${cm}`,
        name: `${item.name}, ${cm} cm`,
        costMinor: grown(item.costMinor, cm / VAULT_WAS_CM, VAULT_GROWTH),
      }))
    // water that runs free at a pipe's end was a line of the book, and is no part
    if (item.key === 'fitting:exit') return []
    if (kind !== 'fitting' || !USUAL_FITTINGS.has(of ?? '')) return [item]
    return PIPES.map(([size, boreM]) => ({
      ...item,
      key: `${item.key}:${size}`,
      name: `${item.name}, ${size}`,
      costMinor: grown(item.costMinor, boreM / PIPE_WAS, PIPE_GROWTH),
    }))
  })
}

export async function down(knex: Knex): Promise<void> {
  await rewriteItems(knex, (item) => {
    const [kind, of, size] = item.key.split(':')
    if (kind === 'vault')
      return Number(of) === VAULT_WAS_CM ? [{ ...item, key: 'vault', name: item.name.replace(/, 40 cm$/, '') }] : []
    if (kind !== 'fitting' || size === undefined) return [item]
    return size === '50 mm' ? [{ ...item, key: `fitting:${of}`, name: item.name.replace(/, 50 mm$/, '') }] : []
  })
}
