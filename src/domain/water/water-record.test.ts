import type { Outlook } from '../../core/assimilation/outlook'
import { ammoniaFraction } from '../../core/water/ammonia'
import type { PondId } from '../shared/ids'
import type { Reading } from './reading'
import { recordDays, waterLanes } from './water-record'

const reading = (kind: Reading['kind'], value: number, day: string, belowStep = false): Reading => ({
  pondId: 'p' as PondId,
  visitId: null,
  kind,
  value,
  belowStep,
  method: 'drops',
  takenAt: `${day}T10:00:00Z`,
  byName: 'x',
})

describe('lanes of the water’s record', () => {
  it('hold every test of a kind, oldest first, what decides first on top, toxic ammonia among them', () => {
    const lanes = waterLanes(
      [
        reading('nitrate', 20, '2026-06-01'),
        reading('tan', 0.4, '2026-06-01'),
        reading('tan', 0.1, '2026-05-01', true),
        reading('ph', 8, '2026-06-01'),
        reading('waterTemp', 20, '2026-06-01'),
      ],
      null,
    )
    expect(lanes.map((l) => l.key)).toEqual(['waterTemp', 'tan', 'nh3', 'ph', 'nitrate'])
    expect(lanes[1]!.points).toEqual([
      { at: '2026-05-01T10:00:00Z', value: 0, noneFound: true },
      { at: '2026-06-01T10:00:00Z', value: 0.4, noneFound: false },
    ])
    expect(lanes[2]!.points[0]!.value).toBeCloseTo(0.4 * ammoniaFraction(8, 20), 9)
  })
  it('draw the limits of total ammonia where its toxic share meets them, and its own where that is not known', () => {
    const tan = reading('tan', 0.4, '2026-06-01')
    const known = waterLanes([tan, reading('ph', 9, '2026-06-01'), reading('waterTemp', 25, '2026-06-02')], null)
    expect(known.find((l) => l.key === 'tan')!.limits[0]!.value).toBeCloseTo(0.02 / ammoniaFraction(9, 25), 6)
    expect(waterLanes([tan], null)[0]!.limits.map((l) => l.value)).toEqual([0.25, 0.5, 2])
  })
  it('go on with the forecast where it says something of the same figure', () => {
    const band = { p10: [1], p50: [2], p90: [3] }
    const outlook = {
      from: '2026-06-02',
      bands: { waterC: band, tan: band, nh3: band, nitrite: band, oxygen: band, clarityM: band, levelMm: band },
    } as unknown as Outlook
    const lanes = waterLanes([reading('waterTemp', 20, '2026-06-01'), reading('kh', 6, '2026-06-01')], outlook)
    expect(lanes.map((l) => [l.key, l.ahead])).toEqual([
      ['waterTemp', band],
      ['kh', null],
    ])
  })
})

describe('the days of the record', () => {
  const onFile = ['2026-11-02T09:00:00Z', '2026-11-20']
  it('go back as far as something is on file, and ahead as far as the forecast', () => {
    expect(recordDays('year', { today: '2026-12-01', onFile, hasForecast: true })).toEqual({
      from: '2026-11-01',
      to: '2026-12-22',
    })
    expect(recordDays('year', { today: '2026-12-01', onFile, hasForecast: false }).to).toBe('2026-12-02')
  })
  it('end where the span ends', () => {
    expect(recordDays('quarter', { today: '2026-12-01', onFile: ['2024-01-01'], hasForecast: false }).from).toBe(
      '2026-09-01',
    )
    expect(recordDays('all', { today: '2026-12-01', onFile: ['2024-01-01'], hasForecast: false }).from).toBe(
      '2023-12-31',
    )
  })
  it('are two weeks at the least', () => {
    expect(recordDays('all', { today: '2026-12-01', onFile: [], hasForecast: false }).from).toBe('2026-11-17')
  })
})
