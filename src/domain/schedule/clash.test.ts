import type { VisitInContext } from '../visits/visit'
import { clockAfter, endsLate, overlapping } from './clash'

const visit = (startTime: string, plannedMinutes: number) => ({ startTime, plannedMinutes }) as VisitInContext

describe('clashes', () => {
  it('sees overlapping times and lets visits follow each other', () => {
    const day = [visit('08:00', 120)]
    expect(overlapping({ startTime: '09:59', minutes: 30 }, day)).toHaveLength(1)
    expect(overlapping({ startTime: '10:00', minutes: 30 }, day)).toHaveLength(0)
    expect(overlapping({ startTime: '06:00', minutes: 120 }, day)).toHaveLength(0)
  })
  it('counts clock times on past midnight', () => {
    expect(clockAfter('08:30', 255)).toBe('12:45')
    expect(clockAfter('20:00', 300)).toBe('25:00')
    expect(endsLate({ startTime: '12:00', minutes: 361 })).toBe(true)
  })
})
