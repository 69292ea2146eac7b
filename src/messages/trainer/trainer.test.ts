import { textsIn } from '../texts'
import { luckWords } from './trainer'

const years = (of: (year: number) => number) => Array.from({ length: 20 }, (_, i) => of(i))
const words = (points: number, yours: readonly number[], house: readonly number[]) =>
  luckWords(points, yours, house, textsIn('en'))

describe('judgement or luck', () => {
  it('the house that wins nine years in ten is not called about as good, however near the middles', () => {
    const yours = years(() => 70)
    const text = words(
      70,
      yours,
      years((i) => (i < 18 ? 74 : 66)),
    )
    expect(text).toContain('The house rules did better in 18 of 20 years')
    expect(text).toContain('of 20 other years the same choices did better in 0 and worse in 0.')
  })
  it('says that the house decides anew each week while choices are repeated', () =>
    expect(
      words(
        70,
        years(() => 70),
        years(() => 70),
      ),
    ).toContain('the house looks at each year anew'))
  it('counts the years that were kinder', () => {
    expect(
      words(
        80,
        years((i) => (i < 17 ? 60 : 85)),
        years(() => 50),
      ),
    ).toMatch(/^The year was kind: the same choices did worse in 17 of 20 other years\. You did better/)
    expect(
      words(
        50,
        years(() => 60),
        years((i) => (i % 2 ? 55 : 65)),
      ),
    ).toMatch(
      /^The year was unkind: .* 20 of 20 other years\. Against the house rules nothing is clear: .* in 10 of 20/,
    )
  })
})
