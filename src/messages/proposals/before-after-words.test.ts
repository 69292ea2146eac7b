import { offered, proposalContent } from '../../../tests/fixtures/proposal-content'
import { comparedFigure, comparedName } from './before-after-words'
import { textsIn } from '../texts'
import { beforeAfter, BEFORE_AFTER_ROWS } from '../../domain/proposals/before-after'

const t = textsIn('en')
const [option] = proposalContent().options
const content = proposalContent({
  found: { ...option!, design: { ...offered, lengthM: offered.lengthM * 0.4 } },
})

describe('before and after', () => {
  it('says nothing where no filter was found', () => {
    expect(beforeAfter({ ...content, found: null })).toBeNull()
    const { found: _found, ...older } = content
    expect(beforeAfter(older)).toBeNull()
  })
  it('sets the found filter first, and each figure in words', () => {
    const filters = beforeAfter(content)!
    expect(filters.map((of) => comparedName(of, content, t))).toEqual(['Today', 'Proposed'])
    for (const of of filters)
      for (const row of BEFORE_AFTER_ROWS) expect(comparedFigure(row, of, content, t)).toMatch(/\d|not needed/)
    const flush = filters.map(({ flushDays }) => flushDays!)
    expect(flush[0]).toBeLessThan(flush[1]!)
  })
  it('calls options by their labels where there are several', () => {
    const two = {
      ...content,
      options: [
        { ...option!, label: 'Good' },
        { ...option!, label: 'Better' },
      ],
    }
    expect(beforeAfter(two)!.map((of) => comparedName(of, two, t))).toEqual(['Today', 'Good', 'Better'])
  })
  it('does not give a number to what rises without limit, nor months to what needs no flush', () => {
    const [today] = beforeAfter(content)!
    expect(comparedFigure('ammonia', { ...today!, ammoniaMgL: [0.4, Infinity] }, content, t)).toBe(
      'rises without limit',
    )
    expect(comparedFigure('flush', { ...today!, flushDays: null }, content, t)).toBe('not needed')
    expect(comparedFigure('flush', { ...today!, flushDays: 30 }, content, t)).toBe('every month')
  })
})
