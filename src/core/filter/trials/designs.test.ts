import { koiPond } from '../../../../tests/fixtures/design-pond'
import { USUAL_PRICE_BOOK } from '../../../../tests/fixtures/usual-in-words'
import { DESIGN_BAR, DESIGN_CASES, DESIGN_FIGURES, designRates } from './designs'

describe('bands of 90 % about a design hold about nine tenths of ponds built so', () => {
  const RUNS = 240
  it.each(Object.keys(DESIGN_CASES))('%s', (name) => {
    const rates = designRates(DESIGN_CASES[name]!, koiPond, USUAL_PRICE_BOOK, RUNS)
    const missed = DESIGN_FIGURES.filter((figure) => rates[figure] < DESIGN_BAR[0] || rates[figure] > DESIGN_BAR[1])
    expect(missed.map((figure) => `${figure} ${rates[figure].toFixed(2)}`)).toEqual([])
  })
})
