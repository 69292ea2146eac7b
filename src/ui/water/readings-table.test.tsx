import { render, screen } from '@testing-library/react'
import type { ReadingKindName } from '@/core/water/readings'
import { AsPerson } from '../../../tests/fixtures/person'
import { ReadingsTable } from './readings-table'

const show = (values: Partial<Record<ReadingKindName, number>>) =>
  render(
    <AsPerson>
      <ReadingsTable
        readings={(Object.entries(values) as [ReadingKindName, number][]).map(([kind, value]) => ({
          kind,
          value,
          belowStep: false,
          takenAt: '2026-07-01T10:00:00Z',
        }))}
        when={() => 'today'}
      />
    </AsPerson>,
  )

describe('the newest tests of a pond', () => {
  it('say emergency of TAN 0.5 at pH 9.3 and 26 °C, with its toxic share', () => {
    show({ tan: 0.5, ph: 9.3, waterTemp: 26 })
    expect(screen.getByRole('row', { name: /Total ammonia/ })).toHaveTextContent(/Emergency NH₃ 0\.27/)
  })
  it('say fine of TAN 3 at pH 6.5 and 10 °C', () => {
    show({ tan: 3, ph: 6.5, waterTemp: 10 })
    expect(screen.getByRole('row', { name: /Total ammonia/ })).toHaveTextContent(/Fine NH₃ below 0\.01/)
  })
  it('ask for pH and temperature where only the total is known', () => {
    show({ tan: 1 })
    expect(screen.getByRole('row', { name: /Total ammonia/ })).toHaveTextContent(
      'Act judged by total ammonia only: also test pH and water temperature',
    )
  })
})
