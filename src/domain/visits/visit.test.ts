import { holdsHours, mayBecome, VISIT_STATES } from './visit'

describe('states of a visit', () => {
  it('never reopens a finished visit', () => {
    for (const state of ['planned', 'under-way', 'cancelled'] as const) expect(mayBecome('done', state)).toBe(false)
  })
  it('hold their crew’s hours only while the visit is to be done', () => {
    expect(VISIT_STATES.filter(holdsHours)).toEqual(['planned', 'under-way'])
  })
})
