import fc from 'fast-check'
import { neglected } from '../../../tests/fixtures/neglected-pond'
import { addDays, daysBetween, isoWeekday } from '../numeric/calendar'
import { ammoniaReasons } from '../water/water-change-gate'
import { planRescue, type NeglectedPond } from './rescue-plan'

const FIRST = '2027-04-05'
const workday = (day: string) => (isoWeekday(day) > 5 ? addDays(day, 8 - isoWeekday(day)) : day)
const plan = (over: Partial<NeglectedPond> = {}) => planRescue(neglected(over), FIRST)

describe('a rescue', () => {
  it('goes from loose dirt to strainers to half the media, the other half, and the stones', () => {
    const { stages, finalTests, missing } = planRescue(neglected(), FIRST, workday)
    expect(stages.map((s) => s.jobKey)).toEqual([
      'rescue-floor',
      'rescue-strainers',
      'rescue-media',
      'rescue-media',
      'rescue-rocks',
      'rescue-rocks',
      'rescue-rocks',
    ])
    expect(daysBetween(stages[2]!.day, stages[3]!.day)).toBeGreaterThanOrEqual(7)
    expect(finalTests).toHaveLength(2)
    expect(missing).toEqual([])
  })
  it('four sections of rock are four visits, a week or more apart, and the tests that end it come after the last', () => {
    const { stages, finalTests } = plan({ rockSections: 4 })
    const rocks = stages.filter((s) => s.jobKey === 'rescue-rocks')
    expect(rocks.map((s) => s.section)).toEqual([
      [1, 4],
      [2, 4],
      [3, 4],
      [4, 4],
    ])
    for (const [i, { day }] of rocks.slice(1).entries())
      expect(daysBetween(rocks[i]!.day, day)).toBeGreaterThanOrEqual(7)
    expect(finalTests.every((day) => day > rocks[3]!.day)).toBe(true)
  })
  it('raises KH on every visit until it stands at 5, and GH until it stands at 8', () => {
    const { stages } = plan({ khDH: 1, ghDH: 3, tan: 0.1, nitrite: 0, fishKg: 0, ph: 7.5, fill: { ph: 7.5, khDH: 1 } })
    const raised = stages.map((s) => s.kh?.riseDH ?? 0)
    // not on the first two visits alone: three degrees would be left wanting
    expect(raised.slice(2).some((rise) => rise > 0)).toBe(true)
    expect(stages.slice(3).every((s) => s.kh === null || s.kh.riseDH <= 2)).toBe(true)
    const gh = stages.reduce((sum, s) => sum + (s.gh?.riseDH ?? 0), 3)
    expect(gh).toBeCloseTo(8, 9)
    expect(stages.at(-1)!.gh).toBeNull()
    for (const stage of stages) expect(stage.gh?.riseDH ?? 0).toBeLessThanOrEqual(2)
    // two degrees of GH in 12 m³, three quarters calcium
    expect(stages[0]!.gh).toEqual({
      riseDH: 2,
      calciumG: expect.closeTo(12 * 2 * 0.75 * 26.2, 6),
      magnesiumG: expect.closeTo(12 * 2 * 0.25 * 43.95, 6),
    })
  })
  it('expects more ammonia while fish give it off and no bacteria take it up, less only by the change', () => {
    const [floor, strainers] = plan().stages
    expect(floor!.expected.tan![1]).toBeCloseTo((1.2 * 2) / 3, 9)
    const [low, high] = strainers!.expected.tan!
    expect(low).toBeCloseTo(1.2 * (2 / 3) ** 2, 9)
    // 4 kg of fish at 18 °C for four days in 12 m³
    const given = (4 * 0.1 * 1.072 ** (18 - 20) * 4) / 12
    expect(high).toBeCloseTo(((1.2 * 2) / 3 + given) * (2 / 3), 9)
    expect(plan({ fishKg: 0 }).stages[1]!.expected.tan![1]).toBeCloseTo(low, 9)
  })
  it('does not change a third of hard tap water into pH 6.3 with TAN 4: the classic kill', () => {
    const killer = { ph: 6.3, khDH: 0.5, tan: 4, fill: { ph: 8, khDH: 14 } }
    const [floor] = plan(killer).stages
    expect(floor!.changeM3).toBeLessThan(12 / 3)
    expect(floor!.changeLimit).toBe('ammonia')
    // soft water of the pond's own kind may
    expect(plan({ ...killer, fill: { ph: 6.3, khDH: 0.5 } }).stages[0]).toMatchObject({
      changeM3: expect.closeTo(4, 9),
      changeLimit: null,
    })
  })
  it('counts the ammonia that chloramine brings, and the hardness of what runs in', () => {
    const fill = { ph: 7, khDH: 4 }
    const [tanOf, first] = [
      (over: object) => plan({ fill: { ...fill, ...over } }).stages[1]!.expected.tan!,
      plan({ fill }),
    ]
    // 3 mg/L of chloramine are 0.593 mg/L ammonia: a third of it comes with each change
    const brought = (3 * 14.007) / 70.906
    expect(tanOf({ chloramineMgL: 3 })[0]).toBeCloseTo(tanOf({})[0] + (brought / 3) * (1 + 2 / 3), 9)
    // hard fill water is GH that need not be dosed
    const gh = (over: object) => plan({ ghDH: 3, fill: { ...fill, ...over } }).stages.map((s) => s.gh?.riseDH ?? 0)
    expect(gh({ ghDH: 14 }).reduce((a, b) => a + b)).toBeLessThan(gh({}).reduce((a, b) => a + b) - 2)
    expect(first.missing).toEqual([])
  })
  it('asks for pH and KH of the fill water, and changes little until they are known', () => {
    const { stages, missing } = plan({ fill: { ph: null, khDH: null } })
    expect(missing).toEqual(['fillPh', 'fillKh'])
    expect(stages[0]).toMatchObject({ changeM3: expect.closeTo(1.2, 9), changeLimit: 'fill' })
    expect(plan({ tan: null }).stages[0]!.changeLimit).toBe('tests')
  })
  it('doses KH for the whole system and holds it back while ammonia would turn toxic, or is not known', () => {
    // soft water: one degree a day, 12 m³ × 29.96 g
    expect(plan({ tan: 0.1 }).stages[0]!.kh).toMatchObject({ riseDH: 1, waitsFor: null })
    expect(plan({ tan: 0.1 }).stages[0]!.kh!.bicarbonateG).toBeCloseTo(359.52, 6)
    expect(plan({ khDH: 6, fill: { ph: 7, khDH: 6 } }).stages[0]!.kh).toBeNull()
    const held = (over: Partial<NeglectedPond>) => plan(over).stages.map((s) => s.kh?.waitsFor)
    expect(held({ tan: 6, ph: 8.2, khDH: 3, fill: { ph: 8.2, khDH: 3 } }).slice(0, 2)).toEqual(['ammonia', 'ammonia'])
    expect(held({ ph: null })[0]).toBe('tests')
    expect(held({ tan: null })[0]).toBe('tests')
  })
  it('binds while there are fish and something to bind, and stops the food', () => {
    const { stages } = plan()
    expect(stages[0]).toMatchObject({ binder: true, noFeed: true })
    expect(plan({ tan: 0.1, nitrite: 0.05 }).stages[0]!.binder).toBe(false)
    expect(plan({ fishKg: 0 })).toMatchObject({
      stages: [{ binder: false, noFeed: false }, {}, {}, {}, {}, {}, {}],
    })
  })
  it('media wait for ammonia and nitrite long before 1 mg/L, and say what stops each visit', () => {
    const { stages } = plan()
    expect(stages[0]!.stopRules.map((r) => r.code)).toEqual(['low-oxygen', 'gasping', 'sludge-smell'])
    const media = stages[2]!.stopRules
    expect(media.map((r) => r.code)).toEqual(['low-oxygen', 'gasping', 'cold-water', 'ammonia-waits', 'nitrite-waits'])
    for (const rule of media) if (rule.code.endsWith('-waits')) expect(rule).toMatchObject({ mgL: 0.5 })
  })
  it('halves no media in December beside "wait until 8 °C": they are put off until the water is warm', () => {
    const warmth = (day: string) => (day >= '2027-12-01' && day < '2028-04-10' ? 3 : 12)
    const { stages, pauseTests, finalTests } = planRescue(neglected(), '2027-12-01', workday, warmth)
    const [floor, strainers, half] = stages
    expect([floor, strainers].every((s) => s!.day < '2027-12-31' && s!.waitsForWarmthDays === 0)).toBe(true)
    expect(half!.day).toBe('2028-04-10')
    expect(half!.waitsForWarmthDays).toBeGreaterThan(90)
    expect(stages.slice(3).every((s) => s.day > half!.day)).toBe(true)
    expect(finalTests[0]! > stages.at(-1)!.day).toBe(true)
    // after such a pause nothing is taken for known, and the food stop need not last the winter
    expect(half).toMatchObject({
      afterPause: true,
      expected: { tan: null, nitrite: null },
      changeLimit: 'tests',
      kh: null,
    })
    expect(pauseTests).toHaveLength(2)
    expect(pauseTests.every((day) => day > strainers!.day && day < half!.day)).toBe(true)
  })
  it('without a pause there is no test for one', () => expect(plan().pauseTests).toEqual([]))
  it('asks for the tests it lacks, and for air first where oxygen is low or unknown', () => {
    expect(plan({ tan: null, oxygenMgL: null, ghDH: null })).toMatchObject({
      missing: ['tan', 'gh', 'oxygen'],
      airFirst: true,
    })
    expect(plan({ oxygenMgL: 9 }).airFirst).toBe(false)
  })
  it('is three visits or more on working days in order, no change turns ammonia toxic, whatever the pond', () =>
    fc.assert(
      fc.property(
        fc.record({
          hasMedia: fc.boolean(),
          fishKg: fc.double({ min: 0, max: 60, noNaN: true }),
          rockSections: fc.nat(6),
          tan: fc.option(fc.double({ min: 0, max: 8, noNaN: true })),
          ph: fc.option(fc.double({ min: 5.5, max: 9.5, noNaN: true })),
          khDH: fc.option(fc.double({ min: 0, max: 15, noNaN: true })),
          fill: fc.record({
            ph: fc.option(fc.double({ min: 6, max: 9, noNaN: true })),
            khDH: fc.option(fc.double({ min: 0, max: 20, noNaN: true })),
          }),
        }),
        fc.integer({ min: 0, max: 400 }),
        (over, offset) => {
          const { stages } = planRescue(neglected(over), addDays(FIRST, offset), workday)
          const [{ changeM3, changeLimit }] = stages as [(typeof stages)[number]]
          const { tan, ph, khDH, fill } = over
          if (tan !== null && ph !== null && khDH !== null && fill.ph !== null && fill.khDH !== null && changeM3 > 0) {
            expect(changeLimit === null || changeLimit === 'ammonia').toBe(true)
            const runsIn = { ph: fill.ph, khDH: fill.khDH, tempC: 24 }
            expect(ammoniaReasons({ ph, khDH, tanMgL: tan, tempC: 24 }, runsIn, changeM3 / 12).reasons).toEqual([])
          }
          expect(stages.length).toBeGreaterThanOrEqual(3)
          stages.forEach((s, i) => {
            expect(isoWeekday(s.day)).toBeLessThanOrEqual(5)
            if (i > 0) expect(s.day > stages[i - 1]!.day).toBe(true)
            expect(s.changeM3).toBeLessThanOrEqual(12 / 3 + 1e-9)
            const span = s.expected.tan
            if (span) expect(span[0]).toBeLessThanOrEqual(span[1])
          })
          // never two halves of the media within a week
          const media = stages.filter((s) => s.jobKey === 'rescue-media').map((s) => s.day)
          if (media.length === 2) expect(daysBetween(media[0]!, media[1]!)).toBeGreaterThanOrEqual(7)
        },
      ),
    ))
})
