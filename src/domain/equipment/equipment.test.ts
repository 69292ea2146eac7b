import fc from 'fast-check'
import { equipmentDue } from './equipment'
import { lampRest } from './lamp-rest'
import { HouseRules } from '../house-rules/house-rules'
import { addDays, daysBetween } from '../../core/numeric/calendar'
import { dueAfterRunning } from '../../core/visits/equipment-care'

const WINTER = { from: '11-01', to: '03-31' }
const lamp = { kind: 'uv-lamp' as const, fittedOn: '2026-04-01', doneOn: null, everyDays: 365 }

describe('the age of a lamp', () => {
  it('counts every day where it runs on', () => expect(dueAfterRunning('2026-04-01', 365, null)).toBe('2027-04-01'))
  it('does not count the winter in which it is off', () => {
    // 214 days run from April to October, 151 more from the next April on
    expect(dueAfterRunning('2026-04-01', 365, WINTER)).toBe('2027-08-30')
    expect(dueAfterRunning('2026-04-01', 214, WINTER)).toBe('2026-11-01')
  })
  it('understands a rest within one year', () =>
    expect(dueAfterRunning('2026-01-01', 365, { from: '06-01', to: '06-30' })).toBe('2027-01-31'))
  it('never comes due before as many days as it is to run', () => {
    const monthDay = fc.integer({ min: 0, max: 364 }).map((n) => addDays('2027-01-01', n).slice(5))
    fc.assert(
      fc.property(monthDay, monthDay, fc.integer({ min: 1, max: 800 }), (from, to, days) => {
        const due = dueAfterRunning('2026-02-10', days, { from, to })
        expect(daysBetween('2026-02-10', due)).toBeGreaterThanOrEqual(days)
      }),
      { numRuns: 60 },
    )
  })
  it('goes by running time only where the house rules say so and the pond is shut down, and only for lamps', () => {
    const windows = [
      { job: 'winter-shutdown', best: '2001-11-01' },
      { job: 'spring-startup', best: '2001-03-31' },
    ]
    const rest = (over: object) => lampRest(HouseRules.parse(over), windows)
    expect(rest({ lamp: 'running' })).toEqual(WINTER)
    expect([
      rest({}),
      rest({ lamp: 'running', winter: 'run-on' }),
      lampRest(HouseRules.parse({ lamp: 'running' }), []),
    ]).toEqual([null, null, null])
    expect(equipmentDue(lamp, WINTER).due).toBe('2027-08-30')
    expect(equipmentDue({ ...lamp, kind: 'pump' }, WINTER).due).toBe('2027-04-01')
  })
})
