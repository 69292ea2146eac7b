import { specialReading, withoutBelow } from './reading-text'
import type { ReadingKindName } from './readings'

describe('what is written down at the water’s edge', () => {
  it.each<[string, ReadingKindName, object | null]>([
    ['<0.25', 'tan', { value: 0, belowStep: true }],
    ['< 0,25 mg/L', 'nitrite', { value: 0, belowStep: true }],
    ['less than 0.1', 'tan', { value: 0, belowStep: true }],
    ['none', 'freeChlorine', { value: 0, belowStep: true }],
    ['4 drops', 'kh', { value: 4, belowStep: false }],
    ['1 drop', 'gh', { value: 1, belowStep: false }],
    ['bottom', 'clarityDepth', { value: 1.4, belowStep: false }],
    ['to the floor', 'clarityDepth', { value: 1.4, belowStep: false }],
    // a drop of this kit stands for nothing that is known
    ['4 drops', 'tan', null],
    ['bottom', 'ph', null],
    ['<', 'tan', null],
    ['0.25', 'tan', null],
    ['a lot', 'tan', null],
  ])('%s of %s', (text, kind, expected) => expect(specialReading(text, kind, 1.4)).toEqual(expected))
  it('knows no bottom of a pond that was not measured', () =>
    expect(specialReading('bottom', 'clarityDepth', null)).toBeNull())
  it('leaves the bound to be read', () => expect(withoutBelow('< 0.25 mg/L')).toBe('0.25 mg/L'))
})
