import { render, screen, within } from '@testing-library/react'
import type { Accuracy } from '@/core/assimilation/accuracy'
import type { AccuracyData } from '@/server/forecasts/forecasts'
import { AsPerson } from '../../../tests/fixtures/person'
import { AccuracySheet } from './accuracy-sheet'

const row = (over: Partial<Accuracy>): Accuracy => ({
  kind: 'waterTemp',
  lead: 'near',
  tests: 18,
  ponds: 6,
  missed: 0.8,
  inside: { value: 0.8, low: 0.6, high: 0.9 },
  overLast: null,
  overUsual: null,
  ...over,
})
const show = (over: Partial<AccuracyData> = {}, ofOnePond = false) => {
  const accuracy = {
    invented: false,
    counts: { tests: 18, lookedBack: 0, earlier: 0 },
    kinds: [row({})],
    said: [],
    ...over,
  }
  render(
    <AsPerson>
      <AccuracySheet accuracy={accuracy} ofOnePond={ofOnePond} />
    </AsPerson>,
  )
  return within(screen.getByRole('region', { name: 'Forecast accuracy' }))
}

describe('how far forecasts can be believed', () => {
  it('is told by lead, with counts, ponds and intervals: better, worse, and too few to say', () => {
    const sheet = show({
      kinds: [
        row({ overLast: { value: 0.744, low: 0.5, high: 0.9 } }),
        row({ lead: 'far', ponds: 1, overLast: { value: -0.08, low: -0.3, high: -0.02 } }),
        row({ kind: 'clarityDepth', missed: 0.12, inside: { value: 0.4, low: 0.3, high: 0.5 } }),
      ],
    })
    const rows = sheet
      .getAllByRole('row')
      .map((r) => [...r.children].map((cell) => cell.textContent.replaceAll('\u00a0', ' ')))
    expect(rows.slice(1, 4)).toEqual([
      ['Water temperature', '1–3', '18 from 6 ponds', '0.8 °C', '80 % (60 to 90)', '74 % (50 to 90)', 'too few yet'],
      ['11–21', '18 from one pond', '0.8 °C', '80 % (60 to 90)', '−8 % (−30 to −2)', 'too few yet'],
      ['Clarity (Secchi depth)', '1–3', '18 from 6 ponds', '120 mm', '40 % (30 to 50)', 'too few yet', 'too few yet'],
    ])
    // a band that holds less than it says, and a forecast that does worse, are marked
    expect(sheet.getByText('40 % (30 to 50)')).toHaveClass('look')
    expect(sheet.getByText('−8 % (−30 to −2)')).toHaveClass('look')
    expect(sheet.getByText('74 % (50 to 90)')).not.toHaveClass('look')
  })
  it('says whether what was likely came true, and where no test tells', () => {
    const sheet = show({
      said: [
        { from: 0, tests: 0, crossed: 0, share: null },
        { from: 0.8, tests: 10, crossed: 9, share: { value: 0.9, low: 0.65, high: 0.98 } },
      ],
    })
    expect(sheet.getByRole('row', { name: /^0 to 80 %/ })).toHaveTextContent('no test yet')
    expect(sheet.getByRole('row', { name: /^80 to 100 %/ })).toHaveTextContent('9 of 10: 90 % (65 to 98)')
  })
  it('says which tests were only looked back on, which are of the pond as it was, and that a demo proves nothing', () => {
    const sheet = show({ invented: true, counts: { tests: 12, lookedBack: 4, earlier: 1 } }, true)
    expect(sheet.getByText(/4 of them had no forecast at the time/)).toHaveTextContent(
      'One test is from before the last change of the pond’s data',
    )
    expect(sheet.getByRole('alert')).toHaveTextContent('these ponds are invented')
  })
  it('claims nothing before a test has come', () => {
    const sheet = show({ counts: { tests: 0, lookedBack: 0, earlier: 0 }, kinds: [] })
    expect(sheet.getByText(/None has been logged yet/)).toBeInTheDocument()
    expect(sheet.queryByRole('table')).not.toBeInTheDocument()
  })
})
