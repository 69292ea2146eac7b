import type { Band } from './comparison'
import { isSteady } from './steady'

const flat = (p50: number, spread = 0.2): Band => ({
  p10: Array(20).fill(p50 * (1 - spread)),
  p50: Array(20).fill(p50),
  p90: Array(20).fill(p50 * (1 + spread)),
})

describe('lines that say no more than a figure', () => {
  it('are flat, alike, and far from a limit', () => expect(isSteady([flat(0.48), flat(0.49)], [2])).toBe(true))
  it('are not those that differ from option to option', () => expect(isSteady([flat(0.3), flat(0.6)], [])).toBe(false))
  it('are not those that move', () => {
    const rising = { ...flat(1), p50: Array.from({ length: 20 }, (_, i) => 0.9 + i / 50) }
    expect(isSteady([rising], [])).toBe(false)
  })
  it('are not those whose band holds a limit, however flat', () => expect(isSteady([flat(5)], [5.5])).toBe(false))
})
