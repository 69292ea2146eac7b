import type { OutputName } from '../ecosystem/outputs'
import { normalDeviate, type Random } from '../numeric/random'

interface Kit {
  readonly output: OutputName
  readonly minutes: number
  /** What a test of the kind can show, or the finest step of a meter. */
  readonly steps: readonly number[] | number
  /** Spread of what two people read from the same water: a share of it, and in its own unit. */
  readonly share: number
  readonly spread: number
}

/** Drop tests, strips and meters as a technician carries them. @source usual kits of the trade */
export const KIT = {
  waterTemp: { output: 'waterC', minutes: 1, steps: 0.5, share: 0, spread: 0.2 },
  clarityDepth: { output: 'clarityM', minutes: 1, steps: 0.05, share: 0.06, spread: 0 },
  ph: { output: 'ph', minutes: 3, steps: 0.2, share: 0, spread: 0.1 },
  kh: { output: 'khDH', minutes: 3, steps: 1, share: 0, spread: 0.3 },
  tan: { output: 'tan', minutes: 5, steps: [0, 0.1, 0.25, 0.5, 1, 2, 4, 8], share: 0.12, spread: 0.02 },
  nitrite: { output: 'nitrite', minutes: 5, steps: [0, 0.05, 0.1, 0.25, 0.5, 1, 2, 4], share: 0.12, spread: 0.02 },
  nitrate: { output: 'nitrate', minutes: 5, steps: [0, 1, 2.5, 5, 10, 20, 40, 80], share: 0.12, spread: 0.2 },
  orthophosphate: {
    output: 'phosphate',
    minutes: 5,
    steps: [0, 0.05, 0.1, 0.25, 0.5, 1, 2],
    share: 0.12,
    spread: 0.02,
  },
  dissolvedOxygen: { output: 'oxygen', minutes: 4, steps: 0.1, share: 0.03, spread: 0.1 },
} as const satisfies Readonly<Record<string, Kit>>
export type KitTest = keyof typeof KIT
export const KIT_TESTS = Object.keys(KIT) as KitTest[]

/** What a test of the kind shows for water of a value. */
export function readKit(test: KitTest, value: number, random: Random): number {
  const { steps, share, spread }: Kit = KIT[test]
  const seen = Math.max(0, value * (1 + share * normalDeviate(random)) + spread * normalDeviate(random))
  if (typeof steps === 'number') return Number((Math.round(seen / steps) * steps).toFixed(2))
  return steps.reduce((best, step) => (Math.abs(step - seen) < Math.abs(best - seen) ? step : best))
}
