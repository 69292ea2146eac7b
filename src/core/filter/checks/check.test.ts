import { atLeast, atMost, graded } from './check'

describe('a verdict', () => {
  it('passes what is as it should be, looks at what can be borne, and stops the rest', () => {
    expect([graded(true, true), graded(true, false), graded(false, true), graded(false, false)]).toEqual([
      'pass',
      'pass',
      'look',
      'stop',
    ])
  })
  it('of a figure that is no number is a stop, whichever way it is asked', () => {
    const figure = Number.NaN
    expect(graded(figure >= 1, figure >= 0.5)).toBe('stop')
    expect(atLeast(figure, 1, 0.5)).toBe('stop')
    expect(atMost(figure, 1, 2)).toBe('stop')
  })
})
