import { checkDiagnosis as check, type DayTest } from './diagnosis-check'

const on = (day: string, kind: string, value: number): DayTest => ({ day, kind, value })
const made = (findings: Parameters<typeof checkDiagnosis>[0]['findings']) => ({ findings, madeOn: '2027-06-10' })

const DEEPEST_M = 1.2
const checkDiagnosis = (kept: Parameters<typeof check>[0], tests: readonly DayTest[]) => check(kept, tests, DEEPEST_M)

describe('a diagnosis held against later tests', () => {
  it('says nothing before anyone has tested, but what would tell', () => {
    const check = checkDiagnosis(made({ 'nitrite-high': true, 'water-green': true }), [
      on('2027-06-10', 'nitrite', 1.2),
      on('2027-06-09', 'clarityDepth', 0.2),
    ])
    expect(check.verdict).toBeNull()
    expect(check.lines).toMatchObject([
      { what: 'nitrite-high', stillSo: null, tests: ['nitrite'], before: 1.2, since: null },
      { what: 'clarity', stillSo: null, before: 0.2 },
    ])
  })
  it('is better when everything that was wrong and can be tested is right', () => {
    const tests = [on('2027-06-09', 'nitrite', 1.2), on('2027-06-20', 'nitrite', 0.2), on('2027-06-25', 'nitrite', 0.1)]
    expect(checkDiagnosis(made({ 'nitrite-high': true }), tests)).toMatchObject({
      verdict: 'better',
      lines: [{ stillSo: false, on: '2027-06-25', since: 0.1 }],
    })
  })
  it('is no better while the newest test says so, whatever was between', () => {
    const tests = [on('2027-06-15', 'dissolvedOxygen', 7), on('2027-06-20', 'dissolvedOxygen', 4)]
    expect(checkDiagnosis(made({ 'oxygen-low': true }), tests).verdict).toBe('not')
  })
  it('is partly better when one of two mends, and when one of two was looked at', () => {
    const both = made({ 'nitrite-high': true, 'kh-low': true })
    expect(checkDiagnosis(both, [on('2027-06-20', 'nitrite', 0.1), on('2027-06-20', 'kh', 1)]).verdict).toBe('partly')
    expect(checkDiagnosis(both, [on('2027-06-20', 'nitrite', 0.1)]).verdict).toBe('partly')
  })
  it('sees green water mend before it is clear', () => {
    const green = made({ 'water-green': true })
    const from = on('2027-06-08', 'clarityDepth', 0.2)
    expect(checkDiagnosis(green, [from, on('2027-06-20', 'clarityDepth', 0.22)]).verdict).toBe('not')
    expect(checkDiagnosis(green, [from, on('2027-06-20', 'clarityDepth', 0.4)]).verdict).toBe('partly')
    expect(checkDiagnosis(green, [from, on('2027-06-20', 'clarityDepth', 0.9)]).verdict).toBe('better')
  })
  it('calls a shallow pond clear when its floor is seen', () => {
    const tests = [on('2027-06-08', 'clarityDepth', 0.15), on('2027-06-20', 'clarityDepth', 0.35)]
    expect(check(made({ 'water-green': true }), tests, 0.35).verdict).toBe('better')
    expect(check(made({ 'water-green': true }), tests, 0.8).verdict).toBe('partly')
  })
  it('needs pH and temperature to clear ammonia', () => {
    const toxic = made({ 'ammonia-high': true })
    expect(checkDiagnosis(toxic, [on('2027-06-20', 'tan', 0.1)]).verdict).toBeNull()
    const rest = [on('2027-06-20', 'ph', 7.4), on('2027-06-20', 'waterTemp', 18)]
    expect(checkDiagnosis(toxic, [on('2027-06-20', 'tan', 0.1), ...rest]).verdict).toBe('better')
  })
  it('leaves alone what tests cannot see', () =>
    expect(checkDiagnosis(made({ 'fish-hide': true, 'kh-low': false }), [on('2027-06-20', 'kh', 1)])).toEqual({
      lines: [],
      verdict: null,
    }))
})
