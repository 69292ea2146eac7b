import fc from 'fast-check'
import { daysBetween, isoWeekday, addDays } from '../numeric/calendar'
import { planRescue, type NeglectedPond } from './rescue-plan'

const pond = (over: Partial<NeglectedPond> = {}): NeglectedPond => ({
  systemM3: 12,
  tan: 1.2,
  nitrite: 0.4,
  ph: 6.8,
  khDH: 1,
  oxygenMgL: 6.5,
  hasFish: true,
  hasMedia: true,
  rockSections: 3,
  ...over,
})
const FIRST = '2027-04-05'
const workday = (day: string) => (isoWeekday(day) > 5 ? addDays(day, 8 - isoWeekday(day)) : day)

describe('a rescue', () => {
  it('goes from loose dirt to strainers to half the media, the other half, and one section of stones', () => {
    const { stages, finalTests, missing } = planRescue(pond(), FIRST, workday)
    expect(stages.map((s) => s.jobKey)).toEqual([
      'rescue-floor',
      'rescue-strainers',
      'rescue-media',
      'rescue-media',
      'rescue-rocks',
    ])
    expect(daysBetween(stages[2]!.day, stages[3]!.day)).toBeGreaterThanOrEqual(7)
    expect(finalTests).toHaveLength(2)
    expect(missing).toEqual([])
  })
  it('changes a third at most, doses for the whole system, and foretells what that leaves', () => {
    const [floor, strainers] = planRescue(pond(), FIRST).stages
    expect(floor!.changeM3).toBeCloseTo(4, 9)
    // 1.2 mg/L less a third, and again
    expect(floor!.expected.tan).toBeCloseTo(0.8, 9)
    expect(strainers!.expected.nitrite).toBeCloseTo(0.4 * (2 / 3) ** 2, 9)
    // soft water: one degree a day, 12 m³ × 29.96 g
    expect(floor!.kh).toEqual({ riseDH: 1, bicarbonateG: expect.closeTo(359.52, 6), waitsFor: null })
    expect(planRescue(pond({ khDH: 6 }), FIRST).stages[0]!.kh).toBeNull()
    expect(planRescue(pond({ khDH: 4, ph: 7.5 }), FIRST).stages[0]!.kh!.riseDH).toBeCloseTo(1, 9)
  })
  it('holds carbonate hardness back while ammonia would turn toxic by it, or is not known', () => {
    const held = (over: Partial<NeglectedPond>) => planRescue(pond(over), FIRST).stages.map((s) => s.kh?.waitsFor)
    expect(held({ tan: 6, ph: 8.2, khDH: 3 }).slice(0, 2)).toEqual(['ammonia', 'ammonia'])
    expect(held({ ph: null })[0]).toBe('tests')
    expect(held({ tan: null })[0]).toBe('tests')
    // what is held back is not counted as done: the next stage begins from the same hardness
    const [floor, strainers] = planRescue(pond({ tan: 6, ph: 8.2, khDH: 3 }), FIRST).stages
    expect(strainers!.kh!.bicarbonateG).toBeCloseTo(floor!.kh!.bicarbonateG, 9)
  })
  it('binds while there are fish and something to bind, and says what stops each visit', () => {
    const { stages } = planRescue(pond(), FIRST)
    expect(stages[0]!.binder).toBe(true)
    expect(planRescue(pond({ tan: 0.1, nitrite: 0.05 }), FIRST).stages[0]!.binder).toBe(false)
    expect(planRescue(pond({ hasFish: false }), FIRST).stages[0]!.binder).toBe(false)
    expect(stages[0]!.stopRules.map((r) => r.code)).toEqual(['low-oxygen', 'gasping', 'sludge-smell'])
    expect(stages[2]!.stopRules.map((r) => r.code)).toContain('ammonia-waits')
  })
  it('asks for the tests it lacks, and for air first where oxygen is low or unknown', () => {
    expect(planRescue(pond({ tan: null, oxygenMgL: null }), FIRST)).toMatchObject({
      missing: ['tan', 'oxygen'],
      airFirst: true,
    })
    expect(planRescue(pond({ oxygenMgL: 9 }), FIRST).airFirst).toBe(false)
  })
  it('is three to five visits on working days in order, whatever the pond', () =>
    fc.assert(
      fc.property(
        fc.record({
          hasMedia: fc.boolean(),
          hasFish: fc.boolean(),
          rockSections: fc.nat(6),
          tan: fc.option(fc.double({ min: 0, max: 8, noNaN: true })),
        }),
        fc.integer({ min: 0, max: 400 }),
        (over, offset) => {
          const { stages } = planRescue(pond(over), addDays(FIRST, offset), workday)
          expect(stages.length).toBeGreaterThanOrEqual(3)
          expect(stages.length).toBeLessThanOrEqual(5)
          stages.forEach((s, i) => {
            expect(isoWeekday(s.day)).toBeLessThanOrEqual(5)
            if (i > 0) expect(s.day > stages[i - 1]!.day).toBe(true)
          })
          // never two halves of the media within a week
          const media = stages.filter((s) => s.jobKey === 'rescue-media').map((s) => s.day)
          if (media.length === 2) expect(daysBetween(media[0]!, media[1]!)).toBeGreaterThanOrEqual(7)
        },
      ),
    ))
})
