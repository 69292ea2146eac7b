import fc from 'fast-check'
import { straightLineTable, travelTable } from '@/server/platform/gateways/roads'
import { JUNCTIONS } from '../../stand-ins/roads/hask-roads'
import { drivingTable, kmBetween } from '../../stand-ins/roads/shortest'

const point = fc.tuple(
  fc.double({ min: -45.4, max: -44.7, noNaN: true }),
  fc.double({ min: 44.8, max: 45.2, noNaN: true }),
)

describe('roads of the island', () => {
  it('take longer than the crow flies at the fastest road, and no longer one way than the other', () => {
    fc.assert(
      fc.property(point, point, (a, b) => {
        const table = drivingTable([a, b])
        const [out, back] = [table[0]![1]!, table[1]![0]!]
        expect(out).toBeCloseTo(back, 6)
        expect(out / 3600).toBeGreaterThanOrEqual(kmBetween(a, b) / 68 - 1e-9)
      }),
    )
  })
  it('reach every town from every other', () => {
    for (const row of drivingTable(Object.values(JUNCTIONS)))
      for (const seconds of row) expect(Number.isFinite(seconds)).toBe(true)
  })
  it('never get shorter by a stop on the way', () => {
    fc.assert(
      fc.property(point, point, point, (a, b, c) => {
        const table = drivingTable([a, b, c])
        expect(table[0]![2]).toBeLessThanOrEqual(table[0]![1]! + table[1]![2]! + 1e-6)
      }),
    )
  })
})

describe('without a roads service', () => {
  it('straight lines with a detour stand in, and the plan can say so', async () => {
    const points = [
      { lat: 45, lon: -45 },
      { lat: 45.1, lon: -45 },
    ]
    const crow = straightLineTable(points)
    // 11.1 km × 1.35 at 48 km/h
    expect(crow.minutes[1]).toBeCloseTo(18.76, 1)
    expect(await travelTable(points, 'http://127.0.0.1:1')).toMatchObject({ source: 'straight-line' })
  })
})
